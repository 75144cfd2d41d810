package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.cutting.Cutter;
import finebore.seat.Arc;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RackFileTest {

  @TempDir private Path folder;

  @Test
  void theShippedRackHoldsTheUsualStacks() {
    List<Cutter> rack = RackFile.shipped();
    assertThat(rack).hasSize(20);
    assertThat(rack.stream().map(Cutter::name).distinct()).hasSize(20);
    for (double angle : new double[] {30, 45, 50, 55}) {
      assertThat(rack).anyMatch(c -> c.sealingAngleDeg() == angle);
    }
    assertThat(rack)
        .filteredOn(c -> c.use().contains("exhaust"))
        .anyMatch(c -> c.elements().stream().anyMatch(Arc.class::isInstance));
    assertThat(rack)
        .allSatisfy(
            c ->
                assertThat(c.cuts().get(c.sealingCut()).angleDeg()).isEqualTo(c.sealingAngleDeg()));
  }

  @Test
  void aShopsOwnRackIsRead() throws Exception {
    Path file = Files.writeString(folder.resolve("rack.json"), RackFile.shippedText());
    assertThat(RackFile.read(file)).isEqualTo(RackFile.shipped());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"widthMm\": 1.2|\"widthMm\": -1|quantity.cutWidth",
        "\"sealing\": 2|\"sealing\": 9|rule.sealingElement",
        "\"format\": \"finebore-rack\"|\"format\": \"rack\"|file.notARack",
        "\"name\": \"A1 30/45/60\"|\"name\": 7|expected.text",
      })
  void whatIsWrongIsNamed(String from, String to, String message) {
    String text = RackFile.shippedText();
    int at = text.indexOf(from);
    String wrong = text.substring(0, at) + to + text.substring(at + from.length());
    assertThatThrownBy(() -> RackFile.parse(wrong, "rack.json"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("rack.json")
        .hasMessageContaining(message);
    assertThatThrownBy(() -> RackFile.parse("[", "rack.json")).hasMessageContaining("file.damaged");
    assertThatThrownBy(() -> RackFile.read(folder.resolve("none"))).hasMessageContaining("none");
  }
}
