package finebore.cli;

import java.io.PrintWriter;
import picocli.CommandLine.Model.CommandSpec;

/**
 * What commands print. Names and remarks come from files of others: a control character among them
 * must not reach the terminal, which would take it for an order.
 */
final class Terminal {

  private Terminal() {}

  static void print(CommandSpec spec, String text) {
    PrintWriter out = spec.commandLine().getOut();
    out.print(plain(text));
    out.flush();
  }

  static void println(CommandSpec spec, String text) {
    print(spec, text + "\n");
  }

  /** One line for what went wrong. */
  static void complain(CommandSpec spec, String text) {
    PrintWriter err = spec.commandLine().getErr();
    err.println("finebore: " + plain(text).strip().replaceAll("\\s*\\n\\s*", " "));
    err.flush();
  }

  static String plain(String text) {
    return text.replaceAll("[\\p{Cc}\\p{Cf}&&[^\\n\\t]]", "\uFFFD");
  }
}
