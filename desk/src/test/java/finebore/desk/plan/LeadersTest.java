package finebore.desk.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class LeadersTest {

  private static List<Leaders.Placed<String>> place(
      List<Double> anchors, double gap, double top, double bottom) {
    List<Leaders.Wanted<String>> wanted = new ArrayList<>();
    anchors.forEach(a -> wanted.add(new Leaders.Wanted<>(0, a, "x")));
    return Leaders.place(wanted, gap, top, bottom);
  }

  @Property
  void labelsNeverOverlapNorCross(
      @ForAll @Size(min = 1, max = 12) List<@DoubleRange(min = 0, max = 400) Double> anchors) {
    List<Leaders.Placed<String>> placed = place(anchors, 20, 10, 390);
    assertThat(placed).hasSameSizeAs(anchors);
    for (int k = 1; k < placed.size(); k++) {
      assertThat(placed.get(k).y() - placed.get(k - 1).y()).isGreaterThanOrEqualTo(20 - 1e-9);
      assertThat(placed.get(k).wanted().anchorY())
          .isGreaterThanOrEqualTo(placed.get(k - 1).wanted().anchorY());
    }
    assertThat(placed.getFirst().y()).isGreaterThanOrEqualTo(10 - 1e-9);
    assertThat(placed.getLast().y()).isLessThanOrEqualTo(390 + 1e-9);
  }

  @Test
  void labelsWithRoomStayAtTheirAnchors() {
    assertThat(place(List.of(50.0, 100.0, 200.0), 20, 0, 400))
        .extracting(Leaders.Placed::y)
        .containsExactly(50.0, 100.0, 200.0);
  }

  @Test
  void aCrowdSpreadsAroundItsMiddle() {
    List<Leaders.Placed<String>> placed = place(List.of(100.0, 100.0, 100.0), 20, 0, 400);
    assertThat(placed.get(0).y()).isCloseTo(80, within(1e-9));
    assertThat(placed.get(2).y()).isCloseTo(120, within(1e-9));
  }

  @Test
  void theFrameZoomsAtThePointer() {
    ViewFrame frame = new ViewFrame(40, 100, 300);
    ViewFrame zoomed = frame.zoomed(2, 250, 120);
    assertThat(zoomed.scale()).isEqualTo(80);
    assertThat(zoomed.r(250)).isCloseTo(frame.r(250), within(1e-12));
    assertThat(zoomed.z(120)).isCloseTo(frame.z(120), within(1e-12));
    assertThat(frame.panned(10, -5).x(1)).isEqualTo(frame.x(1) + 10);
    assertThat(frame.zoomed(1e9, 0, 0).scale()).isEqualTo(4000);
  }
}
