package finebore.instruments;

import finebore.code.Coded;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * A vacuum tester that is not there. A pump draws on a closed port against what leaks past seat and
 * guide; shut off, the depression falls. A guide that is oiled leaks a twentieth of what it does
 * dry. Its clock advances by a tenth of a second with every reading. Figures are invented.
 */
public final class SimulatedVacuum implements SimulatedLink.Answering {

  /** What can go wrong. */
  public enum Fault implements Coded {
    /** The hose has come off: nothing holds. */
    HOSE_OFF,
    /** It gives no more answers until it is greeted again. */
    SILENT,
    /** Every second answer is noise. */
    GARBAGE;

    @Override
    public String code() {
      return "vacuumFault." + name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A port on the tester.
   *
   * @param seatLeak of the seat, 0 for none; 1 holds half of what the pump can
   * @param guideLeak of the dry guide
   */
  public record PortLeak(double seatLeak, double guideLeak) {}

  private static final double PUMP_PA = 88_000;
  private static final double OILED_SHARE = 0.05;
  private static final double SECONDS_A_READING = 0.1;
  private static final double PUMP_SECONDS = 0.6;
  private static final double FALL_SECONDS = 1.6;
  private static final double NOISE_PA = 120;
  private static final double RESOLUTION_PA = 50;

  private final Random random;
  private final double ambientPa;
  private PortLeak port = new PortLeak(0.02, 0.05);
  private boolean oiled;
  private boolean pumping;
  private double pa;
  private double zeroPa;
  private int answers;
  private Optional<Fault> fault = Optional.empty();

  /** A tester in a room of a pressure. */
  public SimulatedVacuum(long seed, double ambientPa) {
    this.random = new Random(seed);
    this.ambientPa = ambientPa;
  }

  /** Holds it to another port, its guide dry or oiled. */
  public void on(PortLeak other, boolean isOiled) {
    port = other;
    oiled = isOiled;
    pa = 0;
    pumping = false;
  }

  public void fail(Fault next) {
    fault = Optional.of(next);
  }

  private double leak() {
    return fault.equals(Optional.of(Fault.HOSE_OFF))
        ? 60
        : port.seatLeak() + port.guideLeak() * (oiled ? OILED_SHARE : 1);
  }

  /** What the pump holds against the leak: what it draws falls in a line with what it holds. */
  public double heldPa() {
    return PUMP_PA * (ambientPa / 101_325) / (1 + leak());
  }

  @Override
  public Optional<String> answer(String line) {
    Optional<Frame> asked = Frame.of(line);
    if (asked.isEmpty()) {
      return Optional.empty();
    }
    String[] words = asked.get().words();
    String command = words.length > 1 ? words[1] : "";
    if (command.equals("HELLO")) {
      fault = Optional.empty();
    }
    if (fault.equals(Optional.of(Fault.SILENT))) {
      return Optional.empty();
    }
    answers++;
    String reply =
        switch (command) {
          case "HELLO" -> "OK protocol=1 name=vacuum";
          case "PUMP" -> pump(true);
          case "SHUT" -> pump(false);
          case "READ" -> read();
          default -> "ERR no such command";
        };
    String whole = new Frame(words[0] + " " + reply).line();
    boolean noise = fault.equals(Optional.of(Fault.GARBAGE)) && answers % 2 == 0;
    return Optional.of(noise ? whole.replace('O', '#') : whole);
  }

  private String pump(boolean on) {
    pumping = on;
    return "OK";
  }

  private String read() {
    double after = pumping ? PUMP_SECONDS : FALL_SECONDS / Math.max(leak(), 0.002);
    double toward = pumping ? heldPa() : 0;
    pa = toward + (pa - toward) * Math.exp(-SECONDS_A_READING / after);
    zeroPa += 2 * random.nextGaussian();
    double shown = pa + zeroPa + NOISE_PA * random.nextGaussian();
    return String.format(
        Locale.ROOT,
        "OK vacuum=%.0f ambient=%.0f",
        Math.max(0, Math.round(shown / RESOLUTION_PA) * RESOLUTION_PA),
        ambientPa);
  }
}
