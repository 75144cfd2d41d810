package finebore.work;

import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A history looked through once, for whoever asks of many seats and steps. */
public final class WorkIndex {

  private final Map<String, WorkEntry> lastOfStep = new HashMap<>();
  private final Map<String, Map<ReadBack, WorkEntry>> readings = new HashMap<>();

  private WorkIndex() {}

  public static WorkIndex of(WorkLog log) {
    WorkIndex index = new WorkIndex();
    for (WorkEntry entry : log.entries()) {
      Optional<Taken> taken = entry.taken();
      if (taken.isPresent()) {
        index
            .readings
            .computeIfAbsent(entry.seat(), k -> new EnumMap<>(ReadBack.class))
            .put(taken.get().what(), entry);
      }
      if (entry.kind() != Kind.READ) {
        index.lastOfStep.put(entry.step(), entry);
      }
    }
    return index;
  }

  /** As {@link WorkLog#lastOf}. */
  public Optional<WorkEntry> lastOf(String step) {
    return Optional.ofNullable(lastOfStep.get(step));
  }

  /** As {@link WorkLog#entry}. */
  public Optional<WorkEntry> entry(String seat, ReadBack what) {
    return Optional.ofNullable(readings.getOrDefault(seat, Map.of()).get(what));
  }

  /** As {@link WorkLog#value}. */
  public OptionalDouble value(String seat, ReadBack what) {
    return entry(seat, what)
        .flatMap(WorkEntry::taken)
        .map(t -> OptionalDouble.of(t.value()))
        .orElse(OptionalDouble.empty());
  }
}
