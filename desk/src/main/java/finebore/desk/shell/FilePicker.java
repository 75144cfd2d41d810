package finebore.desk.shell;

import finebore.formats.JobFile;
import finebore.formats.JobPictures;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
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

  /** A picture to copy beside the job. */
  Optional<Path> picture();

  Unsaved unsaved(String job);

  /** The system's own choosers. */
  static FilePicker ofSystem(Window owner) {
    return new SystemPicker(owner);
  }

  /** The system's own choosers. */
  final class SystemPicker implements FilePicker {
    private final Window owner;

    private SystemPicker(Window owner) {
      this.owner = owner;
    }

    @Override
    public Optional<Path> open() {
      FileChooser chooser = jobs("Open a job");
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> save(String suggestion) {
      FileChooser chooser = jobs("Save the job");
      chooser.setInitialFileName(suggestion + JobFile.EXTENSION);
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveCutSheet(String suggestion) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle("Write the cut sheet");
      chooser.setInitialFileName(suggestion + " cut sheet.txt");
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter("Text", "*.txt"),
              new FileChooser.ExtensionFilter("CSV", "*.csv"));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> table() {
      FileChooser chooser = new FileChooser();
      chooser.setTitle("Read flow tests");
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter("Tables", "*.csv", "*.txt", "*.tsv"),
              new FileChooser.ExtensionFilter("All files", "*"));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> saveTable(String suggestion) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle("Write the flow tests");
      chooser.setInitialFileName(suggestion + " flow tests.csv");
      chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv"));
      return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> picture() {
      FileChooser chooser = new FileChooser();
      chooser.setTitle("A picture for the test");
      chooser
          .getExtensionFilters()
          .add(
              new FileChooser.ExtensionFilter(
                  "Pictures", JobPictures.ENDINGS.stream().map(e -> "*." + e).toList()));
      return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    private static FileChooser jobs(String title) {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(title);
      chooser
          .getExtensionFilters()
          .addAll(
              new FileChooser.ExtensionFilter("Fine Bore jobs", "*" + JobFile.EXTENSION),
              new FileChooser.ExtensionFilter("All files", "*"));
      return chooser;
    }

    @Override
    public Unsaved unsaved(String job) {
      var save =
          new javafx.scene.control.ButtonType(
              "Save", javafx.scene.control.ButtonBar.ButtonData.YES);
      var drop =
          new javafx.scene.control.ButtonType(
              "Drop the changes", javafx.scene.control.ButtonBar.ButtonData.NO);
      var stay =
          new javafx.scene.control.ButtonType(
              "Stay here", javafx.scene.control.ButtonBar.ButtonData.CANCEL_CLOSE);
      var alert =
          new javafx.scene.control.Alert(
              javafx.scene.control.Alert.AlertType.WARNING,
              "\"" + job + "\" has changes that no file holds yet.",
              save,
              drop,
              stay);
      alert.initOwner(owner);
      alert.setHeaderText(null);
      alert.setTitle("Unsaved work");
      return alert
          .showAndWait()
          .map(b -> b == save ? Unsaved.SAVE : b == drop ? Unsaved.DROP : Unsaved.STAY)
          .orElse(Unsaved.STAY);
    }
  }
}
