package finebore.job;

import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.function.BinaryOperator;

/** The groups of figures of a pairing, each of which can be taken over by itself. */
public enum PairingPart {
  /** The cuts of the seat, and which of them seals. */
  CUTS((p, from) -> p.withSeat(p.seat().withStack(from.seat().stack()))),
  /** Size and place of the seat, its throat, bowl and roof. */
  SEAT((p, from) -> p.withSeat(from.seat().withStack(p.seat().stack()))),
  /** Head, margin, face and stem of the valve. */
  VALVE(
      (p, from) ->
          p.withValve(
              from.valve()
                  .withBackCuts(p.valve().backCuts())
                  .withUnderhead(p.valve().underhead()))),
  BACK_CUTS((p, from) -> p.withValve(p.valve().withBackCuts(from.valve().backCuts()))),
  UNDERHEAD((p, from) -> p.withValve(p.valve().withUnderhead(from.valve().underhead())));

  private final BinaryOperator<Pairing> take;

  PairingPart(BinaryOperator<Pairing> take) {
    this.take = take;
  }

  /**
   * A pairing with this part of another one.
   *
   * @throws finebore.code.RuleViolation if the two do not go together
   */
  public Pairing take(Pairing into, Pairing from) {
    return take.apply(into, from);
  }

  /** Whether two pairings are alike in this part. */
  public boolean isSame(Pairing a, Pairing b) {
    return switch (this) {
      case CUTS -> a.seat().stack().equals(b.seat().stack());
      case SEAT -> a.seat().withStack(b.seat().stack()).equals(b.seat());
      case VALVE -> {
        Valve one = a.valve().withBackCuts(List.of()).withUnderhead(b.valve().underhead());
        yield one.equals(b.valve().withBackCuts(List.of()));
      }
      case BACK_CUTS -> a.valve().backCuts().equals(b.valve().backCuts());
      case UNDERHEAD -> a.valve().underhead().equals(b.valve().underhead());
    };
  }
}
