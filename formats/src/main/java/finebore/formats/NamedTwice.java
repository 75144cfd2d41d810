package finebore.formats;

import finebore.code.Term;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job file that has two entries of one name: a seat's readings twice, a test's number twice.
 * Which counts is the user's to say; the other stays in the file, set aside.
 */
public final class NamedTwice extends FileProblem {
  private static final long serialVersionUID = 1L;

  /** Where entries that do not count are kept in a file. */
  static final String SET_ASIDE = "setAside";

  /** Which of two entries counts. */
  public enum Choice {
    FIRST,
    LAST
  }

  /** Lists of entries, and what each is known by; a star stands for every entry of a list. */
  private static final List<List<String>> NAMED =
      List.of(
          List.of("job", "head", "seats", "seat"),
          List.of("job", "exceptions", "seat"),
          List.of("job", "log", "entries", "id"),
          List.of("job", "bench", "ranges", "name"),
          List.of("job", "bench", "tests", "id"),
          List.of("job", "bench", "tests", "*", "lifts", "*", "speeds", "place"),
          List.of("job", "bench", "tests", "*", "lifts", "*", "probe", "place"));

  private NamedTwice(String file, Pair pair) {
    super(
        of("namedTwice", file)
            .with("name", Term.quote(pair.name()))
            .with("first", Term.quote(pair.place() + "[" + pair.first() + "]"))
            .with("last", Term.quote(pair.place() + "[" + pair.last() + "]")));
  }

  private record Pair(ArrayNode list, String place, String name, int first, int last) {}

  /**
   * Makes sure that no two entries of a file have one name.
   *
   * @param choice which counts where they have; without one they are a problem
   */
  static void settle(ObjectNode root, String file, Optional<Choice> choice) throws NamedTwice {
    Optional<Pair> pair = find(root);
    while (pair.isPresent()) {
      if (choice.isEmpty()) {
        throw new NamedTwice(file, pair.get());
      }
      setAside(root, pair.get(), choice.get());
      pair = find(root);
    }
  }

  private static void setAside(ObjectNode root, Pair pair, Choice choice) {
    int loser = choice == Choice.FIRST ? pair.last() : pair.first();
    ArrayNode aside = root.get(SET_ASIDE) instanceof ArrayNode a ? a : root.putArray(SET_ASIDE);
    aside.addObject().put("place", pair.place()).set("entry", pair.list().get(loser));
    pair.list().remove(loser);
  }

  private static Optional<Pair> find(ObjectNode root) {
    return NAMED.stream().flatMap(path -> in(root, path, "").stream()).findFirst();
  }

  private static Optional<Pair> in(JsonNode node, List<String> path, String place) {
    String step = path.getFirst();
    List<String> rest = path.subList(1, path.size());
    if (rest.isEmpty()) {
      return node instanceof ArrayNode list ? twice(list, step, place) : Optional.empty();
    }
    if (step.equals("*")) {
      for (int k = 0; k < node.size(); k++) {
        Optional<Pair> found = in(node.path(k), rest, place + "[" + k + "]");
        if (found.isPresent()) {
          return found;
        }
      }
      return Optional.empty();
    }
    return in(node.path(step), rest, place.isEmpty() ? step : place + "." + step);
  }

  private static Optional<Pair> twice(ArrayNode list, String known, String place) {
    Map<String, Integer> seen = new HashMap<>();
    for (int k = 0; k < list.size(); k++) {
      JsonNode name = list.get(k).path(known);
      Integer before = name.isMissingNode() ? null : seen.putIfAbsent(name.asString(""), k);
      if (before != null) {
        return Optional.of(new Pair(list, place, name.asString(""), before, k));
      }
    }
    return Optional.empty();
  }
}
