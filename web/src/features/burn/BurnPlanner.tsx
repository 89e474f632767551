import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { fixed } from '../../ui/format.ts';
import { useWords } from '../../data/words.ts';
import { joined } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { useDeferredValue, useEffect, useState } from 'react';
import {
  bedLimits,
  type BurnRun,
  type Catalyst,
  type JudgedBurn,
  type SafeSoot,
} from '@white-ember/core/burn';
import { filterVolumeL } from '@white-ember/core/filter';
import type { JobBurn } from '@white-ember/core/treatment';
import type { BurnWish, Told } from '../../workers/burnWorker.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Slide } from '../../ui/Slide.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { BedPicture, BedScale } from './BedPicture.tsx';
import { burnRemote } from '../../workers/burnRemote.ts';
import { Doubts } from './BurnDoubts.tsx';

const CATALYST_LABELS: Readonly<Record<Catalyst, string>> = {
  none: wording.bareWall,
  coated: wording.coatedWall,
  'fuel-borne': wording.additiveInTheFuel,
};

interface Shown {
  readonly run: BurnRun;
  readonly judged: JudgedBurn;
}

/** What a regeneration of this filter would do: target, flow and soot by sliders, the bed as a heat picture, many doubtful runs. */
export function BurnPlanner({ open, burn }: { open: OpenJob; burn: JobBurn }) {
  const words = useWords();
  const { limits } = open;
  const volumeL = filterVolumeL(burn.plan.filter);
  const [targetC, setTarget] = useState(burn.plan.targetC);
  const [flowGPerS, setFlow] = useState(Math.round(burn.plan.exhaustKgPerS * 1000));
  const [sootG, setSoot] = useState(Math.round(burn.plan.sootG * 2) / 2);
  const [catalyst, setCatalyst] = useState(burn.plan.catalyst);
  const [drops, setDrops] = useState(false);
  const [dropMin, setDropMin] = useState(4);
  const wish: BurnWish = {
    plan: { ...burn.plan, targetC, exhaustKgPerS: flowGPerS / 1000, sootG, catalyst },
    ...(drops ? { drop: { atS: dropMin * 60, displacementL: burn.displacementL } } : {}),
    limits,
  };
  const key = useDeferredValue(JSON.stringify(wish));
  const [shown, setShown] = useState<{ key: string; told: Told<Shown> }>();
  useEffect(() => {
    let wanted = true;
    void burnRemote()
      .burn(JSON.parse(key) as BurnWish)
      .then((told) => wanted && setShown({ key, told }));
    return () => {
      wanted = false;
    };
  }, [key]);
  const told = shown?.told;
  return (
    <section className="grid gap-4" aria-label={wording.whatThisRegenerationWouldDo}>
      <div className="grid gap-4 sm:grid-cols-2">
        <Slide
          label={wording.beforeTheFilter}
          shown={words.temperature(targetC)}
          value={targetC}
          low={450}
          high={700}
          step={5}
          onValue={setTarget}
        />
        <Slide
          label={common.exhaustFlow}
          shown={words.massFlow(flowGPerS)}
          value={flowGPerS}
          low={5}
          high={200}
          step={1}
          onValue={setFlow}
        />
        <Slide
          label={common.soot}
          shown={`${words.soot(sootG, 1)}, ${words.loading(sootG / volumeL)}`}
          value={sootG}
          low={0}
          high={Math.round(15 * volumeL)}
          step={0.5}
          onValue={setSoot}
        />
        <Field label={wording.whatHelpsSootOxidation}>
          <select
            className="input-box"
            value={catalyst}
            onChange={(event) => setCatalyst(event.target.value as Catalyst)}
          >
            {Object.entries(CATALYST_LABELS).map(([id, label]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </Field>
        <label className="flex gap-3 items-center min-h-11">
          <input
            type="checkbox"
            className="size-5 accent-[var(--ember-button)]"
            checked={drops}
            onChange={(event) => setDrops(event.target.checked)}
          />
          {wording.theEngineDropsToIdleInIt}
        </label>
        {drops ? (
          <Slide
            label={wording.dropsToIdleAfter}
            shown={wording.min(words.number(dropMin))}
            value={dropMin}
            low={1}
            high={24}
            step={0.5}
            onValue={setDropMin}
          />
        ) : null}
      </div>
      {told === undefined ? <p className="text-ink2">{wording.burning}</p> : null}
      {told && !told.ok ? (
        <Notice title={wording.noBurn}>
          <Say it={told.text} />
        </Notice>
      ) : null}
      {told?.ok ? <Answer {...told.value} limits={limits} material={burn.plan.filter.material} /> : null}
      <Doubts key={key} wish={wish} />
      <SafeLoad key={`${catalyst} ${targetC} ${flowGPerS}`} wish={wish} displacementL={burn.displacementL} />
      <p className="text-sm text-ink2">
        {wording.assumed} <Say it={joined(burn.assumptions, ' ')} />
      </p>
    </section>
  );
}

/** The figure without its unit, which the table names once. */
const bare = (value: number | undefined, text: (value: number) => string): string =>
  value === undefined ? '' : (text(value).split(' ')[0] ?? '');

const VERDICT_WORDS = {
  clean: wording.regeneratesFullyWithinBedLimits,
  'soot-left': wording.withinBedLimitsSootLeft,
  'too-hot': wording.tooHotForThisBed,
} as const;

function Answer({
  run,
  judged,
  limits,
  material,
}: Shown & { limits: OpenJob['limits']; material: JobBurn['plan']['filter']['material'] }) {
  const limitC = bedLimits(limits, material).peakC;
  const { timeS, sootG, inletC, outletC, peakC } = run.series;
  const every = Math.max(1, Math.round(timeS.length / 12));
  const rows = timeS.map((_, i) => i).filter((i) => i % every === 0);
  return (
    <div className="grid gap-3">
      <p className="flex items-center gap-2 font-head font-semibold text-xl" role="status">
        <StateMark
          state={judged.verdict === 'clean' ? 'sound' : judged.verdict === 'too-hot' ? 'failed' : 'doubtful'}
          size={22}
        />
        {VERDICT_WORDS[judged.verdict]}
      </p>
      <ul className="grid gap-1">
        {judged.reasons.map((text, i) => (
          <li key={i}>
            <Say it={text} />.
          </li>
        ))}
        {run.durationS > 0 ? <li>{wording.mostOfItBurnsInMin(fixed(run.durationS / 60, 1))}</li> : null}
      </ul>
      <BedPicture run={run} limitC={limitC} />
      <BedScale limitC={limitC} />
      <BurnTable rows={rows} timeS={timeS} sootG={sootG} inletC={inletC} peakC={peakC} outletC={outletC} />
    </div>
  );
}

/** The same run in figures. */
function BurnTable({
  rows,
  timeS,
  sootG,
  inletC,
  peakC,
  outletC,
}: {
  rows: readonly number[];
  timeS: readonly number[];
  sootG: readonly number[];
  inletC: readonly number[];
  peakC: readonly number[];
  outletC: readonly number[];
}) {
  const words = useWords();
  return (
    <details>
      <summary className="min-h-11 content-center underline underline-offset-4">
        {wording.theSameAsATable}
      </summary>
      <table className="w-full text-right [&_td]:py-0.5">
        <thead className="border-b-2 border-ink">
          <tr>
            <th>{wording.minWithin}</th>
            <th>{wording.soot(words.label('soot'))}</th>
            <th>{wording.inIt(words.label('temperature'))}</th>
            <th>{wording.hottest(words.label('temperature'))}</th>
            <th>{wording.out(words.label('temperature'))}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((i) => (
            <tr key={i} className="border-b border-rule">
              <td>{fixed((timeS[i] ?? 0) / 60, 1)}</td>
              <td>{bare(sootG[i], (g) => words.soot(g, 1))}</td>
              <td>{bare(inletC[i], words.temperature)}</td>
              <td>{bare(peakC[i], words.temperature)}</td>
              <td>{bare(outletC[i], words.temperature)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

/** How much soot this burn could have with the worst drop to idle still within the bed's limit. */
function SafeLoad({ wish, displacementL }: { wish: BurnWish; displacementL: number }) {
  const words = useWords();
  const [told, setTold] = useState<Told<SafeSoot> | 'searching'>();
  const search = async (): Promise<void> => {
    setTold('searching');
    setTold(await burnRemote().safeSoot(wish.plan, displacementL, wish.limits));
  };
  if (told === undefined || told === 'searching')
    return (
      <Button className="justify-self-start" disabled={told === 'searching'} onClick={() => void search()}>
        {told === 'searching' ? wording.searching : wording.findTheHighestSafeSootLoad}
      </Button>
    );
  return (
    <p role="status">
      {told.ok ? (
        <>
          {wording.upTo}{' '}
          <span className="figure-text">
            {words.loading(told.value.gPerL, 1)}, {words.soot(told.value.grams, 0)}
          </span>{' '}
          {wording.theBedKeepsItsEvenIfThe(
            words.temperature(told.value.limitC),
            told.value.capped ? wording.higherLoadsNotSearched : '',
          )}
        </>
      ) : (
        <Say it={told.text} />
      )}
    </p>
  );
}
