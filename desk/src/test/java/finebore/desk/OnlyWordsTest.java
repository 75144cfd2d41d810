package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.FlowTest;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.flow.field.KnownAir;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Job;
import finebore.practice.Practice;
import finebore.reports.CompareReport;
import finebore.reports.CutSheets;
import finebore.reports.RunSheets;
import finebore.reports.StudyFacts;
import finebore.reports.StudyText;
import finebore.words.Language;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/**
 * Whatever is read anywhere comes out of a language's file. Here every sentence of it is bracketed;
 * what then stands outside of brackets must be a figure, a unit or what somebody typed.
 */
@ExtendWith(ApplicationExtension.class)
class OnlyWordsTest {

  private static final String OPEN = "\u27e6";
  private static final String CLOSE = "\u27e7";
  private static final Pattern WHOLE = Pattern.compile("\u27e6[^\u27e6\u27e7]*(\u27e7|\u2026)");
  private static final Pattern TYPED =
      Pattern.compile(
          "\"(?:name|purpose|ringMaterial|cutter|bench|changed|remarks|who|reason|customer|currency"
              + "|notes)\" *: *\"([^\"]+)\"");
  private static final Pattern WORD = Pattern.compile("\\p{L}{3,}");
  private static final Set<String> UNITS =
      Set.of("kPa", "hPa", "inHg", "inH", "cfm", "rpm", "min", "mbar");

  private static final Language BRACKETED =
      new Language(
          Language.ENGLISH.tag(),
          Language.ENGLISH.sentences().entrySet().stream()
              .collect(Collectors.toMap(Map.Entry::getKey, e -> OPEN + e.getValue() + CLOSE)));

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    if (desk == null) {
      desk = new DeskRobot(stage, home, BRACKETED);
    }
  }

  static Stream<String> demos() {
    return JobFile.demoNames().stream();
  }

  @ParameterizedTest
  @ValueSource(strings = {"skarn-1.6", "dolerite-2.0"})
  void ofTheWindow(String demo) {
    JobDocument document = JobDocument.fresh(JobFile.demo(demo));
    List<String> typed = typed(document);
    desk.runFx(() -> desk.session.load(document, Optional.empty()));
    for (String view : Main.Picture.STATIONS) {
      desk.runFx(() -> desk.window.show(view));
      List<String> read = new ArrayList<>();
      desk.runFx(() -> read(desk.window.scene().getRoot(), read));
      assertThat(unspoken(read, typed)).as(view).isEmpty();
    }
  }

  @ParameterizedTest
  @MethodSource("demos")
  void ofTheReports(String demo) {
    Job job = JobFile.demo(demo);
    Words words = Words.of(BRACKETED, job.units());
    Practice practice = PracticeFiles.named(job.practice(), PracticeFiles.all());
    List<FlowTest> tests = job.bench().tests();
    List<String> read = new ArrayList<>();
    read.add(new CutSheets(job, words, practice).text());
    read.add(new RunSheets(job, words, practice).text());
    read.add(new CompareReport(job, tests.get(0), tests.get(1), words).text());
    for (StudyFacts.State state : StudyFacts.State.values()) {
      job.engine().seats().stream()
          .limit(2)
          .map(s -> StudyFacts.of(job, s, state, PracticeFiles.all(), KnownAir.NONE))
          .forEach(facts -> read.add(StudyText.of(facts, words)));
    }
    assertThat(unspoken(read, typed(JobDocument.fresh(job)))).isEmpty();
  }

  /** What people typed, the longest first: names, remarks, cutters. */
  private static List<String> typed(JobDocument document) {
    Stream<String> strings = TYPED.matcher(JobFile.text(document)).results().map(m -> m.group(1));
    return Stream.of(
            strings,
            RackFile.shipped().stream().flatMap(c -> Stream.of(c.name(), c.use())),
            JobFile.demoNames().stream().map(n -> JobFile.demo(n).name()),
            Language.all().stream().map(Language::name))
        .flatMap(s -> s)
        .sorted(Comparator.comparingInt(String::length).reversed())
        .toList();
  }

  private static Set<String> unspoken(List<String> read, List<String> typed) {
    Set<String> words = new TreeSet<>();
    for (String text : read) {
      String rest = bare(text);
      for (String own : typed) {
        rest = rest.replace(own, "");
      }
      Matcher m = WORD.matcher(rest);
      while (m.find()) {
        if (!UNITS.contains(m.group())) {
          words.add(m.group() + " in: " + text.strip());
        }
      }
    }
    return words;
  }

  /** Without what is in brackets; a sentence that is cut off ends where it is cut. */
  private static String bare(String text) {
    String rest = text;
    for (String less = ""; !less.equals(rest); ) {
      less = rest;
      rest = WHOLE.matcher(rest).replaceAll("");
    }
    return rest;
  }

  private static void read(Node node, List<String> read) {
    read.add(String.valueOf(node.getAccessibleText()));
    switch (node) {
      // A sentence may stand on several lines.
      case DrawnRegion drawing ->
          read.add(
              drawing.written().stream().map(Ink.Written::words).collect(Collectors.joining(" ")));
      case MenuButton menu -> menu.getItems().forEach(i -> read(i, read));
      case ChoiceBox<?> box -> choices(box, read);
      case ComboBox<?> box -> choices(box, read);
      case TextInputControl field -> {
        read.add(field.getText());
        read.add(field.getPromptText());
      }
      case Text text when !(text.getParent() instanceof Labeled) -> read.add(text.getText());
      default -> {}
    }
    if (node instanceof Labeled labeled) {
      read.add(labeled.getText());
    }
    if (node instanceof Control control && control.getTooltip() != null) {
      read.add(control.getTooltip().getText());
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> read(child, read));
    }
    read.removeIf(t -> t == null || t.equals("null"));
  }

  private static void read(MenuItem item, List<String> read) {
    read.add(item.getText());
    if (item instanceof Menu menu) {
      menu.getItems().forEach(i -> read(i, read));
    }
  }

  private static <T> void choices(ChoiceBox<T> box, List<String> read) {
    box.getItems()
        .forEach(
            i ->
                read.add(
                    box.getConverter() == null
                        ? String.valueOf(i)
                        : box.getConverter().toString(i)));
  }

  private static <T> void choices(ComboBox<T> box, List<String> read) {
    box.getItems().forEach(i -> read.add(box.getConverter().toString(i)));
  }
}
