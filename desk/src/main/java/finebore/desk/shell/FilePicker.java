package finebore.desk.shell;

import finebore.formats.JobFile;
import finebore.formats.JobPictures;
import finebore.formats.OutlineFile;
import finebore.formats.PracticeFiles;
import finebore.words.Words;
import java.io.File;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks for files and for what to do with unsaved work. Tests answer in its place. */
public interface FilePicker {

  /** What to do with work that is not saved. */
  enum Unsaved {
    SAVE,
    DROP,
    STAY
  }

  Optional<Path> open();

  Optional<Path> save(String suggestion);

  Optional<Path> saveCutSheet(String suggestion);

  /** A table of flow tests to read. */
  Optional<Path> table();

  /** Where the flow tests are to go. */
  Optional<Path> saveTable(String suggestion);

  /** Where a picture of the air, or its figures, are to go. */
  Optional<Path> saveAir(String suggestion);

  /**
   * Where something that goes out is to go.
   *
   * @param ending of the file, without a point
   */
  Optional<Path> saveExport(String suggestion, String ending);

  /** A picture to copy beside the job. */
  Optional<Path> picture();

  /** A chamber's outline, as points or a drawing. */
  Optional<Path> outline();

  /** A practice to take over. */
  Optional<Path> practice();

  /** Where a practice is to go. */
  Optional<Path> savePractice(String suggestion);

  Unsaved unsaved(String job);

  /** The system's own choosers. */
  static FilePicker ofSystem(Window owner, Supplier<Words> words) {
    return new SystemPicker(owner, words);
  }

  /** The system's own choosers. */
  final class SystemPicker implements FilePicker {
    private final Window owner;
    private final Supplier<Words> words;

    private SystemPicker(Window owner, Supplier<Words> words) {
      this.owner = owner;
      this.words = words;
    }

    @Override
    public Optional<Path> open() {
      FileChooser chooser = jobs(say("picker.open"));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> save(String suggestion) {
      FileChooser chooser = jobs(say("picker.save"));
      chooser.setInitialFileName(suggestion + JobFile.EXTENSION);
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveCutSheet(String suggestion) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.cutSheet"));
      chooser.setInitialFileName(suggestion + " " + say("picker.cutSheet.name") + ".txt");
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter(say("picker.text"), "*.txt"),
              new FileChooser.ExtensionFilter("CSV", "*.csv"));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> table() {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.table"));
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter(say("picker.tables"), "*.csv", "*.txt", "*.tsv"),
              new FileChooser.ExtensionFilter(say("picker.all"), "*"));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveTable(String suggestion) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.saveTable"));
      chooser.setInitialFileName(suggestion + " " + say("picker.saveTable.name") + ".csv");
      chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv"));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveAir(String suggestion) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.air"));
      chooser.setInitialFileName(suggestion + " " + say("picker.air.name") + ".png");
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter("PNG", "*.png"),
              new FileChooser.ExtensionFilter("SVG", "*.svg"),
              new FileChooser.ExtensionFilter("CSV", "*.csv"));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveExport(String suggestion, String ending) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.export"));
      chooser.setInitialFileName(suggestion + "." + ending);
      chooser
          .getExtensionFilters()
          .add(new FileChooser.ExtensionFilter(ending.toUpperCase(Locale.ROOT), "*." + ending));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> picture() {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.picture"));
      chooser
          .getExtensionFilters()
          .add(
              new FileChooser.ExtensionFilter(
                  say("picker.pictures"),
                  JobPictures.ENDINGS.stream().map(e -> "*." + e).toList()));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> outline() {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say("picker.outline"));
      chooser
          .getExtensionFilters()
          .add(
              new FileChooser.ExtensionFilter(
                  say("picker.outlines"),
                  OutlineFile.ENDINGS.stream().map(e -> "*." + e).toList()));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> practice() {
      return Optional.ofNullable(practices("picker.practice").showOpenDialog(owner))
          .map(File::toPath);
    }

    @Override
    public Optional<Path> savePractice(String suggestion) {
      FileChooser chooser = practices("picker.savePractice");
      chooser.setInitialFileName(suggestion + PracticeFiles.EXTENSION);
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    private FileChooser practices(String key) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(say(key));
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter(
                  say("picker.practices"), "*" + PracticeFiles.EXTENSION),
              new FileChooser.ExtensionFilter(say("picker.all"), "*"));
      return chooser;
    }

    private String say(String key) {
      return words.get().text(key);
    }

    private FileChooser jobs(String title) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(title);
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter(say("picker.jobs"), "*" + JobFile.EXTENSION),
              new FileChooser.ExtensionFilter(say("picker.all"), "*"));
      return chooser;
    }

    @Override
    public Unsaved unsaved(String job) {
      var save =
          new javafx.scene.control.ButtonType(
              say("picker.unsaved.save"), javafx.scene.control.ButtonBar.ButtonData.YES);
      var drop =
          new javafx.scene.control.ButtonType(
              say("picker.unsaved.drop"), javafx.scene.control.ButtonBar.ButtonData.NO);
      var stay =
          new javafx.scene.control.ButtonType(
              say("picker.unsaved.stay"), javafx.scene.control.ButtonBar.ButtonData.CANCEL_CLOSE);
      var alert =
          new javafx.scene.control.Alert(
              javafx.scene.control.Alert.AlertType.WARNING,
              words.get().text("picker.unsaved.text", "job", job),
              save,
              drop,
              stay);
      alert.initOwner(owner);
      alert.setHeaderText(null);
      alert.setTitle(say("picker.unsaved"));
      return alert
          .showAndWait()
          .map(b -> b == save ? Unsaved.SAVE : b == drop ? Unsaved.DROP : Unsaved.STAY)
          .orElse(Unsaved.STAY);
    }
  }
}
