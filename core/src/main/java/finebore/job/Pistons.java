package finebore.job;

import finebore.quantity.Quantity;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.OptionalDouble;

/**
 * What carries the piston past the valves, as far as it is known.
 *
 * @param rodMm connecting rod, centre to centre
 * @param deckMm from the block's face down to the piston's crown at top dead centre; below 0 where
 *     the piston stands proud
 * @param gasketMm head gasket as pressed
 */
@RecordBuilder
public record Pistons(OptionalDouble rodMm, OptionalDouble deckMm, OptionalDouble gasketMm)
    implements PistonsBuilder.With {

  public static final Pistons UNKNOWN =
      new Pistons(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

  public Pistons {
    Quantity.ROD.check(rodMm);
    Quantity.DECK.check(deckMm);
    Quantity.GASKET.check(gasketMm);
  }
}
