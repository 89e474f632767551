import { useState } from 'react';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import { newFluidSchema, type Fluid } from '@white-ember/core/contract';
import {
  problemOf,
  useAddFluidMutation,
  useChangeFluidMutation,
  useFluidsQuery,
  useSessionQuery,
} from '../../app/api.ts';
import { serverNow } from '../../app/serverClock.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';

const typed = z.string().transform((text) => typedNumber(text) ?? Number.NaN);
const of = newFluidSchema.shape;
const formSchema = z.object({
  name: of.name,
  kind: of.kind,
  waterParts: typed.pipe(of.waterParts),
  filterUpToC: typed.pipe(of.filterUpToC),
  dwellMin: typed.pipe(of.dwellMin),
  burstS: typed.pipe(of.burstS),
  lineUpToBar: typed.pipe(of.lineUpToBar),
  countedL: typed.pipe(of.countedL),
  coatedFilters: z.boolean(),
  laterBricks: z.boolean(),
});
type Typed = z.input<typeof formSchema>;

const NUMBERS = [
  ['waterParts', 'Water per part of concentrate', 'parts'],
  ['filterUpToC', 'Filter, up to', '°C'],
  ['dwellMin', 'Dwell', 'min'],
  ['burstS', 'Burst', 's'],
  ['lineUpToBar', 'Line, up to', 'bar'],
  ['countedL', 'Concentrate in stock', 'L'],
] as const;

const EMPTY: Typed = {
  name: '',
  kind: 'soak',
  waterParts: '1',
  filterUpToC: '45',
  dwellMin: '30',
  burstS: '5',
  lineUpToBar: '9',
  countedL: '',
  coatedFilters: true,
  laterBricks: false,
};

const typedFrom = (fluid: Fluid): Typed => ({
  name: fluid.name,
  kind: fluid.kind,
  coatedFilters: fluid.coatedFilters,
  laterBricks: fluid.laterBricks,
  ...(Object.fromEntries(
    NUMBERS.map(([key]) => [key, String(key === 'countedL' ? Number(fluid.stockL.toFixed(2)) : fluid[key])]),
  ) as Pick<Typed, (typeof NUMBERS)[number][0]>),
});

/** Fluids with what their sheets say and what is left of each; what jobs use is taken off by itself. */
export function FluidsPage() {
  const fluids = useFluidsQuery();
  const session = useSessionQuery();
  const [editing, setEditing] = useState<string>();
  const mayEdit = session.data?.member?.role !== 'viewer';
  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-5">
      <div>
        <h1 className="text-3xl mb-1">Fluids on the shelf</h1>
        <p className="text-ink2 max-w-[70ch]">
          The fluid plan follows the data sheet. Use on jobs is deducted from stock automatically.
        </p>
      </div>
      {fluids.error ? <ProblemNotice problem={problemOf(fluids.error)} /> : null}
      <ul className="border-t-2 border-ink">
        {(fluids.data ?? []).map((fluid) => (
          <li key={fluid.id} className="py-3 border-b-2 border-rule grid gap-2">
            <div className="flex flex-wrap gap-x-6 gap-y-1 items-baseline">
              <h2 className="text-xl grow">{fluid.name}</h2>
              <p>
                <span className="figure-text text-xl">{fluid.stockL.toFixed(2)} L</span>{' '}
                <span className="text-ink2">
                  of {fluid.countedL.toFixed(2)} L counted{' '}
                  {new Date(fluid.countedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}
                </span>
              </p>
            </div>
            <p className="text-ink2">
              {fluid.kind === 'soak' ? 'Soaks' : 'Rinses'},{' '}
              {fluid.waterParts === 0 ? 'used as it is' : `1 : ${fluid.waterParts} with water`}, filter up to{' '}
              {fluid.filterUpToC} °C, dwell {fluid.dwellMin} min, bursts of {fluid.burstS} s, line up to{' '}
              {fluid.lineUpToBar} bar. Coated filters: {fluid.coatedFilters ? 'yes' : 'no'}. Bricks after the
              filter: {fluid.laterBricks ? 'yes' : 'no'}.
            </p>
            {mayEdit ? (
              editing === fluid.id ? (
                <FluidForm fluid={fluid} onDone={() => setEditing(undefined)} />
              ) : (
                <Button className="justify-self-start" onClick={() => setEditing(fluid.id)}>
                  Change or count {fluid.name}
                </Button>
              )
            ) : null}
          </li>
        ))}
      </ul>
      {fluids.data?.length === 0 ? <p>No fluid yet. Add the first one with its data sheet.</p> : null}
      {mayEdit ? (
        <section className="grid gap-3">
          <h2 className="text-xl border-b-2 border-ink">Another fluid</h2>
          <FluidForm onDone={() => undefined} />
        </section>
      ) : null}
    </main>
  );
}

function FluidForm({ fluid, onDone }: { fluid?: Fluid; onDone: () => void }) {
  const [add, added] = useAddFluidMutation();
  const [change, changed] = useChangeFluidMutation();
  const form = useForm<Typed, unknown, z.output<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: fluid ? typedFrom(fluid) : EMPTY,
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    const content = { ...values, countedAt: new Date(serverNow()).toISOString() };
    const result = fluid
      ? await change({ id: fluid.id, revision: fluid.revision, ...content })
      : await add({ id: uuidv7(), ...content });
    if (result.error) return;
    form.reset(EMPTY);
    onDone();
  });
  const failure = added.error ?? changed.error;
  return (
    <form noValidate onSubmit={(event) => void submit(event)} className="grid sm:grid-cols-3 gap-3">
      <Field label="Name" className="sm:col-span-2" error={errors.name?.message}>
        <input className="input-box" {...form.register('name')} />
      </Field>
      <Field label="It">
        <select className="input-box" {...form.register('kind')}>
          <option value="soak">soaks</option>
          <option value="rinse">rinses</option>
        </select>
      </Field>
      {NUMBERS.map(([key, label, unit]) => (
        <Field key={key} label={label} unit={unit} error={errors[key]?.message}>
          <input className="input-box" inputMode="decimal" {...form.register(key)} />
        </Field>
      ))}
      <label className="flex gap-3 items-center min-h-11">
        <input
          type="checkbox"
          className="size-5 accent-[var(--ember-button)]"
          {...form.register('coatedFilters')}
        />
        Allows coated filters
      </label>
      <label className="flex gap-3 items-center min-h-11 sm:col-span-2">
        <input
          type="checkbox"
          className="size-5 accent-[var(--ember-button)]"
          {...form.register('laterBricks')}
        />
        Allows bricks after the filter
      </label>
      {failure ? (
        <div className="sm:col-span-3">
          <ProblemNotice problem={problemOf(failure)} />
        </div>
      ) : null}
      <div className="sm:col-span-3 flex gap-3">
        <Button type="submit">{fluid ? 'Save, counted now' : 'Add to the shelf'}</Button>
        {fluid ? (
          <Button weight="quiet" onClick={onDone}>
            Cancel
          </Button>
        ) : null}
      </div>
    </form>
  );
}
