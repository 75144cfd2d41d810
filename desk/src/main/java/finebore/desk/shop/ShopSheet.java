package finebore.desk.shop;

import finebore.desk.controls.MessageLine;
import finebore.desk.controls.Tabs;
import finebore.desk.session.JobSession;
import finebore.desk.session.Shop;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What belongs to the shop, over the station: its practices and its rack of cutters. */
public final class ShopSheet extends StackPane {

  /** Asks for the files that practices are shared in. */
  public interface Chooser {
    Optional<Path> practice();

    Optional<Path> savePractice(String suggestion);
  }

  private static final double MARGIN = 24;

  private final Shop shop;
  private final Changes changes;
  private final PracticesPane practices;
  private final CuttersPane cutters;
  private final ToggleButton ofPractices;
  private final ToggleButton ofCutters;
  private final StackPane page = new StackPane();
  private final Button back = new Button();

  public ShopSheet(JobSession session, Shop shop, Chooser chooser, Runnable close) {
    this.shop = shop;
    this.changes = new Changes(session, this::show);
    setId("shop-sheet");
    getStyleClass().add("veil");
    practices = new PracticesPane(session, shop, chooser, changes);
    cutters = new CuttersPane(session, shop, changes);
    Label title = new Label(session.say("shop.title"));
    title.getStyleClass().add("title");
    ToggleGroup group = new ToggleGroup();
    ofPractices = tab(session, "shop.practices", "show-practices", group);
    ofCutters = tab(session, "shop.cutters", "show-cutters", group);
    ofPractices.setSelected(true);
    Tabs.keepOne(group, tab -> show());
    back.setText(session.say("shop.takeBack"));
    back.setId("shop-take-back");
    back.setOnAction(e -> takeBack());
    Button done = new Button(session.say("ui.close"));
    done.setId("close-shop");
    done.setOnAction(e -> close.run());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = new HBox(12, title, ofPractices, ofCutters, gap, back, done);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox.setVgrow(page, Priority.ALWAYS);
    VBox sheet = new VBox(8, head, new MessageLine("shop-message", session.messages()), page);
    sheet.getStyleClass().add("sheet");
    setStyle("-fx-padding: " + MARGIN + ";");
    getChildren().add(sheet);
    addEventFilter(KeyEvent.KEY_PRESSED, e -> key(e, close));
    // Keys of the station behind are none of this sheet's.
    addEventHandler(KeyEvent.KEY_PRESSED, KeyEvent::consume);
    show();
    sceneProperty().addListener((o, was, is) -> Platform.runLater(practices::focus));
  }

  private static ToggleButton tab(JobSession session, String key, String id, ToggleGroup group) {
    ToggleButton tab = new ToggleButton(session.say(key));
    tab.setId(id);
    tab.setToggleGroup(group);
    return tab;
  }

  private void key(KeyEvent e, Runnable close) {
    boolean undo = e.isShortcutDown() && e.getCode() == KeyCode.Z;
    if (undo) {
      takeBack();
    } else if (e.getCode() == KeyCode.F1 || e.getCode() == KeyCode.ESCAPE && !changes.isTyping()) {
      close.run();
    } else {
      return;
    }
    e.consume();
  }

  private void takeBack() {
    changes.make("shop-take-back", shop::takeBack);
  }

  /** Shows practices, or cutters. */
  public void show(String view) {
    (view.equals("cutters") ? ofCutters : ofPractices).setSelected(true);
  }

  private void show() {
    Region shown = ofCutters.isSelected() ? cutters : practices;
    if (!page.getChildren().equals(List.of(shown))) {
      page.getChildren().setAll(shown);
    }
    back.setDisable(!shop.canTakeBack());
    practices.show();
    cutters.show();
  }
}
