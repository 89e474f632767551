import * as wording from '@white-ember/core/words/screens/job';
import * as common from '@white-ember/core/words/screens/common';
import { Say } from '../../ui/Say.tsx';
import { useWords } from '../../data/words.ts';
import { useState, type ReactNode } from 'react';
import { Tabs } from 'radix-ui';
import { holdingOff, sortCodes } from '@white-ember/core/codes';
import { entriesOfKind, steadySamplesOf } from '@white-ember/core/ledger';
import type { Comparison, Evidence } from '@white-ember/core/proof';
import { useAppSelector } from '../../data/store.ts';
import { withUnit, fixed, atMost } from '../../ui/format.ts';
import { StateMark } from '../../ui/StateMark.tsx';
import { LikelyCauses } from '../diagnosis/LikelyCauses.tsx';
import { NoteForm } from '../ledger/NoteForm.tsx';
import type { OpenJob } from '../../job/useJob.ts';

const EVIDENCE_MARK = { shown: 'sound', open: 'not-looked-at', failed: 'failed' } as const;

/** What is still to show stands ahead of what is shown; within both the order of the work. */
const openFirst = (a: Evidence, b: Evidence): number =>
  Number(a.state === 'shown') - Number(b.state === 'shown');

const KNOWN = ['likely', 'evidence', 'readings'] as const;
type Known = (typeof KNOWN)[number];

const TAB =
  'min-h-11 px-1.5 grow font-head font-semibold border-b-4 border-transparent text-ink2 data-[state=active]:border-ink data-[state=active]:text-ink';

/** Beside every stage, one thing at a time: what is likely, what is still to show, what the readings say. */
export function WhatWeKnow({ open, canWork }: { open: OpenJob; canWork: boolean }) {
  const { derived } = open;
  const [chosen, setChosen] = useState<Known>();
  // Once it is read after the work, what it came in with is history.
  const arrived = !derived.signedOff && !derived.after;
  const left = derived.evidence.filter(({ state }) => state !== 'shown').length;
  const titles: Record<Known, string> = {
    likely: wording.likely,
    evidence: left === 0 ? wording.evidence : wording.evidenceWithLeft(left),
    readings: wording.readings,
  };
  return (
    <Tabs.Root
      value={chosen ?? (arrived ? 'likely' : 'evidence')}
      onValueChange={(value) => setChosen(KNOWN.find((one) => one === value))}
      className="grid gap-4 content-start"
    >
      <Tabs.List aria-label={wording.whatWeKnow} className="flex border-b-2 border-rule lg:mr-11">
        {KNOWN.map((one) => (
          <Tabs.Trigger key={one} value={one} className={TAB}>
            {titles[one]}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="likely" className="grid gap-5">
        <LikelyCauses open={open} canWork={canWork} />
        <HeldOff open={open} />
        <OpenOnTheLine open={open} />
      </Tabs.Content>
      <Tabs.Content value="evidence">
        <EvidenceList open={open} />
      </Tabs.Content>
      <Tabs.Content value="readings">
        <ReadingFacts open={open} />
      </Tabs.Content>
      {canWork ? <NoteForm open={open} /> : null}
    </Tabs.Root>
  );
}

function EvidenceList({ open }: { open: OpenJob }) {
  return (
    <ul className="divide-y-2 divide-rule" aria-label={wording.evidence}>
      {[...open.derived.evidence].sort(openFirst).map((item) => (
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
  );
}

/** Parts that are in doubt or failed, each with its reason. */
function OpenOnTheLine({ open }: { open: OpenJob }) {
  const words = useWords();
  const doubtful = [...open.derived.parts].filter(
    ([, status]) => status.state === 'doubtful' || status.state === 'failed',
  );
  if (doubtful.length === 0) return null;
  return (
    <section>
      <h2 className="text-lg mb-1">{wording.openOnTheLine}</h2>
      <ul className="grid gap-2">
        {doubtful.map(([part, status]) => (
          <li key={part} className="flex gap-2 text-[15px] leading-snug">
            <StateMark state={status.state} size={18} />
            <span>
              <b>{words.name('parts', part)}</b>: {status.why}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What keeps the ECU from regenerating, by the codes of the last scan. */
function HeldOff({ open }: { open: OpenJob }) {
  const scan = entriesOfKind(open.derived.entries, 'code-scan').at(-1);
  const holding = holdingOff(sortCodes(scan?.body.codes ?? []));
  if (holding.length === 0) return null;
  return (
    <section>
      <h2 className="text-lg mb-1">{wording.inhibitsRegeneration}</h2>
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
        name={common.before}
        value={comparison.restrictionBefore}
        limit={limits.restrictionGoodRatio}
      />,
    );
  if (comparison?.restrictionAfter)
    facts.push(
      <Ratio
        key="ra"
        name={common.afterTitle}
        value={comparison.restrictionAfter}
        limit={limits.restrictionGoodRatio}
      />,
    );
  if (comparison?.sootAfter) {
    facts.push(
      <Fact key="soot" name={wording.sootByPressureAfter} value={words.soot(comparison.sootAfter.sootG, 0)}>
        {wording.ifThereIsNoAshLimit(
          words.span(words.soot(comparison.sootAfter.lowG, 0), words.soot(comparison.sootAfter.highG, 0)),
          words.soot(limits.sootAfterCleanG),
        )}
      </Fact>,
    );
  }
  if (facts.length > 0) return <ul className="grid gap-2">{facts}</ul>;
  const reading = derived.before ?? derived.after;
  if (!reading) return <p className="text-ink2">{wording.noReadingYet}</p>;
  return (
    <ul className="grid gap-1">
      {steadySamplesOf(reading.body.samples).map((sample, i) => (
        <li key={i} className="flex justify-between">
          <span>{sample.kind === 'hold' ? common.rpm(Math.round(sample.rpm)) : sample.kind}</span>
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
    <Fact name={wording.restriction(name)} value={wording.clean(fixed(value.value, 1))}>
      {wording.limit(fixed(value.low, 1), fixed(value.high, 1), atMost(limit, 2))}
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
