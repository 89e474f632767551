import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/readings';
import { type OpenJob } from '../../job/useJob.ts';
import { Tabs } from 'radix-ui';
import { Link, useSearchParams } from 'react-router';
import { steadySamplesOf, type ReadingBody } from '@white-ember/core/ledger';
import { withUnit } from '../../ui/format.ts';
import { useAppSelector } from '../../data/store.ts';
import { CautionCard } from '../../ui/CautionCard.tsx';
import type { StageProps } from '../../job/stageProps.ts';
import { useCaution } from '../../job/useCaution.ts';
import { HandReadingForm } from './HandReadingForm.tsx';
import { LogReadingForm } from './LogReadingForm.tsx';

const TAB =
  'min-h-11 px-4 font-head font-semibold border-2 border-ink data-[state=active]:bg-ink data-[state=active]:text-paper';

const TITLES: Record<ReadingBody['purpose'], string> = {
  before: common.beforeReading,
  after: wording.afterReading,
  between: wording.readingBetween,
};

/** A reading of the filter's pressure: typed in from a screen, or taken from a recorded log. */
export function ReadingPanel({
  open,
  canEnter,
  onStage,
  onLead,
  purpose,
  onDone,
}: StageProps & {
  purpose: ReadingBody['purpose'];
  /** Instead of going to the next stage. */
  onDone?: () => void;
}) {
  const [params, setParams] = useSearchParams();
  const way = params.get('way') === 'log' ? 'log' : 'hand';
  const caution = useCaution(open, 'running-engine', purpose);
  const done = onDone ?? (purpose === 'before' ? onLead : () => onStage('prove'));
  const choose = (value: string): void => {
    const next = new URLSearchParams(params);
    next.set('way', value);
    setParams(next, { replace: true });
  };
  return (
    <Tabs.Root value={way} onValueChange={choose} className="grid gap-3 max-w-4xl">
      <WaysIn purpose={purpose} canEnter={canEnter} open={open} />
      <CountsNow open={open} purpose={purpose} />
      {canEnter ? (
        <>
          <CautionCard
            id="running-engine"
            acknowledged={caution.acknowledged}
            onAcknowledge={caution.acknowledge}
          />
          <Tabs.Content value="hand" tabIndex={-1}>
            <HandReadingForm open={open} purpose={purpose} onDone={done} />
          </Tabs.Content>
          <Tabs.Content value="log" tabIndex={-1}>
            <LogReadingForm open={open} purpose={purpose} onDone={done} />
          </Tabs.Content>
        </>
      ) : null}
    </Tabs.Root>
  );
}

/** By hand, from a log or live. */
function WaysIn({
  purpose,
  canEnter,
  open,
}: {
  purpose: 'before' | 'after' | 'between';
  canEnter: boolean;
  open: OpenJob;
}) {
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2 items-center justify-between">
      <h2 className="text-2xl">{TITLES[purpose]}</h2>
      {canEnter ? (
        <Link
          to={`/jobs/${open.job.id}/live`}
          className="min-h-11 px-4 inline-flex items-center font-head font-semibold border-2 border-ink bg-card"
        >
          {wording.readLive}
        </Link>
      ) : null}
      {canEnter ? (
        <Tabs.List aria-label={wording.whereTheReadingComesFrom} className="flex">
          <Tabs.Trigger value="hand" className={TAB}>
            {wording.typedIn}
          </Tabs.Trigger>
          <Tabs.Trigger value="log" className={`${TAB} border-l-0`}>
            {wording.fromARecordedLog}
          </Tabs.Trigger>
        </Tabs.List>
      ) : null}
    </div>
  );
}

/** The reading that counts at present, and where it came from. */
function CountsNow({ open, purpose }: Pick<StageProps, 'open'> & { purpose: ReadingBody['purpose'] }) {
  const pressureUnit = useAppSelector((state) => state.preferences.units.pressure);
  const reading =
    purpose === 'before' ? open.derived.before : purpose === 'after' ? open.derived.after : undefined;
  if (!reading) return null;
  const { samples, origin } = reading.body;
  const figures = steadySamplesOf(samples).map((s) => {
    const at = s.kind === 'hold' ? common.rpm(Math.round(s.rpm)) : s.kind;
    return `${at} ${withUnit(s.dpMbar, pressureUnit)}`;
  });
  return (
    <p className="text-[15px]">
      {wording.countsNowANewOneReplacesIt(
        figures.join(' · '),
        origin.type === 'log' ? wording.from(origin.fileName) : wording.byHand,
      )}
    </p>
  );
}
