package finebore.instruments;

/** The bench cannot go on; what it says tells the operator what to do. */
public final class BenchTrouble extends Exception {
  private static final long serialVersionUID = 1L;

  public BenchTrouble(String message) {
    super(message);
  }
}
