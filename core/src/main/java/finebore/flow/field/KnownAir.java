package finebore.flow.field;

/** Air that has been solved already. */
@FunctionalInterface
public interface KnownAir {

  /** Nothing is known. */
  KnownAir NONE = question -> SolvedArea.NONE;

  /** What was solved, {@link SolvedArea#NONE} where nothing was or it could not be. */
  SolvedArea of(AirQuestion question);
}
