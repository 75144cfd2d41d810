package finebore.desk.session;

import finebore.formats.JobFile;
import java.nio.file.Path;
import java.util.Optional;

/**
 * Edits and saves of a job in a process of its own, which says each that is on disk, to be killed.
 */
final class KilledSession {

  private KilledSession() {}

  public static void main(String[] arguments) throws Exception {
    Path file = Path.of(arguments[1]);
    JobSession session = new JobSession(JobFile.read(file), Optional.of(file));
    Recovery recovery = new Recovery(new DeskFolder(Path.of(arguments[0])));
    int from = Integer.parseInt(arguments[2]);
    for (int k = from; k < from + 100_000; k++) {
      String notes = String.valueOf(k);
      session.edit("", job -> job.withNotes(notes));
      recovery.keep(session);
      if (recovery.settle()) {
        say("edit", k);
      }
      if (k % 7 == 0) {
        session.save(file);
        say("save", k);
        recovery.keep(session);
      }
    }
  }

  private static void say(String what, int k) {
    System.out.println(what + " " + k);
    System.out.flush();
  }
}
