package finebore.units;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which units a job is shown in. What that means for each kind of number is decided at the edge.
 */
public enum Units {
  MM("mm"),
  INCH("inch");

  private final String key;

  Units(String key) {
    this.key = key;
  }

  /** Units by their name in files. */
  public static Optional<Units> of(String key) {
    return Stream.of(values()).filter(u -> u.key.equals(key)).findFirst();
  }

  /** Its name in files. */
  public String key() {
    return key;
  }

  public Units other() {
    return this == MM ? INCH : MM;
  }
}
