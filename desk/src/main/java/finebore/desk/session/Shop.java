package finebore.desk.session;

import finebore.cutting.Cutter;
import finebore.formats.FileProblem;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.practice.Practice;
import java.nio.file.Path;
import java.text.Normalizer;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * What belongs to the shop and to no job: its practices and its rack of cutters. Every change goes
 * to the desk's folder at once and can be taken back while the program runs.
 */
public final class Shop {

  private static final Logger LOG = Logger.getLogger(Shop.class.getName());

  private final DeskFolder folder;
  private final JobSession session;
  private final Deque<Before> before = new ArrayDeque<>();

  /** The shop as it was before a change. */
  private record Before(List<Practice> own, List<Cutter> rack) {}

  public Shop(DeskFolder folder, JobSession session) {
    this.folder = folder;
    this.session = session;
  }

  public List<Practice> practices() {
    return session.practices();
  }

  /** Whether a practice is the shop's, and not one that ships with the program. */
  public boolean isOwn(Practice practice) {
    return !PracticeFiles.isShipped(practice);
  }

  /** A practice of the shop's own, beginning as a copy of another. */
  public Practice copy(Practice from, String name) throws FileProblem {
    Practice copy = from.named(freeId(name), name);
    keep(copy);
    return copy;
  }

  /** An id for a name that no practice has yet. */
  private String freeId(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String id = plain.isEmpty() ? "own" : plain;
    for (int k = 2; isTaken(id); k++) {
      id = (plain.isEmpty() ? "own" : plain) + "-" + k;
    }
    return id;
  }

  private boolean isTaken(String id) {
    return practices().stream().anyMatch(p -> p.id().equals(id));
  }

  /** Keeps a practice of the shop's own, new or changed. */
  public void keep(Practice practice) throws FileProblem {
    Before was = now();
    PracticeFiles.save(practice, folder.practices());
    changed(was);
  }

  public void remove(Practice practice) throws FileProblem {
    Before was = now();
    PracticeFiles.remove(practice, folder.practices());
    changed(was);
  }

  /** Writes a practice to a file, to be handed on. */
  public void share(Practice practice, Path file) throws FileProblem {
    PracticeFiles.write(practice, file);
  }

  /** Takes a practice over that was handed on; one of an id that is taken gets another. */
  public Practice take(Path file) throws FileProblem {
    Practice read = PracticeFiles.read(file);
    Practice own = isTaken(read.id()) ? read.named(freeId(read.name()), read.name()) : read;
    keep(own);
    return own;
  }

  public List<Cutter> rack() {
    return session.rack();
  }

  public void keepRack(List<Cutter> cutters) throws FileProblem {
    Before was = now();
    RackFile.write(cutters, ShopRack.file(folder));
    session.useRack(cutters);
    changed(was);
  }

  public boolean canTakeBack() {
    return !before.isEmpty();
  }

  /** Takes the last change back. */
  public void takeBack() throws FileProblem {
    if (before.isEmpty()) {
      return;
    }
    Before was = before.pop();
    for (Practice own : ownPractices()) {
      if (was.own.stream().noneMatch(p -> p.id().equals(own.id()))) {
        PracticeFiles.remove(own, folder.practices());
      }
    }
    for (Practice own : was.own) {
      PracticeFiles.save(own, folder.practices());
    }
    if (!was.rack.equals(session.rack())) {
      RackFile.write(was.rack, ShopRack.file(folder));
      session.useRack(was.rack);
    }
    read();
  }

  private List<Practice> ownPractices() {
    return practices().stream().filter(this::isOwn).toList();
  }

  private Before now() {
    return new Before(ownPractices(), session.rack());
  }

  private void changed(Before was) {
    before.push(was);
    read();
  }

  private void read() {
    session.usePractices(
        PracticeFiles.with(
            folder.practices(), e -> LOG.log(Level.WARNING, session.words().say(e), e)));
  }
}
