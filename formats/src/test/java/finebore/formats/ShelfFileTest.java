package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.job.Port;
import finebore.sizes.ShelfValve;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShelfFileTest {

  @TempDir private Path folder;

  @Test
  void theShippedShelfHoldsValvesOfBothKinds() throws Exception {
    List<ShelfValve> valves = ShelfFile.shipped();
    assertThat(valves).hasSize(30);
    assertThat(valves.stream().filter(v -> v.port() == Port.INTAKE)).hasSize(16);
    assertThat(valves.stream().map(ShelfValve::name)).doesNotHaveDuplicates();
    assertThat(ShelfFile.parse(ShelfFile.text(valves), "again")).isEqualTo(valves);
    Path file = folder.resolve("shelf.json");
    Files.writeString(file, ShelfFile.text(valves.subList(0, 2)));
    assertThat(ShelfFile.read(file)).isEqualTo(valves.subList(0, 2));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "finebore-shelf | finebore-rack | notAShelf",
        "\"version\" : 1 | \"version\" : 2 | notAShelf",
        "\"for\" : \"intake\" | \"for\" : \"both\" | for",
        "\"lengthMm\" : 98.0 | \"lengthMm\" : 9.8 | valveLength",
        "\"price\" : 17.5 | \"price\" : \"dear\" | price",
        "\"stemDiameterMm\" : 5.5 | \"stemDiameterMm\" : 55 | stem"
      })
  void whatIsWrongIsNamed(String good, String bad, String said) {
    String text = ShelfFile.text(ShelfFile.shipped()).replaceFirst(good, bad);
    assertThatThrownBy(() -> ShelfFile.parse(text, "shelf.json"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining(said);
  }
}
