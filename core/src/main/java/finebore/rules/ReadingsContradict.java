package finebore.rules;

import finebore.practice.Finding;
import java.util.List;

/** Readings that cannot both be right. */
final class ReadingsContradict implements HeadRule {

  @Override
  public List<Finding> of(HeadCase head) {
    return head.job().engine().seats().stream()
        .flatMap(
            place ->
                HeadFindings.contradictions(
                    place.label(), head.job().foundSeat(place).contradictions())
                    .stream())
        .toList();
  }
}
