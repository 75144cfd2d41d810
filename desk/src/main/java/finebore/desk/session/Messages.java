package finebore.desk.session;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * What is said to the hand that types. It has a place of its own in every station, so that nothing
 * moves under the pointer when something is said.
 */
public final class Messages {

  /** How a message is meant. */
  public enum Kind {
    NONE,
    NOTE,
    REFUSED
  }

  /**
   * What is said now.
   *
   * @param about id of the control it is about
   */
  public record Said(String about, String text, Kind kind) {
    static final Said NOTHING = new Said("", "", Kind.NONE);
  }

  private final ReadOnlyObjectWrapper<Said> said = new ReadOnlyObjectWrapper<>(Said.NOTHING);

  public ReadOnlyObjectProperty<Said> said() {
    return said.getReadOnlyProperty();
  }

  /** Says that what was typed somewhere cannot be. */
  public void refuse(String about, String text) {
    said.set(new Said(about, "✗ " + text, Kind.REFUSED));
  }

  /** Says something that is no problem. */
  public void note(String about, String text) {
    said.set(new Said(about, text, Kind.NOTE));
  }

  /** Takes back what was said about a control; what is said about others stays. */
  public void clear(String about) {
    if (said.get().about().equals(about)) {
      said.set(Said.NOTHING);
    }
  }

  public void clear() {
    said.set(Said.NOTHING);
  }
}
