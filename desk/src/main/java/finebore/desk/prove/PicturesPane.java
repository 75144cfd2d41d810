package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.FlowTest.Picture;
import finebore.desk.controls.Thumbnail;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.formats.FileProblem;
import finebore.formats.JobPictures;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Pictures of wet flow and the like: copies in a folder beside the job's file. */
final class PicturesPane extends ScrollPane {

  private static final double SIZE_PX = 110;

  private final ProveState state;
  private final JobSession session;
  private final Supplier<Optional<Path>> choose;
  private final FlowPane tiles = new FlowPane(10, 8);
  private List<Picture> pictures = List.of();

  PicturesPane(ProveState state, JobSession session, Supplier<Optional<Path>> choose) {
    this.state = state;
    this.session = session;
    this.choose = choose;
    setId("pictures-pane");
    setFitToWidth(true);
    Button add = new Button(session.say("pictures.add"));
    add.setId("add-picture");
    add.setOnAction(e -> choose.get().ifPresent(this::add));
    Label how = new Label(session.say("pictures.how"));
    how.setWrapText(true);
    how.getStyleClass().addAll("small", "muted");
    HBox head = new HBox(10, add, how);
    head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    VBox all = new VBox(8, head, tiles);
    all.setStyle("-fx-padding: 6 10 8 10;");
    setContent(all);
  }

  /** Copies a picture beside the job and puts it to the test. */
  void add(Path picture) {
    Optional<Path> file = session.file().get();
    if (file.isEmpty()) {
      session.messages().refuse(getId(), session.say("pictures.saveFirst"));
      return;
    }
    try {
      String name = JobPictures.copyIn(picture, file.get());
      state.editTest(
          t -> {
            List<Picture> more = new ArrayList<>(t.pictures());
            more.add(new Picture(name, ""));
            return t.withPictures(more);
          });
      session.messages().clear(getId());
    } catch (FileProblem e) {
      session.messages().refuse(getId(), session.words().say(e));
    }
  }

  void show(Shown shown) {
    setDisable(shown.test().isEmpty());
    List<Picture> now = shown.test().map(FlowTest::pictures).orElse(List.of());
    if (now.equals(pictures)) {
      return;
    }
    pictures = now;
    tiles.getChildren().clear();
    for (int k = 0; k < now.size(); k++) {
      tiles.getChildren().add(tile(k, now.get(k)));
    }
  }

  private VBox tile(int at, Picture picture) {
    Optional<Path> file = session.file().get().flatMap(f -> JobPictures.find(f, picture.file()));
    VBox tile = new VBox(3);
    tile.getStyleClass().add("card");
    if (file.isPresent()) {
      ImageView view = new ImageView();
      view.setFitHeight(SIZE_PX);
      view.setPreserveRatio(true);
      tile.getChildren().add(view);
      Thumbnail.of(file.get(), 2 * SIZE_PX)
          .thenAccept(image -> Platform.runLater(() -> image.ifPresent(view::setImage)));
    } else {
      Label gone = new Label(session.say("pictures.gone", "file", picture.file()));
      gone.getStyleClass().add("caution");
      tile.getChildren().add(gone);
    }
    TextField words = new TextField(picture.words());
    words.setId("picture-words-" + at);
    words.setPromptText(session.say("pictures.prompt"));
    words.setAccessibleText(session.say("pictures.words", "number", at + 1));
    words.setOnAction(e -> named(at, words.getText()));
    words
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                named(at, words.getText());
              }
            });
    Button remove = new Button("✕");
    remove.getStyleClass().add("icon-button");
    remove.setAccessibleText(session.say("pictures.remove", "number", at + 1));
    remove.setOnAction(e -> state.editTest(t -> t.withPictures(without(t.pictures(), at))));
    tile.getChildren().add(new HBox(4, words, remove));
    return tile;
  }

  private void named(int at, String words) {
    if (at < pictures.size() && !pictures.get(at).words().equals(words.strip())) {
      state.editTest(
          t -> {
            List<Picture> all = new ArrayList<>(t.pictures());
            all.set(at, new Picture(all.get(at).file(), words.strip()));
            return t.withPictures(all);
          });
    }
  }

  private static List<Picture> without(List<Picture> all, int at) {
    List<Picture> fewer = new ArrayList<>(all);
    fewer.remove(at);
    return fewer;
  }
}
