package finebore.cutting;

import finebore.section.Bounds;

/** How far a cutter goes down. */
public sealed interface Plunge {

  /** To where the wanted seat lies. */
  record AsPlanned() implements Plunge {}

  /**
   * To a depth stop.
   *
   * @param mm depth of the seat's outside edge, or of a single cut's edge, below the head face
   */
  record ToDepth(double mm) implements Plunge {
    public ToDepth {
      Bounds.check("plunge below the head face", mm, 0, 80, "mm");
    }
  }

  /**
   * Until it shows all round, and a little more.
   *
   * @param extraMm how much more
   * @param allCuts whether every cut must show all round, and not only the sealing one
   */
  record UntilClean(double extraMm, boolean allCuts) implements Plunge {
    public UntilClean {
      Bounds.check("plunge past clean", extraMm, 0, 5, "mm");
    }
  }
}
