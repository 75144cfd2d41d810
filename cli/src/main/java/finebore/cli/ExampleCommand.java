package finebore.cli;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes the demo job to a file, to try the other commands on. */
@Command(name = "example", description = "Writes the demo job to a file.")
final class ExampleCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "FILE", description = "Where to write it.")
  private Path file;

  @Override
  public Integer call() throws FileProblem {
    if (Files.isRegularFile(file)) {
      throw FileProblem.unwritable(file, new FileAlreadyExistsException(file.toString()));
    }
    JobFile.write(JobDocument.fresh(JobFile.demo()), file);
    Terminal.println(spec, Speech.ofShop().text("cli.wrote", "file", file.toString()));
    return 0;
  }
}
