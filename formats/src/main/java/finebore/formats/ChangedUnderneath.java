package finebore.formats;

import java.nio.file.Path;

/** A job file that somebody else has written since it was read; nothing has been written. */
public final class ChangedUnderneath extends FileProblem {
  private static final long serialVersionUID = 1L;

  ChangedUnderneath(Path file) {
    super(of("changedUnderneath", file));
  }
}
