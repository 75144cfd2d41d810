package finebore.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class ProfileTest {

  private static final Surface CUT = Surface.cut(0, 45);

  private static Profile step() {
    return new Profile.Builder(new Point(10, 0), Tolerance.FINE)
        .to(new Point(8, 0), CUT)
        .to(new Point(8, -3), CUT)
        .to(new Point(6, -4), CUT)
        .build();
  }

  @Test
  void leavesOutStretchesThatAreNotThere() {
    Profile profile =
        new Profile.Builder(new Point(10, 0), Tolerance.FINE)
            .to(new Point(10, 1e-9), CUT)
            .to(new Point(8, 0), CUT)
            .build();
    assertThat(profile.segmentCount()).isEqualTo(1);
  }

  @Test
  void tellsTopAndUndersideAtAnUprightWall() {
    assertThat(step().topAt(8)).isEqualTo(0);
    assertThat(step().undersideAt(8)).isEqualTo(-3);
    assertThat(step().topAt(7)).isEqualTo(-3.5);
    assertThat(step().topAt(5)).isNaN();
  }

  @Test
  void cutsOffWhatLiesInside() {
    Profile outside = step().outside(7);
    assertThat(outside.points()).hasSize(4).last().isEqualTo(new Point(7, -3.5));
    assertThat(step().outside(1).points()).hasSize(4);
  }

  @Test
  void refusesWhatIsNoProfile() {
    assertThatThrownBy(() -> new Profile(List.of(new Point(1, 1)), List.of()))
        .hasMessageContaining("points: 1");
    assertThatThrownBy(() -> new Point(Double.NaN, 0)).hasMessageContaining("point: NaN");
    assertThatThrownBy(() -> new Tolerance(0)).hasMessageContaining("0");
  }

  @Test
  void raisesEveryPoint() {
    assertThat(step().raised(2).points().getLast()).isEqualTo(new Point(6, -2));
    assertThat(step().points().getFirst()).hasToString("(10.0000, 0.0000)");
  }
}
