import { say, type Said } from '../words/index.ts';
import { CHECK_CARDS } from './cards/index.ts';
import type {
  CheckCard,
  CheckContext,
  CheckValue,
  CheckValues,
  Field,
  Judged,
  NumberField,
  Read,
  RowsField,
} from './card.ts';
import { NOTHING } from './card.ts';

/** A value that cannot be what it is entered as. */
export interface Question {
  readonly field: string;
  readonly text: Said;
}

export interface CheckJudgement extends Judged {
  /** The outcome by its id; undefined while what was entered does not decide it. */
  readonly outcome: string | undefined;
  /** Impossible values, asked back; they have no say. */
  readonly questions: readonly Question[];
}

type Column = Pick<NumberField, 'possible'>;

function isPossible({ possible }: Column, value: number, sure: boolean): boolean {
  const [low, high] = (sure ? possible.ifSure : undefined) ?? [possible.low, possible.high];
  return value >= low && value <= high;
}

const askBack = (label: Said, { possible }: Column, value: number): Said =>
  say('checks.cannot-be', { label, value: Number(value.toPrecision(4)), otherwise: possible.otherwise });

function questionsOf(field: Field, value: CheckValue, sure: boolean): Question[] {
  if (field.kind === 'number' && typeof value === 'number' && !isPossible(field, value, sure))
    return [{ field: field.id, text: askBack(field.label, field, value) }];
  if (field.kind === 'rows' && Array.isArray(value)) {
    return field.columns.flatMap((column, c) => {
      const row = (value as readonly (readonly (number | null)[])[]).find((cells) => {
        const cell = cells[c];
        return typeof cell === 'number' && !isPossible(column, cell, sure);
      });
      return row ? [{ field: field.id, text: askBack(column.label, column, row[c] as number) }] : [];
    });
  }
  return [];
}

/** Empty cells stay empty: what they mean is the card's to say. */
const rowsOf = ({ columns }: RowsField, value: CheckValue): (number | undefined)[][] =>
  Array.isArray(value)
    ? (value as readonly (readonly (number | null)[])[]).map((cells) =>
        columns.map((column, c) => {
          const cell = cells[c];
          return typeof cell === 'number' ? cell : undefined;
        }),
      )
    : [];

/** What was entered, by the names of the card. */
function reader(card: CheckCard, values: CheckValues): Read {
  const fieldOf = <K extends Field['kind']>(kind: K, id: string): Extract<Field, { kind: K }> => {
    const field = card.fields.find((one) => one.id === id);
    if (field?.kind !== kind) throw new RangeError(`Check “${card.id}” has no ${kind} “${id}”`);
    return field as Extract<Field, { kind: K }>;
  };
  return {
    number: (id) => {
      const { id: key } = fieldOf('number', id);
      const value = values[key];
      return typeof value === 'number' ? value : undefined;
    },
    choice: (id) => {
      const { options } = fieldOf('choice', id);
      return options.find(([value]) => value === values[id])?.[0];
    },
    rows: (id, mayBeEmpty = []) =>
      rowsOf(fieldOf('rows', id), values[id] ?? []).filter((cells) =>
        cells.every((cell, c) => cell !== undefined || mayBeEmpty.includes(c)),
      ),
  };
}

export const cardOf = (id: string): CheckCard | undefined => CHECK_CARDS.find((card) => card.id === id);

/**
 * Judges what was entered into a check. While a value cannot be, it is asked back and nothing is decided; findings that the
 * values do not decide are left open. `sure`: they were measured again. A check that is not known has no judgement: what was
 * said of it is kept as it was said.
 */
export function judgeCheck(
  id: string,
  values: CheckValues,
  context: CheckContext,
  { sure = false }: { readonly sure?: boolean } = {},
): CheckJudgement {
  const card = cardOf(id);
  if (!card) return { ...NOTHING, outcome: undefined, questions: [] };
  const questions = card.fields.flatMap((field) => {
    const value = values[field.id];
    return value === undefined ? [] : questionsOf(field, value, sure);
  });
  if (questions.length > 0) return { ...NOTHING, outcome: undefined, questions };
  const judged = card.judge(reader(card, values), context);
  const seen = Object.keys(card.outcomes).find((outcome) => judged.findings[outcome] === true);
  const asked = Object.keys(card.outcomes).filter((outcome) => judged.notAsked?.includes(outcome) !== true);
  const allOut = asked.length > 0 && asked.every((outcome) => judged.findings[outcome] === false);
  return { ...judged, questions, outcome: seen ?? (allOut ? card.otherwise : undefined) };
}
