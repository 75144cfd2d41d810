package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import finebore.found.Measure;
import finebore.job.Head;
import finebore.job.Job;
import finebore.units.Units;
import finebore.work.ReadBack;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Readings go out and come back the same; what is wrong with a table is said by its row. */
class ReadingsTableTest {

  private static final WorkLog.Hand HAND =
      new WorkLog.Hand(Instant.parse("2026-03-17T06:00:00Z"), "N.");

  @ParameterizedTest
  @EnumSource(Units.class)
  void comesBackAsItWentOut(Units units) throws FileProblem {
    Job job = JobFile.demo().withUnits(units);
    Job bare = job.withHead(job.head().withReadings(Map.of())).withLog(WorkLog.EMPTY);
    ReadingsTable.In in = ReadingsTable.read(bare, ReadingsTable.csv(job), HAND);
    assertThat(in.found()).isPositive();
    assertThat(in.atMachine()).isPositive();
    Head head = in.job().head();
    for (var seat : job.engine().seats()) {
      for (Measure measure : Measure.values()) {
        var before = job.head().readingsOf(seat.label()).value(measure);
        var after = head.readingsOf(seat.label()).value(measure);
        assertThat(after.isPresent()).isEqualTo(before.isPresent());
        before.ifPresent(v -> assertThat(after.getAsDouble()).isCloseTo(v, offset(1e-9)));
      }
      for (ReadBack what : ReadBack.values()) {
        var before = job.log().value(seat.label(), what);
        var after = in.job().log().value(seat.label(), what);
        assertThat(after.isPresent()).isEqualTo(before.isPresent());
        before.ifPresent(v -> assertThat(after.getAsDouble()).isCloseTo(v, offset(1e-9)));
      }
    }
  }

  @Test
  void unitsOfATableAreObeyed() throws FileProblem {
    String table =
        """
        seat,taken,reading,value,unit,who
        I1,found,seatWidth,60,thou,
        I2,machine,throat,1.403,in,M.
        I2,machine,vacuumDry,21,inHg,M.
        E1,found,seatAngle,45,deg,
        """;
    Job job = ReadingsTable.read(JobFile.demo(), table, HAND).job();
    assertThat(job.head().readingsOf("I1").value(Measure.SEAT_WIDTH).getAsDouble())
        .isCloseTo(1.524, offset(1e-9));
    assertThat(job.log().value("I2", ReadBack.THROAT).getAsDouble())
        .isCloseTo(35.6362, offset(1e-9));
    assertThat(job.log().value("I2", ReadBack.VACUUM_DRY).getAsDouble())
        .isCloseTo(71_114.169, offset(1e-3));
    assertThat(job.log().entries().getLast().who()).isEqualTo("N.");
    // Nothing of the history before has gone.
    assertThat(job.log().entries().subList(0, JobFile.demo().log().entries().size()))
        .isEqualTo(JobFile.demo().log().entries());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "I9,found,seatWidth,1.5,mm|seat|I9",
        "I1,guessed,seatWidth,1.5,mm|taken|guessed",
        "I1,found,seatWidht,1.5,mm|reading|seatWidht",
        "I1,found,throat,1.5,mm|reading|throat",
        "I1,found,seatWidth,wide,mm|value|wide",
        "I1,found,seatWidth,1.5,furlong|unit|furlong",
        "I1,found,seatWidth,16,mm|value|16",
        "I1,machine,seatWidth,-1,mm|value|-1"
      })
  void whatIsWrongIsNamed(String row, String column, String found) {
    String table = "seat,taken,reading,value,unit\nI1,found,seatWidth,2.2,mm\n" + row + "\n";
    assertThatThrownBy(() -> ReadingsTable.read(JobFile.demo(), table, HAND))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("readings.wrong")
        .hasMessageContaining(column)
        .hasMessageContaining(found);
  }

  @Test
  void aTableWithoutItsColumnsIsRefused() {
    assertThatThrownBy(
            () -> ReadingsTable.read(JobFile.demo(), "seat,reading,value\nI1,throat,3\n", HAND))
        .hasMessageContaining("readings.noColumn")
        .hasMessageContaining("taken");
  }

  /** Only what counts is written: a corrected reading stands once, with its last value. */
  @Test
  void aCorrectedReadingStandsOnce() {
    Job job = JobFile.demo().withLog(WorkLog.EMPTY);
    WorkLog log =
        job.log()
            .with(HAND, "I1", "", new Taken(ReadBack.THROAT, 35.1, "=cap"), "")
            .with(HAND, "I1", "", new Taken(ReadBack.THROAT, 35.6, ""), "");
    String csv = ReadingsTable.csv(job.withLog(log));
    assertThat(csv.lines().filter(l -> l.contains("machine")))
        .containsExactly("I1,machine,throat,35.6,mm,2026-03-17T06:00:00Z,N.,");
    assertThat(csv).doesNotContain("=cap");
  }
}
