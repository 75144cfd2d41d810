package finebore.desk.session;

import finebore.formats.FileProblem;
import finebore.formats.JobLease;
import finebore.formats.JobLease.Holder;
import finebore.formats.SafeFile;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/** Keeps the lease of the job file that is open, off the window's thread. */
public final class OpenJob {

  private final String run = UUID.randomUUID().toString();
  private final ScheduledExecutorService keeper =
      Executors.newSingleThreadScheduledExecutor(
          Thread.ofPlatform().daemon().name("lease").factory());
  private Optional<JobLease> lease = Optional.empty();

  public OpenJob() {
    long every = JobLease.RENEWED_EVERY.toSeconds();
    keeper.scheduleWithFixedDelay(
        () -> lease.ifPresent(JobLease::renew), every, every, TimeUnit.SECONDS);
  }

  /**
   * Holds another file from now on, and none where none is given.
   *
   * @param taken told who else has it open, from the keeper's thread
   */
  public void hold(Optional<Path> file, Consumer<Holder> taken) {
    run(
        () -> {
          lease.ifPresent(JobLease::giveBack);
          lease = file.map(f -> new JobLease(f, me()));
          lease.flatMap(JobLease::renew).ifPresent(taken);
        });
  }

  /** Lets go; the program ends. */
  public void close() {
    run(() -> lease.ifPresent(JobLease::giveBack));
    keeper.shutdown();
    try {
      keeper.awaitTermination(5, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void run(Runnable work) {
    try {
      keeper.execute(work);
    } catch (RejectedExecutionException e) {
      // The program has let go already.
      return;
    }
  }

  private Holder me() {
    return new Holder(run, System.getProperty("user.name", "?"), machine(), Instant.now());
  }

  private static String machine() {
    String named = System.getenv().getOrDefault("COMPUTERNAME", System.getenv("HOSTNAME"));
    if (named != null && !named.isBlank()) {
      return named;
    }
    try {
      // Asking the system for its own name would ask the network.
      return SafeFile.text(Path.of("/etc/hostname"), 1 << 10).strip();
    } catch (FileProblem e) {
      return "?";
    }
  }
}
