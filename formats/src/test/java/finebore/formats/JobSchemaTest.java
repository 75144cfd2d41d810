package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The schema that ships is the one that the declarations make. */
class JobSchemaTest {

  private static final Path SHIPPED =
      Path.of("src/main/resources/finebore/formats/schema/job-7.schema.json");

  @Test
  void theSchemaThatShipsIsMadeOfTheDeclarations() throws IOException {
    if ("write".equals(System.getProperty("finebore.golden"))) {
      Files.writeString(SHIPPED, JobSchema.text());
    }
    assertThat(JobSchema.text()).isEqualTo(Files.readString(SHIPPED));
  }
}
