package finebore.work;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.seal.SealLimits;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * How a shop works: its figures, its times and what stands at the head of its card. What it has not
 * set is as usual.
 *
 * @param name of the shop as it is to be printed; may be empty
 * @param address of the shop, in lines; may be empty
 * @param customer the customer's own reference; may be empty
 * @param currency what its prices are in, for example EUR; may be empty
 * @param figures what it has set
 * @param eachMinutes its own times for one seat, min
 * @param setUpMinutes its own times to fit a tool, min
 */
public record ShopSettings(
    String name,
    String address,
    String customer,
    String currency,
    Map<ShopFigure, Double> figures,
    Map<StepKind, Double> eachMinutes,
    Map<StepKind, Double> setUpMinutes) {

  /** Longest text, characters. */
  public static final int LONGEST = 400;

  /** A shop that has set nothing. */
  public static final ShopSettings USUAL =
      new ShopSettings("", "", "", "", Map.of(), Map.of(), Map.of());

  public ShopSettings {
    figures = Map.copyOf(figures);
    eachMinutes = Map.copyOf(eachMinutes);
    setUpMinutes = Map.copyOf(setUpMinutes);
    figures.forEach((figure, value) -> figure.quantity().check(value));
    eachMinutes.values().forEach(Quantity.STEP_MINUTES::check);
    setUpMinutes.values().forEach(Quantity.STEP_MINUTES::check);
    for (String text : new String[] {name, address, customer, currency}) {
      if (text.length() > LONGEST) {
        throw RuleViolation.of("entryText")
            .with("most", Term.count(LONGEST))
            .with("value", Term.count(text.length()));
      }
    }
  }

  public double value(ShopFigure figure) {
    return figures.getOrDefault(figure, figure.usual());
  }

  /** Time for one seat, min. */
  public double eachMinutes(StepKind kind) {
    return eachMinutes.getOrDefault(kind, kind.eachMinutes());
  }

  /** Time to fit and set a tool, min. */
  public double setUpMinutes(StepKind kind) {
    return setUpMinutes.getOrDefault(kind, kind.setUpMinutes());
  }

  public SealLimits sealLimits() {
    return new SealLimits(
        value(ShopFigure.LEAST_VACUUM),
        value(ShopFigure.LEAST_FALL),
        value(ShopFigure.MOST_RUNOUT));
  }

  /** With a figure set, or as usual again. */
  public ShopSettings with(ShopFigure figure, OptionalDouble value) {
    return new ShopSettings(
        name,
        address,
        customer,
        currency,
        changed(ShopFigure.class, figures, figure, value),
        eachMinutes,
        setUpMinutes);
  }

  public ShopSettings withEach(StepKind kind, OptionalDouble minutes) {
    return new ShopSettings(
        name,
        address,
        customer,
        currency,
        figures,
        changed(StepKind.class, eachMinutes, kind, minutes),
        setUpMinutes);
  }

  public ShopSettings withSetUp(StepKind kind, OptionalDouble minutes) {
    return new ShopSettings(
        name,
        address,
        customer,
        currency,
        figures,
        eachMinutes,
        changed(StepKind.class, setUpMinutes, kind, minutes));
  }

  /** With other texts on its card. */
  public ShopSettings withTexts(String name, String address, String customer, String currency) {
    return new ShopSettings(name, address, customer, currency, figures, eachMinutes, setUpMinutes);
  }

  private static <K extends Enum<K>> Map<K, Double> changed(
      Class<K> kind, Map<K, Double> map, K key, OptionalDouble value) {
    Map<K, Double> changed = new EnumMap<>(kind);
    changed.putAll(map);
    if (value.isPresent()) {
      changed.put(key, value.getAsDouble());
    } else {
      changed.remove(key);
    }
    return changed;
  }
}
