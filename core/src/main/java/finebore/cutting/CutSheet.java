package finebore.cutting;

import finebore.seat.Cut;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;

/**
 * The operations that take a seat and its valve from found to planned, in the order of the work,
 * with the settings to make.
 *
 * @param steps in order
 */
public record CutSheet(List<Step> steps) {

  /** An operation that takes less than this is not worth a set-up, mm3. */
  private static final double NOTHING_MM3 = 0.01;

  /** A change smaller than this is not worth a set-up, mm. */
  private static final double NEGLIGIBLE_MM = 0.005;

  /**
   * One step of the work.
   *
   * @param tool what to fit
   * @param settings what to set, in order
   * @param check what to read back or look for
   * @param caution what can hurt or ruin, empty if nothing special
   */
  public record Step(String tool, List<Setting> settings, String check, String caution) {
    public Step {
      settings = List.copyOf(settings);
    }
  }

  /** One setting: what, and to how much, as text with its unit. */
  public record Setting(String name, String value) {}

  public CutSheet {
    steps = List.copyOf(steps);
  }

  /**
   * Lists a plan's operations and what is done to the valve.
   *
   * @param cutting the operations carried out
   * @param restMm height of the planned valve when seated, for the check of its height; NaN when it
   *     does not seat
   */
  public static CutSheet of(
      Cutting cutting, Valve foundValve, Valve plannedValve, double restMm, UnitSystem units) {
    List<Step> steps = new ArrayList<>();
    for (Cutting.Step step : cutting.steps()) {
      if (step.removedMm3() < NOTHING_MM3 && step.addedMm3() < NOTHING_MM3) {
        continue;
      }
      List<Setting> settings =
          new ArrayList<>(Settings.of(step.operation(), cutting.wanted(), step.depthMm(), units));
      step.cleanUp()
          .flatMap(c -> c.sealingMm().stream().boxed().findFirst())
          .ifPresent(mm -> settings.add(new Setting("Goes clean at", units.lengthText(mm))));
      for (Cutting.CameIn came : step.cameIn()) {
        settings.add(
            new Setting(
                "Left showing of " + came.cut().spoken(),
                came.shownMm() > 0 ? units.lengthText(came.shownMm()) : "never touches"));
      }
      steps.add(
          new Step(
              step.operation().title(),
              settings,
              check(step.operation()),
              caution(step.operation())));
    }
    valveWork(foundValve, plannedValve, units, steps);
    List<Setting> rest = new ArrayList<>();
    if (!Double.isNaN(restMm)) {
      rest.add(new Setting("Valve's margin edge to the head face", units.lengthText(restMm)));
    }
    steps.add(
        new Step(
            "Ink and light lap",
            rest,
            "A grey ring all round, where the plan has it; then vacuum, guide dry and oiled",
            "Measure valve-to-piston and retainer-to-seal clearance on the real engine."));
    return new CutSheet(steps);
  }

  /** What to read back after an operation. */
  public static String check(Operation operation) {
    return switch (operation) {
      case Operation.OpenThroat open -> "Snap gauge at four clock positions";
      case Operation.CutForm form -> "Clean all round, no chatter; widths by layout ink";
      case Operation.CutAngle cut -> "Layout ink: an even band all round";
      case Operation.SweepChamber sweep -> "Just touches the top of the seat all round";
      case Operation.CutUnder under -> "Template of the throat";
      case Operation.OpenBowl bowl -> "Template of the bowl, ball gauge for the wall";
      case Operation.Blend blend -> "No edge felt across the scribed line; sealing face untouched";
      case Operation.FitRing fit -> "Down on its floor all round, feeler finds no gap";
    };
  }

  /** What can hurt or ruin in an operation. */
  public static String caution(Operation operation) {
    return switch (operation) {
      case Operation.OpenThroat open ->
          "Too large cannot be put back: start under size. Know the wall to water before cutting.";
      case Operation.CutForm form ->
          "Eye, ear and breathing protection; keep hands and cloth from the spindle.";
      case Operation.CutAngle cut ->
          "Eye, ear and breathing protection; stone and iron dust is harmful.";
      case Operation.SweepChamber sweep -> "Keep inside the gasket's fire ring line.";
      case Operation.CutUnder under -> "Steeper than 15° of lean only eats wall.";
      case Operation.OpenBowl bowl -> "Know the wall to water before grinding.";
      case Operation.Blend blend ->
          "Burrs grab and jump: eye protection, both hands. Half the circle at a time.";
      case Operation.FitRing fit ->
          "Hot heads burn. A loose ring wrecks the engine: measure the fit before pressing.";
    };
  }

  private static void valveWork(Valve found, Valve planned, UnitSystem units, List<Step> steps) {
    if (Math.abs(planned.headDiameterMm() - found.headDiameterMm()) > NEGLIGIBLE_MM) {
      steps.add(
          new Step(
              "Fit other valve",
              List.of(
                  new Setting("Head diameter", units.lengthText(planned.headDiameterMm())),
                  new Setting("Instead of", units.lengthText(found.headDiameterMm()))),
              "Valve-to-valve and valve-to-piston clearance",
              "Valve and piston that touch wreck the engine."));
    }
    boolean reface = Math.abs(planned.faceAngleDeg() - found.faceAngleDeg()) > 0.01;
    steps.add(
        new Step(
            "Valve face",
            List.of(
                new Setting("Face angle", Cut.angleText(planned.faceAngleDeg()) + "°"),
                new Setting("Margin at least", units.lengthText(planned.marginMm()))),
            reface ? "New face angle, clean all round" : "Clean all round",
            "A thin margin gets hot and cups: replace the valve."));
    for (Cut cut : planned.backCuts()) {
      steps.add(
          new Step(
              "Back cut " + Cut.angleText(cut.angleDeg()) + "°",
              List.of(
                  new Setting("Leave of the face", units.lengthText(planned.faceWidthMm())),
                  new Setting("Width", units.lengthText(cut.widthMm()))),
              "Up to the edge of the lapped ring, leaving a sliver",
              ""));
    }
  }
}
