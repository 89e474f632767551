import { quantityOf, type Unit } from '../quantities/index.ts';
import type { UnitChoice } from './unitChoice.ts';

/** The unit that somebody reads a figure in which core has in this one. What nobody chooses, as volts and revs, stays. */
export function chosenUnit(unit: Unit, units: UnitChoice): Unit {
  switch (quantityOf(unit)) {
    case 'pressure':
      // Compressed air is read in bar or psi, whatever a sensor’s millibars are read in.
      if (unit === 'bar') return units.pressure === 'psi' || units.pressure === 'inHg' ? 'psi' : 'bar';
      return units.pressure;
    case 'temperature':
      return units.temperature;
    case 'massFlow':
      return units.massFlow;
    case 'distance':
      return unit === 'm' ? (units.distance === 'mi' ? 'ft' : 'm') : units.distance;
    case 'speed':
      return units.distance === 'mi' ? 'mph' : 'kmPerH';
    case 'volumeFlow':
      return units.volumeFlow;
    case 'fuelFlow':
      return units.volume === 'gal' ? 'galPerH' : 'lPerH';
    case 'mass':
      return unit === 'kg' ? units.weight : units.soot;
    case 'loading':
      return units.soot === 'oz' ? 'ozPerFt3' : 'gPerL';
    case 'volume':
      return units.volume;
    case 'length':
      return units.length;
    case 'torque':
      return units.torque;
    case 'rotation':
    case 'time':
    case 'voltage':
    case 'resistance':
    case 'percent':
    case 'fraction':
      return unit;
  }
}
