import * as wording from '@white-ember/core/words/screens/treatment';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { useState } from 'react';
import type { Fluid } from '@white-ember/core/contract';
import { type FluidEntry } from '@white-ember/core/ledger';
import { type ChemicalPlan } from '@white-ember/core/treatment';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { askToNotify, ring } from '../clocks/bell.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { useCaution } from '../../job/useCaution.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { ENTRY_LABELS } from './WayIn.tsx';
import { atMost } from '../../ui/format.ts';

export type FillStep = 'soak' | 'rinse';
/** Read with what is asked before the first fill. */
export const CLEAN_CAUTION = { id: 'chemicals', act: 'chemical-clean' } as const;

export function Fill({
  open,
  fluid,
  plan,
  by,
  step,
  ready,
  fill,
  bursts,
  onBursts,
}: {
  open: OpenJob;
  fluid: Fluid;
  plan: ChemicalPlan;
  by: FluidEntry;
  step: FillStep;
  /** Site and filter are in order. */
  ready: boolean;
  fill: number;
  bursts: number;
  onBursts: (count: number) => void;
}) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const caution = useCaution(open, CLEAN_CAUTION.id, CLEAN_CAUTION.act);
  const [bursting, setBursting] = useState(false);
  const [problem, setProblem] = useState<string>();
  const held = plan.held.length > 0 || !ready;
  const rinses = step === 'rinse';
  const burst = (): void => {
    setBursting(true);
    window.setTimeout(() => {
      ring();
      setBursting(false);
      onBursts(bursts + 1);
    }, plan.burstS * 1000);
  };
  // Whoever has not counted here says that all of it is in, in one touch.
  const given = bursts === 0 ? plan.bursts : bursts;
  const share = Math.min(1, given / plan.bursts);
  const start = async (): Promise<void> => {
    askToNotify();
    const wrong = await addEntry({
      kind: 'work',
      work: 'chemical-clean',
      what: wording.byBurstsOfS(
        rinses ? wording.rinsed : wording.fillWithFill(fill),
        ENTRY_LABELS[by],
        given,
        atMost(plan.burstS, 1),
      ),
      step,
      fluid: fluid.name,
      fluidId: fluid.id,
      fluidL: Number((plan.fillL * share).toFixed(3)),
      concentrateL: Number((plan.concentrateL * share).toFixed(3)),
      bursts: given,
      by,
      ...(plan.dwellMin > 0 && !rinses ? { dwellMin: plan.dwellMin } : {}),
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) onBursts(0);
  };
  return (
    <div className="grid gap-3 border-2 border-ink bg-card p-3">
      <p className="text-lg">
        <span className="figure-text text-xl">{words.volume(plan.fillL, 2)}</span>
        {wording.burstsOfSAt(
          plan.waterL > 0
            ? wording.andWater(words.volume(plan.concentrateL, 2), fluid.name, words.volume(plan.waterL, 2))
            : wording.asItIs(fluid.name),
          plan.bursts,
          atMost(plan.burstS, 1),
          words.linePressure(plan.lineBar),
          rinses
            ? wording.straightThroughNothingStays
            : wording.thenMinOfDwellSuchALoad(
                atMost(plan.dwellMin, 1),
                plan.fills === 1 ? wording.oneFill : wording.fills(plan.fills),
              ),
        )}
      </p>
      {plan.dropPerBurstC === undefined ? null : (
        <p>{wording.eachBurstThatArrivesCoolsTheFilter(words.temperatureChange(plan.dropPerBurstC))}</p>
      )}
      {plan.held.map((text, i) => (
        <p key={i} className="border-l-8 border-ember pl-3 font-bold">
          <Say it={text} />
        </p>
      ))}
      <ul className="list-disc pl-5">
        {plan.minds.map((text, i) => (
          <li key={i}>
            <Say it={text} />
          </li>
        ))}
      </ul>
      {ready || caution.acknowledged ? (
        <CautionCard
          id={CLEAN_CAUTION.id}
          acknowledged={caution.acknowledged}
          onAcknowledge={caution.acknowledge}
        />
      ) : null}
      <div className="flex flex-wrap items-center gap-3">
        <Button weight="main" disabled={held || bursting || !caution.acknowledged} onClick={burst}>
          {bursting ? wording.burstHoldIt(bursts + 1) : wording.burstOf(bursts + 1, plan.bursts)}
        </Button>
        <span className="figure-text text-2xl" role="status">
          {wording.ofIn(bursts, plan.bursts)}
        </span>
        <span className="flex gap-2">
          <Button
            aria-label={wording.oneBurstLess}
            disabled={bursts === 0}
            onClick={() => onBursts(bursts - 1)}
          >
            −
          </Button>
          <Button
            aria-label={wording.oneBurstMore}
            disabled={held || !caution.acknowledged}
            onClick={() => onBursts(bursts + 1)}
          >
            +
          </Button>
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={held || bursting || !caution.acknowledged} onClick={() => void start()}>
          {rinses
            ? bursts === 0
              ? wording.allBurstsInSaveTheRinse(plan.bursts)
              : wording.doneSaveTheRinse
            : bursts === 0
              ? wording.allBurstsInStartTheDwell(plan.bursts)
              : wording.fluidInStartTheDwell}
        </Button>
        {held ? (
          <span className="text-ink2">{wording.answerAndFixTheItemsAboveFirst}</span>
        ) : bursting ? (
          <span className="text-ink2">{wording.thisBurstStillRuns}</span>
        ) : caution.acknowledged ? null : (
          <span className="text-ink2">{wording.readTheCautionFirst}</span>
        )}
        {problem ? <span className="text-ember-text font-bold">✕ {problem}</span> : null}
      </div>
    </div>
  );
}
