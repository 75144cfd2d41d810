package finebore.cutting;

import finebore.code.Message;
import finebore.code.Term;
import finebore.quantity.Quantity;

/** How far a cutter goes down. */
public sealed interface Plunge {

  /** How it is spoken of. */
  Message message();

  /** To where the wanted seat lies. */
  record AsPlanned() implements Plunge {
    @Override
    public Message message() {
      return Message.of("plunge.planned");
    }
  }

  /**
   * To a depth stop.
   *
   * @param mm depth of the seat's outside edge, or of a single cut's edge, below the head face
   */
  record ToDepth(double mm) implements Plunge {
    public ToDepth {
      Quantity.DEPTH_STOP.check(mm);
    }

    @Override
    public Message message() {
      return Message.of("plunge.depth").with("depth", Term.length(mm));
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
      Quantity.PAST_CLEAN_UP.check(extraMm);
    }

    @Override
    public Message message() {
      return Message.of("plunge." + (allCuts ? "allClean" : "clean") + (extraMm > 0 ? ".more" : ""))
          .with("more", Term.length(extraMm));
    }
  }
}
