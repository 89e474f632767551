import type { Translation } from '../words.ts';
import type * as english from '../en/names.ts';

export const works: Translation<typeof english.works> = {
  'chemical-clean': 'Filter eingebaut chemisch gereinigt',
  'drive-regeneration': 'Regeneration auf der Straße',
  'standing-regeneration': 'Regeneration im Stand',
  'off-vehicle-clean': 'Filter ausgebaut und rückgespült',
  'filter-exchanged': 'Filter ersetzt',
  'pipe-cleared': 'Leitung frei gemacht',
  'sensor-replaced': 'Sensor ersetzt',
  'cause-repaired': 'Ursache behoben',
  'oil-changed': 'Öl gewechselt',
  other: 'Andere Arbeit',
};

export const treatments: Translation<typeof english.treatments> = {
  nothing: 'Den Filter lassen, wie er ist',
  drive: 'Regeneration auf der Straße',
  standing: 'Regeneration im Stand',
  chemical: 'Chemische Reinigung, eingebaut',
  'off-vehicle': 'Reinigung ausgebaut, rückgespült',
  exchange: 'Ersatzfilter',
};

export const resets: Translation<typeof english.resets> = {
  'adapt-delta-p': 'Nullpunkt des Differenzdrucksensors gelernt',
  'reset-oil': 'Ölzähler zurückgesetzt',
  'reset-soot': 'Rußzähler zurückgesetzt',
  'new-filter': 'Neuer Filter im Steuergerät angemeldet',
  'learned-values': 'Lernwerte zurückgesetzt',
  'clear-codes': 'Fehlercodes gelöscht',
};

export const partStates: Translation<typeof english.partStates> = {
  'not-looked-at': 'nicht geprüft',
  sound: 'in Ordnung',
  doubtful: 'zweifelhaft',
  failed: 'defekt',
  replaced: 'ersetzt',
  'proven-clear': 'nachweislich frei',
};

export const drivable: Translation<typeof english.drivable> = {
  drive: 'Das Fahrzeug darf gefahren werden',
  limited: 'Das Fahrzeug darf eingeschränkt gefahren werden',
  no: 'Das Fahrzeug darf nicht gefahren werden',
};
