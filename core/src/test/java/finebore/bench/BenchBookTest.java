package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.flow.Direction;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class BenchBookTest {

  private static FlowTest test(int id, Direction direction) {
    return FlowTest.empty(
        id,
        "test " + id,
        new SetUp(
            "bench",
            direction == Direction.INTAKE ? "I1" : "E1",
            direction,
            TestedState.AS_FOUND,
            new TestedValve(40, "found"),
            OptionalDouble.empty(),
            Inlet.BARE,
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty()));
  }

  @Test
  void idsGrowAndPlacesCountFromOne() {
    BenchBook book =
        BenchBook.EMPTY
            .with(test(1, Direction.INTAKE))
            .with(test(4, Direction.EXHAUST))
            .with(test(7, Direction.INTAKE));
    assertThat(book.nextId()).isEqualTo(8);
    assertThat(book.numberOf(test(4, Direction.EXHAUST))).isEqualTo(2);
    assertThat(book.last(Direction.INTAKE).orElseThrow().id()).isEqualTo(7);
    assertThat(book.last(Direction.EXHAUST).orElseThrow().id()).isEqualTo(4);
    assertThat(book.with(test(4, Direction.INTAKE)).tests())
        .extracting(FlowTest::id)
        .containsExactly(1, 4, 7);
    assertThat(book.without(4).tests()).hasSize(2);
    assertThat(BenchBook.EMPTY.nextId()).isEqualTo(1);
    assertThatThrownBy(() -> book.numberOf(test(9, Direction.INTAKE))).hasMessageContaining("9");
  }

  @Test
  void checksOfARangeStayInTheOrderOfTheirDays() {
    CheckPlate plate = new CheckPlate.Stamped(0.1, 7000);
    LocalDate day = LocalDate.of(2026, 3, 5);
    BenchBook book = BenchBook.EMPTY;
    for (int back : new int[] {0, 4, 2}) {
      book =
          book.withCheck(
              "3", new PlateCheck(day.minusDays(back), plate, 70 + back, 7000, Optional.empty()));
    }
    BenchRange range = book.range("3").orElseThrow();
    assertThat(range.checks()).extracting(PlateCheck::percent).containsExactly(74.0, 72.0, 70.0);
    assertThat(range.checkFor(Optional.of(day.minusDays(1))).orElseThrow().percent()).isEqualTo(72);
    // A test older than every check goes by the first there is.
    assertThat(range.checkFor(Optional.of(day.minusDays(9))).orElseThrow().percent()).isEqualTo(74);
    assertThat(book.ranges()).hasSize(1);
    BenchRange same = new BenchRange("3", List.of());
    assertThatThrownBy(() -> new BenchBook(List.of(range, same), List.of()))
        .hasMessageContaining("rangeNamesDiffer");
    assertThatThrownBy(() -> new BenchRange(" ", List.of())).hasMessageContaining("rangeName");
  }
}
