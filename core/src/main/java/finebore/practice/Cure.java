package finebore.practice;

import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.job.Plan;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Resized;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** A change that would mend a finding, with its number. */
public sealed interface Cure {

  /** The pairing with the change made. */
  Pairing applyTo(Pairing pairing);

  /** The plan with the change made. */
  default Plan applyTo(Plan plan) {
    return plan.following(applyTo(plan.wanted()));
  }

  /** How the change is spoken of. */
  Message message();

  /**
   * The same cure for the seat that is wanted, where it was found on what operations leave of it;
   * none where it is about a cut that the wanted seat does not have.
   */
  default Optional<Cure> movedTo(Seat wanted, Seat left) {
    return Optional.of(this);
  }

  /** Where a seat has a cut; the nearest to a place where it has several like it. */
  private static Optional<Integer> place(Cut cut, int near, Seat in) {
    return IntStream.range(0, in.cuts().size())
        .boxed()
        .filter(k -> in.cuts().get(k).equals(cut))
        .min(Comparator.comparingInt(k -> Math.abs(k - near)));
  }

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
    public Message message() {
      return spoken(operation, wanted);
    }
  }

  /** An operation set otherwise. */
  record ChangeOperation(int id, Operation operation, Seat wanted) implements OfOperations {
    @Override
    public Plan applyTo(Plan plan) {
      for (int k = 0; k < plan.steps().size(); k++) {
        if (plan.idAt(k) == id) {
          return plan.withOperationAt(k, operation);
        }
      }
      return plan;
    }

    @Override
    public Message message() {
      return spoken(operation, wanted);
    }
  }

  /** Another plan altogether. */
  record OtherPlan(Plan plan, Message name) implements OfOperations {
    @Override
    public Plan applyTo(Plan before) {
      return plan;
    }

    @Override
    public Message message() {
      return name;
    }
  }

  /** An operation by what a cure sets of it: all of its settings, by their names. */
  private static Message spoken(Operation operation, Seat wanted) {
    Message message = Message.of("cure." + operation.key());
    for (OperationSetting<?> setting : operation.settings()) {
      List<Term> terms = setting.term(operation, wanted);
      if (!terms.isEmpty()) {
        message = message.with(setting.id(), terms.getFirst());
      }
    }
    return message;
  }

  /** Another valve head diameter, mm. */
  record ValveDiameter(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withValve(pairing.valve().withHeadDiameterMm(mm));
    }

    @Override
    public Message message() {
      return Message.of("cure.valve").with("head", Term.length(mm));
    }
  }

  /**
   * A larger valve head, mm, over the same throat: the seat moves out with it, and its last cut is
   * made wider where it would end further from the throat, so that the angles come back.
   */
  record LargerHead(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      Valve valve = pairing.valve().withHeadDiameterMm(mm);
      return Resized.of(pairing, valve, pairing.seat().throatDiameterMm())
          .orElseGet(() -> pairing.withValve(valve));
    }

    @Override
    public Message message() {
      return Message.of("cure.largerHead").with("head", Term.length(mm));
    }
  }

  /** Another throat diameter, mm; the bowl opens with it where it would be smaller. */
  record OtherThroat(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      Seat seat = pairing.seat().withThroatDiameter(mm);
      return pairing.withSeat(
          seat.withBowl(new Bowl(Math.max(seat.bowlDiameterMm(), mm), seat.bowlDepthMm())));
    }

    @Override
    public Message message() {
      return Message.of("cure.throat").with("throat", Term.length(mm));
    }
  }

  /** Another seat outside diameter, mm. */
  record SeatOutside(double mm) implements Cure {
    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withSeat(pairing.seat().withOutsideDiameterMm(mm));
    }

    @Override
    public Message message() {
      return Message.of("cure.seatOutside").with("outside", Term.length(mm));
    }
  }

  /** A cut of the seat made otherwise. */
  record ChangeCut(int index, Cut before, Cut cut) implements Cure {
    @Override
    public Optional<Cure> movedTo(Seat wanted, Seat left) {
      return place(before, index, wanted).map(k -> new ChangeCut(k, before, cut));
    }

    @Override
    public Pairing applyTo(Pairing pairing) {
      return pairing.withSeat(pairing.seat().withCut(index, cut));
    }

    @Override
    public Message message() {
      boolean sameAngle = cut.angleDeg() == before.angleDeg();
      boolean sameWidth = cut.widthMm() == before.widthMm();
      return Message.of(
              sameAngle
                  ? "cure.changeWidth"
                  : sameWidth ? "cure.changeAngle" : "cure.changeAngleWidth")
          .with("before", Term.angle(before.angleDeg()))
          .with("angle", Term.angle(cut.angleDeg()))
          .with("width", Term.length(cut.widthMm()));
    }
  }

  /** A cut added to the seat before a place in the stack. */
  record AddCut(int index, Cut cut) implements Cure {
    @Override
    public Optional<Cure> movedTo(Seat wanted, Seat left) {
      Optional<Integer> above =
          index == 0 ? Optional.of(-1) : place(left.cuts().get(index - 1), index - 1, wanted);
      return above.map(k -> new AddCut(k + 1, cut));
    }

    @Override
    public Pairing applyTo(Pairing pairing) {
      Seat seat = pairing.seat();
      return pairing.withSeat(seat.withStack(seat.stack().withInserted(index, cut)));
    }

    @Override
    public Message message() {
      return Message.of("cure.addCut")
          .with("angle", Term.angle(cut.angleDeg()))
          .with("width", Term.length(cut.widthMm()));
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
    public Message message() {
      return Message.of("cure.backCut")
          .with("angle", Term.angle(cut.angleDeg()))
          .with("width", Term.length(cut.widthMm()))
          .with("face", Term.length(faceWidthMm));
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
    public static Optional<Cure> leaving(Valve valve, double faceWidthMm, double angleDeg) {
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
        return Optional.empty();
      }
      // startZ - run back = endZ - (run - (startR - endR)) under
      double run = (startZ - endZ - (startR - endR) * under) / (back - under);
      double room = startR - valve.stemDiameterMm() / 2;
      if (!(run > 0 && run < 0.9 * room)) {
        return Optional.empty();
      }
      double width = run / Math.cos(Math.toRadians(angleDeg));
      if (width > WIDEST_MM) {
        return Optional.empty();
      }
      return Optional.of(new BackCut(faceWidthMm, new Cut(angleDeg, width)));
    }
  }
}
