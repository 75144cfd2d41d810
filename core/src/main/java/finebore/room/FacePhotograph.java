package finebore.room;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.room.ChamberOutline.Corner;
import finebore.room.Squared.Pixel;
import java.util.List;

/**
 * A photograph of a chamber, scaled and squared by four places on the head face.
 *
 * @param cylinder whose, from 1
 * @param file its name among the job's pictures
 * @param seen four places on it as shares of its width and height, from its upper left
 * @param are where they lie on the head face
 */
public record FacePhotograph(int cylinder, String file, List<Pixel> seen, List<Corner> are) {

  /** How many places scale and square it. */
  public static final int KNOWN = 4;

  public FacePhotograph {
    Quantity.CYLINDERS.check(cylinder);
    seen = List.copyOf(seen);
    are = List.copyOf(are);
    for (Pixel place : seen) {
      Quantity.PHOTOGRAPH_PLACE.check(place.x());
      Quantity.PHOTOGRAPH_PLACE.check(place.y());
    }
    if (file.isBlank()
        || seen.size() != KNOWN
        || are.size() != KNOWN
        || Squared.of(seen, are).isEmpty()) {
      throw RuleViolation.of("photographPlaces").with("count", Term.count(KNOWN));
    }
  }

  /** How it lies on the head face; its places are shares of its width and height. */
  public Squared squared() {
    return Squared.of(seen, are).orElseThrow();
  }
}
