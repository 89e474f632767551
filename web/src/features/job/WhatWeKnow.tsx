import { Say } from '../../ui/Say.tsx';
import { useWords } from '../../data/words.ts';
import type { ReactNode } from 'react';
import { holdingOff, sortCodes } from '@white-ember/core/codes';
import { entriesOfKind, steadySamplesOf } from '@white-ember/core/ledger';
import type { Comparison, Evidence } from '@white-ember/core/proof';
import { useAppSelector } from '../../data/store.ts';
import { withUnit, fixed } from '../../ui/format.ts';
import { StateMark } from '../../ui/StateMark.tsx';
import { LikelyCauses } from '../diagnosis/LikelyCauses.tsx';
import { NoteForm } from '../ledger/NoteForm.tsx';
import type { OpenJob } from '../../job/useJob.ts';

const EVIDENCE_MARK = { shown: 'sound', open: 'not-looked-at', failed: 'failed' } as const;

/** What is still to show stands ahead of what is shown; within both the order of the work. */
const openFirst = (a: Evidence, b: Evidence): number =>
  Number(a.state === 'shown') - Number(b.state === 'shown');

/** Beside every stage: what is likely, what the readings say, and what is still to show. */
export function WhatWeKnow({ open, canWork }: { open: OpenJob; canWork: boolean }) {
  const { derived } = open;
  const doubtful = [...derived.parts].filter(
    ([, status]) => status.state === 'doubtful' || status.state === 'failed',
  );
  return (
    <div className="grid gap-5 content-start">
      {derived.signedOff || derived.after ? null : <LikelyCauses open={open} canWork={canWork} />}
      <HeldOff open={open} />
      <section>
        <h2 className="text-lg mb-2">Readings</h2>
        <ReadingFacts open={open} />
      </section>
      <section>
        <h2 className="text-lg mb-1">Evidence: outstanding and complete</h2>
        <ul className="divide-y-2 divide-rule">
          {[...derived.evidence].sort(openFirst).map((item) => (
            <li key={item.id} className="py-1.5 flex gap-2 items-start text-[15px] leading-snug">
              <StateMark state={EVIDENCE_MARK[item.state]} size={18} />
              <span>
                {item.text}
                <span className="sr-only">: {item.state}</span>
                {item.state === 'open' && item.ask ? (
                  <span className="block text-sm text-ink2">{item.ask}</span>
                ) : null}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {doubtful.length > 0 ? (
        <section>
          <h2 className="text-lg mb-1">Open on the line</h2>
          <ul className="grid gap-2">
            {doubtful.map(([part, status]) => (
              <li key={part} className="flex gap-2 text-[15px] leading-snug">
                <StateMark state={status.state} size={18} />
                <span>
                  <b>{part.replaceAll('-', ' ')}</b>: {status.why}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {canWork ? <NoteForm open={open} /> : null}
    </div>
  );
}

/** What keeps the ECU from regenerating, by the codes of the last scan. */
function HeldOff({ open }: { open: OpenJob }) {
  const scan = entriesOfKind(open.derived.entries, 'code-scan').at(-1);
  const holding = holdingOff(sortCodes(scan?.body.codes ?? []));
  if (holding.length === 0) return null;
  return (
    <section>
      <h2 className="text-lg mb-1">Inhibits regeneration</h2>
      <ul className="grid gap-1 text-[15px] leading-snug">
        {holding.map(({ code, meaning }) => (
          <li key={code}>
            <b>{code}</b>: <Say it={meaning} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function ReadingFacts({ open }: { open: OpenJob }) {
  const words = useWords();
  const pressureUnit = useAppSelector((state) => state.preferences.units.pressure);
  const { derived, limits } = open;
  const { comparison } = derived;
  const facts: ReactNode[] = [];
  if (comparison?.restrictionBefore)
    facts.push(
      <Ratio
        key="rb"
        name="Before"
        value={comparison.restrictionBefore}
        limit={limits.restrictionGoodRatio}
      />,
    );
  if (comparison?.restrictionAfter)
    facts.push(
      <Ratio key="ra" name="After" value={comparison.restrictionAfter} limit={limits.restrictionGoodRatio} />,
    );
  if (comparison?.sootAfter) {
    facts.push(
      <Fact key="soot" name="Soot by pressure, after" value={words.soot(comparison.sootAfter.sootG, 0)}>
        {words.span(words.soot(comparison.sootAfter.lowG, 0), words.soot(comparison.sootAfter.highG, 0))} if
        there is no ash · limit {words.soot(limits.sootAfterCleanG)}
      </Fact>,
    );
  }
  if (facts.length > 0) return <ul className="grid gap-2">{facts}</ul>;
  const reading = derived.before ?? derived.after;
  if (!reading) return <p className="text-ink2">No reading yet.</p>;
  return (
    <ul className="grid gap-1">
      {steadySamplesOf(reading.body.samples).map((sample, i) => (
        <li key={i} className="flex justify-between">
          <span>{sample.kind === 'hold' ? `${Math.round(sample.rpm)} rpm` : sample.kind}</span>
          <span className="figure-text">{withUnit(sample.dpMbar, pressureUnit)}</span>
        </li>
      ))}
    </ul>
  );
}

function Ratio({
  name,
  value,
  limit,
}: {
  name: string;
  value: NonNullable<Comparison['restrictionAfter']>;
  limit: number;
}) {
  return (
    <Fact name={`${name}: restriction`} value={`${fixed(value.value, 1)} × clean`}>
      {fixed(value.low, 1)}–{fixed(value.high, 1)} · limit {limit} ×
    </Fact>
  );
}

function Fact({ name, value, children }: { name: string; value: string; children: ReactNode }) {
  return (
    <li>
      <p className="flex justify-between gap-3 items-baseline">
        <span className="font-bold">{name}</span>
        <span className="figure-text text-lg whitespace-nowrap">{value}</span>
      </p>
      <p className="text-sm text-ink2">{children}</p>
    </li>
  );
}
