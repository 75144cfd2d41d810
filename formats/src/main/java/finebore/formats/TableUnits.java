package finebore.formats;

import finebore.units.Unit;
import finebore.units.Units;

/** The units that tables of a job are written in. */
record TableUnits(Unit length, Unit flow, Unit pressure, Unit temperature) {

  static TableUnits of(Units units) {
    return switch (units) {
      case MM -> new TableUnits(Unit.MM, Unit.LITRE_PER_SECOND, Unit.KILOPASCAL, Unit.CELSIUS);
      case INCH -> new TableUnits(Unit.INCH, Unit.CFM, Unit.INCH_OF_WATER, Unit.FAHRENHEIT);
    };
  }
}
