import { FAULT_IDS, FAULTS, type Fault, type FaultId } from '@white-ember/core/bench';

/** When a fault of the simulated vehicle comes on, s of running. */
export const COMES_ON = {
  'from-the-beginning': {},
  'after-a-while': { startS: 300 },
  slowly: { startS: 0, rampS: 1800 },
} as const satisfies Readonly<Record<string, Pick<Fault, 'startS' | 'rampS'>>>;
export type ComesOn = keyof typeof COMES_ON;

/** One fault as it is wanted: a certain one, or so many that nobody is told of. */
export interface WantedFault {
  readonly what: '' | FaultId | 'hidden' | 'hidden-2' | 'hidden-3';
  /** Any of its forms where it is empty. */
  readonly form: string;
  readonly severityPercent: number;
  readonly comesOn: ComesOn;
}

export const NO_FAULT: WantedFault = {
  what: '',
  form: '',
  severityPercent: 100,
  comesOn: 'from-the-beginning',
};

export const MOST_FAULTS = 3;

/** What shows clearly in a baseline, of each fault. */
const CLEARLY: Partial<Record<FaultId, number>> = { 'back-pressure-pipe-blocked': 0.86 };
const HIDDEN: Readonly<Record<string, number>> = { hidden: 1, 'hidden-2': 2, 'hidden-3': 3 };

const isFault = (what: string): what is FaultId => (FAULT_IDS as readonly string[]).includes(what);

/**
 * The faults of a simulated vehicle as they are wanted, each but once and no more than three; what is hidden is drawn.
 * @param chance 0 … 1, drawn anew at each call
 */
export function faultsOf(wanted: readonly WantedFault[], chance: () => number): Fault[] {
  const drawn = <T>(among: readonly T[]): T | undefined => among[Math.floor(chance() * among.length)];
  const made = new Map<FaultId, Fault>();
  const add = (id: FaultId, { form, severityPercent, comesOn }: WantedFault): void => {
    const { forms } = FAULTS[id];
    const its = forms?.includes(form) ? form : drawn(forms ?? []);
    if (made.size < MOST_FAULTS && !made.has(id))
      made.set(id, {
        id,
        severity: severityPercent === 100 ? (CLEARLY[id] ?? 1) : severityPercent / 100,
        ...(its === undefined ? {} : { form: its }),
        ...COMES_ON[comesOn],
      });
  };
  for (const one of wanted) if (isFault(one.what)) add(one.what, one);
  for (const one of wanted)
    for (let i = 0; i < (HIDDEN[one.what] ?? 0); i++) {
      const id = drawn(FAULT_IDS.filter((other) => !made.has(other)));
      if (id !== undefined) add(id, { ...NO_FAULT, form: '' });
    }
  return [...made.values()];
}
