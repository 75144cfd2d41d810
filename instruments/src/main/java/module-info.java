/** Instruments: how the program speaks with a flow bench, and one that is simulated. */
module finebore.instruments {
  requires transitive finebore.core;
  requires com.fazecast.jSerialComm;

  exports finebore.instruments;
}
