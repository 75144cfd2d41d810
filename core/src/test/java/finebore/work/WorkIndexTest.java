package finebore.work;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import java.time.Instant;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** An index answers as the history itself does, whatever was done. */
class WorkIndexTest {

  private static final List<String> SEATS = List.of("I1", "E1", "I2");

  @Property(tries = 100)
  void answersAsTheHistory(@ForAll List<@IntRange(min = 0, max = 3 * 5 * 4 - 1) Integer> done) {
    WorkLog log = WorkLog.EMPTY;
    WorkLog.Hand hand = new WorkLog.Hand(Instant.EPOCH, "");
    for (int what : done) {
      String seat = SEATS.get(what % 3);
      String step = seat + ":op" + what / 3 % 5;
      int kind = what / 15;
      log =
          kind == 0
              ? log.with(
                  hand,
                  seat,
                  step,
                  new Taken(what % 2 == 0 ? ReadBack.THROAT : ReadBack.BOWL, 30 + what, ""),
                  "")
              : log.with(
                  hand,
                  seat,
                  step,
                  List.of(Kind.DONE, Kind.PROBLEM, Kind.REOPENED).get(kind - 1),
                  "");
    }
    WorkIndex index = WorkIndex.of(log);
    for (String seat : SEATS) {
      for (ReadBack what : List.of(ReadBack.THROAT, ReadBack.BOWL, ReadBack.MARGIN)) {
        assertThat(index.entry(seat, what)).isEqualTo(log.entry(seat, what));
        assertThat(index.value(seat, what)).isEqualTo(log.value(seat, what));
      }
      for (int k = 0; k < 5; k++) {
        assertThat(index.lastOf(seat + ":op" + k)).isEqualTo(log.lastOf(seat + ":op" + k));
      }
    }
  }
}
