package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Gap between valve head and cylinder wall, axes taken as parallel. */
final class BoreWall implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.BORE_WALL;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return ValveRoom.boreWallMm(
        cut.job(), cut.place().port(), cut.fit().pairing().valve().headDiameterMm());
  }
}
