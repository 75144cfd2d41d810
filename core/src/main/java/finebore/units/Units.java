package finebore.units;

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

  /** Its name in files. */
  public String key() {
    return key;
  }

  public Units other() {
    return this == MM ? INCH : MM;
  }
}
