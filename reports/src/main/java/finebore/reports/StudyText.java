package finebore.reports;

import finebore.cutting.LeftoverEdge;
import finebore.cutting.Seating;
import finebore.flow.Bands.Band;
import finebore.flow.FlowChange;
import finebore.flow.LiftPoint;
import finebore.flow.Spread;
import finebore.flow.field.AirChange;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.practice.Range;
import finebore.reports.StudyFacts.OfSeat;
import finebore.seat.ShownElement;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.words.LossWords;
import finebore.words.MachWords;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** A study for reading, in the job's units: what differs between seats stands per seat. */
public final class StudyText {

  private final StudyFacts facts;
  private final Words words;
  private final UnitSystem units;
  private final StringBuilder out = new StringBuilder();

  private StudyText(StudyFacts facts, Words words) {
    this.facts = facts;
    this.words = words;
    this.units = words.units();
  }

  public static String of(StudyFacts facts, Words words) {
    return new StudyText(facts, words).text();
  }

  private String text() {
    heading();
    operations();
    leftovers();
    readings();
    contact();
    cuts();
    flow();
    demand();
    findings();
    return out.toString();
  }

  private void line(String text) {
    out.append(text.stripTrailing()).append('\n');
  }

  private void line(String format, Object... values) {
    line(String.format(Locale.ROOT, format, values));
  }

  private void title(String key) {
    line("");
    line(words.text(key));
  }

  /** A text of each seat: once where all have the same, otherwise behind their labels. */
  private String each(Function<OfSeat, String> text) {
    List<String> all = facts.seats().stream().map(text).toList();
    if (all.stream().distinct().count() == 1) {
      return all.getFirst();
    }
    List<String> labelled = new ArrayList<>();
    for (int k = 0; k < all.size(); k++) {
      labelled.add(facts.seats().get(k).place().label() + " " + all.get(k));
    }
    return String.join("   ", labelled);
  }

  private void heading() {
    line(
        "%s, %s, %s",
        facts.job().name(),
        words.text(
            "report.seats",
            "port",
            facts.port(),
            "seats",
            String.join(" ", facts.seats().stream().map(s -> s.place().label()).toList())),
        words.text("report.state." + facts.state().name().toLowerCase(Locale.ROOT)));
    line(
        words.text(
            "report.terms",
            "practice",
            words.term(facts.practice().term()),
            "depression",
            units.pressureText(facts.job().test().depressionPa()),
            "calibrated",
            Spoken.calibrated(facts.confidence(), words)));
  }

  private void operations() {
    if (facts.seats().getFirst().plan().isEmpty()) {
      return;
    }
    title("report.operations");
    for (GroupOutcome group : groups()) {
      for (CutSheet.Step step : CutSheet.of(group).steps()) {
        if (step.subject().isEmpty()) {
          continue;
        }
        line("%3d  %s", step.number(), words.say(step.title()));
        for (CutSheet.Line one : step.lines()) {
          List<String> values =
              one.perSeat().stream().map(t -> t.map(words::term).orElse("-")).toList();
          String value = one.isSame() ? values.getFirst() : labelled(group, values);
          line("       %-42s %s", words.say(one.name()), value);
        }
      }
    }
  }

  private static String labelled(GroupOutcome group, List<String> values) {
    List<String> labelled = new ArrayList<>();
    for (int k = 0; k < values.size(); k++) {
      labelled.add(group.seats().get(k).place().label() + " " + values.get(k));
    }
    return String.join("   ", labelled);
  }

  /** The seats of the study, those of one plan together. */
  private List<GroupOutcome> groups() {
    Map<Object, List<PlanStudy>> groups = new LinkedHashMap<>();
    for (OfSeat seat : facts.seats()) {
      Object plan = facts.job().isException(seat.place()) ? seat.place() : seat.place().port();
      groups.computeIfAbsent(plan, k -> new ArrayList<>()).add(seat.plan().orElseThrow());
    }
    return groups.values().stream()
        .map(studies -> new GroupOutcome(studies.stream().map(PlanStudy::outcome).toList()))
        .toList();
  }

  /** Old metal and tool marks that stand beside the cuts. */
  private void leftovers() {
    if (facts.seats().getFirst().plan().isEmpty()) {
      return;
    }
    title("report.leftovers");
    for (OfSeat seat : facts.seats()) {
      List<LeftoverEdge> edges = seat.plan().orElseThrow().cut().leftovers();
      if (edges.isEmpty()) {
        line("  %s: %s", seat.place().label(), words.text("report.leftovers.none"));
      }
      for (LeftoverEdge edge : edges) {
        line(
            "  %s: %s",
            seat.place().label(),
            words.text(
                edge.inChamber() ? "report.leftover.chamber" : "report.leftover.throat",
                "height",
                units.lengthText(edge.heightMm()),
                "at",
                units.lengthText(2 * edge.at().r()),
                "turn",
                units.text(Dimension.ANGLE, Math.round(edge.turnDeg())),
                "surface",
                words.say(edge.surface().message())));
      }
    }
  }

  private void readings() {
    title("report.readings");
    for (ReadingKind kind : ReadingKind.values()) {
      if (facts.seats().stream().noneMatch(s -> s.study().reading(kind).isPresent())) {
        continue;
      }
      Optional<Range> range = facts.practice().wanted(facts.port(), kind);
      String value = each(s -> value(kind, s.study().reading(kind)));
      String wanted =
          range
              .map(
                  r ->
                      (inside(kind, r) ? words.text("report.ok") : words.text("report.out"))
                          + "  "
                          + words.say(r.message(kind))
                          + " ("
                          + words.text(r.basis().code(), "source", r.basis().source())
                          + ")")
              .orElse("");
      line("  %-24s %14s   %s", words.label(kind), value, wanted);
    }
  }

  private boolean inside(ReadingKind kind, Range range) {
    return facts.seats().stream()
        .map(s -> s.study().reading(kind))
        .allMatch(v -> v.isEmpty() || range.holds(v.getAsDouble()));
  }

  private String value(ReadingKind kind, OptionalDouble value) {
    return value.isEmpty() ? "-" : Spoken.reading(new Reading(kind, value.getAsDouble()), words);
  }

  private void contact() {
    title("report.contact");
    line("  " + each(this::contact));
    line("  " + each(this::onFace));
  }

  private String contact(OfSeat seat) {
    return switch (seat.study().seating()) {
      case Seating.FallsThrough() -> words.text("report.fallsThrough");
      case Seating.Seated(double rest, Seating.Contact contact) ->
          words.text(
              "report.ring",
              "rest",
              words.term(CutSheet.height(rest)),
              "inside",
              units.lengthText(contact.insideDiameterMm()),
              "outside",
              units.lengthText(contact.outsideDiameterMm()),
              "width",
              units.lengthText(contact.widthMm()),
              "on",
              contact.on().isEmpty()
                  ? words.text("surface.edge")
                  : words.say(contact.on().getFirst().message()));
    };
  }

  private String onFace(OfSeat seat) {
    return seat.study()
        .seated()
        .map(Seating.Seated::contact)
        .map(
            contact ->
                words.text(
                    "report.onFace",
                    "margin",
                    units.lengthText(contact.fromMarginMm()),
                    "inner",
                    units.lengthText(contact.fromInnerEdgeMm()),
                    "centre",
                    units.text(Dimension.SHARE, contact.centre())))
        .orElse("");
  }

  private void cuts() {
    title("report.cuts");
    int most = facts.seats().stream().mapToInt(s -> elements(s).size()).max().orElse(0);
    for (int k = 0; k < most; k++) {
      int cut = k;
      line("  " + each(s -> shown(s, cut)));
    }
  }

  private static List<ShownElement> elements(OfSeat seat) {
    return seat.study().seat().shownElements();
  }

  private String shown(OfSeat seat, int at) {
    if (at >= elements(seat).size()) {
      return "-";
    }
    ShownElement shown = elements(seat).get(at);
    return words.text(
        shown.neverTouches()
            ? "report.cut.never"
            : shown.index() == seat.study().seat().seat().stack().sealingElement()
                ? "report.cut.seals"
                : "report.cut",
        "angle",
        words.term(shown.element().term()),
        "asked",
        units.lengthText(shown.askedMm()),
        "shown",
        units.lengthText(shown.shownMm()));
  }

  private void flow() {
    for (OfSeat seat : facts.seats()) {
      if (seat.study().curve().isEmpty()) {
        continue;
      }
      line("");
      line(words.text("report.flow", "seat", seat.place().label()));
      curve(seat);
      seat.change()
          .ifPresent(
              c ->
                  bands(
                      c,
                      facts.confidence().spread(seat.plan().orElseThrow().found(), seat.study())));
      if (facts.seats().size() == 1) {
        losses(seat);
      }
    }
  }

  private void curve(OfSeat seat) {
    line(
        "  %8s %5s %9s %9s %7s %9s%s  %s",
        words.text("report.lift") + " " + units.length().symbol(),
        "L/D",
        words.text("report.gate") + " mm2",
        words.text("report.effective") + " mm2",
        "Cd",
        units.flow().symbol(),
        seat.change().isPresent()
            ? String.format(
                Locale.ROOT,
                "%9s %7s  %-9s",
                words.text("report.change"),
                "%",
                words.text("report.by"))
            : "",
        words.text("report.gate"));
    double head = seat.study().pairing().valve().headDiameterMm();
    List<LiftPoint> points = seat.study().curve().orElseThrow().points();
    for (int k = 0; k < points.size(); k++) {
      LiftPoint p = points.get(k);
      int at = k;
      boolean known = seat.isKnown(k);
      line(
          "  %8s %5.3f %9.1f %9s %7s %9s%s  %s",
          units.shortLength(p.liftMm()),
          p.liftMm() / head,
          p.gate().areaMm2(),
          known ? UnitSystem.fixed(seat.areaMm2(at), 1) : "-",
          known ? UnitSystem.fixed(seat.areaMm2(at) / p.curtainMm2(), 3) : "-",
          known ? units.flowNumber(seat.flowM3s(at)) : "-",
          seat.change()
              .map(
                  c ->
                      String.format(
                          Locale.ROOT,
                          "%9s %7s  %-9s",
                          known
                              ? UnitSystem.signed(
                                  units.flow().fromBase(c.steps().get(at).changeM3s()), 1)
                              : "-",
                          known ? UnitSystem.signed(100 * c.steps().get(at).share(), 1) : "-",
                          known
                              ? by(seat.solved().at(p.liftMm()))
                              : words.text("report.by.unlike")))
              .orElse(""),
          words.say(p.gate().message()));
    }
    if (seat.solved().byLiftMm().values().stream().anyMatch(AirChange::waves)) {
      line("  %s", words.text("report.waves"));
    }
    walls(seat);
  }

  /** What of the changes comes of the walls, where it is worth a line. */
  private void walls(OfSeat seat) {
    if (seat.plan().isEmpty() || seat.change().isEmpty()) {
      return;
    }
    List<String> parts = new ArrayList<>();
    for (FlowChange.Step step : seat.change().get().steps()) {
      AirChange.WallPart part = seat.wallPart(step.liftMm());
      if (Math.abs(part.share()) >= LEAST_WALL_PART) {
        parts.add(
            words.text(
                "report.wallPart",
                "lift",
                units.shortLength(step.liftMm()),
                "share",
                UnitSystem.signed(100 * part.share(), 1),
                "off",
                UnitSystem.fixed(100 * part.off(), 1)));
      }
    }
    if (!parts.isEmpty()) {
      line("  %s", words.text("report.walls", "parts", String.join("; ", parts)));
    }
  }

  /** A smaller part of a change is not spoken of. */
  private static final double LEAST_WALL_PART = 0.005;

  private String by(Optional<AirChange> solved) {
    String said =
        words.text(
            solved
                .map(c -> c.isClear() ? "report.by.solved" : "report.by.unclear")
                .orElse("report.by.estimate"));
    return solved.filter(AirChange::waves).isPresent() ? said + " ~" : said;
  }

  private void losses(OfSeat seat) {
    title("report.losses");
    if (seat.study().calibration().isHeldAtNone()) {
      line("  %s", LossWords.of(List.of(), seat.study().calibration(), words));
      return;
    }
    for (LiftPoint p : seat.study().curve().orElseThrow().points()) {
      line(
          "  %8s  %s",
          units.shortLength(p.liftMm()),
          LossWords.of(
              seat.study().lossesAt(p.liftMm()).parts(), seat.study().calibration(), words));
    }
  }

  private void bands(FlowChange change, Spread spread) {
    line(
        words.text(
            "report.uncertainty",
            "low",
            UnitSystem.fixed(100 * spread.low(), 1),
            "mid",
            UnitSystem.fixed(100 * spread.mid(), 1),
            "high",
            UnitSystem.fixed(100 * spread.high(), 1)));
    for (Band band : Band.values()) {
      if (change.bands().containsKey(band)) {
        FlowChange.Mean mean = change.bands().get(band);
        line(
            "  %-14s %8s %s  %7s %%  %s",
            words.text("report.band", "band", band),
            UnitSystem.signed(units.flow().fromBase(mean.changeM3s()), 1),
            units.flow().symbol(),
            UnitSystem.signed(100 * mean.share(), 1),
            words.text("report.overLifts", "count", mean.lifts()));
      }
    }
    if (!change.hasCamMean()) {
      return;
    }
    line(
        "  %-14s %8s %s  %7s %%",
        words.text("report.overCam"),
        UnitSystem.signed(units.flow().fromBase(change.camMeanM3s()), 1),
        units.flow().symbol(),
        UnitSystem.signed(100 * change.camMeanShare(), 1));
  }

  private void demand() {
    if (facts.port() != Port.INTAKE) {
      return;
    }
    title("report.demand");
    line("  " + each(this::machIndex));
    facts
        .job()
        .engine()
        .targetHp()
        .ifPresent(
            hp ->
                line(
                    "  "
                        + words.text(
                            "report.power",
                            "power",
                            UnitSystem.fixed(hp, 0),
                            "flow",
                            units.flowText(
                                AirDemand.flowForPower(hp, facts.job().engine().cylinders())))));
  }

  private String machIndex(OfSeat seat) {
    return seat.study()
        .curve()
        .map(
            curve ->
                MachWords.phrase(
                    words,
                    facts.job().engine(),
                    AirDemand.machIndex(
                        facts.job().engine(),
                        facts.job().intake().cam(),
                        seat.study().pairing().valve().headDiameterMm(),
                        curve),
                    seat.study().calibration()))
        .orElse("-");
  }

  private void findings() {
    title("report.findings");
    boolean none = facts.seats().stream().allMatch(s -> s.findings().isEmpty());
    if (none) {
      line("  " + words.text("word.none"));
    }
    Map<String, List<String>> seats = new LinkedHashMap<>();
    Map<String, Finding> first = new LinkedHashMap<>();
    for (OfSeat seat : facts.seats()) {
      for (Finding finding : seat.findings()) {
        String key = finding.severity() + words.say(finding.what());
        seats.computeIfAbsent(key, k -> new ArrayList<>()).add(seat.place().label());
        first.putIfAbsent(key, finding);
      }
    }
    first.entrySet().stream()
        .sorted(Map.Entry.comparingByValue(java.util.Comparator.comparing(Finding::severity)))
        .forEach(e -> finding(String.join(" ", seats.get(e.getKey())), e.getValue()));
  }

  private void finding(String labels, Finding finding) {
    line(
        "  %s, %s: %s %s (%s)",
        words.name(finding.severity()),
        labels,
        words.say(finding.what()),
        words.say(finding.why()),
        words.text(finding.basis().code(), "source", finding.basis().source()));
    finding
        .overruled()
        .ifPresent(o -> line("      " + words.text("finding.overruled", "reason", o.reason())));
    finding
        .cure()
        .ifPresent(
            cure -> line("      " + words.text("report.cure", "cure", words.say(cure.message()))));
  }
}
