package finebore.cutting;

import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;

/**
 * The operations that take a seat and its valve from found to planned, in the order of the work,
 * with the settings to make.
 *
 * @param operations in order
 */
public record CutSheet(List<Operation> operations) {

  /** A change smaller than this is not worth a set-up, mm. */
  private static final double NEGLIGIBLE_MM = 0.005;

  /**
   * One operation.
   *
   * @param tool what to fit
   * @param settings what to set, in order
   * @param check what to read back or look for
   * @param caution what can hurt or ruin, empty if nothing special
   */
  public record Operation(String tool, List<Setting> settings, String check, String caution) {
    public Operation {
      settings = List.copyOf(settings);
    }
  }

  /** One setting: what, and to how much, as text with its unit. */
  public record Setting(String name, String value) {}

  public CutSheet {
    operations = List.copyOf(operations);
  }

  /**
   * Works out the operations.
   *
   * @param restMm height of the planned valve when seated, for the check of its height; NaN when it
   *     does not seat
   */
  public static CutSheet of(
      Seat found,
      Seat planned,
      Valve foundValve,
      Valve plannedValve,
      double restMm,
      UnitSystem units) {
    List<Operation> operations = new ArrayList<>();
    if (planned.throatDiameterMm() > found.throatDiameterMm() + NEGLIGIBLE_MM) {
      operations.add(
          new Operation(
              "Throat cutter",
              List.of(
                  new Setting("Throat diameter", units.lengthText(planned.throatDiameterMm())),
                  new Setting(
                      "Opens it by",
                      units.lengthText(planned.throatDiameterMm() - found.throatDiameterMm()))),
              "Snap gauge at four clock positions",
              "Too large cannot be put back: start under size. Know the wall to water before cutting."));
    }
    operations.add(seatCut(planned, units));
    for (int k = planned.sealing() - 1; k >= 0; k--) {
      Cut cut = planned.cuts().get(k);
      operations.add(
          new Operation(
              "Top cut " + Cut.angleText(cut.angleDeg()) + "°",
              List.of(
                  new Setting("Width showing", units.lengthText(cut.widthMm())),
                  new Setting(
                      "Brings the seat's outside to",
                      units.lengthText(planned.outsideDiameterMm()))),
              "Layout ink: an even band all round",
              "Keep inside the gasket's fire ring line."));
    }
    for (int k = planned.sealing() + 1; k < planned.cuts().size(); k++) {
      Cut cut = planned.cuts().get(k);
      operations.add(
          new Operation(
              "Lower cut " + Cut.angleText(cut.angleDeg()) + "°",
              List.of(
                  new Setting("Width showing", units.lengthText(cut.widthMm())),
                  new Setting("Its outer edge at", units.lengthText(outerDiameter(planned, k)))),
              "Layout ink: an even band all round",
              ""));
    }
    valveWork(foundValve, plannedValve, units, operations);
    List<Setting> rest = new ArrayList<>();
    if (!Double.isNaN(restMm)) {
      rest.add(new Setting("Valve's margin edge to the head face", units.lengthText(restMm)));
    }
    operations.add(
        new Operation(
            "Ink and light lap",
            rest,
            "A grey ring all round, where the plan has it; then vacuum, guide dry and oiled",
            "Measure valve-to-piston and retainer-to-seal clearance on the real engine."));
    return new CutSheet(operations);
  }

  private static Operation seatCut(Seat planned, UnitSystem units) {
    Cut cut = planned.sealingCut();
    return new Operation(
        "Seat cut " + Cut.angleText(cut.angleDeg()) + "°",
        List.of(
            new Setting("Seat outside diameter", units.lengthText(planned.outsideDiameterMm())),
            new Setting(
                "Plunge: outside edge below the head face", units.lengthText(planned.depthMm())),
            new Setting("Width to leave", units.lengthText(cut.widthMm()))),
        "Clean all round, no chatter",
        "Eye, ear and breathing protection; keep hands and cloth from the spindle.");
  }

  private static double outerDiameter(Seat seat, int cut) {
    double r = seat.outsideDiameterMm() / 2;
    for (int k = seat.sealing(); k < cut; k++) {
      r -= seat.cuts().get(k).projectedMm();
    }
    return 2 * r;
  }

  private static void valveWork(
      Valve found, Valve planned, UnitSystem units, List<Operation> operations) {
    if (Math.abs(planned.headDiameterMm() - found.headDiameterMm()) > NEGLIGIBLE_MM) {
      operations.add(
          new Operation(
              "Fit other valve",
              List.of(
                  new Setting("Head diameter", units.lengthText(planned.headDiameterMm())),
                  new Setting("Instead of", units.lengthText(found.headDiameterMm()))),
              "Valve-to-valve and valve-to-piston clearance",
              "Valve and piston that touch wreck the engine."));
    }
    boolean reface = Math.abs(planned.faceAngleDeg() - found.faceAngleDeg()) > 0.01;
    operations.add(
        new Operation(
            "Valve face",
            List.of(
                new Setting("Face angle", Cut.angleText(planned.faceAngleDeg()) + "°"),
                new Setting("Margin at least", units.lengthText(planned.marginMm()))),
            reface ? "New face angle, clean all round" : "Clean all round",
            "A thin margin gets hot and cups: replace the valve."));
    for (Cut cut : planned.backCuts()) {
      operations.add(
          new Operation(
              "Back cut " + Cut.angleText(cut.angleDeg()) + "°",
              List.of(
                  new Setting("Leave of the face", units.lengthText(planned.faceWidthMm())),
                  new Setting("Width", units.lengthText(cut.widthMm()))),
              "Up to the edge of the lapped ring, leaving a sliver",
              ""));
    }
  }
}
