package finebore.desk.shop;

import finebore.code.RuleViolation;
import finebore.desk.session.JobSession;
import finebore.desk.session.Messages;
import finebore.formats.FileProblem;

/** Makes changes to the shop and says what went wrong with them. */
final class Changes {

  /** A change that goes to disk. */
  @FunctionalInterface
  interface Change {
    void make() throws FileProblem;
  }

  private final JobSession session;
  private final Runnable after;

  Changes(JobSession session, Runnable after) {
    this.session = session;
    this.after = after;
  }

  /** Whether something that was typed stands refused. */
  boolean isTyping() {
    return session.messages().said().get().kind() == Messages.Kind.REFUSED;
  }

  /**
   * Makes a change.
   *
   * @param about id of the control it came from
   */
  void make(String about, Change change) {
    try {
      change.make();
      session.messages().clear(about);
      after.run();
    } catch (FileProblem e) {
      session.messages().refuse(about, session.words().say(e));
    } catch (RuleViolation e) {
      session.messages().refuse(about, session.words().say(e));
    }
  }

  /**
   * Makes a change that was typed into a field, which says itself what rule it breaks.
   *
   * @throws RuleViolation if it cannot be
   */
  void typed(String about, Change change) {
    try {
      change.make();
      after.run();
    } catch (FileProblem e) {
      session.messages().refuse(about, session.words().say(e));
    }
  }
}
