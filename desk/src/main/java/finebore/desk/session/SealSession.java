package finebore.desk.session;

import finebore.code.Message;
import finebore.instruments.BenchLink;
import finebore.instruments.BenchLink.LinkLost;
import finebore.instruments.SerialLink;
import finebore.instruments.SimulatedLink;
import finebore.instruments.SimulatedVacuum;
import finebore.instruments.SimulatedVacuum.PortLeak;
import finebore.instruments.VacuumRun;
import finebore.job.Engine.SeatPlace;
import finebore.seal.GuideState;
import finebore.seal.VacuumReading;
import finebore.work.ReadBack;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** The vacuum tester: a test under way, and what it reads going into the history. */
public final class SealSession {

  /** Pressure of the simulated room, Pa. */
  private static final double ROOM_PA = 100_600;

  private final JobSession session;
  private final WorkSession work;
  private Optional<SimulatedVacuum> simulated = Optional.empty();
  private Optional<BenchLink> link = Optional.empty();
  private Optional<VacuumRun> run = Optional.empty();
  private Optional<SimulatedVacuum.Fault> next = Optional.empty();
  private Optional<Message> trouble = Optional.empty();
  private SeatPlace seat;
  private GuideState guide = GuideState.DRY;
  private String port = "";

  public SealSession(JobSession session, WorkSession work) {
    this.session = session;
    this.work = work;
  }

  public List<String> ports() {
    return SerialLink.ports();
  }

  /** The serial port of the tester; empty for the simulated one. */
  public void setPort(String name) {
    port = name;
  }

  public boolean isSimulated() {
    return port.isEmpty();
  }

  /** Lets the next simulated test go wrong. */
  public void fail(SimulatedVacuum.Fault fault) {
    next = Optional.of(fault);
  }

  /** Begins a test of a port. */
  public void begin(SeatPlace on, GuideState how) {
    stop();
    seat = on;
    guide = how;
    trouble = Optional.empty();
    try {
      link = Optional.of(open());
      run = Optional.of(VacuumRun.begin(link.get()));
    } catch (LinkLost e) {
      trouble = Optional.of(e.loss());
    }
  }

  private BenchLink open() throws LinkLost {
    if (!port.isEmpty()) {
      return SerialLink.open(port);
    }
    SimulatedVacuum tester =
        simulated.orElseGet(() -> new SimulatedVacuum(session.job().name().hashCode(), ROOM_PA));
    simulated = Optional.of(tester);
    tester.on(leak(), guide == GuideState.OILED);
    next.ifPresent(tester::fail);
    next = Optional.empty();
    return new SimulatedLink(tester);
  }

  /** Every port leaks in a way of its own; one in six has a seat or a guide to be found out. */
  private PortLeak leak() {
    Random random = new Random(31L * session.job().name().hashCode() + seat.label().hashCode());
    double seatLeak = 0.01 + 0.03 * random.nextDouble();
    double guideLeak = 0.03 + 0.06 * random.nextDouble();
    double odd = random.nextDouble();
    return odd < 0.09
        ? new PortLeak(seatLeak + 0.6, guideLeak)
        : odd < 0.18 ? new PortLeak(seatLeak, guideLeak + 0.5) : new PortLeak(seatLeak, guideLeak);
  }

  /** Looks at the needle once; whether the test goes on. */
  public boolean look() {
    if (run.isEmpty()) {
      return false;
    }
    VacuumRun.State state = run.get().look();
    if (state == VacuumRun.State.DONE) {
      run.get().reading().ifPresent(this::keep);
      close();
    } else if (state == VacuumRun.State.LOST) {
      trouble = run.get().trouble();
      close();
    }
    return run.isPresent();
  }

  private void keep(VacuumReading reading) {
    String gauge = isSimulated() ? "vacuum" : port;
    boolean dry = guide == GuideState.DRY;
    String step = seat.label() + ":seal";
    work.read(seat, step, ReadBack.AMBIENT, reading.ambientPa(), gauge, "");
    work.read(
        seat, step, dry ? ReadBack.VACUUM_DRY : ReadBack.VACUUM_OILED, reading.heldPa(), gauge, "");
    if (reading.fallSeconds().isPresent()) {
      work.read(
          seat,
          step,
          dry ? ReadBack.FALL_DRY : ReadBack.FALL_OILED,
          reading.fallSeconds().getAsDouble(),
          gauge,
          "");
    }
  }

  /** Breaks a test off; nothing is kept of it. */
  public void stop() {
    close();
  }

  private void close() {
    link.ifPresent(BenchLink::close);
    link = Optional.empty();
    run = Optional.empty();
  }

  public boolean isRunning() {
    return run.isPresent();
  }

  /** What the needle shows, Pa. */
  public double needlePa() {
    return run.map(VacuumRun::needlePa).orElse(0.0);
  }

  public Optional<VacuumRun.State> state() {
    return run.map(VacuumRun::state);
  }

  /** What went wrong with the last test. */
  public Optional<Message> trouble() {
    return trouble;
  }
}
