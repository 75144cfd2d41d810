package finebore.cli;

import finebore.formats.FileProblem;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that need no window, under one name. */
@Command(
    name = "finebore",
    description = "Plans valve seats and what they do to flow.",
    mixinStandardHelpOptions = true,
    version = "Fine Bore 0.1.0",
    subcommands = {
      StudyCommand.class,
      BenchCommand.class,
      ImportCommand.class,
      CutSheetCommand.class,
      ExampleCommand.class
    })
public final class Commands {

  private Commands() {}

  /**
   * The command line with its manners: one clear line on bad input, and an exit code that is not 0.
   */
  public static CommandLine commandLine() {
    CommandLine line = new CommandLine(new Commands());
    return withManners(line);
  }

  /** Gives a command line the manners of {@link #commandLine()}. */
  public static CommandLine withManners(CommandLine line) {
    line.setExecutionExceptionHandler(
        (e, command, parsed) -> {
          if (e instanceof FileProblem problem) {
            command.getErr().println("finebore: " + Speech.ofShop().say(problem));
            command.getErr().flush();
            return 1;
          }
          throw e;
        });
    line.setParameterExceptionHandler(
        (e, arguments) -> {
          e.getCommandLine().getErr().println("finebore: " + e.getMessage());
          e.getCommandLine().getErr().flush();
          return 2;
        });
    return line;
  }

  public static void main(String[] arguments) {
    System.exit(commandLine().execute(arguments));
  }
}
