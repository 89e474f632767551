import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { Say } from '../../ui/Say.tsx';
import { vehicleFactsOf, type JobState } from '@white-ember/core/job';
import { judgeReading } from '@white-ember/core/proof';
import { restrictionRatio, sootFromPressure } from '@white-ember/core/filter';
import { Notice } from '../../ui/Notice.tsx';
import { FilterSizeAsked } from '../vehicles/FilterSizeAsked.tsx';
import { Button } from '../../ui/Button.tsx';
import { CauseForm } from '../diagnosis/CauseForm.tsx';
import type { StageProps } from '../../job/stageProps.ts';
import { ChoiceForm } from './ChoiceForm.tsx';
import { TreatmentChoice } from './TreatmentChoice.tsx';
import { DrivableForm } from './DrivableForm.tsx';

/** What the before reading says about the filter, against the limits, before anything is done to it. */
export function DecidePanel({
  open,
  canEnter,
  onStage,
  first,
}: StageProps & {
  /** What stands before it. */
  first?: JobState | undefined;
}) {
  return (
    <div className="max-w-4xl grid gap-8">
      <BeforeReading open={open} canEnter={canEnter} onStage={onStage} />
      <CauseForm open={open} canEnter={canEnter} />
      {open.derived.before ? (
        <TreatmentChoice open={open} canEnter={canEnter} onChosen={() => onStage('treat')} />
      ) : null}
      <ChoiceForm
        open={open}
        canEnter={canEnter}
        elsewhere={first?.is === 'choice' ? first.matter.entry.id : undefined}
      />
      <DrivableForm open={open} canEnter={canEnter} />
    </div>
  );
}

function BeforeReading({ open, canEnter, onStage }: Pick<StageProps, 'open' | 'canEnter' | 'onStage'>) {
  const words = useWords();
  const { derived, vehicle, limits } = open;
  if (!derived.before) {
    return (
      <div className="max-w-2xl grid gap-4">
        <h2 className="text-2xl">{wording.decide}</h2>
        <p>{wording.nothingCanBeDecidedWithoutAReading}</p>
        <Button weight="main" onClick={() => onStage('baseline')}>
          {wording.takeTheBeforeReading}
        </Button>
      </div>
    );
  }
  const facts = vehicleFactsOf(vehicle);
  const reading = judgeReading(derived.before.body, { limits, ...facts });
  const { filter } = open;
  return (
    <div className="grid gap-5">
      <h2 className="text-2xl">{common.beforeReading}</h2>
      <SampleTable samples={reading.samples} filter={filter} />
      <p className="text-ink2">
        {wording.goodUpToCleanAtIdleAt(
          words.number(limits.restrictionGoodRatio),
          words.pressure(limits.dpIdleGoodMbar),
          words.pressure(limits.dp3000GoodMbar),
          words.pressure(limits.dpIdleBlockedMbar),
          words.pressure(limits.dp3000BlockedMbar),
          derived.before.body.sootCounterG === undefined
            ? ''
            : wording.theEcuCountsOfSoot(words.soot(derived.before.body.sootCounterG, 0)),
        )}
      </p>
      <FilterSizeAsked open={open} canEnter={canEnter} />
      {reading.assumptions.length > 0 || reading.unplaced.length > 0 ? (
        <Notice title={wording.assumedNotRead}>
          <ul className="list-disc pl-5">
            {[...reading.assumptions, ...reading.unplaced].map((sentence, i) => (
              <li key={i}>
                <Say it={sentence} />
              </li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <Button onClick={() => onStage('treat')}>{wording.continueToTheWork}</Button>
    </div>
  );
}

/** What each sample of the reading says of the filter. */
function SampleTable({
  samples,
  filter,
}: {
  samples: ReturnType<typeof judgeReading>['samples'];
  filter: OpenJob['filter'];
}) {
  const words = useWords();
  const about = filter.size ? '≈ ' : '';
  const rows = samples.map((sample) => ({
    sample,
    ratio: restrictionRatio(filter, sample.flow, sample.dpMbar),
    soot: sootFromPressure({
      geometry: filter,
      gas: sample.flow,
      dpMbar: Math.max(sample.dpMbar, 0),
      dpDoubtMbar: sample.dpMbar * sample.flow.flowDoubt,
      size: filter.size,
    }),
  }));
  return (
    <div>
      <table className="w-full text-left [&_th]:align-bottom [&_th:not(:first-child)]:pl-3 [&_td:not(:first-child)]:pl-3">
        <thead className="border-b-2 border-ink">
          <tr>
            <th className="py-1">{common.atWithin}</th>
            <th className="text-right">{wording.flow}</th>
            <th className="text-right">{wording.deltapZeroRemoved}</th>
            <th className="text-right">{common.clean}</th>
            <th className="text-right">{wording.sootLoadNoAsh}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ sample, ratio, soot }, i) => (
            <tr key={i} className="border-b-2 border-rule">
              <td className="py-1.5">
                {sample.kind === 'idle' ? wording.idle : common.rpm(Math.round(sample.rpm))}
              </td>
              <td className="text-right">{words.volumeFlow(sample.flow.flowM3PerH)}</td>
              <td className="text-right figure-text text-lg">{words.pressure(sample.dpMbar)}</td>
              <td className="text-right">
                {ratio.ok ? `${about}${words.number(ratio.value.ratio, 1)}` : '–'}
              </td>
              <td className="text-right">
                {soot.ok && soot.value.capped
                  ? wording.sootOver(about, words.soot(soot.value.lowG, 0))
                  : soot.ok
                    ? `${about}${words.soot(soot.value.sootG, 0)} (${words.span(words.soot(soot.value.lowG, 0), words.soot(soot.value.highG, 0))})`
                    : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.some(({ soot }) => soot.ok && soot.value.capped) ? (
        <p className="text-sm text-ink2 mt-1">{wording.aboveThatItMayBeAsh}</p>
      ) : null}
    </div>
  );
}
