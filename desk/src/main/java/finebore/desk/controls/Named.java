package finebore.desk.controls;

import java.util.function.Function;
import javafx.util.StringConverter;

/** What the things of a chooser are called; they are chosen, never typed. */
public final class Named<T> extends StringConverter<T> {

  private final Function<T, String> name;

  public Named(Function<T, String> name) {
    this.name = name;
  }

  @Override
  public String toString(T value) {
    return value == null ? "" : name.apply(value);
  }

  @Override
  public T fromString(String words) {
    return null;
  }
}
