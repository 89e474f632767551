import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { type Job } from '@white-ember/core/contract';
import { useWords } from '../../../data/words.ts';
import { Say } from '../../../ui/Say.tsx';
import { Link } from 'react-router';
import { adviseSecondRun, burnsOf, type JobBurnRun, type SecondRunAdvice } from '@white-ember/core/treatment';
import { useAppSelector } from '../../../data/store.ts';
import { Button } from '../../../ui/Button.tsx';
import { withUnit, fixed } from '../../../ui/format.ts';
import { useDiagnosis } from '../../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import type { Treatments } from '../useTreatments.ts';
import { CourseChart } from './CourseChart.tsx';

const ANSWERS = {
  yes: wording.anotherRunIsWorthwhile,
  no: wording.noOtherRun,
  'read-first': wording.readFirstThenDecideOnAnotherRun,
} as const;

/** The burns of this job so far, what each came to, and whether another is worth it. */
export function BurnsBefore({
  open,
  treatments,
  onAnother,
}: {
  open: OpenJob;
  treatments: Treatments;
  onAnother: () => void;
}) {
  const { derived, limits, vehicle, filter, job } = open;
  const diagnosis = useDiagnosis(open);
  const burns = burnsOf(derived.entries);
  const advice = adviseSecondRun({
    derived,
    limits,
    filter,
    ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    ...(diagnosis
      ? { likely: new Map(diagnosis.posterior.causes.map(({ id, probability }) => [id, probability])) }
      : {}),
    ...(treatments.forecast ? { forecast: treatments.forecast } : {}),
  });
  if (!advice) return null;
  return (
    <section aria-label={wording.regenerationsOnThisJob} className="grid gap-4">
      {burns.map((run, i) => (
        <Burn key={run.begun.id} run={run} number={i + 1} />
      ))}
      <AnotherRun advice={advice} onAnother={onAnother} job={job} />
    </section>
  );
}

/** Whether another one is worth it. */
function AnotherRun({
  advice,
  onAnother,
  job,
}: {
  advice: SecondRunAdvice;
  onAnother: () => void;
  job: Job;
}) {
  return (
    <div className="border-l-8 border-ink bg-card p-3 grid gap-2" role="status">
      <p className="font-head font-semibold text-xl">{ANSWERS[advice.another]}</p>
      <ul className="list-disc pl-5">
        {advice.reasons.map((text, i) => (
          <li key={i}>
            <Say it={text} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {advice.another === 'yes' ? (
          <Button weight="main" onClick={onAnother}>
            {wording.prepareAnotherRun}
          </Button>
        ) : null}
        <Link
          to={`/jobs/${job.id}?stage=prove`}
          className="font-head font-semibold min-h-12 px-4 border-2 border-ink rounded-sm inline-flex items-center"
        >
          {advice.another === 'read-first' ? wording.takeTheReading : common.continueToTheProof}
        </Link>
      </div>
    </div>
  );
}

function Burn({ run: { begun, ended, goesOn }, number }: { run: JobBurnRun; number: number }) {
  const words = useWords();
  const unit = useAppSelector((app) => app.preferences.units.temperature);
  const at = words.clock(begun.deviceTime);
  if (!ended)
    return <p>{wording.burnWithNumber(number, at, goesOn ? wording.noEndRecorded : begun.body.what)}</p>;
  const {
    how,
    why,
    minutes,
    peakBedC,
    peakInletC,
    peakOutletC,
    sootBeforeG,
    sootLeftG,
    counterBeforeG,
    counterAfterG,
    course,
  } = ended.body;
  const figures: readonly (readonly [string, string | undefined])[] = [
    ['took', wording.min(fixed(minutes))],
    [common.beforeTheFilter, peakInletC === undefined ? undefined : withUnit(peakInletC, unit)],
    [wording.behindIt, peakOutletC === undefined ? undefined : withUnit(peakOutletC, unit)],
    [wording.bedByTheModel, peakBedC === undefined ? undefined : withUnit(peakBedC, unit)],
    [
      wording.sootByTheModel,
      sootBeforeG === undefined || sootLeftG === undefined
        ? undefined
        : `${words.soot(sootBeforeG, 1)} → ${words.soot(sootLeftG, 1)}`,
    ],
    [
      'counter',
      counterBeforeG === undefined || counterAfterG === undefined
        ? undefined
        : `${words.soot(counterBeforeG, 1)} → ${words.soot(counterAfterG, 1)}`,
    ],
  ];
  return (
    <article aria-label={wording.burnOfNumber(number)} className="grid gap-2">
      <h2 className="text-xl border-b-2 border-ink">
        {wording.burnOfNumberAtNamePart(number, at, words.name('burnEnds', how), why ? `, ${why}` : '')}
      </h2>
      <div className="grid lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-4 items-start">
        {course && course.length > 2 ? (
          <CourseChart course={course} />
        ) : (
          <p className="text-ink2">{wording.noValuesRecorded}</p>
        )}
        <dl className="grid grid-cols-2 sm:grid-cols-3 gap-x-4 gap-y-2">
          {figures.map(([label, figure]) =>
            figure === undefined ? null : (
              <div key={label}>
                <dt className="text-sm text-ink2">{label}</dt>
                <dd className="figure-text text-xl">{figure}</dd>
              </div>
            ),
          )}
        </dl>
      </div>
    </article>
  );
}
