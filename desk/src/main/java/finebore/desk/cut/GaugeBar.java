package finebore.desk.cut;

import finebore.code.Message;
import finebore.desk.session.GaugeSession;
import finebore.desk.session.JobSession;
import finebore.instruments.GaugeReading;
import finebore.instruments.SimulatedGauge;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/** Which gauge is in the hand, and what it sends: it goes to the reading that is due. */
final class GaugeBar extends HBox {

  private static final Duration LISTEN_EVERY = Duration.millis(150);

  private final JobSession session;
  private final GaugeSession gauges;
  private final Supplier<Optional<ReadingRow>> target;
  private final Button press = new Button();
  private final ChoiceBox<String> gauge = new ChoiceBox<>();
  private final MenuButton faults = new MenuButton();
  private final Timeline listening;

  /**
   * A bar.
   *
   * @param target the reading that is due
   */
  GaugeBar(JobSession session, GaugeSession gauges, Supplier<Optional<ReadingRow>> target) {
    super(8);
    this.session = session;
    this.gauges = gauges;
    this.target = target;
    setAlignment(Pos.CENTER_LEFT);
    listening = new Timeline(new KeyFrame(LISTEN_EVERY, e -> listen()));
    listening.setCycleCount(Timeline.INDEFINITE);
    gauge.setId("cut-gauge");
    gauge.setAccessibleText(session.say("cut.gauge"));
    gauge.getItems().setAll(session.say("cut.gauge.simulated"));
    gauge.getSelectionModel().selectFirst();
    gauge.setPrefWidth(230);
    gauge.setOnShowing(e -> findPorts());
    gauge
        .getSelectionModel()
        .selectedIndexProperty()
        .addListener((o, was, is) -> chooseGauge(is.intValue()));
    press.setId("cut-press");
    press.setText(session.say("cut.press"));
    press.setTooltip(new Tooltip(session.say("cut.press.tip")));
    press.setOnAction(e -> press());
    faults.setId("cut-faults");
    faults.setText(session.say("cut.faults"));
    for (SimulatedGauge.Fault fault : SimulatedGauge.Fault.values()) {
      MenuItem item = new MenuItem(session.words().label(fault));
      item.setId("cut-fault-" + fault.name().toLowerCase(Locale.ROOT));
      item.setOnAction(e -> gauges.fail(fault));
      faults.getItems().add(item);
    }
    faults.getItems().add(new SeparatorMenuItem());
    faults.getItems().add(key("cut-unit-key", "cut.unitKey", gauges::switchUnit));
    faults.getItems().add(key("cut-zero-key", "cut.zeroKey", gauges::zero));
    getChildren().setAll(gauge, press, faults);
    getChildren().forEach(n -> ((Region) n).setMinWidth(Region.USE_PREF_SIZE));
  }

  private MenuItem key(String id, String words, Runnable pressed) {
    MenuItem item = new MenuItem(session.say(words));
    item.setId(id);
    item.setOnAction(e -> pressed.run());
    return item;
  }

  /** Listens to the gauge as long as someone looks. */
  void listen(boolean is) {
    if (is) {
      listening.play();
    } else {
      listening.stop();
    }
  }

  private void findPorts() {
    String chosen = gauge.getValue();
    gauge.getItems().setAll(session.say("cut.gauge.simulated"));
    gauge.getItems().addAll(gauges.ports());
    gauge
        .getSelectionModel()
        .select(gauge.getItems().contains(chosen) ? chosen : gauge.getItems().getFirst());
  }

  private void chooseGauge(int index) {
    gauges.choose(index <= 0 ? "" : gauge.getItems().get(index));
    press.setDisable(index > 0);
    faults.setDisable(index > 0);
    gauges.trouble().ifPresent(this::tell);
  }

  private void tell(Message trouble) {
    session.messages().refuse("cut-gauge", session.words().say(trouble));
  }

  private void listen() {
    gauges.poll().ifPresent(this::sent);
    if (!gauges.isSimulated()) {
      gauges.trouble().ifPresent(this::tell);
    }
  }

  /** The simulated gauge is laid on what is due, or on the last that was read. */
  private void press() {
    Optional<ReadingRow> row = target.get();
    if (row.isEmpty()) {
      session.messages().note("cut-gauge", session.say("cut.press.nothing"));
      return;
    }
    Optional<GaugeReading> reading = row.get().pressed(gauges);
    if (reading.isPresent()) {
      sent(reading.get());
    } else {
      session
          .messages()
          .refuse(
              "cut-gauge",
              gauges.trouble().map(session.words()::say).orElse(session.say("cut.press.nothing")));
    }
  }

  private void sent(GaugeReading reading) {
    boolean again = gauges.isRepeated(reading);
    target.get().ifPresent(row -> row.sent(reading, again));
  }
}
