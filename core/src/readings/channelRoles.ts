import type { Quantity, Unit } from '../quantities/index.ts';

export interface ChannelRoleDefinition {
  readonly label: string;
  readonly quantity: Quantity;
  /** Base unit in which core keeps it. */
  readonly unit: Unit;
  /** Range of plausible values in the base unit, for judging a unit that the file does not state. */
  readonly low: number;
  readonly high: number;
  /** Headings as scan tools write them, folded to plain lower case (see `foldName`). First match wins per role. */
  readonly names: readonly RegExp[];
  /** Headings that look like it and are not. */
  readonly not?: RegExp;
}

const BEFORE = '(pre|before|vor|upstream( of)?|up|inlet|amont|avant|antes|prima|przed)';
const AFTER = '(post|after|nach|hinter|downstream( of)?|down|outlet|aval|apres|despues|dopo|za|po)';
const FILTER =
  '(dpf|fap|particulate filter|particle filter|partikelfilter|russfilter|filtre a particules|soot filter)';
const EGT =
  '(egt|exhaust( gas)? temp(erature)?|t exhaust|abgastemp(eratur)?|temp(erature)? (gaz )?echappement)';
const NOT_TARGET = /\b(target|desired|setpoint|specified|soll|sollwert|consigne|deviation|control)\b/;

const pressure = (
  label: string,
  low: number,
  high: number,
  names: readonly RegExp[],
  not: RegExp = NOT_TARGET,
): ChannelRoleDefinition => ({ label, quantity: 'pressure', unit: 'mbar', low, high, names, not });

const temperature = (
  label: string,
  names: readonly RegExp[],
  high = 200,
  not?: RegExp,
): ChannelRoleDefinition => ({
  label,
  quantity: 'temperature',
  unit: 'degC',
  low: -50,
  high,
  names,
  ...(not ? { not } : {}),
});

const egt = (number: 1 | 2 | 3 | 4, position: string, where: string): ChannelRoleDefinition =>
  temperature(
    `EGT ${number} (${where})`,
    [
      new RegExp(`\\b${EGT}\\b.*\\b${position}\\b`),
      new RegExp(`\\b${position}\\b.*\\b${EGT}\\b`),
      new RegExp(`\\b${EGT}( sensor| bank 1)?( b1)? ?s?${number}\\b`),
    ],
    1100,
  );

/** Every role a channel can have, in the order in which they are shown. */
export const CHANNEL_ROLES = {
  engineSpeed: {
    label: 'Engine speed',
    quantity: 'rotation',
    unit: 'rpm',
    low: 0,
    high: 8000,
    names: [/^(eng(ine)? (speed|rpm)|rpm|motor ?drehzahl|drehzahl|n mot|regime moteur|engine revs|revs)\b/],
    not: NOT_TARGET,
  },
  dpfDeltaP: pressure('ΔP across the filter', -500, 3000, [
    new RegExp(`${FILTER}.*\\b(differential|diff|delta|pressure drop|dp)\\b`),
    new RegExp(`\\b(differential|diff|delta|pressure drop|difference)\\b.*${FILTER}`),
    /\bdifferenzdruck\b/,
    /\b(delta p|dpf dp|differential pressure|diff pressure)\b/,
    /\bpression differentielle\b/,
  ]),
  exhaustBackPressure: pressure('Back-pressure before the turbine', -200, 6000, [
    /\b(exhaust )?back ?pressure\b/,
    /\bexhaust (gas )?pressure\b/,
    /\babgasgegendruck\b/,
    /\bcontre ?pression\b/,
  ]),
  manifoldPressure: pressure('Manifold pressure', -900, 6000, [
    /^map\b/,
    /\b(manifold|boost|intake manifold)( absolute| air)? pressure\b/,
    /\bboost\b.*\b(abs|actual|gauge|rel)/,
    /\b(ladedruck|saugrohrdruck)\b/,
    /\bpression (de )?(suralimentation|collecteur)\b/,
  ]),
  barometricPressure: pressure('Barometer', 500, 1100, [
    /^baro\b/,
    /\b(barometric|atmospheric|ambient( air)?) pressure\b/,
    /\b(atmospharendruck|umgebungsdruck|luftdruck)\b/,
    /\bpression atmospherique\b/,
  ]),
  massAirFlow: {
    label: 'Air mass',
    quantity: 'massFlow',
    unit: 'gPerS',
    low: -1,
    high: 1500,
    names: [
      /^maf\b/,
      /\b(mass air ?flow|air mass( flow)?|air ?flow( mass)?)\b/,
      /\b(luftmasse|luftmassenstrom)\b/,
      /\bdebit d ?air\b/,
    ],
    not: NOT_TARGET,
  },
  egt1: egt(1, `${BEFORE} ?(the )?(turbine|turbo|turbocharger|turbolader)`, 'before turbine'),
  egt2: egt(2, `${BEFORE} ?(the )?(doc|oxi ?kat|oxidation catalyst|catalyst|kat|cat)`, 'before catalyst'),
  egt3: egt(3, `${BEFORE} ?(the )?${FILTER}`, 'before filter'),
  egt4: egt(4, `${AFTER} ?(the )?${FILTER}`, 'after filter'),
  coolantTemp: temperature('Coolant', [
    /\b(engine )?coolant( temp(erature)?)?\b/,
    /^ect\b/,
    /\b(kuhlwasser|kuhlmittel)\w*/,
    /\btemp(erature)? (eau|liquide)\b/,
  ]),
  intakeAirTemp: temperature('Intake air', [
    /^iat\b/,
    /\bintake air( temp(erature)?)?\b/,
    /\b(ansaugluft|ladeluft)\w*/,
    /\bcharge air temp/,
  ]),
  ambientTemp: temperature(
    'Outside air',
    [/\b(outside|ambient)( air)? temp(erature)?\b/, /\baussen\w*temp\w*/],
    70,
  ),
  oilTemp: temperature('Oil temperature', [/\b(engine )?oil temp(erature)?\b/, /\boltemp\w*/]),
  sootMass: {
    label: 'Soot value',
    quantity: 'mass',
    unit: 'g',
    low: 0,
    high: 2000,
    names: [/\bsoot (mass|load|amount|content|loading)\b/, /\brussmasse\b/, /\bmasse de suie\b/],
    not: /%|percent|prozent/,
  },
  regenActive: {
    label: 'Regeneration running',
    quantity: 'fraction',
    unit: 'percent',
    low: 0,
    high: 1,
    names: [/\bregen(eration)?\b.*\b(active|status|aktiv|running)\b/, /\b(active|aktive) regeneration\b/],
  },
  vehicleSpeed: {
    label: 'Vehicle speed',
    quantity: 'speed',
    unit: 'kmPerH',
    low: 0,
    high: 260,
    names: [/\b(vehicle|road) speed\b/, /^speed$/, /\b(fahr)?geschwindigkeit\b/, /\bvitesse( vehicule)?\b/],
  },
  pedal: {
    label: 'Pedal',
    quantity: 'percent',
    unit: 'percent',
    low: 0,
    high: 105,
    names: [/\b(accelerator|pedal|throttle)( pedal)?( position)?\b/, /\b(fahrpedal|gaspedal)\w*/],
  },
} as const satisfies Record<string, ChannelRoleDefinition>;

export type ChannelRole = keyof typeof CHANNEL_ROLES;
export const ROLE_IDS = Object.keys(CHANNEL_ROLES) as ChannelRole[];
export const isChannelRole = (text: string): text is ChannelRole => Object.hasOwn(CHANNEL_ROLES, text);
