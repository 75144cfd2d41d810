package finebore.desk.shell;

import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What the desk offers when there is no last job to open. */
final class Welcome extends StackPane {

  Welcome(
      Words words,
      Consumer<String> demo,
      Runnable fresh,
      Runnable open,
      List<Path> recent,
      Consumer<Path> openFile) {
    setId("welcome");
    Label title = new Label("Fine Bore");
    title.getStyleClass().add("title");
    Label about = new Label(words.text("welcome.about"));
    about.getStyleClass().add("muted");
    VBox sheet = new VBox(10, title, about);
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      boolean first = name.equals(JobFile.demoNames().getFirst());
      Button tryDemo =
          button(
              words.text("welcome.demo", "job", job.name() + ", " + job.purpose()),
              first ? "welcome-demo" : "welcome-" + name,
              () -> demo.accept(name));
      tryDemo.setDefaultButton(first);
      sheet.getChildren().add(tryDemo);
    }
    sheet
        .getChildren()
        .addAll(
            button(words.text("welcome.new"), "welcome-new", fresh),
            button(words.text("welcome.open"), "welcome-open", open));
    for (Path file : recent) {
      sheet
          .getChildren()
          .add(
              button(file.getFileName().toString(), "welcome-recent", () -> openFile.accept(file)));
    }
    Label caution = new Label(words.text("welcome.caution"));
    caution.setWrapText(true);
    caution.setMaxWidth(420);
    caution.getStyleClass().addAll("muted", "small");
    sheet.getChildren().add(caution);
    sheet.getStyleClass().add("sheet");
    sheet.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAlignment(Pos.CENTER);
    getChildren().add(sheet);
  }

  /** Puts the keyboard on the first offer. */
  void focus() {
    javafx.application.Platform.runLater(lookup("#welcome-demo")::requestFocus);
  }

  private static Button button(String words, String id, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(e -> action.run());
    return button;
  }
}
