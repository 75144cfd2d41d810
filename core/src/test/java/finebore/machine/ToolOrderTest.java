package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.code.Message;
import finebore.job.Engine.SeatPlace;
import finebore.job.Port;
import finebore.work.ReadBack;
import finebore.work.StepKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The order of the work: few tools, in the order of each seat, the earliest kind first. */
class ToolOrderTest {

  /** A seat's steps, each named by its tool; the tool's first letter tells its kind. */
  private static List<RunStep> seat(String label, String... tools) {
    Port port = label.startsWith("I") ? Port.INTAKE : Port.EXHAUST;
    SeatPlace seat = new SeatPlace(label, port, label.charAt(1) - '0');
    Function<String, StepKind> kind =
        tool ->
            switch (tool.charAt(0)) {
              case 'g' -> StepKind.GUIDE;
              case 't' -> StepKind.THROAT;
              case 'f' -> StepKind.FORM;
              default -> StepKind.SEAL;
            };
    return Arrays.stream(tools)
        .map(
            tool ->
                new RunStep(
                    label + ":" + tool,
                    seat,
                    kind.apply(tool),
                    tool,
                    Message.of("step"),
                    Optional.empty(),
                    OptionalInt.empty(),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty()))
        .toList();
  }

  /** The order of the steps of seats, each as its label and the tools of its steps. */
  private static List<String> order(String... seats) {
    List<List<RunStep>> queues = new ArrayList<>();
    for (String seat : seats) {
      String[] words = seat.split(" ");
      queues.add(seat(words[0], Arrays.copyOfRange(words, 1, words.length)));
    }
    return ToolOrder.of(queues).stream().map(RunStep::id).toList();
  }

  @Test
  void everySeatOfAToolIsCutBeforeTheNextToolIsFitted() {
    assertThat(order("I1 g t f", "I2 g t f"))
        .containsExactly("I1:g", "I2:g", "I1:t", "I2:t", "I1:f", "I2:f");
    assertThat(order()).isEmpty();
    assertThat(order("I1", "I2 g")).containsExactly("I2:g");
  }

  /** A tool that a seat comes to later waits for it, while another can be done first. */
  @Test
  void aToolThatWouldComeBackWaits() {
    assertThat(order("I1 f4", "I2 t1 f4")).containsExactly("I2:t1", "I1:f4", "I2:f4");
    assertThat(order("I1 t2 f4", "I2 f4 t2")).containsExactly("I1:t2", "I1:f4", "I2:f4", "I2:t2");
    // The throat's tool comes back for I2, which waits for its form: later work goes first then.
    assertThat(order("I1 t2", "I2 f4 t2")).containsExactly("I2:f4", "I1:t2", "I2:t2");
    assertThat(order("I1 t1 f1 t1", "I2 f2")).containsExactly("I2:f2", "I1:t1", "I1:f1", "I1:t1");
    // A seat that uses a tool twice on end keeps it fitted, and that is no coming back.
    assertThat(order("I1 t1 t1", "I2 f4")).containsExactly("I1:t1", "I1:t1", "I2:f4");
    assertThat(order("I1 t1 t1 f4", "I2 t1 f4"))
        .containsExactly("I1:t1", "I1:t1", "I2:t1", "I1:f4", "I2:f4");
  }

  /** Intakes before exhausts, and of two tools the one that more seats wait for. */
  @Test
  void amongEqualsThePortAndTheNumberOfSeatsDecide() {
    assertThat(order("E1 f1", "I1 f2")).containsExactly("I1:f2", "E1:f1");
    assertThat(order("I1 f1", "I2 f2", "I3 f2")).containsExactly("I2:f2", "I3:f2", "I1:f1");
    assertThat(order("E1 g1", "I1 t2")).containsExactly("E1:g1", "I1:t2");
  }

  @ParameterizedTest
  @CsvSource({
    "8.40, 0",
    "8.4499999999, 0",
    "8.4500000005, 0",
    "8.4501, 0.0001",
    "8.3499999995, 0",
    "8.3499, -0.0001",
    "8.30, -0.05"
  })
  void aReadingAtItsLimitIsWithinIt(double value, double past) {
    RunStep.Target target = RunStep.Target.about(ReadBack.SEAT_DEPTH, 8.4, 0.05);
    assertThat(target.pastMm(value)).isCloseTo(past, within(1e-9));
    assertThat(target.allows(value)).isEqualTo(past == 0);
    assertThat(target.wanted()).hasValue(8.4);
    assertThat(RunStep.Target.atMost(ReadBack.SEAT_RUNOUT, 0.03).pastMm(0.05))
        .isCloseTo(0.02, within(1e-12));
    assertThat(RunStep.Target.atMost(ReadBack.SEAT_RUNOUT, 0.03).allows(-5)).isTrue();
    assertThat(RunStep.Target.atLeast(ReadBack.MARGIN, 1).pastMm(0.8))
        .isCloseTo(-0.2, within(1e-12));
    assertThat(RunStep.Target.atLeast(ReadBack.MARGIN, 1).allows(99)).isTrue();
    assertThat(RunStep.Target.kept(ReadBack.MARGIN).allows(-99)).isTrue();
  }

  @Test
  void theWorkGoesOnPastWhatIsDoneOrAccepted() {
    assertThat(Arrays.stream(StepState.values()).filter(StepState::isPast))
        .containsExactly(StepState.DONE, StepState.ACCEPTED);
  }
}
