package finebore.formats.campaign;

import finebore.formats.FileProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What came of many tries: how often what, and what should not have. */
final class Tally {

  static final String THROWN = "thrown";
  private static final long LONGEST_NS = 5_000_000_000L;

  private final Map<String, Integer> outcomes = new TreeMap<>();
  private final List<String> failed = new ArrayList<>();

  /** One try, and what it comes to in a word. */
  interface Try {
    String outcome() throws FileProblem;
  }

  /** Tries once: anything thrown but a file problem, and anything slow, has failed. */
  String take(long seed, Try one) {
    long began = System.nanoTime();
    String outcome;
    try {
      outcome = one.outcome();
    } catch (FileProblem e) {
      outcome = e.problem().code();
    } catch (RuntimeException | StackOverflowError e) {
      fail(seed, e.toString());
      outcome = THROWN;
    }
    outcomes.merge(outcome, 1, Integer::sum);
    if (System.nanoTime() - began > LONGEST_NS) {
      fail(seed, "took more than 5 s");
    }
    return outcome;
  }

  void fail(long seed, String why) {
    failed.add(seed + ": " + why);
  }

  /** What failed; all of it is printed. */
  List<String> tell(String what, int tries) {
    System.out.println(what + ": " + tries + ", " + outcomes + ", failed " + failed);
    return failed;
  }
}
