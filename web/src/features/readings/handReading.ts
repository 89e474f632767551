import { readingBodySchema, type ReadingBody, type ReadingSample } from '@white-ember/core/ledger';
import { fromBase, toBase, type Unit } from '@white-ember/core/quantities';
import { typedNumber } from '../../ui/format.ts';

export interface HandRow {
  readonly kind: ReadingSample['kind'];
  readonly rpm: string;
  readonly dp: string;
  readonly air: string;
  readonly manifold: string;
  readonly temperature: string;
  /** Before the turbo, absolute; a draft of an earlier version has no such fields. */
  readonly back?: string;
  readonly coolant?: string;
}

export interface HandValues {
  readonly rows: HandRow[];
  readonly barometer: string;
  readonly soot: string;
  /** Fill level, %. */
  readonly fill?: string;
  readonly note: string;
}

export interface HandUnits {
  readonly pressure: Unit;
  readonly massFlow: Unit;
  readonly temperature: Unit;
  readonly soot: Unit;
}

export const emptyRow = (kind: ReadingSample['kind'], rpm: string): HandRow => ({
  kind,
  rpm,
  dp: '',
  air: '',
  manifold: '',
  temperature: '',
  back: '',
  coolant: '',
});

/** Stands there until somebody reads another; the flow of an idle hangs little on it. */
const USUAL_IDLE_RPM = '800';

export const EMPTY_HAND: HandValues = {
  rows: [
    emptyRow('key-off', '0'),
    emptyRow('idle', USUAL_IDLE_RPM),
    emptyRow('hold', '2500'),
    emptyRow('hold', '3000'),
  ],
  barometer: '',
  soot: '',
  fill: '',
  note: '',
};

/** What is wrong, by the form's field name. */
export type HandProblems = Record<string, string>;

const COLUMN: Record<string, string> = {
  rpm: 'rpm',
  dpMbar: 'dp',
  airMassGPerS: 'air',
  manifoldMbar: 'manifold',
  filterC: 'temperature',
  backPressureMbar: 'back',
  coolantC: 'coolant',
};

/** Figures of a row beside its speed. */
const isUsed = ({ dp, air, manifold, temperature, back, coolant }: HandRow): boolean =>
  [dp, air, manifold, temperature, back, coolant].some((text = '') => text.trim() !== '');

/** The typed table as an entry of the ledger, in base units, or what is wrong and where. Rows without a figure are left out. */
export function handReading(
  values: HandValues,
  units: HandUnits,
  purpose: ReadingBody['purpose'],
): { body: ReadingBody } | { problems: HandProblems } {
  const used = values.rows.map((row, i) => ({ row, i })).filter(({ row }) => isUsed(row));
  const base = (text: string, unit: Unit): number | undefined => {
    const typed = typedNumber(text);
    // As fine as it was typed: a gram is no gram and a bit because it was read in ounces.
    return typed === undefined || Number.isNaN(typed) ? typed : Number(toBase(typed, unit).toPrecision(6));
  };
  const given = (fields: Record<string, number | string | undefined>): Record<string, number | string> =>
    Object.fromEntries(
      Object.entries(fields).filter((pair): pair is [string, number | string] => pair[1] !== undefined),
    );
  const candidate = {
    kind: 'reading',
    purpose,
    origin: { type: 'hand' },
    samples: used.map(({ row }) => ({
      kind: row.kind,
      ...given({
        rpm: row.kind === 'key-off' ? 0 : typedNumber(row.rpm),
        dpMbar: base(row.dp, units.pressure),
        airMassGPerS: base(row.air, units.massFlow),
        manifoldMbar: base(row.manifold, units.pressure),
        filterC: base(row.temperature, units.temperature),
        backPressureMbar: base(row.back ?? '', units.pressure),
        coolantC: base(row.coolant ?? '', units.temperature),
      }),
    })),
    ...given({
      barometerMbar: base(values.barometer, units.pressure),
      sootCounterG: base(values.soot, units.soot),
      sootPercent: typedNumber(values.fill ?? ''),
      note: values.note.trim() === '' ? undefined : values.note,
    }),
  };
  const parsed = readingBodySchema.safeParse(candidate);
  if (parsed.success) return { body: parsed.data };
  const problems: HandProblems = {};
  for (const issue of parsed.error.issues) {
    const [field, index, column] = issue.path;
    const row = typeof index === 'number' ? used[index]?.i : undefined;
    const name =
      row === undefined ? String(field ?? 'rows') : `rows.${row}.${COLUMN[String(column)] ?? 'dp'}`;
    problems[name] ??= issue.message;
  }
  return { problems };
}

/** A hand reading back in the form that made it, in the person's units; what the form does not show stays empty. */
export function handValues(body: ReadingBody, units: HandUnits): HandValues {
  const typed = (value: number | undefined, unit: Unit): string =>
    value === undefined ? '' : String(Number(fromBase(value, unit).toPrecision(6)));
  return {
    rows: body.samples.map((sample) => ({
      kind: sample.kind,
      rpm: String(sample.rpm),
      dp: typed(sample.dpMbar, units.pressure),
      air: typed(sample.airMassGPerS, units.massFlow),
      manifold: typed(sample.manifoldMbar, units.pressure),
      temperature: typed(sample.filterC, units.temperature),
      back: typed(sample.backPressureMbar, units.pressure),
      coolant: typed(sample.coolantC, units.temperature),
    })),
    barometer: typed(body.barometerMbar, units.pressure),
    soot: typed(body.sootCounterG, units.soot),
    fill: body.sootPercent === undefined ? '' : String(body.sootPercent),
    note: body.note ?? '',
  };
}
