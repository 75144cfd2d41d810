package finebore.formats;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;

/**
 * Where what belongs to the shop and to no job is kept: practices, cutters, the look.
 *
 * <p>FINEBORE_HOME names the folder; otherwise it is the system's usual place for a user's state.
 */
public final class HomeFolder {

  private HomeFolder() {}

  /** The folder of the user the program runs for; it need not be there. */
  public static Path ofUser() {
    return of(System.getenv(), System.getProperty("os.name"), System.getProperty("user.home"));
  }

  static Path of(Map<String, String> environment, String system, String home) {
    String own = environment.getOrDefault("FINEBORE_HOME", "");
    if (!own.isBlank()) {
      return Path.of(own);
    }
    String local = environment.getOrDefault("LOCALAPPDATA", "");
    if (system.toLowerCase(Locale.ROOT).startsWith("win") && !local.isBlank()) {
      return Path.of(local, "finebore");
    }
    String state = environment.getOrDefault("XDG_STATE_HOME", "");
    return (state.isBlank() ? Path.of(home).resolve(".local/state") : Path.of(state))
        .resolve("finebore");
  }

  /** Where a shop's own practices are in such a folder. */
  public static Path practices(Path folder) {
    return folder.resolve("practices");
  }
}
