package finebore.cutting;

import java.util.OptionalDouble;

/**
 * Every setting of one operation at once, by its id. An operation is built of them whole and then
 * checked, so that figures which hang on each other are held to each other and not to what the
 * operation was before.
 */
public interface SettingValues {

  /** A number that is always set. */
  double number(String id);

  /** A number that may be left open. */
  OptionalDouble open(String id);

  /** One of the values of a choice. */
  <C> C choice(String id, Class<C> of);

  /** A name; may be blank. */
  String typed(String id);

  /** How far the cutter goes down. */
  Plunge plunge();
}
