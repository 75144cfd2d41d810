package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Gap between valve head and cylinder wall. */
final class BoreWall implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.BORE_WALL;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return ValveRoom.of(cut.job(), cut.place())
        .boreWallMm(cut.fit().pairing().valve().headDiameterMm());
  }
}
