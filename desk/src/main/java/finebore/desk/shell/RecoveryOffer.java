package finebore.desk.shell;

import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * Offers work that earlier runs could not save, one after the other: to take up, to drop, or to be
 * asked about at the next start.
 */
final class RecoveryOffer {

  private final JobSession session;
  private final Recovery recovery;
  private final Banner banner;
  private final BooleanSupplier mayLeave;
  private final Runnable leaving;

  /**
   * An offer in a banner.
   *
   * @param mayLeave whether the open job may be left
   * @param leaving called before other work is taken up
   */
  RecoveryOffer(
      JobSession session,
      Recovery recovery,
      Banner banner,
      BooleanSupplier mayLeave,
      Runnable leaving) {
    this.session = session;
    this.recovery = recovery;
    this.banner = banner;
    this.mayLeave = mayLeave;
    this.leaving = leaving;
  }

  void offer(Recovery.Found left) {
    if (!left.unreadable().isEmpty()) {
      banner.say(
          left.unreadable().stream().map(session.words()::say).collect(Collectors.joining("\n")),
          Banner.Kind.PROBLEM);
    }
    offer(left.work());
  }

  private void offer(List<Recovery.Lost> left) {
    if (left.isEmpty()) {
      return;
    }
    Recovery.Lost lost = left.getFirst();
    List<Recovery.Lost> others = left.subList(1, left.size());
    banner.say(
        session.say(
            "recovery.offer",
            "job",
            lost.document().job().name(),
            "time",
            Moments.text(lost.written()),
            "more",
            others.size()),
        Banner.Kind.OFFER,
        banner.choice("recover", session.say("recovery.take"), () -> take(lost, others)),
        banner.choice("drop-recovery", session.say("recovery.drop"), () -> drop(lost, others)),
        banner.choice("later-recovery", session.say("recovery.later"), () -> next(others)));
  }

  private void next(List<Recovery.Lost> others) {
    banner.clear();
    offer(others);
  }

  private void drop(Recovery.Lost lost, List<Recovery.Lost> others) {
    recovery.discard(lost);
    next(others);
  }

  private void take(Recovery.Lost lost, List<Recovery.Lost> others) {
    if (!mayLeave.getAsBoolean()) {
      return;
    }
    leaving.run();
    session.load(lost.document(), lost.file());
    session.markUnsaved();
    recovery.keep(session);
    // Not before the new copy is on disk: a full disk would lose both.
    if (recovery.settle()) {
      recovery.discard(lost);
    }
    next(others);
  }
}
