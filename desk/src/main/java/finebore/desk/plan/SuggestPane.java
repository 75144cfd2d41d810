package finebore.desk.plan;

import finebore.desk.controls.Named;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.session.SuggestRun;
import finebore.job.Group;
import finebore.planning.PlanStudy;
import finebore.practice.Cure;
import finebore.reports.Spoken;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.suggest.Goal;
import finebore.suggest.Search;
import finebore.suggest.SolvedSuggestion;
import finebore.suggest.Suggestion;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Looks for plans that are best at a goal and break no limit, and lets each be tried. */
final class SuggestPane extends VBox {

  private final JobSession session;
  private final ChoiceBox<Goal> goal = new ChoiceBox<>();
  private final Button start = new Button();
  private final Button stop = new Button();
  private final ProgressBar progress = new ProgressBar(0);
  private final Label state = new Label();
  private final VBox rows = new VBox();
  private Optional<SuggestRun> run = Optional.empty();
  private Optional<Group> lookedFor = Optional.empty();

  SuggestPane(JobSession session) {
    super(4);
    this.session = session;
    setId("suggest");
    start.setText(session.say("suggest.start"));
    stop.setText(session.say("ui.stop"));
    setStyle("-fx-padding: 4 10 4 10;");
    goal.setId("suggest-goal");
    goal.setAccessibleText(session.say("suggest.goal"));
    goal.getItems().setAll(Goal.values());
    goal.setValue(Goal.WHOLE);
    goal.setConverter(new Named<>(value -> session.words().label(value)));
    start.setId("suggest-start");
    start.setOnAction(e -> start());
    stop.setId("suggest-stop");
    stop.setDisable(true);
    stop.setOnAction(e -> stop(session.say("suggest.stopped")));
    progress.setId("suggest-progress");
    progress.setPrefWidth(160);
    state.setId("suggest-state");
    state.setWrapText(true);
    state.getStyleClass().addAll("small", "muted");
    state.setMinHeight(Region.USE_PREF_SIZE);
    Label wanted = new Label(session.say("suggest.goal"));
    for (Region part : List.of(wanted, goal, start, stop)) {
      part.setMinWidth(Region.USE_PREF_SIZE);
    }
    progress.setMinWidth(60);
    HBox bar = new HBox(8, wanted, goal, start, stop, progress);
    bar.setAlignment(Pos.CENTER_LEFT);
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(bar, state, scroll);
    state.setText(session.say("suggest.about", "cutters", session.rack().size()));
  }

  /** Says so when the job has changed since the plans were looked for. */
  void show(SeatView work) {
    boolean other = lookedFor.isPresent() && !lookedFor.get().found().equals(work.group().found());
    if (other && run.isEmpty()) {
      rows.getChildren().clear();
      lookedFor = Optional.empty();
      state.setText(session.say("suggest.otherSeat"));
    }
  }

  /** Begins a search. */
  void start() {
    stop("");
    SeatView work = session.work().get();
    rows.getChildren().clear();
    if (!session.practice().installed()) {
      state.setText(
          session.say(
              "suggest.noPractice", "practice", session.words().term(session.practice().term())));
      return;
    }
    lookedFor = Optional.of(work.group());
    Search search =
        Search.of(session.job(), work.place(), session.rack(), session.practice(), goal.getValue());
    SuggestRun begun =
        new SuggestRun(
            search,
            share -> {
              progress.setProgress(share);
              state.setText(
                  session.say(
                      "suggest.progress",
                      "done",
                      (int) Math.round(share * search.size()),
                      "all",
                      search.size()));
            },
            () -> state.setText(session.say("suggest.solving")),
            (slice, found) -> finished(search, slice, found));
    run = Optional.of(begun);
    start.setDisable(true);
    stop.setDisable(false);
    begun.start();
  }

  private void stop(String words) {
    run.ifPresent(SuggestRun::cancel);
    run = Optional.empty();
    progress.setProgress(0);
    start.setDisable(false);
    stop.setDisable(true);
    state.setText(words);
  }

  private void finished(Search search, Search.Slice slice, List<SolvedSuggestion> found) {
    stop(
        found.isEmpty()
            ? session.say("suggest.none", "limits", limits(slice.broken()))
            : session.say("suggest.found", "all", search.size()));
    progress.setProgress(1);
    for (int k = 0; k < found.size(); k++) {
      rows.getChildren().add(row(k, found.get(k)));
    }
  }

  private String limits(Map<ReadingKind, Integer> broken) {
    return broken.entrySet().stream()
        .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
        .limit(3)
        .map(e -> session.words().name(e.getKey()))
        .collect(Collectors.joining(", "));
  }

  private HBox row(int number, SolvedSuggestion solved) {
    Suggestion suggestion = solved.suggestion();
    Label name = new Label((number + 1) + "  " + suggestion.candidate().cutter().name());
    name.getStyleClass().add("title");
    Label gives =
        new Label(
            session.say(
                "suggest.gives",
                "change",
                ChangeWords.of(suggestion.study().change(), session.words())));
    // What is solved counts; the estimate has found the plan and speaks where nothing is solved.
    gives.getStyleClass().add(solved.share().isPresent() ? "muted" : "good");
    Label air = new Label(air(solved));
    air.setId("suggestion-air-" + number);
    boolean gains = solved.isClear() && solved.share().orElse(0) > 0;
    air.getStyleClass().add(gains ? "good" : "muted");
    Label costs =
        new Label(session.say("suggest.costs", "what", costs(suggestion, session.words())));
    for (Label label : List.of(gives, air, costs)) {
      label.setWrapText(true);
      label.setMinHeight(Region.USE_PREF_SIZE);
    }
    VBox words = new VBox(name, air, gives, costs);
    HBox.setHgrow(words, Priority.ALWAYS);
    Button tryIt = new Button(session.say("suggest.try"));
    tryIt.setId("try-suggestion-" + number);
    tryIt.setTooltip(new Tooltip(session.say("suggest.try.tip")));
    tryIt.setOnAction(
        e ->
            session.tryCure(
                new Cure.OtherPlan(suggestion.candidate().plan(), suggestion.message())));
    Button keep = new Button(session.say("suggest.keep"));
    keep.setId("keep-suggestion-" + number);
    Group group = session.work().get().group();
    keep.setDisable(
        group.plans().size() >= Group.MOST_PLANS
            || session.job().isException(session.seat().get()));
    keep.setOnAction(
        e ->
            session.edit(
                "",
                job -> {
                  var port = session.seat().get().port();
                  Group more = job.group(port).withVariant();
                  return job.withGroup(port, more.withPlan(suggestion.candidate().plan()));
                }));
    for (Button button : List.of(tryIt, keep)) {
      button.setMinWidth(Region.USE_PREF_SIZE);
    }
    HBox row = new HBox(8, words, tryIt, keep);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("finding-row");
    return row;
  }

  /** What the solver makes of it. */
  private String air(SolvedSuggestion solved) {
    if (solved.share().isEmpty()) {
      return session.say("suggest.air.none");
    }
    String share = UnitSystem.signed(100 * solved.share().getAsDouble(), 1);
    return session.say(solved.isClear() ? "suggest.air" : "suggest.air.unclear", "share", share);
  }

  private static String costs(Suggestion suggestion, Words words) {
    PlanStudy study = suggestion.study();
    List<String> parts = new ArrayList<>();
    var valve = suggestion.candidate().wanted().valve();
    double bigger = valve.headDiameterMm() - study.found().pairing().valve().headDiameterMm();
    parts.add(
        bigger < 0.005
            ? words.text("suggest.sameValve")
            : words.text(
                "suggest.otherValve", "head", words.units().lengthText(valve.headDiameterMm())));
    if (!suggestion.candidate().roomMeasured()) {
      parts.add(words.text("suggest.roomUnknown"));
    }
    parts.add(
        words.text(
            "suggest.throat",
            "throat",
            words.units().lengthText(suggestion.candidate().wanted().seat().throatDiameterMm())));
    if (!valve.backCuts().isEmpty()) {
      parts.add(
          words.text("suggest.backCut", "face", words.units().lengthText(valve.faceWidthMm())));
    }
    for (ReadingKind kind :
        List.of(ReadingKind.CLEAN_UP, ReadingKind.SINK, ReadingKind.WATER, ReadingKind.REMOVED)) {
      study.finished().readings().stream()
          .filter(r -> r.kind() == kind)
          .map((Reading r) -> words.label(kind) + " " + Spoken.reading(r, words))
          .forEach(parts::add);
    }
    return String.join(", ", parts);
  }
}
