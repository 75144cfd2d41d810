/** The computation: section geometry, seats, valves, flow, practices and the job record. */
module finebore.core {
  requires transitive java.measure;
  requires tech.units.indriya;
  requires org.locationtech.jts;
  requires hipparchus.core;
  requires hipparchus.optim;
  requires static io.soabase.recordbuilder.core;
  requires static java.compiler;

  exports finebore.units;
  exports finebore.code;
  exports finebore.quantity;
  exports finebore.finding;
  exports finebore.section;
  exports finebore.seat;
  exports finebore.valve;
  exports finebore.cutting;
  exports finebore.found;
  exports finebore.head;
  exports finebore.suggest;
  exports finebore.flow;
  exports finebore.flow.estimate;
  exports finebore.flow.field;
  exports finebore.bench;
  exports finebore.practice;
  exports finebore.study;
  exports finebore.calibration;
  exports finebore.planning;
  exports finebore.space;
  exports finebore.room;
  exports finebore.crank;
  exports finebore.rules;
  exports finebore.sizes;
  exports finebore.job;
  exports finebore.work;
  exports finebore.seal;
  exports finebore.machine;
}
