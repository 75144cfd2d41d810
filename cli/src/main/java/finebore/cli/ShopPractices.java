package finebore.cli;

import finebore.formats.HomeFolder;
import finebore.formats.PracticeFiles;
import finebore.practice.Practice;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** The practices a command judges by: those of the program and those of the shop. */
final class ShopPractices {

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Option(
      names = "--practices",
      paramLabel = "FOLDER",
      description = "Where the shop keeps practices of its own; the program's folder otherwise.")
  private Path folder;

  /** All of them; what cannot be read is said and left out. */
  List<Practice> here(Words words) {
    Path from = folder == null ? HomeFolder.practices(HomeFolder.ofUser()) : folder;
    return PracticeFiles.with(from, problem -> Terminal.complain(spec, words.say(problem)));
  }
}
