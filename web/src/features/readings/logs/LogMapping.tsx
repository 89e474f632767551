import * as wording from '@white-ember/core/words/screens/readings';
import { isMessage, say, type Code, type Said } from '@white-ember/core/words';
import { spokenNow } from '../../../data/words.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LogAnalysis, WithoutRole } from '@white-ember/core/readings';
import { shortNumber } from '../../../ui/format.ts';
import { ChannelChooser, channelName, HeadingRead } from '../ChannelChooser.tsx';

interface Row {
  readonly column: string;
  readonly role: string;
  readonly unit: string;
  readonly why: string;
}

/** Between which values a column lies: what tells it from the one that looks like it. */
const rangeText = (shows: { low: number; high: number; unitLabel: string } | undefined): string =>
  shows
    ? wording.to(shortNumber(shows.low), shortNumber(shows.high), shows.unitLabel).trimEnd()
    : wording.noNumber;

/** The words of the heading stand above, each with what it was taken for: here the name is reason enough. */
const shortOf = (reason: Said): Said => {
  if (!isMessage(reason)) return reason;
  if (reason.say === READ_AS) return say('logs.by-its-name');
  const of: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(reason.of ?? {})) of[name] = shortly(value);
  return { ...reason, of };
};
const shortly = (value: unknown): unknown =>
  Array.isArray(value) ? value.map(shortly) : isMessage(value) ? shortOf(value) : value;
const READ_AS: Code = 'logs.by-its-name-read-as';

function rowsOf(analysis: LogAnalysis, corrections: Readonly<Record<string, string>>): Row[] {
  const asked = new Map(
    (analysis.questions ?? []).flatMap(({ role, columns, shows }) =>
      columns.map((column, at) => [column, { role, shows: shows[at] }] as const),
    ),
  );
  const without = new Map((analysis.without ?? []).map((one) => [one.column, one]));
  const unmapped = analysis.unmapped.map((column): Row => {
    const question = asked.get(column);
    const why = question
      ? wording.isThisOthersLookLikeItToo(channelName(question.role), rangeText(question.shows))
      : corrections[column] === ''
        ? wording.leftOutByHand
        : notRecognised(without.get(column));
    return { column, role: '', unit: '', why };
  });
  const mapped = analysis.channels.map((channel): Row => ({
    column: channel.column,
    role: channel.role,
    unit: channel.unit,
    why: `${Math.round(channel.confidence * 100)} %, ${spokenNow(shortOf(channel.reason))}`,
  }));
  return [
    ...unmapped.filter(({ column }) => asked.has(column)),
    ...mapped,
    ...unmapped.filter(({ column }) => !asked.has(column)),
  ];
}

/** What a heading was read as, and why that is no channel that is judged; the column is kept, and can be plotted. */
const notRecognised = (one: WithoutRole | undefined): string =>
  one === undefined ? wording.notRecognisedKeptAndCanBePlotted : spokenNow(one.why);

/** Which column is what, with how surely and why; any of it can be set right, and is then remembered for the workshop. */
export function LogMapping({
  analysis,
  corrections,
  onCorrect,
}: {
  analysis: LogAnalysis;
  corrections: Readonly<Record<string, string>>;
  onCorrect: (column: string, role: string) => void;
}) {
  const questions = analysis.questions?.length ?? 0;
  const rows = rowsOf(analysis, corrections);
  // Rows stay where they are when one is answered: the next is not to be hit by mistake.
  const [order] = useState(() => new Map(rows.map(({ column }, at) => [column, at])));
  const placeOf = ({ column }: Row): number => order.get(column) ?? order.size;
  return (
    <details open={questions > 0 || analysis.unmapped.length > 0 || Object.keys(corrections).length > 0}>
      <summary className="text-lg font-head font-semibold min-h-11">
        {wording.columnsRecognisedNot(
          analysis.channels.length,
          analysis.unmapped.length,
          questions > 0 ? wording.toBeAnswered(questions) : '',
        )}
      </summary>
      <p className="text-sm text-ink2 mb-1">
        {wording.whatYouSetHereAppliesToEvery}{' '}
        <Link className="underline underline-offset-4" to="/headings">
          {wording.allCorrections}
        </Link>
        .
      </p>
      <ul aria-label={wording.columns} className="border-t-2 border-ink text-[15px]">
        {rows
          .toSorted((a, b) => placeOf(a) - placeOf(b))
          .map((row) => (
            <ColumnRow key={row.column} row={row} onCorrect={onCorrect} />
          ))}
      </ul>
    </details>
  );
}

/** One column: what it was taken for, and why. */
function ColumnRow({ row, onCorrect }: { row: Row; onCorrect: (column: string, role: string) => void }) {
  return (
    <li className="border-b-2 border-rule py-1 grid gap-x-4 gap-y-1 items-center sm:grid-cols-[minmax(0,1fr)_15rem]">
      <div className="min-w-0 break-words">
        <span className="font-bold">{row.column}</span>
        {row.unit === '' ? null : <span data-own-words> {wording.inIt(row.unit)}</span>}
        <p className="text-sm leading-snug">
          <HeadingRead heading={row.column} role={row.role} />
        </p>
        <p data-own-words className="text-sm leading-snug text-ink2">
          {row.why}
        </p>
      </div>
      <ChannelChooser
        heading={row.column}
        role={row.role}
        name={wording.whatIs(row.column)}
        onChoose={(role) => onCorrect(row.column, role)}
      />
    </li>
  );
}
