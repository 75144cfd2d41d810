package finebore.cutting;

import finebore.cutting.CutSheet.Setting;
import finebore.found.Ring;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** The settings of an operation as text, open ones as the wanted seat has them. */
public final class Settings {

  private Settings() {}

  /**
   * What to set, in order.
   *
   * @param depthMm where its tool stops below the head face; empty when that is not known
   */
  public static List<Setting> of(
      Operation operation, Seat wanted, OptionalDouble depthMm, UnitSystem units) {
    List<Setting> settings = new ArrayList<>();
    switch (operation) {
      case Operation.OpenThroat open -> {
        settings.add(
            new Setting(
                "Throat diameter",
                units.lengthText(open.diameterMm().orElse(wanted.throatDiameterMm()))));
        if (open.taperDeg() > 0) {
          settings.add(new Setting("Taper", angle(open.taperDeg())));
        }
        depth(settings, "End below the head face", depthMm, units);
      }
      case Operation.CutForm form -> {
        if (!form.cutter().isBlank()) {
          settings.add(new Setting("Cutter", form.cutter()));
        }
        settings.add(
            new Setting(
                "Seat outside diameter, by the pointer",
                units.lengthText(form.seatDiameterMm().orElse(wanted.outsideDiameterMm()))));
        settings.add(new Setting("Plunge", plunge(form.plunge(), units)));
        depth(settings, "Seat's outside edge below the head face", depthMm, units);
      }
      case Operation.CutAngle cut -> {
        settings.add(new Setting("Angle", angle(cut.angleDeg()) + ", " + cut.tool().word()));
        settings.add(new Setting("Its outer edge at", units.lengthText(cut.edgeDiameterMm())));
        depth(settings, "Edge below the head face", depthMm, units);
      }
      case Operation.SweepChamber sweep -> {
        settings.add(new Setting("Angle", angle(sweep.angleDeg())));
        settings.add(new Setting("Out to", units.lengthText(sweep.reachDiameterMm())));
        depth(settings, "Its inner edge below the head face", depthMm, units);
      }
      case Operation.CutUnder under -> {
        settings.add(new Setting("Leans in", angle(under.leanDeg())));
        settings.add(new Setting("Height", units.lengthText(under.heightMm())));
        if (under.radiusMm() > 0) {
          settings.add(new Setting("Radius", units.lengthText(under.radiusMm())));
        }
      }
      case Operation.OpenBowl bowl -> {
        settings.add(
            new Setting(
                "Bowl diameter",
                units.lengthText(bowl.diameterMm().orElse(wanted.bowlDiameterMm()))));
        depth(settings, "Reached below the head face", depthMm, units);
      }
      case Operation.Blend blend -> {
        settings.add(new Setting("Keep off the sealing face", units.lengthText(blend.keepOffMm())));
        settings.add(new Setting("Radius", units.lengthText(blend.radiusMm())));
      }
      case Operation.FitRing(Ring ring) -> {
        settings.add(
            new Setting(
                "Counterbore",
                units.lengthText(ring.outsideDiameterMm() - ring.fitMm())
                    + " for a "
                    + units.lengthText(ring.outsideDiameterMm())
                    + " ring"));
        settings.add(new Setting("Floor below the head face", units.lengthText(ring.floorMm())));
        settings.add(new Setting("Ring bore", units.lengthText(ring.insideDiameterMm())));
        settings.add(new Setting("Press fit on the diameter", units.lengthText(ring.fitMm())));
        if (!ring.material().isBlank()) {
          settings.add(new Setting("Material", ring.material()));
        }
      }
    }
    return settings;
  }

  /** How far a plunge goes, in words. */
  public static String plunge(Plunge plunge, UnitSystem units) {
    return switch (plunge) {
      case Plunge.AsPlanned() -> "as planned";
      case Plunge.ToDepth(double mm) -> "depth stop at " + units.lengthText(mm);
      case Plunge.UntilClean(double extra, boolean all) ->
          "until "
              + (all ? "every cut is clean" : "the seat is clean")
              + (extra > 0 ? " and " + units.lengthText(extra) + " more" : "");
    };
  }

  private static String angle(double deg) {
    return Cut.angleText(deg) + "°";
  }

  private static void depth(
      List<Setting> settings, String name, OptionalDouble depthMm, UnitSystem units) {
    depthMm.ifPresent(mm -> settings.add(new Setting(name, units.lengthText(mm))));
  }
}
