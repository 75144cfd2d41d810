package finebore.formats.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.quantity.Quantity;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Damaged job files: each opens, or is refused with words, and one that opens is written as it was
 * read. The schema refuses none that the reader takes, and takes only those the reader refuses for
 * what no schema can say: figures that do not go together.
 */
class JobFuzzTest {

  /** Rules that the schema can state, and does: bounds of figures, lengths of texts and lists. */
  private static final List<String> STATED =
      List.of(
          "rule.outside",
          "rule.jobName",
          "rule.overruleReason",
          "rule.entryText",
          "rule.entryNumber",
          "rule.testName",
          "rule.rangeName",
          "rule.operationsInPlan",
          "rule.liftsOfPlan",
          "rule.liftsInTest",
          "rule.repeatsAtLift",
          "rule.plansInGroup",
          "rule.readingOfEntry");

  /** Bounds that hang on another figure: of the cut that seals, of the ring round a bore. */
  private static final List<String> TOGETHER =
      List.of("rule.outside.sealingAngle", "rule.outside.ringBore");

  private static final List<String> SEEDS = JobFile.demoNames();

  @Test
  void damagedFilesOpenOrAreRefusedWithWords() throws Exception {
    assertThat(new Campaign(1).run(500, 500)).isEmpty();
  }

  @Test
  @Tag("long")
  void damagedFilesOpenOrAreRefusedWithWordsAtLength() throws Exception {
    int files = Integer.getInteger("finebore.files", 100_000);
    assertThat(new Campaign(1_000_000).run(files, files / 4)).isEmpty();
  }

  private static final class Campaign {
    private final long from;
    private final Schema schema;
    private final Tally tally = new Tally();

    Campaign(long from) throws Exception {
      this.from = from;
      try (InputStream in = JobFile.class.getResourceAsStream("schema/job-7.schema.json")) {
        schema =
            SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(in);
      }
    }

    /** What failed; of so many trees with damage, the schema is asked of the first. */
    List<String> run(int files, int toSchema) {
      for (int k = 0; k < files; k++) {
        Mutations mutations = new Mutations(from + k);
        String text = JobFile.text(JobDocument.fresh(JobFile.demo(SEEDS.get(k % SEEDS.size()))));
        boolean tree = k % 4 != 0;
        if (tree) {
          ObjectNode node = (ObjectNode) JsonMapper.shared().readTree(text);
          mutations.damage(node);
          text = JsonMapper.shared().writeValueAsString(node);
        } else {
          text = mutations.damage(text);
        }
        one(from + k, text, tree && k < toSchema * 4 / 3);
      }
      return tally.tell("damaged job files", files);
    }

    private void one(long seed, String text, boolean askSchema) {
      String outcome = tally.take(seed, () -> opened(seed, text));
      if (askSchema && !outcome.equals(Tally.THROWN)) {
        boolean fits = fits(text);
        boolean together =
            outcome.equals("file.namedTwice")
                || outcome.contains("/rule.") && STATED.stream().noneMatch(outcome::contains)
                || TOGETHER.stream().anyMatch(outcome::endsWith);
        if (fits != outcome.equals("opened") && !(fits && together)) {
          tally.fail(
              seed, "schema " + (fits ? "takes" : "refuses") + ", reader: " + outcome + said(text));
        }
      }
    }

    private String opened(long seed, String text) throws FileProblem {
      try {
        JobDocument document = JobFile.parse(text, "x");
        if (!JobFile.parse(JobFile.text(document), "x").job().equals(document.job())) {
          tally.fail(seed, "not written as it was read");
        }
        return "opened";
      } catch (FileProblem e) {
        return code(e.problem());
      }
    }

    /** The validator itself gives up on whole numbers past its own bounds; no file needs those. */
    private boolean fits(String text) {
      try {
        return schema.validate(text, InputFormat.JSON).isEmpty();
      } catch (JacksonException e) {
        return false;
      }
    }

    private String said(String text) {
      try {
        JobFile.parse(text, "x");
        return " " + schema.validate(text, InputFormat.JSON).getFirst();
      } catch (FileProblem e) {
        return " " + e.problem();
      }
    }

    /** What was wrong, down to the rule that was broken. */
    private static String code(Message problem) {
      for (String inner : List.of("problem", "rule")) {
        if (problem.terms().get(inner) instanceof Term.Phrase(Message within)) {
          return problem.code() + "/" + code(within);
        }
      }
      return problem.terms().get("quantity") instanceof Term.Name(Quantity quantity, String other)
          ? problem.code() + "." + quantity.key()
          : problem.code();
    }
  }
}
