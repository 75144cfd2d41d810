package finebore.desk.plan;

import finebore.code.Message;
import finebore.code.Term;
import finebore.desk.session.JobSession;
import finebore.desk.session.Latest;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.job.Job;
import finebore.job.Port;
import finebore.machine.Quote;
import finebore.machine.RunSheet;
import finebore.planning.PlanStudy;
import finebore.practice.Cure;
import finebore.sizes.FlowWanted;
import finebore.sizes.NextSize;
import finebore.sizes.ShelfFit;
import finebore.sizes.ShelfFit.RingNeed;
import finebore.sizes.ShelfValve;
import finebore.sizes.SizeLimit;
import finebore.sizes.SizeRoom.Largest;
import finebore.sizes.SizeStudy;
import finebore.sizes.SizeStudy.OnShelf;
import finebore.units.Dimension;
import finebore.words.LossWords;
import finebore.words.MachWords;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Which valves fit, what they would give, and what the shelf has. */
final class SizesPane extends HBox {

  /** Heights closer than this are the same to a machinist, mm. */
  private static final double SAME_MM = 0.01;

  private final JobSession session;
  private final SizesChart chart;
  private final VBox rows = new VBox(2);
  private final Latest latest = new Latest("sizes");
  private Optional<SeatView> known = Optional.empty();

  SizesPane(JobSession session, Supplier<Palette> palette, Supplier<Double> textScale) {
    super(8);
    this.session = session;
    setId("sizes");
    chart = new SizesChart(session.say("sizes.name"), palette, textScale, this::tryOut);
    HBox.setHgrow(chart, Priority.ALWAYS);
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.prefWidthProperty().bind(widthProperty().multiply(0.5));
    scroll.setMinWidth(250);
    rows.setStyle("-fx-padding: 2 10 6 4;");
    getChildren().addAll(chart, scroll);
    session.work().addListener((o, was, is) -> refresh());
    visibleProperty().addListener((o, was, is) -> refresh());
  }

  private void refresh() {
    SeatView work = session.work().get();
    if (!isVisible() || known.filter(k -> k == work).isPresent()) {
      return;
    }
    boolean other = known.filter(k -> k.place().equals(work.place())).isEmpty();
    known = Optional.of(work);
    if (other) {
      // Never one seat's figures under another's name, not for a moment.
      rows.getChildren().clear();
      chart.setVisible(false);
    }
    PlanStudy plan = work.plan();
    List<ShelfValve> shelf = session.shelf();
    latest.ask(() -> SizeStudy.of(plan, work.practice(), shelf), sizes -> show(work, sizes));
  }

  /** Whether what is shown is what was asked for last. */
  boolean isWorkedOut() {
    return !latest.isBusy();
  }

  private void show(SeatView work, SizeStudy sizes) {
    chart.show(work, sizes);
    chart.setVisible(true);
    rows.getChildren().clear();
    String wanted = wanted(work, sizes);
    if (!wanted.isEmpty()) {
      say("sizes-wanted", wanted);
    }
    say("sizes-largest", largest(work, sizes));
    say("sizes-next", next(work, sizes));
    Label heading = say("", session.say("sizes.shelf", "port", work.port()));
    heading.getStyleClass().add("heading");
    String refacing = refacing(work);
    sizes.shelf().stream()
        .sorted((a, b) -> Boolean.compare(b.fit().fits(), a.fit().fits()))
        .forEach(valve -> rows.getChildren().add(row(work, valve, refacing)));
  }

  void restyle() {
    chart.requestLayout();
  }

  private Label say(String id, String words) {
    Label label = new Label(words);
    label.setId(id);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    rows.getChildren().add(label);
    return label;
  }

  private static String length(Words words, double mm) {
    return words.figure(Dimension.LENGTH, mm);
  }

  private static String signed(Words words, double mm) {
    return (mm < 0 ? "\u2212" : "+") + words.figure(Dimension.LENGTH, Math.abs(mm));
  }

  private static String wanted(SeatView work, SizeStudy sizes) {
    Words words = work.words();
    List<String> parts = new ArrayList<>();
    if (sizes.wanted().isPresent()) {
      FlowWanted wanted = sizes.wanted().get();
      parts.add(
          words.text(
              "sizes.wanted",
              "power",
              UnitSystem.fixed(work.job().engine().targetHp().orElseThrow(), 0),
              "wanted",
              words.units().flowText(wanted.wantedM3s()),
              "have",
              words.units().flowText(wanted.haveM3s()),
              "lift",
              words.units().lengthText(work.group().cam().maxLiftMm()),
              "mean",
              words.units().flowText(wanted.camMeanWantedM3s()),
              "meanHave",
              words.units().flowText(wanted.camMeanHaveM3s())));
      String level = MachWords.level(words, work.calibration());
      if (!level.isEmpty() && sizes.machIndex().isEmpty()) {
        parts.add(level);
      }
      parts.add(
          words.text(
              "sizes.wantedAt",
              "lifts",
              wanted.points().stream()
                  .map(
                      p ->
                          words.units().lengthNumber(p.liftMm())
                              + ": "
                              + words.units().flowNumber(p.wantedM3s()))
                  .collect(Collectors.joining("; ")),
              "unit",
              words.units().flow().symbol()));
    }
    sizes
        .machIndex()
        .ifPresent(
            mach ->
                parts.add(
                    MachWords.sentence(words, work.job().engine(), mach, work.calibration())));
    if (work.port() == Port.INTAKE && work.job().engine().targetHp().isEmpty()) {
      parts.add(words.text("sizes.noPower"));
    }
    return String.join(" ", parts);
  }

  private static String largest(SeatView work, SizeStudy sizes) {
    Words words = work.words();
    List<String> parts = new ArrayList<>();
    sizes
        .largestIntake()
        .ifPresent(l -> parts.add(largest(words, "sizes.largestIntake", l.intakeMm(), l)));
    sizes
        .largestExhaust()
        .ifPresent(l -> parts.add(largest(words, "sizes.largestExhaust", l.exhaustMm(), l)));
    sizes
        .largestPair()
        .ifPresent(
            l ->
                parts.add(
                    words.text(
                        "sizes.largestPair",
                        "intake",
                        length(words, l.intakeMm()),
                        "exhaust",
                        length(words, l.exhaustMm()),
                        "limit",
                        words.say(l.by().message()))));
    if (!sizes.room().unmeasured().isEmpty()) {
      parts.addFirst(
          words.text(
              "sizes.unmeasured",
              "what",
              sizes.room().unmeasured().stream()
                  .map(u -> words.say(u.message()))
                  .collect(Collectors.joining("; "))));
    }
    if (parts.isEmpty()) {
      parts.add(words.text("sizes.noRoom"));
    }
    sizes
        .tighter()
        .ifPresent(
            t ->
                parts.add(
                    words.text(
                        "sizes.tighter",
                        "cylinder",
                        t.cylinder(),
                        "intake",
                        length(
                            words,
                            t.largest(
                                    sizes.intakeMm(),
                                    sizes.exhaustMm(),
                                    sizes.intakeMm(),
                                    sizes.exhaustMm())
                                .orElseThrow()
                                .intakeMm()))));
    parts.add(
        words.text("sizes.areas", "share", UnitSystem.fixed(100 * sizes.areaRatio(work.job()), 0)));
    return String.join(" ", parts);
  }

  private static String largest(Words words, String key, double mm, Largest largest) {
    return words.text(key, "head", length(words, mm), "limit", words.say(largest.by().message()));
  }

  private static String next(SeatView work, SizeStudy sizes) {
    Words words = work.words();
    if (sizes.next().isEmpty()) {
      return words.text("plan.noFlow");
    }
    NextSize next = sizes.next().get();
    List<String> parts = new ArrayList<>();
    parts.add(
        words.text(
            "sizes.next",
            "head",
            length(words, next.headMm()),
            "change",
            ChangeWords.of(next.sameThroat(), words)));
    parts.add(
        words.text(
            "sizes.nextThroat",
            "throat",
            length(words, next.throatMm()),
            "change",
            ChangeWords.of(next.thatThroat(), words)));
    if (next.givesNothing()) {
      parts.add(words.text("sizes.nothing"));
    }
    if (!next.holdsBack().isEmpty()) {
      parts.add(
          words.text(
              "sizes.holdsBack",
              "parts",
              LossWords.of(next.holdsBack(), work.calibration(), words)));
    }
    return String.join(" ", parts);
  }

  /** What it costs to make one old valve of the kind good. */
  private static String refacing(SeatView work) {
    Job job = work.job();
    return Quote.of(job, RunSheet.of(job)).valves().stream()
        .filter(v -> v.port() == work.port())
        .findFirst()
        .map(v -> UnitSystem.fixed(v.madeGood(), 2))
        .orElse("\u2013");
  }

  private HBox row(SeatView work, OnShelf valve, String refacing) {
    Words words = work.words();
    ShelfFit fit = valve.fit();
    Label name = new Label(fit.valve().name());
    name.getStyleClass().add("title");
    Label state = new Label(state(words, fit));
    state.getStyleClass().addAll("small", style(fit));
    Label needs = new Label(needs(words, fit));
    Label gives =
        new Label(
            words.text(
                "sizes.gives",
                "change",
                ChangeWords.of(valve.gives().flatMap(NextSize::sameThroat), words),
                "price",
                UnitSystem.fixed(fit.price(), 2),
                "refacing",
                refacing));
    for (Label label : List.of(needs, gives)) {
      label.setWrapText(true);
      label.setMinHeight(Region.USE_PREF_SIZE);
      label.getStyleClass().add("small");
    }
    HBox head = new HBox(8, name, state);
    head.setAlignment(Pos.BASELINE_LEFT);
    VBox text = new VBox(head, needs, gives);
    HBox.setHgrow(text, Priority.ALWAYS);
    Button tryIt = new Button(words.text("suggest.try"));
    tryIt.setId("try-" + id(fit));
    tryIt.setTooltip(new Tooltip(words.text("suggest.try.tip")));
    tryIt.setMinWidth(Region.USE_PREF_SIZE);
    tryIt.setDisable(plan(valve).isEmpty());
    tryIt.setOnAction(e -> tryOut(valve));
    HBox row = new HBox(8, text, tryIt);
    row.setId("shelf-" + id(fit));
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("finding-row");
    return row;
  }

  private static String style(ShelfFit fit) {
    if (!fit.fits()) {
      return "fault";
    }
    return fit.isMeasured() ? "good" : "muted";
  }

  /** Whether it fits, or what is in its way. */
  private static String state(Words words, ShelfFit fit) {
    Optional<SizeLimit> worst =
        fit.broken().stream().filter(l -> fit.fits() || !l.kind().yields()).findFirst();
    return worst
        .map(
            l ->
                words.text(
                    fit.fits() ? "sizes.fitsIf" : "sizes.doesNotFit",
                    "limit",
                    words.say(l.message())))
        .orElseGet(() -> words.text(fit.isMeasured() ? "sizes.fits" : "sizes.notMeasured"));
  }

  private static String id(ShelfFit fit) {
    return fit.valve().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  private static String needs(Words words, ShelfFit fit) {
    List<String> parts = new ArrayList<>();
    if (Math.abs(fit.stemMm()) > ShelfFit.STEM_SAME_MM) {
      parts.add(
          words.text(
              "sizes.needs.guide",
              "stem",
              length(words, fit.valve().valve().stemDiameterMm()),
              "change",
              signed(words, fit.stemMm())));
    }
    if (fit.openMm() > 0.005) {
      parts.add(words.text("sizes.needs.throat", "throat", length(words, fit.throatMm())));
    }
    if (fit.ring() != RingNeed.NONE) {
      parts.add(words.text("sizes.needs.ring." + fit.ring().name().toLowerCase(Locale.ROOT)));
    }
    fit.lowerMm()
        .ifPresent(mm -> parts.add(words.text(sits(fit, mm), "by", length(words, Math.abs(mm)))));
    if (fit.tipMm().isPresent()) {
      parts.add(words.text("sizes.tip", "by", signed(words, fit.tipMm().getAsDouble())));
    } else {
      parts.add(words.text("sizes.tipUnknown"));
    }
    return String.join("; ", parts) + ".";
  }

  private static String sits(ShelfFit fit, double lowerMm) {
    if (fit.reclaims()) {
      return "sizes.reclaims";
    }
    return Math.abs(lowerMm) < SAME_MM
        ? "sizes.asBefore"
        : lowerMm > 0 ? "sizes.lower" : "sizes.higher";
  }

  private Optional<finebore.job.Plan> plan(OnShelf valve) {
    return ShelfFit.plan(
        session.job(), session.seat().get(), valve.fit().valve(), valve.fit().throatMm());
  }

  /** Shows the plan with a valve of the shelf, to be kept or put back. */
  private void tryOut(OnShelf valve) {
    plan(valve)
        .ifPresent(
            plan ->
                session.tryCure(
                    new Cure.OtherPlan(
                        plan,
                        Message.of("cure.shelfValve")
                            .with("valve", Term.quote(valve.fit().valve().name())))));
  }
}
