package finebore.seat;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * An arc of a profile, from one angle to a steeper one.
 *
 * @param fromDeg angle at its chamber end, degrees from the plane at right angles to the guide
 * @param toDeg angle at its port end
 * @param radiusMm radius, mm
 */
public record Arc(double fromDeg, double toDeg, double radiusMm) implements Element {

  /** An arc is cut as chords that turn by no more than this, degrees. */
  private static final double CHORD_DEG = 5;

  public Arc {
    Quantity.ARC_FROM.check(fromDeg);
    Quantity.ARC_TO.check(toDeg);
    Quantity.ARC_RADIUS.check(radiusMm);
    if (toDeg <= fromDeg) {
      throw RuleViolation.of("arcRises")
          .with("from", Term.angle(fromDeg))
          .with("to", Term.angle(toDeg));
    }
  }

  /** Its chords, which are as long as they are between points on the arc. */
  @Override
  public List<Cut> cuts() {
    int chords = (int) Math.ceil((toDeg - fromDeg) / CHORD_DEG - 1e-9);
    double turn = (toDeg - fromDeg) / chords;
    double width = 2 * radiusMm * Math.sin(Math.toRadians(turn) / 2);
    List<Cut> cuts = new ArrayList<>();
    for (int k = 0; k < chords; k++) {
      cuts.add(new Cut(fromDeg + (k + 0.5) * turn, width));
    }
    return cuts;
  }

  public Arc withFrom(double deg) {
    return new Arc(deg, toDeg, radiusMm);
  }

  public Arc withTo(double deg) {
    return new Arc(fromDeg, deg, radiusMm);
  }

  public Arc withRadius(double mm) {
    return new Arc(fromDeg, toDeg, mm);
  }

  @Override
  public Term term() {
    return Term.phrase(
        Message.of("seat.arc")
            .with("radius", Term.length(radiusMm))
            .with("from", Term.angle(fromDeg))
            .with("to", Term.angle(toDeg)));
  }

  /** The same turned by some degrees, within 0 to 90. */
  public Arc turned(double deg) {
    double from = Math.clamp(fromDeg + deg, 0, 89);
    return new Arc(from, Math.clamp(toDeg + deg, from + 0.5, 90), radiusMm);
  }
}
