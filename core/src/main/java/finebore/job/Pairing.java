package finebore.job;

import finebore.seat.Seat;
import finebore.valve.Valve;

/** A valve and the seat it runs on. */
public record Pairing(Seat seat, Valve valve) {

  public Pairing withSeat(Seat changed) {
    return new Pairing(changed, valve);
  }

  public Pairing withValve(Valve changed) {
    return new Pairing(seat, changed);
  }
}
