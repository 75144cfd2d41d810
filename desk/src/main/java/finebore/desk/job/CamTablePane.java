package finebore.desk.job;

import finebore.code.RuleViolation;
import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.flow.CamLift;
import finebore.formats.CamTable;
import finebore.formats.FileProblem;
import finebore.job.Port;
import finebore.units.Unit;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/** The lift table of a cam, typed or pasted; folded away while there is none. */
final class CamTablePane extends VBox {

  private final JobSession session;
  private final Port port;
  private final ToggleButton opener = new ToggleButton();
  private final TextArea table = new TextArea();
  private String shown = "";

  CamTablePane(JobSession session, Port port) {
    super(4);
    this.session = session;
    this.port = port;
    setId(port.key() + "-cam-table");
    table.setId(port.key() + "-cam-table-text");
    table.getStyleClass().add("plain");
    table.setPrefRowCount(6);
    table.setMinHeight(USE_PREF_SIZE);
    table
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                take();
              }
            });
    Label how = new Label(session.say("cam.how", "unit", session.units().length().symbol()));
    how.setWrapText(true);
    how.setMinHeight(USE_PREF_SIZE);
    how.getStyleClass().addAll("small", "muted");
    opener.setId(port.key() + "-cam-table-open");
    opener.setMaxWidth(Double.MAX_VALUE);
    opener.setSelected(!cam().table().isEmpty());
    visibleProperty().bind(opener.selectedProperty());
    managedProperty().bind(visibleProperty());
    getChildren().addAll(how, table);
    session
        .work()
        .addListener(
            (o, was, is) -> {
              how.setText(session.say("cam.how", "unit", session.units().length().symbol()));
              show();
            });
    show();
  }

  /** What opens and folds the table. */
  ToggleButton opener() {
    return opener;
  }

  private CamLift cam() {
    return session.work().get().job().group(port).cam();
  }

  private Unit unit() {
    return session.units().length();
  }

  /** Takes what was typed; nothing typed takes the table away and leaves its two figures. */
  private void take() {
    String typed = table.getText();
    if (typed.strip().equals(shown.strip())) {
      return;
    }
    try {
      CamLift cam =
          typed.isBlank()
              ? new CamLift(cam().maxLiftMm(), cam().durationDeg())
              : CamTable.read(typed, unit());
      shown = typed;
      session.edit("", j -> j.withGroup(port, j.group(port).withCam(cam)));
      session.messages().clear(getId());
      Styles.state(table, "plain");
    } catch (FileProblem e) {
      refuse(session.words().say(e));
    } catch (RuleViolation e) {
      refuse(session.words().say(e));
    }
  }

  private void refuse(String why) {
    Styles.state(table, "wrong");
    session
        .messages()
        .refuse(getId(), session.say("cam.refused", "cam", opener.getAccessibleText(), "why", why));
  }

  private void show() {
    int rows = cam().table().size();
    opener.setText(session.say(rows == 0 ? "cam.none" : "cam.rows", "rows", rows));
    opener.setAccessibleText(session.words().of(port, "group") + ", " + opener.getText());
    String written = CamTable.written(cam(), unit());
    boolean typing = table.isFocused() || table.getStyleClass().contains("wrong");
    if (!typing && !written.equals(shown)) {
      shown = written;
      table.setText(written);
      if (rows > 0) {
        opener.setSelected(true);
      }
    }
  }
}
