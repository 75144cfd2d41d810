package finebore.found;

import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * The metal of one seat as found, put together from what a shop could measure of it.
 *
 * <p>What was not measured is taken from the kind of seat it is, and said so; a reading that
 * contradicts another is set aside and named.
 *
 * @param seat the seat with its mean throat
 * @param throatsMm throat diameters by clock position, hours 0 to 6; empty when none was read
 * @param runout offset of the old seat from the guide
 * @param coreShift where the bowl stands in under the throat, as core shift leaves it
 * @param ring its insert, if it has one
 * @param water where the jacket is known to lie
 * @param assumed what stands in for readings not taken
 * @param contradictions readings set aside
 */
public record FoundSeat(
    Seat seat,
    Map<Double, Double> throatsMm,
    Offset runout,
    Offset coreShift,
    Optional<Ring> ring,
    List<WaterReading> water,
    List<Assumed> assumed,
    List<Contradiction> contradictions) {

  /** A seat's width may run this far into the throat before its reading is doubted, mm. */
  private static final double DOUBT_MM = 0.3;

  /** A throat further off its mean than this is looked at on more sides, mm. */
  private static final double OUT_OF_ROUND_MM = 0.1;

  /** Ring taken to be left under the lowest cut where nobody has measured its floor, mm. */
  private static final double RING_BELOW_CUTS_MM = 3;

  /** Press fit taken for a ring of which nobody knows it, mm; common practice, no source. */
  private static final double USUAL_FIT_MM = 0.1;

  public FoundSeat {
    throatsMm = Map.copyOf(throatsMm);
    water = List.copyOf(water);
    assumed = List.copyOf(assumed);
    contradictions = List.copyOf(contradictions);
  }

  /**
   * Puts a seat together.
   *
   * @param kind a seat of its kind, which stands in for what was not measured
   * @param readings what was measured of this one
   * @param headDiameterMm the valve that runs on it, which its ring must hold
   */
  public static FoundSeat of(Seat kind, SeatReadings readings, double headDiameterMm) {
    return new Assembly(kind, readings, headDiameterMm).put();
  }

  /** A seat of a kind of which nothing was measured but the kind itself. */
  public static FoundSeat plain(Seat kind) {
    return new FoundSeat(
        kind,
        Map.of(),
        Offset.NONE,
        Offset.NONE,
        Optional.empty(),
        List.of(),
        List.of(),
        List.of());
  }

  /** Whether the section is the same at every clock position. */
  public boolean isRound() {
    return throatsMm.size() < 2 && runout.mm() == 0 && coreShift.mm() == 0;
  }

  /**
   * Clock positions at which the section must be looked at besides its mean; none when round.
   * Square to the offset nothing has moved, so those count only where the throat is another there.
   */
  public List<Double> sides() {
    if (isRound()) {
      return List.of();
    }
    double first = runout.mm() > 0 ? runout.clock() : coreShift.mm() > 0 ? coreShift.clock() : 12;
    boolean square =
        coreShift.mm() > 0
            || throatsMm.values().stream()
                .anyMatch(d -> Math.abs(d - seat.throatDiameterMm()) > OUT_OF_ROUND_MM);
    return (square ? Stream.of(0, 3, 6, 9) : Stream.of(0, 6))
        .map(h -> (first + h - 1) % 12 + 1)
        .toList();
  }

  /** Throat diameter at a clock position, by straight lines between those read, mm. */
  public double throatAt(double clock) {
    if (throatsMm.isEmpty()) {
      return seat.throatDiameterMm();
    }
    TreeMap<Double, Double> round = new TreeMap<>(throatsMm);
    round.put(round.firstKey() + 6, round.firstEntry().getValue());
    double hour = clock % 6;
    if (hour < round.firstKey()) {
      hour += 6;
    }
    var below = round.floorEntry(hour);
    var above = round.ceilingEntry(hour);
    if (above == null || below.getKey().equals(above.getKey())) {
      return below.getValue();
    }
    double t = (hour - below.getKey()) / (above.getKey() - below.getKey());
    return below.getValue() + t * (above.getValue() - below.getValue());
  }

  /** The section with everything at its mean: no offset, no coreShift. */
  public SeatSection section() {
    return SeatSection.of(seat, Tolerance.FINE);
  }

  /**
   * The found wall at a clock position: the seat moved by its offset from the guide, the throat at
   * its diameter there, the bowl moved against its coreShift.
   */
  public Profile wallAt(double clock) {
    double throat = Math.min(throatAt(clock), seat.outsideDiameterMm() - 0.01);
    Profile round = SeatSection.of(seat.withThroatDiameter(throat), Tolerance.FINE).profile();
    double shift = runout.toward(clock);
    double in = coreShift.toward(clock);
    List<Point> points = new ArrayList<>();
    for (int k = 0; k < round.points().size(); k++) {
      boolean bowl = k > 0 && round.surfaces().get(k - 1).part() == Part.BOWL;
      Point p = round.points().get(k);
      // Core shift moves the port, not what was machined from the guide.
      points.add(new Point(Math.max(0.5, p.r() + (bowl ? -in : shift)), p.z()));
    }
    return new Profile(points, round.surfaces());
  }

  private static final class Assembly {
    private final Seat kind;
    private final SeatReadings readings;
    private final double head;
    private final List<Assumed> assumed = new ArrayList<>();
    private final List<Contradiction> contradictions = new ArrayList<>();

    Assembly(Seat kind, SeatReadings readings, double head) {
      this.kind = kind;
      this.readings = readings;
      this.head = head;
    }

    FoundSeat put() {
      double outside = or(Measure.SEAT_OUTSIDE, kind.outsideDiameterMm());
      Map<Double, Double> throats = throats(outside);
      double throat =
          throats.isEmpty()
              ? Math.min(kind.throatDiameterMm(), outside - 0.5)
              : throats.values().stream().mapToDouble(d -> d).average().orElseThrow();
      if (throats.isEmpty()) {
        assumed.add(new Assumed(Measure.THROAT_12, throat, Assumed.Basis.AS_ITS_KIND));
      }
      double angle = or(Measure.SEAT_ANGLE, kind.sealingCut().angleDeg());
      double width = width(angle, outside, throat);
      Seat seat =
          kind.withThroatDiameter(Math.min(throat, kind.outsideDiameterMm() - 0.01))
              .withCut(kind.sealing(), new Cut(angle, width))
              .withOutsideDiameterMm(outside)
              .withThroatDiameter(throat)
              .withDepthMm(or(Measure.SEAT_DEPTH, kind.depthMm()))
              .withBowl(
                  or(Measure.BOWL_DIAMETER, kind.bowlDiameterMm()),
                  or(Measure.BOWL_DEPTH, kind.bowlDepthMm()))
              .withRoofAngleDeg(or(Measure.ROOF_ANGLE, kind.roofAngleDeg()));
      Offset runout = offset(Measure.RUNOUT, Measure.RUNOUT_CLOCK);
      Offset coreShift = offset(Measure.CORE_SHIFT, Measure.CORE_SHIFT_CLOCK);
      Optional<Ring> ring = ring(seat);
      return new FoundSeat(
          seat, throats, runout, coreShift, ring, water(seat), assumed, contradictions);
    }

    private double or(Measure measure, double otherwise) {
      OptionalDouble value = readings.value(measure);
      if (value.isEmpty()) {
        assumed.add(new Assumed(measure, otherwise, Assumed.Basis.AS_ITS_KIND));
      }
      return value.orElse(otherwise);
    }

    private Map<Double, Double> throats(double outside) {
      Map<Double, Double> throats = new TreeMap<>();
      for (Measure measure : Measure.values()) {
        if (!measure.isThroat() || readings.value(measure).isEmpty()) {
          continue;
        }
        double value = readings.value(measure).getAsDouble();
        if (value >= outside) {
          contradictions.add(
              new Contradiction(Contradiction.Kind.THROAT_PAST_SEAT, measure, value, outside));
        } else {
          throats.put(measure.throatClock(), value);
        }
      }
      return throats;
    }

    private double width(double angle, double outside, double throat) {
      double room = (outside - throat) / 2 / Math.cos(Math.toRadians(angle));
      double width = or(Measure.SEAT_WIDTH, Math.min(kind.sealingCut().widthMm(), room));
      if (readings.value(Measure.SEAT_WIDTH).isPresent() && width > room + DOUBT_MM) {
        contradictions.add(
            new Contradiction(Contradiction.Kind.WIDER_THAN_ROOM, Measure.SEAT_WIDTH, width, room));
        return Math.min(kind.sealingCut().widthMm(), room);
      }
      return width;
    }

    private Offset offset(Measure size, Measure clock) {
      double mm = or0(size);
      return mm == 0 ? Offset.NONE : new Offset(mm, or(clock, 12));
    }

    private double or0(Measure size) {
      OptionalDouble value = readings.value(size);
      if (value.isEmpty()) {
        assumed.add(new Assumed(size, 0, Assumed.Basis.NONE));
      }
      return value.orElse(0);
    }

    private Optional<Ring> ring(Seat seat) {
      if (readings.value(Measure.RING_OUTSIDE).isEmpty()) {
        return Optional.empty();
      }
      double outside = readings.value(Measure.RING_OUTSIDE).getAsDouble();
      double least = Math.max(head, seat.outsideDiameterMm());
      if (outside < least) {
        contradictions.add(
            new Contradiction(
                head >= seat.outsideDiameterMm()
                    ? Contradiction.Kind.RING_WITHIN_VALVE
                    : Contradiction.Kind.RING_WITHIN_SEAT,
                Measure.RING_OUTSIDE,
                outside,
                least));
        return Optional.empty();
      }
      double below = seat.lowestMm() + RING_BELOW_CUTS_MM;
      double floor = or(Measure.RING_DEPTH, below);
      if (floor < seat.depthMm() + 0.5) {
        contradictions.add(
            new Contradiction(
                Contradiction.Kind.RING_FLOOR_ABOVE_SEAT,
                Measure.RING_DEPTH,
                floor,
                seat.depthMm()));
        floor = below;
      }
      double fit = readings.value(Measure.RING_FIT).orElse(USUAL_FIT_MM);
      if (readings.value(Measure.RING_FIT).isEmpty()) {
        assumed.add(new Assumed(Measure.RING_FIT, USUAL_FIT_MM, Assumed.Basis.COMMON_PRACTICE));
      }
      return Optional.of(
          new Ring(
              outside,
              Math.min(seat.throatDiameterMm(), outside - 0.6),
              floor,
              floor - seat.depthMm() + 1,
              fit,
              readings.ringMaterial()));
    }

    private List<WaterReading> water(Seat seat) {
      List<WaterReading> water = new ArrayList<>();
      Profile wall = SeatSection.of(seat, Tolerance.FINE).profile();
      for (int k = 0; k < wall.segmentCount(); k++) {
        Part part = wall.surfaces().get(k).part();
        boolean lower = part == Part.CUT && wall.surfaces().get(k).index() >= seat.sealing();
        Optional<Measure> measure =
            switch (part) {
              case CUT -> lower ? Optional.of(Measure.WALL_SEAT) : Optional.empty();
              case THROAT -> Optional.of(Measure.WALL_THROAT);
              case BOWL -> Optional.of(Measure.WALL_BOWL);
              default -> Optional.empty();
            };
        int at = k;
        measure
            .filter(m -> water.stream().noneMatch(w -> w.measure() == m) || m == Measure.WALL_SEAT)
            .flatMap(m -> of(m, wall, at))
            .ifPresent(
                w -> {
                  water.removeIf(other -> other.measure() == w.measure());
                  water.add(w);
                });
      }
      water.sort(Comparator.comparing(WaterReading::measure));
      return water;
    }

    private Optional<WaterReading> of(Measure measure, Profile wall, int k) {
      OptionalDouble thickness = readings.value(measure);
      return thickness.isEmpty()
          ? Optional.empty()
          : Optional.of(
              WaterReading.behind(measure, thickness.getAsDouble(), wall.start(k), wall.end(k)));
    }
  }
}
