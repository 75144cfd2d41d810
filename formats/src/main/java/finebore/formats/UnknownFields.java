package finebore.formats;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Carries fields that this version does not know from a file as read into the file as written.
 * Every field it knows is always written, so what the new tree lacks is unknown. Objects in a list
 * keep theirs by their known content first, by their place otherwise.
 */
final class UnknownFields {

  private UnknownFields() {}

  /** Whether a tree has anything that one written anew has not. */
  static boolean areIn(JsonNode read, JsonNode written) {
    if (read instanceof ObjectNode source && written instanceof ObjectNode target) {
      return source.properties().stream()
          .anyMatch(f -> !target.has(f.getKey()) || areIn(f.getValue(), target.get(f.getKey())));
    }
    if (read instanceof ArrayNode source && written instanceof ArrayNode target) {
      return source.size() != target.size()
          || IntStream.range(0, source.size()).anyMatch(k -> areIn(source.get(k), target.get(k)));
    }
    return false;
  }

  static void carry(JsonNode from, JsonNode to) {
    if (from instanceof ObjectNode source && to instanceof ObjectNode target) {
      for (Map.Entry<String, JsonNode> field : source.properties()) {
        JsonNode known = target.get(field.getKey());
        if (known == null) {
          target.set(field.getKey(), field.getValue());
        } else {
          carry(field.getValue(), known);
        }
      }
    } else if (from instanceof ArrayNode source && to instanceof ArrayNode target) {
      boolean[] taken = new boolean[source.size()];
      boolean[] done = new boolean[target.size()];
      for (int k = 0; k < target.size(); k++) {
        int match = matching(source, taken, target.get(k), k);
        if (match >= 0) {
          taken[match] = true;
          done[k] = true;
          carry(source.get(match), target.get(k));
        }
      }
      for (int k = 0; k < target.size(); k++) {
        int place = samePlace(source, target.get(k), k);
        if (!done[k] && place >= 0 && !taken[place] && sameKind(source.get(place), target.get(k))) {
          carry(source.get(place), target.get(k));
        }
      }
    }
  }

  /** What an entry of a list is known by, whatever else of it changes. */
  private static final List<String> NAMES = List.of("id", "seat", "place", "name");

  /** Where what has changed stood before: by its name where it has one, otherwise at its place. */
  private static int samePlace(ArrayNode source, JsonNode written, int place) {
    Optional<String> name = NAMES.stream().filter(written::has).findFirst();
    if (name.isEmpty()) {
      return place < source.size() ? place : -1;
    }
    JsonNode own = written.get(name.get());
    for (int k = 0; k < source.size(); k++) {
      if (own.equals(source.get(k).get(name.get()))) {
        return k;
      }
    }
    return -1;
  }

  /** Operations differ in their fields: one of another kind hands nothing on. */
  private static boolean sameKind(JsonNode old, JsonNode written) {
    JsonNode kind = written.get("operation");
    return kind == null || kind.equals(old.get("operation"));
  }

  private static int matching(ArrayNode source, boolean[] taken, JsonNode wanted, int place) {
    if (place < source.size() && !taken[place] && agrees(source.get(place), wanted)) {
      return place;
    }
    for (int k = 0; k < source.size(); k++) {
      if (!taken[k] && agrees(source.get(k), wanted)) {
        return k;
      }
    }
    return -1;
  }

  /** Whether everything in the new node stands the same in the old one. */
  private static boolean agrees(JsonNode old, JsonNode written) {
    if (old instanceof ObjectNode a && written instanceof ObjectNode b) {
      return b.properties().stream()
          .allMatch(f -> a.has(f.getKey()) && agrees(a.get(f.getKey()), f.getValue()));
    }
    if (old.isNumber() && written.isNumber()) {
      return old.decimalValue().doubleValue() == written.decimalValue().doubleValue();
    }
    return old.equals(written);
  }
}
