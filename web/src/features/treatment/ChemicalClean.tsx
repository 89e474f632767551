import { vehicleFactsOf } from '@white-ember/core/job';
import { useEffect, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Link, useSearchParams } from 'react-router';
import type { Fluid } from '@white-ember/core/contract';
import { FLUID_ENTRIES, type FluidEntry } from '@white-ember/core/ledger';
import { describeFailure } from '@white-ember/core/quantities';
import {
  chemicalPlan,
  fillsOf,
  mostSoot,
  rankAccess,
  type ChemicalPlan,
  type SensorSeat,
} from '@white-ember/core/treatment';
import { useFluidsQuery } from '../../app/api.ts';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { askToNotify, ring } from '../clocks/bell.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCaution } from '../job/useCaution.ts';
import type { OpenJob } from '../job/useJob.ts';
import { FlushLoop } from './FlushLoop.tsx';
import { MadeReady, useReadiness } from './MadeReady.tsx';
import { SiteAndCooling } from './SiteAndCooling.tsx';
import { ENTRY_LABELS, WayIn } from './WayIn.tsx';

const EMPTY = {
  fluidId: '',
  rinseId: '',
  filterC: '',
  lineBar: '',
  bursts: '0',
  step: 'soak' as FillStep,
  seat: 'untried' as SensorSeat,
};
type FillStep = 'soak' | 'rinse';

/** The chemical clean in place: site and filter, the way in, fluid plan, bursts counted, dwell, rinse, and after each fill whether another is worth it. */
export function ChemicalClean({ open, onStage }: { open: OpenJob; onStage: (stage: 'prove') => void }) {
  const fluids = useFluidsQuery();
  const [params, setParams] = useSearchParams();
  const { form } = useDraftForm(`chemical ${open.job.id}`, EMPTY);
  const typed = { ...EMPTY, ...useWatch({ control: form.control }) };
  const { step, seat, filterC, lineBar, bursts } = typed;
  const { vehicle, derived, limits } = open;
  const { filter } = vehicle;
  const all = fluids.data ?? [];
  const shelf = all.filter(({ kind }) => kind === step);
  const wanted = step === 'soak' ? typed.fluidId : typed.rinseId;
  // Until one is picked: the one of which there is most.
  const fluid = shelf.find(({ id }) => id === wanted) ?? shelf.toSorted((a, b) => b.stockL - a.stockL)[0];
  const fills = fillsOf(derived.entries);
  const readiness = useReadiness(open, 'chemical', fluid?.filterUpToC);
  const answered = readiness.entry?.body.answers['filterC'];
  const access = rankAccess({ fitted: vehicle.fitted, parts: derived.parts, seat, limits });
  const asked = params.get('in');
  // The way that was used is used again; before that the cheapest one.
  const by =
    FLUID_ENTRIES.find((one) => one === asked) ?? fills.at(-1)?.body.by ?? access[0]?.entry ?? 'high-pipe';
  const choose = (entry: FluidEntry): void =>
    setParams(
      (old) => {
        old.set('in', entry);
        return old;
      },
      { replace: true },
    );
  useEffect(() => {
    // It stands on the line from the beginning.
    if (asked !== by) choose(by);
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- once for each way in
  }, [by]);
  const plan = filter && fluid ? planOf(open, fluid, by, { filterC, lineBar, answered }) : undefined;
  if (!filter)
    return (
      <Notice title="The filter’s size is not known">Enter it with the vehicle: the plan needs it.</Notice>
    );
  if (fluids.isSuccess && all.length === 0)
    return (
      <Notice title="No fluid on the shelf">
        The plan needs its data sheet.{' '}
        <Link className="underline underline-offset-4" to="/fluids">
          Add one
        </Link>
      </Notice>
    );
  const ready = readiness.held.length === 0 && readiness.missing.length === 0;
  return (
    <section className="grid gap-4" aria-label="Chemical clean">
      <h2 className="text-2xl">Chemical clean, {step === 'soak' ? `fill ${fills.length + 1}` : 'rinse'}</h2>
      <MadeReady open={open} treatment="chemical" readiness={readiness} />
      <SiteAndCooling open={open} readiness={readiness} upToC={fluid?.filterUpToC ?? limits.touchableC} />
      <WayIn
        access={access}
        by={by}
        seat={seat}
        onWay={choose}
        onSeat={(next) => form.setValue('seat', next)}
      />
      <div className="flex" role="group" aria-label="Soak or rinse">
        {(['soak', 'rinse'] as const).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={step === one}
            onClick={() => {
              form.setValue('step', one);
              form.setValue('bursts', '0');
            }}
            className="min-h-12 px-4 font-head font-semibold border-2 border-ink aria-pressed:bg-ink aria-pressed:text-paper not-first:-ml-0.5"
          >
            {one === 'soak' ? 'Soak' : 'Rinse'}
          </button>
        ))}
      </div>
      <div className="grid sm:grid-cols-3 gap-4">
        <Field
          label={step === 'soak' ? 'Soaking fluid' : 'Rinsing fluid'}
          hint={shelf.length === 0 ? `None of this kind on the shelf` : undefined}
        >
          <select
            className="input-box"
            value={fluid?.id ?? ''}
            onChange={(event) => form.setValue(step === 'soak' ? 'fluidId' : 'rinseId', event.target.value)}
          >
            {shelf.map(({ id, name, stockL }) => (
              <option key={id} value={id}>
                {name}, {stockL.toFixed(1)} L left
              </option>
            ))}
          </select>
        </Field>
        <Field
          label="Filter now"
          unit="°C"
          hint={
            typeof answered === 'number'
              ? `${answered} °C by the answers`
              : 'By its EGTs or a contact thermometer'
          }
        >
          <input className="input-box" inputMode="decimal" {...form.register('filterC')} />
        </Field>
        <Field label="Line" unit="bar" hint="What the compressor’s gauge shows">
          <input className="input-box" inputMode="decimal" {...form.register('lineBar')} />
        </Field>
      </div>
      {plan && !plan.ok ? <Notice title="No plan">{describeFailure(plan.failure)}.</Notice> : null}
      {plan?.ok && fluid ? (
        <Fill
          open={open}
          fluid={fluid}
          plan={plan.value}
          by={by}
          step={step}
          ready={ready}
          fill={fills.length + 1}
          bursts={Number(bursts)}
          onBursts={(count) => form.setValue('bursts', String(count))}
        />
      ) : null}
      <FlushLoop open={open} onStage={onStage} />
    </section>
  );
}

function planOf(
  { vehicle, derived, limits }: OpenJob,
  fluid: Fluid,
  by: FluidEntry,
  typed: { filterC: string; lineBar: string; answered: unknown },
) {
  const filter = vehicle.filter as NonNullable<typeof vehicle.filter>;
  const { displacementL } = vehicleFactsOf(vehicle);
  const load = derived.before
    ? mostSoot(derived.before.body, filter, {
        limits,
        ...(displacementL === undefined ? {} : { displacementL }),
      })
    : undefined;
  const number = (text: string): number | undefined => {
    const value = typedNumber(text);
    return value === undefined || Number.isNaN(value) ? undefined : value;
  };
  const nowC = number(typed.filterC) ?? (typeof typed.answered === 'number' ? typed.answered : undefined);
  const bar = number(typed.lineBar);
  return chemicalPlan({
    sheet: fluid,
    filter,
    entry: by,
    limits,
    stockL: fluid.stockL,
    laterBrick: vehicle.fitted.includes('scr'),
    ...(load?.ok ? { sootGPerL: load.value.gPerL } : {}),
    ...(nowC === undefined ? {} : { filterC: nowC }),
    ...(bar === undefined ? {} : { lineBar: bar }),
  });
}

function Fill({
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
  const addEntry = useAddEntry(open.job.id);
  const caution = useCaution(open, 'chemicals', 'chemical-clean');
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
  const share = Math.min(1, bursts / plan.bursts);
  const start = async (): Promise<void> => {
    askToNotify();
    const wrong = await addEntry({
      kind: 'work',
      work: 'chemical-clean',
      what: `${rinses ? 'Rinsed' : `Fill ${fill}`} by ${ENTRY_LABELS[by]}: ${bursts} bursts of ${plan.burstS} s`,
      step,
      fluid: fluid.name,
      fluidId: fluid.id,
      fluidL: Number((plan.fillL * share).toFixed(3)),
      concentrateL: Number((plan.concentrateL * share).toFixed(3)),
      bursts,
      by,
      ...(plan.dwellMin > 0 && !rinses ? { dwellMin: plan.dwellMin } : {}),
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) onBursts(0);
  };
  return (
    <div className="grid gap-3 border-2 border-ink bg-card p-3">
      <p className="text-lg">
        <span className="figure-text text-xl">{plan.fillL.toFixed(2)} L</span>
        {plan.waterL > 0
          ? `: ${plan.concentrateL.toFixed(2)} L ${fluid.name} and ${plan.waterL.toFixed(2)} L water`
          : ` ${fluid.name} as it is`}
        , {plan.bursts} bursts of {plan.burstS} s at {plan.lineBar} bar
        {rinses
          ? ', straight through: nothing stays.'
          : `, then ${plan.dwellMin} min of dwell. Such a load usually takes ${plan.fills === 1 ? 'one fill' : `${plan.fills} fills`}.`}
      </p>
      {plan.dropPerBurstC === undefined ? null : (
        <p>
          Each burst that arrives cools the filter by about {plan.dropPerBurstC.toFixed(0)} °C: watch it fall.
        </p>
      )}
      {plan.held.map((text) => (
        <p key={text} className="border-l-8 border-ember pl-3 font-bold">
          {text}
        </p>
      ))}
      <ul className="list-disc pl-5">
        {plan.minds.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <CautionCard id="chemicals" acknowledged={caution.acknowledged} onAcknowledge={caution.acknowledge} />
      <div className="flex flex-wrap items-center gap-3">
        <Button weight="main" disabled={held || bursting || !caution.acknowledged} onClick={burst}>
          {bursting ? `Burst ${bursts + 1}: hold it …` : `Burst ${bursts + 1} of ${plan.bursts}`}
        </Button>
        <span className="figure-text text-2xl" role="status">
          {bursts} of {plan.bursts} in
        </span>
        <span className="flex gap-2">
          <Button aria-label="One burst less" disabled={bursts === 0} onClick={() => onBursts(bursts - 1)}>
            −
          </Button>
          <Button
            aria-label="One burst more"
            disabled={held || !caution.acknowledged}
            onClick={() => onBursts(bursts + 1)}
          >
            +
          </Button>
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={held || bursts === 0 || !caution.acknowledged} onClick={() => void start()}>
          {rinses ? 'Done: save the rinse' : 'Fluid in: start the dwell'}
        </Button>
        {held ? <span className="text-ink2">Answer and fix the items above first.</span> : null}
        {problem ? <span className="text-ember-text font-bold">✕ {problem}</span> : null}
      </div>
    </div>
  );
}
