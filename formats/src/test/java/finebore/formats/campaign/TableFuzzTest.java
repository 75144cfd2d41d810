package finebore.formats.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.SetUp.TestedState;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.TestExport;
import finebore.formats.TestImport;
import finebore.formats.TestTaking;
import finebore.job.Job;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Damaged tables: each is taken, taken in part with what was left out named, or refused. */
class TableFuzzTest {

  private static final Job DEMO = JobFile.demo();
  private static final String TABLE =
      TestExport.csv(DEMO).lines().limit(40).toList().stream()
          .reduce((a, b) -> a + "\n" + b)
          .orElseThrow();

  private static final List<String> TABLES =
      List.of(
          TABLE,
          "Shop bench\n\nValve lift;CFM @ 28;remarks\n\"0,05\";21;a\n\"0,1\";42;b\n",
          "lift (mm)\tbase (l/s)\tblended (l/s)\n1\t12\t12.4\n2\t24\t25\n4\t41\t43\n",
          "lift (in),percent,range\n0.1,42,3\n0.2,71,3\n");

  @Test
  void damagedTablesAreTakenOrRefusedWithWords() {
    assertThat(run(1, 600)).isEmpty();
  }

  @Test
  @Tag("long")
  void damagedTablesAreTakenOrRefusedWithWordsAtLength() {
    assertThat(run(1_000_000, Integer.getInteger("finebore.tables", 100_000))).isEmpty();
  }

  private static List<String> run(long from, int tables) {
    Tally tally = new Tally();
    for (long seed = from; seed < from + tables; seed++) {
      String text = new Mutations(seed).damage(TABLES.get((int) (seed % TABLES.size())));
      tally.take(seed, () -> taken(text));
    }
    return tally.tell("damaged tables", tables);
  }

  private static String taken(String text) throws FileProblem {
    CsvTable table = CsvTable.of(text);
    List<TestImport.Column> columns = TestImport.guess(table);
    if (TestImport.missing(columns).isPresent()) {
      return "asked";
    }
    TestImport.Result result = TestImport.read(table, columns, "table");
    TestTaking taking =
        TestTaking.into(DEMO, result, DEMO.engine().seats().getFirst(), TestedState.AS_FOUND);
    if (taking.tests().size() + taking.refused().size() != result.tests().size()) {
      throw new IllegalStateException("a test is neither taken nor refused");
    }
    if (result.tests().isEmpty() && result.rejected().isEmpty() && !table.rows().isEmpty()) {
      throw new IllegalStateException("rows are neither taken nor rejected");
    }
    return taking.refused().isEmpty() && result.rejected().isEmpty() ? "taken" : "taken in part";
  }
}
