package finebore.desk.shell;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;

/** Moments as they are shown: day and minute, by the machine's clock. */
final class Moments {

  private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

  private Moments() {}

  static String text(Instant moment) {
    return SHOWN.format(moment.atZone(ZoneId.systemDefault()));
  }
}
