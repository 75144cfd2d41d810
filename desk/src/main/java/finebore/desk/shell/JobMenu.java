package finebore.desk.shell;

import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.formats.JobFile;
import finebore.words.Language;
import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Region;

/** What can be done with jobs as a whole, and with the program. */
final class JobMenu extends MenuButton {

  private static final double TEXT_STEP = 0.1;

  private final JobSession session;
  private final DeskFolder folder;
  private final JobFiles files;
  private final DoubleConsumer scaleText;
  private final Consumer<Language> speak;
  private final Runnable openShop;
  private final Runnable close;

  JobMenu(
      JobSession session,
      DeskFolder folder,
      JobFiles files,
      DoubleConsumer scaleText,
      Consumer<Language> speak,
      Runnable openShop,
      Runnable close) {
    super(session.say("menu.job"));
    this.session = session;
    this.folder = folder;
    this.files = files;
    this.scaleText = scaleText;
    this.speak = speak;
    this.openShop = openShop;
    this.close = close;
    setId("job-menu");
    setMinWidth(Region.USE_PREF_SIZE);
    setOnShowing(e -> fill());
    fill();
  }

  private void fill() {
    getItems()
        .setAll(
            item("menu.new", with("N"), files::newJob),
            item("menu.open", with("O"), files::open),
            recent(),
            demos(),
            new SeparatorMenuItem(),
            item("menu.save", with("S"), files::save),
            item("menu.saveAs", session.say("keys.withCtrlShift", "key", "S"), files::saveAs),
            item("menu.cutSheet", with("K"), files::cutSheet),
            new SeparatorMenuItem(),
            item("menu.shop", "", openShop),
            languages(),
            item("menu.larger", with("+"), () -> scaleText.accept(TEXT_STEP)),
            item("menu.smaller", with("\u2212"), () -> scaleText.accept(-TEXT_STEP)),
            item("ui.close", "", close));
  }

  private Menu recent() {
    Menu recent = new Menu(session.say("menu.recent"));
    for (Path file : folder.recent()) {
      MenuItem item = plain(file.getFileName().toString(), () -> files.openFile(file));
      item.setMnemonicParsing(false);
      recent.getItems().add(item);
    }
    recent.setDisable(recent.getItems().isEmpty());
    return recent;
  }

  private Menu demos() {
    Menu demos = new Menu(session.say("menu.demos"));
    for (String name : JobFile.demoNames()) {
      demos.getItems().add(plain(JobFile.demo(name).name(), () -> files.openDemo(name)));
    }
    return demos;
  }

  private Menu languages() {
    Menu languages = new Menu(session.say("menu.language"));
    languages.setId("menu-language");
    ToggleGroup group = new ToggleGroup();
    for (Language language : Language.all()) {
      RadioMenuItem item = new RadioMenuItem(language.name());
      item.setId("language-" + language.tag());
      item.setToggleGroup(group);
      item.setSelected(language.tag().equals(session.language().tag()));
      item.setOnAction(e -> speak.accept(language));
      languages.getItems().add(item);
    }
    return languages;
  }

  /** A key with Ctrl, as the language calls it. */
  private String with(String key) {
    return session.say("keys.withCtrl", "key", key);
  }

  private MenuItem item(String key, String keys, Runnable action) {
    String words = session.say(key);
    MenuItem item = plain(keys.isEmpty() ? words : words + "   (" + keys + ")", action);
    item.setId(key.replace('.', '-'));
    return item;
  }

  private static MenuItem plain(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }
}
