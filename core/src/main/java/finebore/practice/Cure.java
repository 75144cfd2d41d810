package finebore.practice;

import finebore.cutting.Operation;
import finebore.cutting.Settings;
import finebore.job.Pairing;
import finebore.job.Plan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;

/** A change that would mend a finding, with its number. */
public sealed interface Cure {

  /** The pairing with the change made. */
  Pairing applyTo(Pairing pairing);

  /** The plan with the change made. */
  default Plan applyTo(Plan plan) {
    return plan.following(applyTo(plan.wanted()));
  }

  /** The change in words, lengths in the given units. */
  String words(UnitSystem units);

  /** A change of the operations, which leaves the wanted seat and valve alone. */
  sealed interface OfOperations extends Cure {
    @Override
    default Pairing applyTo(Pairing pairing) {
      return pairing;
    }
  }

  /** An operation put in before a place of the plan. */
  record AddOperation(int place, Operation operation, Seat wanted) implements OfOperations {
    @Override
    public Plan applyTo(Plan plan) {
      return plan.withOperation(Math.min(place, plan.operations().size()), operation);
    }

    @Override
    public String words(UnitSystem units) {
      return said(operation, wanted, units);
    }
  }

  /** An operation made otherwise. */
  record ChangeOperation(int place, Operation operation, Seat wanted) implements OfOperations {
    @Override
    public Plan applyTo(Plan plan) {
      return plan.withOperationAt(place, operation);
    }

    @Override
    public String words(UnitSystem units) {
      return said(operation, wanted, units);
    }
  }

  /** Another plan altogether. */
  record OtherPlan(Plan plan, String name) implements OfOperations {
    @Override
    public Plan applyTo(Plan before) {
      return plan;
    }

    @Override
    public String words(UnitSystem units) {
      return name;
    }
  }

  private static String said(Operation operation, Seat wanted, UnitSystem units) {
    return switch (operation) {
      case Operation.OpenThroat open ->
          "open the throat to "
              + units.lengthText(open.diameterMm().orElse(wanted.throatDiameterMm()))
              + " first";
      case Operation.CutForm form -> "plunge " + Settings.plunge(form.plunge(), units);
      case Operation.SweepChamber sweep ->
          "sweep the chamber at "
              + Cut.angleText(sweep.angleDeg())
              + "° out to "
              + units.lengthText(sweep.reachDiameterMm());
      case Operation.Blend blend ->
          "blend the "
              + blend.side().word()
              + ", "
              + units.lengthText(blend.radiusMm())
              + " radius, keeping "
              + units.lengthText(blend.keepOffMm())
              + " off the face";
      case Operation.CutUnder under ->
          "lean the cut under the seat in by " + Cut.angleText(under.leanDeg()) + "°";
      case Operation.FitRing fit ->
          "fit a ring of " + units.lengthText(fit.ring().outsideDiameterMm());
      case Operation.CutAngle cut -> "cut " + Cut.angleText(cut.angleDeg()) + "°";
      case Operation.OpenBowl bowl -> "open the bowl";
    };
  }

  /** Another valve head diameter, mm. */
  record ValveDiameter(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withValve(pairing.valve().withHeadDiameter(mm));
    }

    @Override
    public String words(UnitSystem units) {
      return "a " + units.lengthText(mm) + " valve";
    }
  }

  /** Another throat diameter, mm; the bowl opens with it where it would be smaller. */
  record Throat(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      Seat seat = pairing.seat().withThroat(mm);
      return pairing.withSeat(
          seat.withBowl(Math.max(seat.bowlDiameterMm(), mm), seat.bowlDepthMm()));
    }

    @Override
    public String words(UnitSystem units) {
      return "throat to " + units.lengthText(mm);
    }
  }

  /** Another seat outside diameter, mm. */
  record SeatOutside(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withSeat(pairing.seat().withOutsideDiameter(mm));
    }

    @Override
    public String words(UnitSystem units) {
      return "seat outside diameter to " + units.lengthText(mm);
    }
  }

  /** A cut of the seat made otherwise. */
  record ChangeCut(int index, Cut before, Cut cut) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withSeat(pairing.seat().withCut(index, cut));
    }

    @Override
    public String words(UnitSystem units) {
      String width = units.lengthText(cut.widthMm());
      String angle = Cut.angleText(cut.angleDeg()) + "°";
      if (cut.angleDeg() == before.angleDeg()) {
        return before.spoken() + " made " + width + " wide";
      }
      return before.spoken()
          + " made "
          + angle
          + (cut.widthMm() == before.widthMm() ? "" : ", " + width + " wide");
    }
  }

  /** A cut added to the seat before a place in the stack. */
  record AddCut(int index, Cut cut) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withSeat(pairing.seat().withCutInserted(index, cut));
    }

    @Override
    public String words(UnitSystem units) {
      return "add a "
          + Cut.angleText(cut.angleDeg())
          + "° cut "
          + units.lengthText(cut.widthMm())
          + " wide";
    }
  }

  /** Another valve face, behind which a back cut is ground; both widths in mm. */
  record BackCut(double faceWidthMm, Cut cut) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      Valve valve = pairing.valve();
      List<Cut> cuts = new ArrayList<>(valve.backCuts());
      if (cuts.isEmpty()) {
        cuts.add(cut);
      } else {
        cuts.set(0, cut);
      }
      return pairing.withValve(
          valve.withFace(valve.faceAngleDeg(), faceWidthMm).withBackCuts(cuts));
    }

    @Override
    public String words(UnitSystem units) {
      return "back cut "
          + Cut.angleText(cut.angleDeg())
          + "°, "
          + units.lengthText(cut.widthMm())
          + " wide, leaving "
          + units.lengthText(faceWidthMm)
          + " of face";
    }

    /** Nobody grinds a back cut wider than this, mm; common practice, no source. */
    private static final double WIDEST_MM = 10;

    /**
     * The back cut that leaves a wanted face: from the new inner edge of the face inward at its
     * angle to where it meets the underhead, which runs on from the old face or back cuts as a
     * cone.
     *
     * @return empty when such a cut would run out above the underhead
     */
    public static java.util.Optional<Cure> leaving(
        Valve valve, double faceWidthMm, double angleDeg) {
      double face = Math.toRadians(valve.faceAngleDeg());
      double back = Math.tan(Math.toRadians(angleDeg));
      double under = Math.tan(Math.toRadians(valve.underhead().angleDeg()));
      double headR = valve.headDiameterMm() / 2;
      double startR = headR - faceWidthMm * Math.cos(face);
      double startZ = -faceWidthMm * Math.sin(face);
      double endR = headR - valve.faceWidthMm() * Math.cos(face);
      double endZ = -valve.faceWidthMm() * Math.sin(face);
      for (Cut cut : valve.backCuts()) {
        endR -= cut.projectedMm();
        endZ -= cut.heightMm();
      }
      if (back <= under) {
        return java.util.Optional.empty();
      }
      // startZ - run back = endZ - (run - (startR - endR)) under
      double run = (startZ - endZ - (startR - endR) * under) / (back - under);
      double room = startR - valve.stemDiameterMm() / 2;
      if (!(run > 0 && run < 0.9 * room)) {
        return java.util.Optional.empty();
      }
      double width = run / Math.cos(Math.toRadians(angleDeg));
      if (width > WIDEST_MM) {
        return java.util.Optional.empty();
      }
      return java.util.Optional.of(new BackCut(faceWidthMm, new Cut(angleDeg, width)));
    }
  }
}
