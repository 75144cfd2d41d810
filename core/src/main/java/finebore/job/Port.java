package finebore.job;

import finebore.code.Coded;
import finebore.flow.Direction;

/** The two kinds of seat in a head. */
public enum Port implements Coded {
  INTAKE("intake", "I", Direction.INTAKE),
  EXHAUST("exhaust", "E", Direction.EXHAUST);

  private final String key;
  private final String letter;
  private final Direction direction;

  Port(String key, String letter, Direction direction) {
    this.key = key;
    this.letter = letter;
    this.direction = direction;
  }

  public static Port of(Direction direction) {
    return direction == Direction.INTAKE ? INTAKE : EXHAUST;
  }

  /** Its name in files and on the command line. */
  public String key() {
    return key;
  }

  @Override
  public String code() {
    return "port." + key;
  }

  /** What the labels of its seats begin with. */
  public String letter() {
    return letter;
  }

  public Direction direction() {
    return direction;
  }

  public Port other() {
    return this == INTAKE ? EXHAUST : INTAKE;
  }
}
