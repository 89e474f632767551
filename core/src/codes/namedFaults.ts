import { saidIn, type Meaning, type Place } from '../readings/lexicon/index.ts';

/** A fault by what its name has to say, in any language of the lexicon. */
interface NamedFault {
  readonly code: string;
  /** The same of the wire or the sensor’s signal. */
  readonly circuit?: string;
  /** One of these sets is said. */
  readonly says: readonly (readonly Meaning[])[];
  readonly not?: readonly Meaning[];
  /** Or a temperature at one of these places. */
  readonly hotAt?: readonly Place[];
  /** The same where the name says what is wrong with the signal. */
  readonly low?: string;
  readonly high?: string;
  readonly implausible?: string;
}

const HIGH = 'fault:high';
const LOW = 'fault:low';
/** A name says a direction of the signal seldom: without one it is the circuit that is meant. */
const egt = (
  number: Extract<Meaning, `number:${string}`>,
  hotAt: readonly Place[],
  [code, low, high, implausible]: readonly [string, string, string, string],
): NamedFault => ({
  code,
  low,
  high,
  implausible,
  says: [['quantity:temperature', 'medium:exhaust', number]],
  hotAt,
});

/**
 * Names of faults as tools write them without a number, by what they mean; the first that fits stands. Each is read as the code
 * that says the same in our one notation.
 */
const FAULTS: readonly NamedFault[] = [
  { code: 'P242F', says: [['medium:ash']] },
  {
    code: 'P2463',
    says: [
      ['medium:soot', 'quantity:load'],
      ['medium:soot', 'quantity:mass'],
      ['medium:soot', HIGH],
      ['medium:soot', 'fault:full'],
      ['part:filter', 'quantity:load'],
      ['part:filter', 'fault:full'],
      ['medium:particles', 'fault:full'],
    ],
    not: [
      'quantity:temperature',
      'quantity:difference',
      'medium:air',
      'medium:fuel',
      'medium:oil',
      'fault:efficiency',
    ],
  },
  {
    code: 'P2453',
    circuit: 'P2454',
    says: [['quantity:difference'], ['part:filter', 'quantity:pressure']],
    not: ['medium:air', 'medium:fuel', 'medium:oil', 'part:egr'],
  },
  {
    code: 'P2002',
    says: [
      ['part:filter', 'fault:efficiency'],
      ['medium:particles', 'fault:efficiency'],
    ],
  },
  {
    code: 'P0471',
    circuit: 'P0472',
    says: [['quantity:back-pressure'], ['medium:exhaust', 'quantity:pressure']],
    not: ['part:egr', 'quantity:temperature', 'quantity:boost', 'place:intake'],
  },
  { code: 'P252F', says: [['medium:oil', 'quantity:level', HIGH]] },
  {
    code: 'P252C',
    says: [
      ['quantity:dilution'],
      ['medium:oil', 'fault:due'],
      ['medium:oil', 'quantity:level'],
      ['medium:oil', 'quantity:count'],
      ['medium:oil', 'medium:fuel'],
    ],
    not: ['quantity:temperature', 'quantity:pressure'],
  },
  { code: 'P0380', says: [['part:glow']] },
  {
    code: 'P2457',
    says: [
      ['part:egr', 'part:radiator'],
      ['part:egr', 'part:other'],
    ],
    not: ['quantity:position'],
  },
  {
    code: 'P0117',
    says: [
      ['medium:coolant', 'fault:circuit'],
      ['medium:coolant', 'qualifier:voltage'],
    ],
  },
  { code: 'P0128', says: [['part:thermostat'], ['medium:coolant', LOW]] },
  { code: 'P0401', says: [['part:egr', LOW]], not: ['quantity:temperature'] },
  { code: 'P0402', says: [['part:egr', HIGH]], not: ['quantity:temperature'] },
  { code: 'P0404', circuit: 'P0403', says: [['part:egr']], not: ['quantity:temperature'] },
  {
    code: 'P0101',
    circuit: 'P0102',
    says: [
      ['medium:air', 'quantity:mass'],
      ['medium:air', 'quantity:flow'],
    ],
    not: ['part:pump'],
  },
  {
    code: 'P0299',
    says: [
      ['quantity:boost', LOW],
      ['place:intake', 'quantity:pressure', LOW],
      ['part:turbine', 'quantity:pressure', LOW],
    ],
  },
  {
    code: 'P0234',
    says: [
      ['quantity:boost', HIGH],
      ['place:intake', 'quantity:pressure', HIGH],
      ['part:turbine', 'quantity:pressure', HIGH],
    ],
  },
  {
    code: 'P2563',
    says: [
      ['part:vanes'],
      ['part:turbine', 'part:actuator'],
      ['part:turbine', 'quantity:position'],
      ['part:turbine', 'qualifier:deviation'],
    ],
  },
  {
    code: 'P0106',
    circuit: 'P0107',
    says: [['quantity:boost'], ['place:intake', 'quantity:pressure'], ['part:manifold', 'quantity:pressure']],
    not: ['quantity:temperature'],
  },
  { code: 'P2458', says: [['process:regeneration', 'fault:incomplete']] },
  { code: 'P2459', says: [['process:regeneration', 'fault:often']] },
  egt('number:1', ['before turbine'], ['P0544', 'P0545', 'P0546', 'P2080']),
  egt('number:2', ['before catalyst', 'after turbine'], ['P2031', 'P2032', 'P2033', 'P2084']),
  egt('number:3', ['before filter', 'after catalyst'], ['P242A', 'P242C', 'P242D', 'P242B']),
  egt('number:4', ['after filter'], ['P246E', 'P2470', 'P2471', 'P246F']),
  {
    code: 'P0641',
    says: [
      ['part:control-unit', 'qualifier:voltage'],
      ['part:control-unit', 'filler:sensor'],
    ],
  },
];

/** What a name is of where it is of none of ours, whatever else it says. */
const OF_OTHERS: readonly Meaning[] = [
  'part:scr',
  'medium:urea',
  'medium:nox',
  'part:brake',
  'part:tyre',
  'part:gearbox',
  'part:climate',
  'part:steering',
  'part:cabin',
  'part:rail',
];

/** Volts of a sensor’s supply stand in no language. */
const SUPPLY = /\b5 ?v\b|reference/i;

/** The code that a named fault says, or nothing where the name is not known or is a number itself. */
export function namedFault(text: string): string | undefined {
  if (!/\p{L}{3,}/u.test(text) || /^spn/i.test(text.trim())) return undefined;
  const { meanings, places } = saidIn(text);
  if (OF_OTHERS.some((one) => meanings.has(one))) return undefined;
  if (SUPPLY.test(text)) return 'P0641';
  const found = FAULTS.find(
    ({ says, not = [], hotAt = [] }) =>
      !not.some((one) => meanings.has(one)) &&
      (says.some((all) => all.every((one) => meanings.has(one))) ||
        (meanings.has('quantity:temperature') && places.some((one) => hotAt.includes(one)))),
  );
  if (!found) return undefined;
  const { code, circuit, low, high, implausible } = found;
  if (implausible !== undefined && meanings.has('fault:implausible')) return implausible;
  if (low !== undefined && meanings.has(LOW)) return low;
  if (high !== undefined && meanings.has(HIGH)) return high;
  const ofCircuit = meanings.has('fault:circuit') || meanings.has('qualifier:voltage');
  return circuit !== undefined && ofCircuit && !meanings.has('fault:implausible') ? circuit : code;
}
