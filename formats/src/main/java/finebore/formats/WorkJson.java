package finebore.formats;

import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What was done at the machine, and how the shop works, as JSON. */
final class WorkJson {

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private WorkJson() {}

  static WorkLog readLog(Node n) {
    return new WorkLog(n.at("entries").list(e -> e.build(WorkJson::entry)));
  }

  private static WorkEntry entry(Node n) {
    Node reading = n.at("reading");
    Node corrects = n.at("corrects");
    return new WorkEntry(
        n.at("id").whole(),
        n.at("at").moment(),
        n.at("who").text(),
        n.at("seat").text(),
        n.at("step").text(),
        n.at("kind").oneOf(WorkEntry.Kind.values(), WorkEntry.Kind::key),
        reading.isAbsent() ? Optional.empty() : Optional.of(reading.build(WorkJson::taken)),
        n.at("reason").text(),
        corrects.isAbsent() ? OptionalInt.empty() : OptionalInt.of(corrects.whole()));
  }

  private static Taken taken(Node n) {
    return new Taken(
        n.at("what").oneOf(ReadBack.values(), ReadBack::key),
        n.at("value").number(),
        n.at("gauge").text());
  }

  static ObjectNode write(WorkLog log) {
    ObjectNode root = NODES.objectNode();
    ArrayNode entries = root.putArray("entries");
    for (WorkEntry e : log.entries()) {
      ObjectNode n = entries.addObject();
      n.put("id", e.number());
      n.put("at", e.at().toString());
      n.put("who", e.who());
      n.put("seat", e.seat());
      n.put("step", e.step());
      n.put("kind", e.kind().key());
      if (e.taken().isPresent()) {
        Taken taken = e.taken().get();
        n.putObject("reading")
            .put("what", taken.what().key())
            .put("value", taken.value())
            .put("gauge", taken.gauge());
      } else {
        n.putNull("reading");
      }
      n.put("reason", e.reason());
      if (e.corrects().isPresent()) {
        n.put("corrects", e.corrects().getAsInt());
      } else {
        n.putNull("corrects");
      }
    }
    return root;
  }

  static ShopSettings readShop(Node n) {
    return new ShopSettings(
        n.at("name").text(),
        n.at("address").text(),
        n.at("customer").text(),
        n.at("currency").text(),
        numbers(n.at("figures"), ShopFigure.class, ShopFigure::key),
        numbers(n.at("minutes"), StepKind.class, StepKind::key),
        numbers(n.at("setUpMinutes"), StepKind.class, StepKind::key));
  }

  private static <E extends Enum<E>> Map<E, Double> numbers(
      Node n, Class<E> kind, Function<E, String> key) {
    Map<E, Double> numbers = new EnumMap<>(kind);
    for (E constant : kind.getEnumConstants()) {
      n.at(key.apply(constant)).optionalNumber().ifPresent(v -> numbers.put(constant, v));
    }
    return numbers;
  }

  static ObjectNode write(ShopSettings shop) {
    ObjectNode n = NODES.objectNode();
    n.put("name", shop.name());
    n.put("address", shop.address());
    n.put("customer", shop.customer());
    n.put("currency", shop.currency());
    numbers(n.putObject("figures"), shop.figures(), ShopFigure.values(), ShopFigure::key);
    numbers(n.putObject("minutes"), shop.eachMinutes(), StepKind.values(), StepKind::key);
    numbers(n.putObject("setUpMinutes"), shop.setUpMinutes(), StepKind.values(), StepKind::key);
    return n;
  }

  private static <E> void numbers(
      ObjectNode n, Map<E, Double> set, E[] all, Function<E, String> key) {
    for (E constant : all) {
      Double value = set.get(constant);
      if (value == null) {
        n.putNull(key.apply(constant));
      } else {
        n.put(key.apply(constant), value);
      }
    }
  }
}
