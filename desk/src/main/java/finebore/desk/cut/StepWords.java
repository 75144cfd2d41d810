package finebore.desk.cut;

import finebore.machine.RunStep;
import finebore.machine.RunStep.Target;
import finebore.machine.StepOutward;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.ReadBack;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a step's readings are told with. */
final class StepWords {

  private StepWords() {}

  /** What is wanted of a reading: a value within limits, a limit, or nothing. */
  static String wanted(Target target, Words words) {
    var dimension = target.what().quantity().dimension();
    if (target.wanted().isPresent() && target.least().isPresent() && target.most().isPresent()) {
      return words.text(
          "cut.wanted.about",
          "value",
          words.figure(dimension, target.wanted().getAsDouble()),
          "least",
          words.figure(dimension, target.least().getAsDouble()),
          "most",
          words.figure(dimension, target.most().getAsDouble()));
    }
    if (target.wanted().isPresent()) {
      return words.text(
          "cut.wanted.first",
          "value",
          words.figure(dimension, target.wanted().getAsDouble()),
          "most",
          words.figure(dimension, target.most().orElse(target.wanted().getAsDouble())));
    }
    if (target.most().isPresent()) {
      return words.text(
          "cut.wanted.most", "most", words.figure(dimension, target.most().getAsDouble()));
    }
    return target.least().isPresent()
        ? words.text(
            "cut.wanted.least", "least", words.figure(dimension, target.least().getAsDouble()))
        : "";
  }

  /** What is the matter with a value; empty when nothing is. */
  static String problem(Target target, OptionalDouble value, Words words) {
    if (value.isEmpty() || target.allows(value.getAsDouble())) {
      return "";
    }
    double past = target.pastMm(value.getAsDouble());
    boolean depth = target.what() == ReadBack.SEAT_DEPTH || target.what() == ReadBack.VALVE_DEPTH;
    String key = (depth ? "cut.depth." : "cut.size.") + (past > 0 ? "past" : "short");
    Dimension dimension = target.what().quantity().dimension();
    String allowed =
        words.text(
            key, "what", words.label(target.what()), "by", words.figure(dimension, Math.abs(past)));
    if (target.wanted().isEmpty()) {
      return allowed;
    }
    double off = Math.abs(value.getAsDouble() - target.wanted().getAsDouble());
    return allowed + " " + words.text("cut.off.wanted", "off", words.figure(dimension, off));
  }

  /** Seat and what is done. */
  static String title(RunStep step, Words words) {
    return step.seat().label() + "   " + words.say(step.title());
  }

  /** How far to go on, as far as the contact tells; what it needs where it does not. */
  static String outward(Optional<StepOutward> outward, Words words) {
    return outward.map(o -> outward(o, words)).orElse(words.text("cut.outward.needs"));
  }

  private static String outward(StepOutward step, Words words) {
    if (step.isThere()) {
      return words.text("cut.outward.there");
    }
    String held =
        step.heldBy()
            .map(c -> " " + words.text("cut.outward.held", "by", words.of(c, "name")))
            .orElse("");
    return words.text(
            "cut.outward",
            "pointer",
            words.units().lengthText(step.pointerMm()),
            "depth",
            words.units().lengthText(step.depthMm()),
            "left",
            words.units().lengthText(Math.max(0, step.leftMm())),
            "off",
            words.units().lengthText(step.pointerOffMm()))
        + held;
  }
}
