package finebore.desk.session;

import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.HomeFolder;
import finebore.formats.SafeFile;
import finebore.words.Language;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;

/**
 * The folder where the desk keeps what is not part of a job: the look, recent jobs, and recovery
 * copies.
 */
public final class DeskFolder {

  private static final Logger LOG = Logger.getLogger(DeskFolder.class.getName());
  private static final int RECENT = 8;

  private final Path folder;
  private final Properties settings = new Properties();

  public DeskFolder(Path folder) {
    this.folder = folder;
    try {
      Files.createDirectories(folder);
      Path file = settingsFile();
      if (Files.exists(file)) {
        settings.load(new StringReader(Files.readString(file)));
      }
    } catch (IOException | IllegalArgumentException e) {
      LOG.log(
          Level.WARNING,
          "settings in " + folder + " could not be read; the usual ones are used",
          e);
    }
  }

  /** The folder of the user the program runs for. */
  public static DeskFolder ofUser() {
    return new DeskFolder(HomeFolder.ofUser());
  }

  /** Where solved air is kept; it may be deleted at any time. */
  public Path solvedAir() {
    return folder.resolve("solved-air.csv");
  }

  /** This folder and those of recent jobs. */
  public List<Path> folders() {
    return Stream.concat(Stream.of(folder), recent().stream().map(Path::getParent))
        .distinct()
        .toList();
  }

  Path path() {
    return folder;
  }

  /** A file of this folder. */
  Path file(String name) {
    return folder.resolve(name);
  }

  private Path settingsFile() {
    return folder.resolve("settings.properties");
  }

  private void store() {
    StringBuilder text = new StringBuilder();
    settings.stringPropertyNames().stream()
        .sorted()
        .forEach(
            k -> text.append(k).append('=').append(escaped(settings.getProperty(k))).append('\n'));
    try {
      SafeFile.write(settingsFile(), text.toString().getBytes(StandardCharsets.UTF_8), false);
    } catch (FileProblem e) {
      LOG.log(Level.WARNING, "settings were not kept", e);
    }
  }

  private static String escaped(String value) {
    return value.replace("\\", "\\\\").replace("\n", "\\n");
  }

  public Theme theme() {
    return Theme.byId(settings.getProperty("theme", Theme.PAPER.id()));
  }

  public void keepTheme(Theme theme) {
    settings.setProperty("theme", theme.id());
    store();
  }

  /** The language the user has chosen, by its tag. */
  public Language language() {
    return Language.of(settings.getProperty("language", Language.ENGLISH.tag()))
        .orElse(Language.ENGLISH);
  }

  public void keepLanguage(Language language) {
    settings.setProperty("language", language.tag());
    store();
  }

  /** Where the shop keeps practices of its own. */
  public Path practices() {
    return HomeFolder.practices(folder);
  }

  /** The step at the machine that was picked last in a job, by the job's mark. */
  public Optional<String> step(String mark) {
    String[] kept = settings.getProperty("step", "").split(" ", 2);
    return kept.length == 2 && kept[0].equals(mark) ? Optional.of(kept[1]) : Optional.empty();
  }

  /** Keeps it; none lets go of the one that was kept. */
  public void keepStep(String mark, Optional<String> id) {
    String value = id.map(i -> mark + " " + i).orElse("");
    if (!value.equals(settings.getProperty("step", ""))) {
      settings.setProperty("step", value);
      store();
    }
  }

  /** Text size, 1 to 1.5. */
  public double textScale() {
    try {
      double scale = Double.parseDouble(settings.getProperty("textScale", "1"));
      return Double.isNaN(scale) ? 1 : Math.clamp(scale, 1, 1.5);
    } catch (NumberFormatException e) {
      return 1;
    }
  }

  public void keepTextScale(double scale) {
    settings.setProperty("textScale", String.valueOf(scale));
    store();
  }

  /** Jobs opened or saved last, the newest first; those that are gone are left out. */
  public List<Path> recent() {
    List<Path> files = new ArrayList<>();
    for (int k = 0; k < RECENT; k++) {
      existing(settings.getProperty("recent." + k)).ifPresent(files::add);
    }
    return files;
  }

  private static Optional<Path> existing(String name) {
    try {
      return Optional.ofNullable(name).map(Path::of).filter(Files::exists);
    } catch (InvalidPathException e) {
      // Written in a language this run was not started in.
      return Optional.empty();
    }
  }

  public void keepRecent(Path file) {
    List<Path> files = new ArrayList<>(recent());
    Path whole = file.toAbsolutePath().normalize();
    files.remove(whole);
    files.addFirst(whole);
    for (int k = 0; k < RECENT; k++) {
      if (k < files.size()) {
        settings.setProperty("recent." + k, files.get(k).toString());
      } else {
        settings.remove("recent." + k);
      }
    }
    store();
  }
}
