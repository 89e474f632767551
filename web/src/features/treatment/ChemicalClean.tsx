import * as wording from '@white-ember/core/words/screens/treatment';
import { describeFailure } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { vehicleFactsOf } from '@white-ember/core/job';
import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Fluid } from '@white-ember/core/contract';
import { FLUID_ENTRIES, type FluidEntry } from '@white-ember/core/ledger';
import { chemicalPlan, fillsOf, mostSoot, rankAccess, type SensorSeat } from '@white-ember/core/treatment';
import { useFluidsQuery } from '../../data/api.ts';
import { Field } from '../../ui/Field.tsx';
import { figure, number, text, unitOf, type FieldKind, type Fields } from '../../form/kinds.ts';
import { useFieldForm } from '../../form/useFieldForm.ts';
import { Notice } from '../../ui/Notice.tsx';
import { FilterSizeAsked } from '../vehicles/FilterSizeAsked.tsx';
import { RunningClock } from '../clocks/ClockList.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { FlushLoop } from './FlushLoop.tsx';
import { MadeReady, useReadiness } from '../burn/MadeReady.tsx';
import { SiteAndCooling } from './SiteAndCooling.tsx';
import { WayIn } from './WayIn.tsx';
import { CLEAN_CAUTION, type FillStep, Fill } from './FillWork.tsx';

/** What is typed and chosen here lies on this device until the fluid is in. */
const FIELDS: Fields = {
  fluidId: text(),
  rinseId: text(),
  filterC: figure('degC'),
  lineBar: figure('bar'),
  bursts: number('0'),
  step: text('soak'),
  seat: text('untried'),
};

interface Typed {
  readonly filterC?: number;
  readonly lineBar?: number;
  readonly bursts?: number;
}

/** The chemical clean in place: site and filter, the way in, fluid plan, bursts counted, dwell, rinse, and after each fill whether another is worth it. */
export function ChemicalClean({ open, onStage }: { open: OpenJob; onStage: (stage: 'prove') => void }) {
  const words = useWords();
  const fluids = useFluidsQuery();
  const [params, setParams] = useSearchParams();
  const fields = useFieldForm(FIELDS, `chemical ${open.job.id}`);
  const { form } = fields;
  const step = fields.typed('step') as FillStep;
  const seat = fields.typed('seat') as SensorSeat;
  // Typing in any of them plans anew.
  form.watch();
  const { filterC, lineBar, bursts = 0 } = fields.read() as Typed;
  const { vehicle, derived, limits } = open;
  const all = fluids.data ?? [];
  const shelf = all.filter(({ kind }) => kind === step);
  const wanted = fields.typed(step === 'soak' ? 'fluidId' : 'rinseId');
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
  const plan = fluid ? planOf(open, fluid, by, { filterC, lineBar, answered }) : undefined;
  if (fluids.isSuccess && all.length === 0)
    return (
      <Notice title={wording.noFluidOnTheShelf}>
        {wording.thePlanNeedsItsDataSheet}{' '}
        <Link className="underline underline-offset-4" to="/fluids">
          {wording.addOne}
        </Link>
      </Notice>
    );
  const ready = readiness.held.length === 0 && readiness.missing.length === 0;
  const dwell = derived.clocks.find(({ clock, endedMs }) => clock === 'dwell' && endedMs === undefined);
  const next = (
    <>
      <FilterSizeAsked open={open} canEnter />
      <MadeReady open={open} treatment="chemical" readiness={readiness} caution={CLEAN_CAUTION} />
      <SiteAndCooling open={open} readiness={readiness} upToC={fluid?.filterUpToC ?? limits.touchableC} />
      <WayIn
        access={access}
        by={by}
        seat={seat}
        onWay={choose}
        onSeat={(next) => form.setValue('seat', next)}
      />
      <div className="flex" role="group" aria-label={wording.soakOrRinse}>
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
            {one === 'soak' ? wording.soak : wording.rinse}
          </button>
        ))}
      </div>
      <div className="grid sm:grid-cols-3 gap-4">
        <Field
          label={step === 'soak' ? wording.soakingFluid : wording.rinsingFluid}
          hint={shelf.length === 0 ? wording.noneOfThisKindOnTheShelf : undefined}
        >
          <select
            className="input-box"
            value={fluid?.id ?? ''}
            onChange={(event) => form.setValue(step === 'soak' ? 'fluidId' : 'rinseId', event.target.value)}
          >
            {shelf.map(({ id, name, stockL }) => (
              <option key={id} value={id}>
                {wording.left(name, words.volume(stockL, 1))}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label={wording.filterNow}
          unit={unitOf(FIELDS['filterC'] as FieldKind, fields.units) ?? ''}
          hint={
            typeof answered === 'number'
              ? wording.byTheAnswers(words.temperature(answered))
              : wording.byItsEgtsOrAContactThermometer
          }
        >
          <input className="input-box" inputMode="decimal" {...form.register('filterC')} />
        </Field>
        <Field
          label={wording.line}
          unit={unitOf(FIELDS['lineBar'] as FieldKind, fields.units) ?? ''}
          hint={wording.whatTheCompressorsGaugeShows}
        >
          <input className="input-box" inputMode="decimal" {...form.register('lineBar')} />
        </Field>
      </div>
      {plan && !plan.ok ? (
        <Notice title={wording.noPlan}>
          <Say it={describeFailure(plan.failure)} />.
        </Notice>
      ) : null}
      {plan?.ok && fluid ? (
        <Fill
          open={open}
          fluid={fluid}
          plan={plan.value}
          by={by}
          step={step}
          ready={ready}
          fill={fills.length + 1}
          bursts={bursts}
          onBursts={(count) => form.setValue('bursts', String(count))}
        />
      ) : null}
    </>
  );
  const title = step === 'soak' ? wording.fill(fills.length + 1) : wording.rinseWithin;
  // While it dwells the clock is what matters; another fill is seldom put in before it is over.
  if (dwell)
    return (
      <section className="grid gap-4" aria-label={wording.chemicalClean}>
        <h2 className="text-2xl">{wording.chemicalCleanLetItDwell}</h2>
        <RunningClock clock={dwell} open={open} canEnter large />
        <FlushLoop open={open} onStage={onStage} />
        <details className="border-2 border-rule bg-card">
          <summary className="font-head font-semibold min-h-12 px-3 content-center">
            {wording.putMoreInAlready(title)}
          </summary>
          <div className="grid gap-4 p-3 pt-0">{next}</div>
        </details>
      </section>
    );
  return (
    <section className="grid gap-4" aria-label={wording.chemicalClean}>
      <h2 className="text-2xl">{wording.chemicalCleanWithTitle(title)}</h2>
      {next}
      <FlushLoop open={open} onStage={onStage} />
    </section>
  );
}

function planOf(
  { vehicle, derived, limits, filter }: OpenJob,
  fluid: Fluid,
  by: FluidEntry,
  typed: { filterC: number | undefined; lineBar: number | undefined; answered: unknown },
) {
  const { displacementL } = vehicleFactsOf(vehicle);
  const load = derived.before
    ? mostSoot(derived.before.body, filter, {
        limits,
        ...(displacementL === undefined ? {} : { displacementL }),
      })
    : undefined;
  const given = (value: number | undefined): number | undefined => (Number.isNaN(value) ? undefined : value);
  const nowC = given(typed.filterC) ?? (typeof typed.answered === 'number' ? typed.answered : undefined);
  const bar = given(typed.lineBar);
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
