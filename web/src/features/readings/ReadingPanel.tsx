import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import type { ReadingBody } from '@white-ember/core/ledger';
import { withUnit } from '../../ui/format.ts';
import { useAppSelector } from '../../app/store.ts';
import { CautionCard } from '../../ui/CautionCard.tsx';
import type { StageProps } from '../job/StageWork.tsx';
import { useCaution } from '../job/useCaution.ts';
import { HandReadingForm } from './HandReadingForm.tsx';
import { LogReadingForm } from './LogReadingForm.tsx';

const TAB =
  'min-h-11 px-4 font-head font-semibold border-2 border-ink data-[state=active]:bg-ink data-[state=active]:text-paper';

const TITLES: Record<ReadingBody['purpose'], string> = {
  before: 'Before reading',
  after: 'After reading',
  between: 'Reading between',
};

/** A reading of the filter's pressure: typed in from a screen, or taken from a recorded log. */
export function ReadingPanel({
  open,
  canEnter,
  onStage,
  purpose,
}: StageProps & { purpose: ReadingBody['purpose'] }) {
  const [params, setParams] = useSearchParams();
  const way = params.get('way') === 'log' ? 'log' : 'hand';
  const reading = purpose === 'before' ? open.derived.before : open.derived.after;
  const pressureUnit = useAppSelector((state) => state.preferences.pressureUnit);
  const caution = useCaution(open, 'running-engine', purpose);
  const done = (): void => onStage(purpose === 'before' ? 'decide' : 'prove');
  return (
    <div className="grid gap-4 max-w-4xl">
      <h2 className="text-2xl">{TITLES[purpose]}</h2>
      {reading ? (
        <p>
          Counts now:{' '}
          {reading.body.samples
            .map(
              (s) =>
                `${s.kind === 'hold' ? `${Math.round(s.rpm)} rpm` : s.kind} ${withUnit(s.dpMbar, pressureUnit)}`,
            )
            .join(' · ')}
          {reading.body.origin.type === 'log' ? ` · from “${reading.body.origin.fileName}”` : ' · by hand'}. A
          new one takes its place.
        </p>
      ) : null}
      {canEnter ? (
        <>
          <CautionCard
            id="running-engine"
            acknowledged={caution.acknowledged}
            onAcknowledge={caution.acknowledge}
          />
          <Tabs.Root
            value={way}
            onValueChange={(value) => {
              const next = new URLSearchParams(params);
              next.set('way', value);
              setParams(next, { replace: true });
            }}
          >
            <Tabs.List aria-label="Where the reading comes from" className="flex mb-4">
              <Tabs.Trigger value="hand" className={TAB}>
                Typed in
              </Tabs.Trigger>
              <Tabs.Trigger value="log" className={`${TAB} border-l-0`}>
                From a recorded log
              </Tabs.Trigger>
            </Tabs.List>
            <Tabs.Content value="hand" tabIndex={-1}>
              <HandReadingForm open={open} purpose={purpose} onDone={done} />
            </Tabs.Content>
            <Tabs.Content value="log" tabIndex={-1}>
              <LogReadingForm open={open} purpose={purpose} onDone={done} />
            </Tabs.Content>
          </Tabs.Root>
        </>
      ) : null}
    </div>
  );
}
