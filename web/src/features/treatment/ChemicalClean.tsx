import { useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import type { Fluid } from '@white-ember/core/contract';
import { entriesOfKind, FLUID_ENTRIES, type FluidEntry } from '@white-ember/core/ledger';
import { describeFailure } from '@white-ember/core/quantities';
import { chemicalPlan, mostSoot, type ChemicalPlan } from '@white-ember/core/treatment';
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
import { vehicleFacts, type OpenJob } from '../job/useJob.ts';
import { FlushLoop } from './FlushLoop.tsx';

const ENTRY_LABELS: Readonly<Record<FluidEntry, string>> = {
  'high-pipe': 'the high pipe of the ΔP sensor',
  'sensor-port': 'a sensor’s port',
  'before-turbine': 'the pipe before the turbine',
};
const EMPTY = { fluidId: '', by: 'high-pipe' as FluidEntry, filterC: '', lineBar: '', bursts: '0' };

/** The chemical clean in place: fluid plan, bursts counted, dwell, and after each fill whether another is worth it. */
export function ChemicalClean({ open, onStage }: { open: OpenJob; onStage: (stage: 'prove') => void }) {
  const fluids = useFluidsQuery();
  const { form } = useDraftForm(`chemical ${open.job.id}`, EMPTY);
  const { fluidId, by, filterC, lineBar, bursts } = useWatch({ control: form.control });
  const shelf = fluids.data ?? [];
  // Until one is picked: the soaking fluid of which there is most.
  const most = shelf.filter(({ kind }) => kind === 'soak').toSorted((a, b) => b.stockL - a.stockL)[0];
  const fluid = shelf.find(({ id }) => id === fluidId) ?? most ?? shelf[0];
  const { vehicle, derived, limits } = open;
  const { filter } = vehicle;
  const fills = entriesOfKind(derived.entries, 'work').filter(
    ({ body }) => body.work === 'chemical-clean',
  ).length;
  const plan = useMemo(() => {
    if (!fluid || !filter) return undefined;
    const { displacementL } = vehicleFacts(vehicle);
    const load = derived.before
      ? mostSoot(derived.before.body, filter, {
          limits,
          ...(displacementL === undefined ? {} : { displacementL }),
        })
      : undefined;
    const [warm, bar] = [typedNumber(filterC ?? ''), typedNumber(lineBar ?? '')];
    return chemicalPlan({
      sheet: fluid,
      filter,
      entry: by ?? 'high-pipe',
      limits,
      stockL: fluid.stockL,
      laterBrick: vehicle.fitted.includes('scr'),
      ...(load?.ok ? { sootGPerL: load.value.gPerL } : {}),
      ...(warm === undefined || Number.isNaN(warm) ? {} : { filterC: warm }),
      ...(bar === undefined || Number.isNaN(bar) ? {} : { lineBar: bar }),
    });
  }, [fluid, filter, vehicle, derived.before, limits, by, filterC, lineBar]);
  if (!filter)
    return (
      <Notice title="The filter’s size is not known">Enter it with the vehicle: the plan goes by it.</Notice>
    );
  if (fluids.isSuccess && shelf.length === 0)
    return (
      <Notice title="No fluid on the shelf">
        The plan goes by its data sheet.{' '}
        <Link className="underline underline-offset-4" to="/fluids">
          Put one there
        </Link>
      </Notice>
    );
  return (
    <section className="grid gap-4" aria-label="Chemical clean">
      <h2 className="text-2xl">Chemical clean, fill {fills + 1}</h2>
      <div className="grid sm:grid-cols-2 gap-4">
        <Field label="Fluid">
          <select
            className="input-box"
            value={fluid?.id ?? ''}
            onChange={(event) => form.setValue('fluidId', event.target.value)}
          >
            {shelf.map(({ id, name, stockL }) => (
              <option key={id} value={id}>
                {name}, {stockL.toFixed(1)} L left
              </option>
            ))}
          </select>
        </Field>
        <Field label="In by">
          <select className="input-box" {...form.register('by')}>
            {FLUID_ENTRIES.map((entry) => (
              <option key={entry} value={entry}>
                {ENTRY_LABELS[entry]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Filter now" unit="°C" hint="By its EGTs or a contact thermometer">
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
          by={by ?? 'high-pipe'}
          fill={fills + 1}
          bursts={Number(bursts ?? 0)}
          onBursts={(count) => form.setValue('bursts', String(count))}
        />
      ) : null}
      <FlushLoop open={open} onStage={onStage} />
    </section>
  );
}

function Fill({
  open,
  fluid,
  plan,
  by,
  fill,
  bursts,
  onBursts,
}: {
  open: OpenJob;
  fluid: Fluid;
  plan: ChemicalPlan;
  by: FluidEntry;
  fill: number;
  bursts: number;
  onBursts: (count: number) => void;
}) {
  const addEntry = useAddEntry(open.job.id);
  const caution = useCaution(open, 'chemicals', 'chemical-clean');
  const [bursting, setBursting] = useState(false);
  const [problem, setProblem] = useState<string>();
  const held = plan.held.length > 0;
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
      what: `Fill ${fill} by ${ENTRY_LABELS[by]}: ${bursts} bursts of ${plan.burstS} s`,
      fluid: fluid.name,
      fluidId: fluid.id,
      fluidL: Number((plan.fillL * share).toFixed(3)),
      concentrateL: Number((plan.concentrateL * share).toFixed(3)),
      bursts,
      by,
      ...(plan.dwellMin > 0 ? { dwellMin: plan.dwellMin } : {}),
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
        , {plan.bursts} bursts of {plan.burstS} s at {plan.lineBar} bar, then {plan.dwellMin} min of dwell.
        Such a load usually takes {plan.fills === 1 ? 'one fill' : `${plan.fills} fills`}.
      </p>
      {plan.dropPerBurstC === undefined ? null : (
        <p>
          Each burst that arrives cools the filter by some {plan.dropPerBurstC.toFixed(0)} °C: watch it fall.
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
          It is in: start the dwell
        </Button>
        {held ? <span className="text-ink2">Not before what stands above is put right.</span> : null}
        {problem ? <span className="text-ember-text font-bold">✕ {problem}</span> : null}
      </div>
    </div>
  );
}
