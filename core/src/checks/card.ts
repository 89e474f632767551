import type { Catalogue, Measures, Said, Spoken } from '../words/index.ts';
import type { FilterGeometry } from '../filter/index.ts';
import type { PartId, PartState } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { fromBase, unitLabel, type Unit } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import type { CautionId } from './cautions.ts';
import type { FindingEntry } from './finding.ts';
import type { KitId } from './kit.ts';

interface FieldBase {
  readonly id: string;
  readonly label: Said;
  readonly hint?: Said;
}

/** Where a value can lie; beyond it something else was measured, and that is asked back. */
interface Possible {
  readonly low: number;
  readonly high: number;
  /** What was probably done instead, as a question. */
  readonly otherwise: Said;
  /** What can be after all, once it was measured again. */
  readonly ifSure?: readonly [low: number, high: number];
}

export interface NumberField extends FieldBase {
  readonly kind: 'number';
  /** Base unit of the quantity; shown in the one that the person chose. */
  readonly unit?: Unit;
  /** For what no unit of ours measures: L, of full. */
  readonly suffix?: Said;
  readonly possible: Possible;
  /** Channel of a scan tool that shows it. */
  readonly live?: ChannelRole;
}

export interface ChoiceField extends FieldBase {
  readonly kind: 'choice';
  readonly options: readonly (readonly [value: string, label: Said])[];
}

export interface RowsField extends FieldBase {
  readonly kind: 'rows';
  readonly columns: readonly {
    readonly label: Said;
    readonly unit?: Unit;
    readonly possible: Possible;
    readonly live?: ChannelRole;
  }[];
  /** First cells that are filled in already. */
  readonly start?: readonly number[];
  /** A scan link records it by itself: the second column against the seconds since it was begun. */
  readonly records?: { readonly role: ChannelRole; readonly seconds: number };
}

export type Field = NumberField | ChoiceField | RowsField;

/** What was entered: a figure in base units, a choice, or rows of figures; a cell that was left empty is null. */
export type CheckValue = number | string | readonly (readonly (number | null)[])[];
export type CheckValues = Readonly<Record<string, CheckValue>>;

/** One figure of a judgement with what it is judged by. */
export interface Figure {
  readonly label: Said;
  readonly value: number;
  readonly unit?: Unit;
  readonly suffix?: Said;
  readonly low?: number;
  readonly high?: number;
  readonly state: 'sound' | 'doubtful' | 'failed' | 'plain';
}

export interface CheckContext {
  readonly limits: Limits;
  readonly displacementL?: number;
  readonly geometry?: FilterGeometry;
  /** What the last believed reading says of the soot by pressure, g; both ends of 90 %. */
  readonly sootByPressureG?: { readonly lowG: number; readonly highG: number };
}

/** What a card makes of its values. A finding that the values do not decide is left out. */
export interface Judged {
  readonly findings: Readonly<Record<string, boolean>>;
  readonly figures: readonly Figure[];
  readonly sentences: readonly Said[];
  readonly parts?: Readonly<Partial<Record<PartId, PartState>>>;
  /** Outcomes about what was not measured, as it need not be there: a pipe, a sensor. The rest decides without them. */
  readonly notAsked?: readonly string[];
}

/** Reads what was entered; what is not possible is not there. */
export interface Read {
  readonly number: (id: string) => number | undefined;
  readonly choice: (id: string) => string | undefined;
  /** Rows whose cells are all there, but for the columns that may be empty. */
  readonly rows: (id: string, mayBeEmpty?: readonly number[]) => (number | undefined)[][];
}

/** Every check that the application knows, by the names that codes, diagnosis and screens use. */
export type CheckId = keyof Catalogue['checkNames'];

/** A hold that was just read: rpm, mbar, and when, ms. */
export interface Hold {
  readonly rpm: number;
  readonly dpMbar: number;
  readonly atMs: number;
}

/** A guided check: what it takes, how it is done, what is entered and what that means. */
export interface CheckCard {
  readonly id: CheckId;
  /** The parts of the line that it is about, where they can be tapped. */
  readonly about: readonly PartId[];
  /** What it finds, in the order in which that takes precedence, and what brings it about. */
  readonly outcomes: Readonly<Partial<Record<keyof Catalogue['shown'], FindingEntry>>>;
  /** The last word where none is seen. */
  readonly otherwise: string;
  /** Usual time, of whoever has it along. */
  readonly minutes: number;
  /** Material, and what it can break, in minutes’ worth of work. */
  readonly cost: number;
  /** How it finds out: by eye and ear, with an instrument, or with a gauge in the line itself, where nothing stands between it and the gas. */
  readonly by: 'looked' | 'measured' | 'gauged';
  readonly needs: readonly KitId[];
  readonly cautions: readonly CautionId[];
  /** What it can do harm to. */
  readonly harm?: Said;
  readonly steps: readonly Said[];
  readonly fields: readonly Field[];
  /** What it comes to where nothing is wrong, to be said in one touch; what was not looked at is not in it. */
  readonly asItShouldBe?: { readonly label: Said; readonly values: CheckValues };
  /** What of it a hold says already that was read a moment ago. */
  readonly asRead?: (hold: Hold) => CheckValues;
  readonly judge: (read: Read, context: CheckContext) => Judged;
}

export const NOTHING: Judged = { findings: {}, figures: [], sentences: [] };

/** A figure against limits of which either may be missing. */
export function against(
  label: Said,
  value: number,
  { unit, suffix, low, high, doubtful = false }: Partial<Figure> & { doubtful?: boolean },
): Figure {
  const off = (low !== undefined && value < low) || (high !== undefined && value > high);
  return {
    label,
    value,
    ...(unit === undefined ? {} : { unit }),
    ...(suffix === undefined ? {} : { suffix }),
    ...(low === undefined ? {} : { low }),
    ...(high === undefined ? {} : { high }),
    state: off
      ? doubtful
        ? 'doubtful'
        : 'failed'
      : low === undefined && high === undefined
        ? 'plain'
        : 'sound',
  };
}

/** A figure as people read it: three digits that count and its unit. */
export function figureText(
  value: number,
  { unit, suffix }: Pick<Spoken<Figure>, 'unit' | 'suffix'>,
  number: Measures['number'],
  wanted: Unit | undefined = unit,
): string {
  const shown = wanted === undefined ? value : fromBase(value, wanted);
  const size = Math.abs(shown);
  // Volts and seconds are read to hundredths, the rest no finer than a tenth.
  const fine = wanted === 'V' || wanted === 's' || wanted === 'bar' || suffix === '×' ? 2 : 1;
  const digits = size >= 100 ? 0 : size >= 10 ? Math.min(1, fine) : fine;
  const text = number(shown, digits);
  const label = wanted === undefined ? (suffix ?? '') : unitLabel(wanted);
  return label === '' ? text : `${text} ${label}`;
}

export const between = (low: number, high: number, otherwise: Said): Possible => ({
  low,
  high,
  otherwise,
});
