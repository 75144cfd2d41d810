package finebore.valve;

import finebore.seat.Seat;
import io.soabase.recordbuilder.core.RecordBuilder;

/** A valve and the seat it runs on. */
@RecordBuilder
public record Pairing(Seat seat, Valve valve) implements PairingBuilder.With {}
