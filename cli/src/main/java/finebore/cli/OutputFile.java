package finebore.cli;

import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.FileProblem;
import finebore.formats.SafeFile;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.Locale;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Where a command writes what it makes. */
final class OutputFile {

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "OUT",
      description = "Where to write it.")
  private Path output;

  /** Makes sure that the file has one of the endings of what is written, and says which. */
  String check(String... endings) throws FileProblem {
    String name = output.toString().toLowerCase(Locale.ROOT);
    for (String ending : endings) {
      if (name.endsWith(ending)) {
        return ending;
      }
    }
    throw new FileProblem(
        Message.of("file.wrongEnding")
            .with("file", Term.quote(output.toString()))
            .with("endings", Term.quote(String.join(", ", endings))));
  }

  int write(byte[] bytes, Words words) throws FileProblem {
    SafeFile.write(output, bytes, false);
    Terminal.println(spec, words.text("cli.wrote", "file", output.toString()));
    return 0;
  }
}
