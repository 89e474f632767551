import * as wording from '@white-ember/core/words/screens/fluids';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { newFluidSchema, type Fluid } from '@white-ember/core/contract';
import {
  problemOf,
  useAddFluidMutation,
  useChangeFluidMutation,
  useFluidsQuery,
  useSessionQuery,
} from '../../data/api.ts';
import { serverNow } from '../../data/serverClock.ts';
import { Button } from '../../ui/Button.tsx';
import {
  ChoiceField,
  FieldForm,
  FigureField,
  SaveButton,
  TextField,
  TickField,
} from '../../form/FieldForm.tsx';
import { figure, flag, number, text, type Fields } from '../../form/kinds.ts';
import { checked, useFieldForm, type FieldForm as OfFields } from '../../form/useFieldForm.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';

const FIELDS: Fields = {
  name: text(),
  kind: text('soak'),
  waterParts: number('1'),
  filterUpToC: figure('degC'),
  dwellMin: figure('min'),
  burstS: figure('s'),
  lineUpToBar: figure('bar'),
  countedL: figure('L'),
  coatedFilters: flag(true),
  laterBricks: flag(),
};
const LABELS = {
  waterParts: wording.waterPerPartOfConcentrate,
  filterUpToC: wording.filterUpTo,
  dwellMin: common.dwell,
  burstS: wording.burst,
  lineUpToBar: wording.lineUpTo,
  countedL: wording.concentrateInStock,
} as const;
/** What most sheets say. */
const USUAL = {
  waterParts: 1,
  filterUpToC: 45,
  dwellMin: 30,
  burstS: 5,
  lineUpToBar: 9,
  coatedFilters: true,
};
const STOCK_DIGITS = 2;
const contentSchema = newFluidSchema.omit({ id: true });

/** Fluids with what their sheets say and what is left of each; what jobs use is taken off by itself. */
export function FluidsPage() {
  const fluids = useFluidsQuery();
  const session = useSessionQuery();
  const [editing, setEditing] = useState<string>();
  const mayEdit = session.data?.member?.role !== 'viewer';
  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-5">
      <div>
        <h1 className="text-3xl mb-1">{common.fluidsOnTheShelf}</h1>
        <p className="text-ink2 max-w-[70ch]">{wording.theFluidPlanFollowsTheDataSheet}</p>
      </div>
      {fluids.error ? <ProblemNotice problem={problemOf(fluids.error)} /> : null}
      <ul className="border-t-2 border-ink">
        {(fluids.data ?? []).map((fluid) => (
          <FluidRow
            key={fluid.id}
            fluid={fluid}
            mayEdit={mayEdit}
            editing={editing}
            setEditing={setEditing}
          />
        ))}
      </ul>
      {fluids.data?.length === 0 ? <p>{wording.noFluidYetAddTheFirstOne}</p> : null}
      {mayEdit ? (
        <section className="grid gap-3">
          <h2 className="text-xl border-b-2 border-ink">{wording.anotherFluid}</h2>
          <FluidForm onDone={() => undefined} />
        </section>
      ) : null}
    </main>
  );
}

/** One fluid with what is left of it. */
function FluidRow({
  fluid,
  mayEdit,
  editing,
  setEditing,
}: {
  fluid: Fluid;
  mayEdit: boolean;
  editing: string | undefined;
  setEditing: (value: string | undefined) => void;
}) {
  const words = useWords();
  return (
    <li className="py-3 border-b-2 border-rule grid gap-2">
      <div className="flex flex-wrap gap-x-6 gap-y-1 items-baseline">
        <h2 className="text-xl grow">{fluid.name}</h2>
        <p>
          <span className="figure-text text-xl">{words.volume(fluid.stockL, 2)}</span>{' '}
          <span className="text-ink2">
            {wording.ofCounted(words.volume(fluid.countedL, 2), words.shortDate(fluid.countedAt))}
          </span>
        </p>
      </div>
      <p className="text-ink2">
        {wording.filterUpToDwellMinBurstsOf(
          fluid.kind === 'soak' ? wording.soaks : wording.rinses,
          fluid.waterParts === 0 ? wording.usedAsItIs : wording.n1WithWater(words.number(fluid.waterParts)),
          words.temperature(fluid.filterUpToC),
          words.number(fluid.dwellMin),
          words.number(fluid.burstS),
          words.linePressure(fluid.lineUpToBar),
          fluid.coatedFilters ? wording.yes : common.no,
          fluid.laterBricks ? wording.yes : common.no,
        )}
      </p>
      {mayEdit ? (
        editing === fluid.id ? (
          <FluidForm fluid={fluid} onDone={() => setEditing(undefined)} />
        ) : (
          <Button className="justify-self-start" onClick={() => setEditing(fluid.id)}>
            {wording.changeOrCount(fluid.name)}
          </Button>
        )
      ) : null}
    </li>
  );
}

function FluidForm({ fluid, onDone }: { fluid?: Fluid; onDone: () => void }) {
  const [add, added] = useAddFluidMutation();
  const [change, changed] = useChangeFluidMutation();
  const form = useFieldForm(
    FIELDS,
    fluid ? `fluid ${fluid.id} ${fluid.revision}` : 'fluid',
    // What is left is what is there to be counted.
    fluid ? { ...fluid, countedL: Number(fluid.stockL.toFixed(STOCK_DIGITS)) } : USUAL,
  );
  const save = async (): Promise<void> => {
    const content = checked(form, contentSchema, { countedAt: new Date(serverNow()).toISOString() });
    if (!content) return;
    const result = fluid
      ? await change({ id: fluid.id, revision: fluid.revision, ...content })
      : await add({ id: uuidv7(), ...content });
    if (result.error) return;
    form.done();
    onDone();
  };
  const failure = added.error ?? changed.error;
  return <FluidFields form={form} save={save} failure={failure} fluid={fluid} onDone={onDone} />;
}

/** Name, kind, mixing and stock. */
function FluidFields({
  form,
  save,
  failure,
  fluid,
  onDone,
}: {
  form: OfFields;
  save: () => Promise<void>;
  failure: unknown;
  fluid: Fluid | undefined;
  onDone: () => void;
}) {
  return (
    <FieldForm of={form} onSave={() => void save()} className="grid sm:grid-cols-3 gap-3">
      <TextField name="name" label={common.name} className="sm:col-span-2" />
      <ChoiceField
        name="kind"
        label={common.it}
        options={[
          ['soak', 'soaks'],
          ['rinse', 'rinses'],
        ]}
      />
      {Object.entries(LABELS).map(([name, label]) => (
        <FigureField key={name} name={name} label={label} />
      ))}
      <TickField name="coatedFilters" label={wording.allowsCoatedFilters} />
      <TickField name="laterBricks" label={wording.allowsBricksAfterTheFilter} className="sm:col-span-2" />
      {failure ? (
        <div className="sm:col-span-3">
          <ProblemNotice problem={problemOf(failure)} />
        </div>
      ) : null}
      <div className="sm:col-span-3 flex gap-3">
        <SaveButton>{fluid ? wording.saveCountedNow : wording.addToTheShelf}</SaveButton>
        {fluid ? (
          <Button weight="quiet" onClick={onDone}>
            {common.cancel}
          </Button>
        ) : null}
      </div>
    </FieldForm>
  );
}
