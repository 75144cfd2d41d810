package finebore.cli;

import finebore.formats.JobSchema;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** Prints the schema of job files, for whoever reads or writes them with another program. */
@Command(name = "schema", description = "Prints the JSON schema of job files.")
final class SchemaCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    Terminal.println(spec, JobSchema.text().stripTrailing());
    return 0;
  }
}
