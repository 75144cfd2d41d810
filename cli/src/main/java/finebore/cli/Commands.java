package finebore.cli;

import finebore.code.RuleViolation;
import finebore.formats.FileProblem;
import finebore.words.Words;
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
      AirCommand.class,
      BenchCommand.class,
      ImportCommand.class,
      CutSheetCommand.class,
      CardCommand.class,
      DxfCommand.class,
      SvgCommand.class,
      ScribeCommand.class,
      CsvCommand.class,
      ExampleCommand.class,
      SchemaCommand.class
    })
public final class Commands {

  private Commands() {}

  /**
   * The command line with its manners: one clear line on bad input, and an exit code that is not 0.
   */
  public static CommandLine commandLine() {
    return withManners(new CommandLine(new Commands()));
  }

  /** Gives a command line the manners of {@link #commandLine()}. */
  public static CommandLine withManners(CommandLine line) {
    line.getSubcommands()
        .values()
        .forEach(command -> command.getCommandSpec().mixinStandardHelpOptions(true));
    line.setExecutionExceptionHandler(
        (e, command, parsed) -> {
          Terminal.complain(command.getCommandSpec(), said(e));
          if (System.getenv("FINEBORE_TRACE") != null) {
            e.printStackTrace(command.getErr());
          }
          return 1;
        });
    line.setParameterExceptionHandler(
        (e, arguments) -> {
          Terminal.complain(e.getCommandLine().getCommandSpec(), e.getMessage());
          return 2;
        });
    return line;
  }

  /** What went wrong; that it is the program's own fault, where nobody foresaw it. */
  private static String said(Exception e) {
    Words words = Speech.ofShop();
    return switch (e) {
      case FileProblem problem -> words.say(problem);
      case RuleViolation rule -> words.say(rule);
      default -> words.text("cli.fault", "cause", e.toString());
    };
  }

  public static void main(String[] arguments) {
    CommandLine line = commandLine();
    if (arguments.length == 0) {
      line.usage(System.err);
      System.exit(2);
    }
    System.exit(line.execute(arguments));
  }
}
