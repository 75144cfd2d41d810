package finebore.formats;

import finebore.code.Coded;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.Plunge;
import finebore.quantity.Setting;
import java.util.Locale;
import java.util.OptionalDouble;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Operations as JSON: their kind, and every setting under its name as it is declared; one that is
 * left open is null.
 */
final class OperationJson {

  private enum To {
    PLANNED,
    DEPTH,
    CLEAN;

    private String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private OperationJson() {}

  static Operation read(Node n) {
    Operation[] kinds = Operation.kinds().toArray(Operation[]::new);
    Operation operation = n.at("operation").oneOf(kinds, Operation::key);
    for (OperationSetting<?> setting : operation.settings()) {
      operation = read(operation, setting, n.at(setting.id()));
    }
    return operation;
  }

  private static Operation read(Operation on, OperationSetting<?> setting, Node n) {
    return switch (setting) {
      case OperationSetting.Number<?> number ->
          number.on(
              on,
              number.setting().empty() == Setting.Empty.NEVER
                  ? OptionalDouble.of(n.number())
                  : n.optionalNumber());
      case OperationSetting.Choice<?, ?> choice ->
          choice.on(on, n.oneOf(choice.values().toArray(Coded[]::new), OperationJson::key));
      case OperationSetting.Text<?> text -> text.on(on, n.text());
      case OperationSetting.Depth<?> depth -> depth.on(on, n.build(OperationJson::plunge));
    };
  }

  /** The last part of a code is the name in files. */
  private static String key(Coded coded) {
    return coded.code().substring(coded.code().lastIndexOf('.') + 1);
  }

  private static Plunge plunge(Node n) {
    return switch (n.at("to").oneOf(To.values(), To::key)) {
      case PLANNED -> new Plunge.AsPlanned();
      case DEPTH -> new Plunge.ToDepth(n.at("depthMm").number());
      case CLEAN -> new Plunge.UntilClean(n.at("extraMm").number(), n.at("allCuts").flag());
    };
  }

  static ObjectNode write(Operation operation) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("operation", operation.key());
    for (OperationSetting<?> setting : operation.settings()) {
      switch (setting) {
        case OperationSetting.Number<?> number ->
            JobWriter.optional(n, number.id(), number.set(operation));
        case OperationSetting.Choice<?, ?> choice ->
            n.put(choice.id(), key(choice.value(operation)));
        case OperationSetting.Text<?> text -> n.put(text.id(), text.value(operation));
        case OperationSetting.Depth<?> depth -> n.set(depth.id(), plunge(depth.value(operation)));
      }
    }
    return n;
  }

  /** Always with every field, so that one that is not used is not taken for an unknown one. */
  private static ObjectNode plunge(Plunge plunge) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    OptionalDouble depth = OptionalDouble.empty();
    OptionalDouble extra = OptionalDouble.empty();
    boolean all = false;
    switch (plunge) {
      case Plunge.AsPlanned() -> n.put("to", To.PLANNED.key());
      case Plunge.ToDepth(double mm) -> {
        n.put("to", To.DEPTH.key());
        depth = OptionalDouble.of(mm);
      }
      case Plunge.UntilClean(double mm, boolean allCuts) -> {
        n.put("to", To.CLEAN.key());
        extra = OptionalDouble.of(mm);
        all = allCuts;
      }
    }
    JobWriter.optional(n, "depthMm", depth);
    JobWriter.optional(n, "extraMm", extra);
    n.put("allCuts", all);
    return n;
  }
}
