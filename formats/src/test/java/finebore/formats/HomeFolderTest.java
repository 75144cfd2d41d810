package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Where what belongs to the shop is kept, on each system. */
class HomeFolderTest {

  @Test
  void isTheOneNamedOrTheSystemsUsualPlace() {
    Map<String, String> all =
        Map.of("FINEBORE_HOME", "/own", "XDG_STATE_HOME", "/state", "LOCALAPPDATA", "/local");
    assertThat(HomeFolder.of(all, "Linux", "/home/sam")).isEqualTo(Path.of("/own"));
    Map<String, String> unnamed = Map.of("XDG_STATE_HOME", "/state", "LOCALAPPDATA", "/local");
    assertThat(HomeFolder.of(unnamed, "Windows 11", "/home/sam"))
        .isEqualTo(Path.of("/local/finebore"));
    assertThat(HomeFolder.of(unnamed, "Darwin", "/home/sam")).isEqualTo(Path.of("/state/finebore"));
    assertThat(HomeFolder.of(Map.of("FINEBORE_HOME", " "), "Linux", "/home/sam"))
        .isEqualTo(Path.of("/home/sam/.local/state/finebore"));
    assertThat(HomeFolder.practices(Path.of("/own"))).isEqualTo(Path.of("/own/practices"));
  }
}
