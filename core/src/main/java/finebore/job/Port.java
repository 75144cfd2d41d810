package finebore.job;

import finebore.flow.Direction;

/** The two kinds of seat in a head. */
public enum Port {
  INTAKE("intake", "I", Direction.INTAKE),
  EXHAUST("exhaust", "E", Direction.EXHAUST);

  private final String word;
  private final String letter;
  private final Direction direction;

  Port(String word, String letter, Direction direction) {
    this.word = word;
    this.letter = letter;
    this.direction = direction;
  }

  public String word() {
    return word;
  }

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
