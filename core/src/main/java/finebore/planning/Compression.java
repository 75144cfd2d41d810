package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Compression ratio when every seat of the cylinder follows its plan. */
final class Compression implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.COMPRESSION;
  }

  @Override
  public boolean hangsOnWalls() {
    return true;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble own = new ChamberChange().of(cut);
    return own.isPresent() && cut.job().head().compressionRatio().isPresent()
        ? CompressionRatio.of(cut, own.getAsDouble())
        : OptionalDouble.empty();
  }
}
