package finebore.practice;

import finebore.cutting.Seating;
import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.job.Port;
import finebore.practice.Finding.Severity;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.section.Surface.Part;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is worth saying about a studied seat: faults of its geometry first, then what the practice
 * wants.
 */
public final class Findings {

  private static final String GEOMETRY = "geometry";
  private static final String COMMON = "common practice, no source";

  /** A width below which a shortfall of a cut is not worth a word, mm. */
  private static final double NEGLIGIBLE_MM = 0.05;

  /** A fall of flow below this is within what benches repeat to. */
  private static final double WORTH_SAYING = 0.01;

  private final SeatStudy study;
  private final Practice practice;
  private final Port port;
  private final UnitSystem units;
  private final Seat seat;
  private final Valve valve;
  private final Set<Integer> blended = new HashSet<>();
  private final List<Finding> found = new ArrayList<>();

  private Findings(SeatStudy study, Practice practice, Port port, UnitSystem units) {
    this.study = study;
    this.practice = practice;
    this.port = port;
    this.units = units;
    this.seat = study.pairing().seat();
    this.valve = study.pairing().valve();
  }

  /** All findings, the gravest first. */
  public static List<Finding> of(SeatStudy study, Practice practice, Port port, UnitSystem units) {
    return of(study, practice, port, units, Set.of());
  }

  /**
   * The same where some cuts came in whole and were then blended.
   *
   * @param blended places of those cuts in the seat
   */
  static List<Finding> of(
      SeatStudy study, Practice practice, Port port, UnitSystem units, Set<Integer> blended) {
    Findings findings = new Findings(study, practice, port, units);
    findings.blended.addAll(blended);
    findings.seating();
    findings.shoulder();
    findings.cutsThatComeShort();
    findings.backsUp();
    for (Reading reading : study.readings()) {
      practice
          .wanted(port, reading.kind())
          .filter(range -> !range.holds(reading.value()))
          .ifPresent(range -> findings.outOfRange(reading, range));
    }
    findings.missingBackCut();
    return findings.found.stream().sorted(Comparator.comparing(Finding::severity)).toList();
  }

  private void add(
      Severity severity, String where, String what, String why, String basis, Optional<Cure> cure) {
    Optional<Cure> possible = cure.filter(c -> works(c));
    found.add(new Finding(severity, where, what, why, basis, possible));
  }

  /** Whether a cure gives a seat and valve that can exist. */
  private boolean works(Cure cure) {
    try {
      cure.applyTo(study.pairing());
      return true;
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  private String mm(double lengthMm) {
    return units.lengthText(lengthMm);
  }

  private void seating() {
    switch (study.seating()) {
      case Seating.FallsThrough() ->
          add(
              Severity.FAULT,
              "valve",
              "The valve, "
                  + mm(valve.headDiameterMm())
                  + ", goes through the throat, "
                  + mm(seat.throatDiameterMm())
                  + ".",
              "It cannot seal.",
              GEOMETRY,
              practice
                  .wanted(port, ReadingKind.THROAT_RATIO)
                  .map(range -> new Cure.ValveDiameter(seat.throatDiameterMm() / range.middle())));
      case Seating.Seated seated -> contact(seated.contact());
    }
  }

  private void contact(Seating.Contact contact) {
    if (contact.intendedShare() < 0.5) {
      String on = contact.on().isEmpty() ? "an edge" : contact.on().getFirst().name();
      add(
          Severity.FAULT,
          "contact",
          "The valve touches on " + on + ", not on " + seat.sealingCut().spoken() + ".",
          "It will not seal, or not for long.",
          GEOMETRY,
          Optional.empty());
      return;
    }
    if (seat.outsideDiameterMm() > valve.headDiameterMm()) {
      add(
          Severity.FAULT,
          "seat",
          "The seat's outside, "
              + mm(seat.outsideDiameterMm())
              + ", is larger than the valve, "
              + mm(valve.headDiameterMm())
              + ".",
          "The valve's edge rides on the seat and pockets into it.",
          GEOMETRY,
          Optional.of(
              new Cure.SeatOutside(
                  valve.headDiameterMm()
                      - 0.3
                          * valve.faceWidthMm()
                          * Math.cos(Math.toRadians(valve.faceAngleDeg())))));
    } else if (contact.fromInnerEdgeMm() < -NEGLIGIBLE_MM) {
      add(
          Severity.FAULT,
          "contact",
          "The contact runs "
              + mm(-contact.fromInnerEdgeMm())
              + " past the inner edge of the valve face.",
          "The back cut's edge carries the valve and wears a groove.",
          GEOMETRY,
          centred(contact.centre(), 0.5));
    }
  }

  /** The seat outside diameter that brings the middle of the contact to a place on the face. */
  private Optional<Cure> centred(double centre, double wanted) {
    double shift =
        (centre - wanted) * valve.faceWidthMm() * Math.cos(Math.toRadians(valve.faceAngleDeg()));
    return Optional.of(new Cure.SeatOutside(seat.outsideDiameterMm() + 2 * shift));
  }

  private void shoulder() {
    var profile = study.seat().profile();
    for (int k = 0; k < profile.segmentCount(); k++) {
      boolean flat = Math.abs(profile.start(k).z() - profile.end(k).z()) < 0.3 * profile.length(k);
      boolean underCut = k > 0 && profile.surfaces().get(k - 1).part() == Part.CUT;
      if (profile.surfaces().get(k).part() == Part.SHOULDER
          && flat
          && underCut
          && profile.length(k) > NEGLIGIBLE_MM) {
        double end = 2 * profile.start(k).r();
        add(
            Severity.CAUTION,
            "throat",
            "A square step of "
                + mm(profile.length(k))
                + " stands under "
                + profile.surfaces().get(k - 1).name()
                + ": the throat is "
                + mm(seat.throatDiameterMm())
                + ", the cut ends at "
                + mm(end)
                + ".",
            port == Port.INTAKE
                ? "Air leaves the sharp edge, and the port acts smaller than it is."
                : "The step stands in the stream out of the seat.",
            COMMON,
            Optional.of(new Cure.Throat(end)));
      }
    }
  }

  private void cutsThatComeShort() {
    List<String> short_ = new ArrayList<>();
    for (ShownCut shown : study.seat().shown()) {
      if (blended.contains(shown.index())) {
        continue;
      }
      if (shown.index() > seat.sealing() && shown.isShort()) {
        short_.add(
            shown.neverTouches()
                ? shown.cut().spoken() + " never shows"
                : shown.cut().spoken()
                    + " has "
                    + mm(shown.shownMm())
                    + " left of "
                    + mm(shown.cut().widthMm()));
      } else if (shown.index() < seat.sealing() && shown.isShort()) {
        add(
            Severity.NOTE,
            shown.cut().spoken(),
            "Above the seat, "
                + shown.cut().spoken()
                + (shown.neverTouches()
                    ? " never touches."
                    : " runs out after " + mm(shown.shownMm()) + "."),
            "There is no more metal over the seat.",
            GEOMETRY,
            Optional.empty());
      }
    }
    if (short_.isEmpty()) {
      return;
    }
    double ratio = seat.throatDiameterMm() / valve.headDiameterMm();
    boolean large =
        practice
            .wanted(port, ReadingKind.THROAT_RATIO)
            .map(r -> ratio > r.max() + 1e-9)
            .orElse(false);
    add(
        Severity.CAUTION,
        "throat",
        "The throat is "
            + UnitSystem.fixed(100 * ratio, 1)
            + " % of the valve: "
            + String.join(" and ", short_)
            + ".",
        "The air must turn at once: low and mid-lift flow suffer.",
        COMMON,
        large ? valveForThroat() : roomForCuts());
  }

  private Optional<Cure> valveForThroat() {
    return practice
        .wanted(port, ReadingKind.THROAT_RATIO)
        .map(range -> new Cure.ValveDiameter(roundUp(seat.throatDiameterMm() / range.max(), 0.1)));
  }

  private static double roundUp(double value, double step) {
    return Math.ceil(value / step - 1e-9) * step;
  }

  /** The last cut trimmed to what there is room for. */
  private Optional<Cure> roomForCuts() {
    return study.seat().shown().stream()
        .filter(s -> s.index() > seat.sealing() && s.shownMm() > 0 && s.isShort())
        .findFirst()
        .map(s -> new Cure.ChangeCut(s.index(), s.cut(), s.cut().withWidth(s.shownMm())));
  }

  private void backsUp() {
    if (study.curve().isEmpty()) {
      return;
    }
    FlowCurve curve = study.curve().get();
    for (int k = 1; k < curve.points().size(); k++) {
      LiftPoint before = curve.points().get(k - 1);
      LiftPoint at = curve.points().get(k);
      if (at.flowM3s() < before.flowM3s() * (1 - WORTH_SAYING)) {
        add(
            Severity.NOTE,
            "flow",
            "Flow backs up from " + mm(before.liftMm()) + " lift.",
            "More lift than that gives nothing.",
            GEOMETRY,
            Optional.empty());
        return;
      }
    }
  }

  private void missingBackCut() {
    Optional<Range> angle = practice.wanted(port, ReadingKind.BACK_CUT);
    if (angle.isPresent() && valve.backCuts().isEmpty()) {
      double face =
          practice
              .wanted(port, ReadingKind.FACE_WIDTH)
              .map(Range::middle)
              .orElse(valve.faceWidthMm());
      add(
          Severity.NOTE,
          "valve",
          "The valve has no back cut.",
          "One at "
              + Cut.angleText(angle.get().middle())
              + "° usually gives a little flow through the whole curve, most at low lift.",
          angle.get().basis(),
          Cure.BackCut.leaving(
              valve, Math.min(face, 0.9 * valve.faceWidthMm()), angle.get().middle()));
    }
  }

  private void outOfRange(Reading reading, Range range) {
    boolean above = reading.value() > range.max();
    String limit = reading.kind().quantity().text(above ? range.max() : range.min(), units);
    String what =
        reading.kind().inWords()
            + " is "
            + reading.text(units)
            + "; "
            + practice.name().toLowerCase(java.util.Locale.ROOT)
            + " wants "
            + (above ? "at most " : "at least ")
            + limit
            + ".";
    Severity severity =
        reading.kind() == ReadingKind.RETAINER && reading.value() <= 0
            ? Severity.FAULT
            : Severity.CAUTION;
    add(
        severity,
        reading.kind().label(),
        what,
        why(reading.kind(), above),
        range.basis(),
        cure(reading, range, above));
  }

  private String why(ReadingKind kind, boolean above) {
    return switch (kind) {
      case THROAT_RATIO, THROAT_AREA_RATIO ->
          above
              ? "No room is left for the lower cuts; peak flow may rise while low and mid lift fall. Metal cannot be put back."
              : "The throat holds the valve back at high lift; a bigger valve over it gains little.";
      case SEAT_WIDTH ->
          above
              ? "Wide seats last but hold the air up at low lift."
              : "Narrow seats flow better but carry less heat and wear sooner.";
      case CONTACT_WIDTH ->
          above
              ? "A wide ring presses less and traps deposits."
              : "A narrow ring hammers in and sheds less heat.";
      case CONTACT_CENTRE ->
          above
              ? "The contact sits low on the face, toward the stem."
              : "The contact sits close to the margin.";
      case FACE_WIDTH ->
          above
              ? "A wide face hangs into the stream below the seat."
              : "Too little face is left to carry the contact.";
      case MARGIN ->
          above
              ? "A thick margin is weight without use."
              : "A thin margin gets hot, glows and cups; the valve needs replacing.";
      case INTERFERENCE -> "The valve seats on a line at one edge.";
      case OVERHANG ->
          above
              ? "The valve's rim shrouds its own seat."
              : "The seat reaches out to the valve's edge.";
      case VALVE_HEIGHT, SINK ->
          "A sunken valve makes the chamber larger, the stem stand taller and the short side shorter.";
      case RETAINER -> "The retainer can strike the stem seal. Measure on the real engine.";
      case LAST_CUT ->
          above
              ? "A steeper last cut only eats the wall."
              : "The last cut leaves a large turn into the throat.";
      case ANGLE_STEP ->
          above ? "The air leaves a corner that sharp." : "Cuts this close hardly differ.";
      case BACK_CUT -> "The back cut does not lead the air from the underhead to the face.";
      case BOWL_RATIO ->
          above
              ? "A bowl much wider than the throat loses speed before the seat."
              : "The bowl is the narrowest place.";
      case CURTAIN_LIFT -> "Beyond that lift the throat alone limits the flow.";
      case CLEAN_UP, PAST_CLEAN ->
          above
              ? "More metal goes than the seat needs, and it cannot be put back."
              : "Old seat shows through on one side: it leaks.";
      case SPACER, SPRING_HEIGHT -> "Spring height and valve gear must be brought back.";
      case RING_WALL, RING_FLOOR ->
          above
              ? "More ring than needed takes up the neighbour's room."
              : "A ring cut this thin works loose and can drop into the cylinder.";
      case WATER -> "A thin wall cracks, and past it there is water.";
      case BRIDGE ->
          "Fit one ring, then bore for the next; where they would meet, keep the exhaust ring whole.";
      case FIRE_RING -> "Past the gasket's fire ring line the gasket burns out.";
      case REMOVED, CHAMBER, COMPRESSION ->
          "Measure the chamber with a burette before the engine goes together.";
      case NEIGHBOUR, BORE_WALL ->
          "What stands close to the valve shrouds it, and may touch it when hot.";
    };
  }

  private Optional<Cure> cure(Reading reading, Range range, boolean above) {
    double nearest = above ? range.max() : range.min();
    return switch (reading.kind()) {
      case THROAT_RATIO ->
          above
              ? valveForThroat()
              : Optional.of(new Cure.Throat(range.min() * valve.headDiameterMm()));
      case SEAT_WIDTH -> {
        Cut wanted = seat.sealingCut().withWidth(range.middle());
        yield Optional.of(new Cure.ChangeCut(seat.sealing(), seat.sealingCut(), wanted));
      }
      case CONTACT_CENTRE -> centred(reading.value(), range.middle());
      case FACE_WIDTH ->
          above
              ? practice
                  .wanted(port, ReadingKind.BACK_CUT)
                  .flatMap(angle -> Cure.BackCut.leaving(valve, range.middle(), angle.middle()))
              : Optional.empty();
      case LAST_CUT ->
          lastShowing()
              .map(s -> new Cure.ChangeCut(s.index(), s.cut(), s.cut().withAngle(nearest)));
      case ANGLE_STEP -> above ? cutBetween() : Optional.empty();
      case BACK_CUT -> Cure.BackCut.leaving(valve, valve.faceWidthMm(), range.middle());
      case OVERHANG ->
          Optional.of(new Cure.SeatOutside(valve.headDiameterMm() - 2 * range.middle()));
      default -> Optional.empty();
    };
  }

  private Optional<ShownCut> lastShowing() {
    return study.seat().shown().stream().filter(s -> s.shownMm() > 0).reduce((a, b) -> b);
  }

  /**
   * A cut half way across the largest step, as wide as half its lower neighbour, which gives up as
   * much.
   */
  private Optional<Cure> cutBetween() {
    List<ShownCut> showing = study.seat().shown().stream().filter(s -> s.shownMm() > 0).toList();
    int at = 1;
    for (int k = 2; k < showing.size(); k++) {
      if (step(showing, k) > step(showing, at)) {
        at = k;
      }
    }
    Cut a = showing.get(at - 1).cut();
    Cut b = showing.get(at).cut();
    return Optional.of(
        new Cure.AddCut(
            showing.get(at).index(),
            new Cut(
                Math.round((a.angleDeg() + b.angleDeg()) / 2), Math.max(0.5, b.widthMm() / 2))));
  }

  private static double step(List<ShownCut> showing, int k) {
    return Math.abs(showing.get(k).cut().angleDeg() - showing.get(k - 1).cut().angleDeg());
  }
}
