import * as wording from '@white-ember/core/words/screens/vehicles';
import * as common from '@white-ember/core/words/screens/common';
import { v7 as uuidv7 } from 'uuid';
import { newFilterModelSchema } from '@white-ember/core/contract';
import { FILTER_MATERIALS } from '@white-ember/core/filter';
import { problemOf, useAddFilterMutation } from '../../data/api.ts';
import { ChoiceField, FieldForm, FigureField, TextField } from '../../form/FieldForm.tsx';
import { choice, figure, number, text, type Fields } from '../../form/kinds.ts';
import { checked, useFieldForm, type FieldForm as OfFields } from '../../form/useFieldForm.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

const FIELDS: Fields = {
  name: text(),
  diameterMm: figure('mm'),
  lengthMm: figure('mm'),
  cpsi: number(),
  wallMm: figure('mm'),
  material: text('unknown'),
  basis: text('measured'),
  catalyst: choice(),
};
/** Of most filters. */
const USUAL = { cpsi: 200, wallMm: 0.305, material: 'unknown', basis: 'measured' };

export function FilterSheet({
  open,
  onOpenChange,
  onAdded,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdded: (id: string) => void;
}) {
  const [add, state] = useAddFilterMutation();
  const form = useFieldForm(FIELDS, 'filter', USUAL);
  const save = async (): Promise<void> => {
    const filter = checked(form, newFilterModelSchema, { id: uuidv7() });
    const added = filter && (await add(filter));
    if (!added?.data) return;
    form.done();
    onAdded(added.data.id);
    onOpenChange(false);
  };
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={wording.addAFilterSize}>
      <SizeFields form={form} save={save} state={state} />
    </Sheet>
  );
}

/** The size as it stands on the label. */
function SizeFields({
  form,
  save,
  state,
}: {
  form: OfFields;
  save: () => Promise<void>;
  state: { readonly isLoading: boolean; readonly error?: unknown };
}) {
  return (
    <FieldForm of={form} onSave={() => void save()} className="grid gap-4 sm:grid-cols-2">
      <TextField name="name" label={common.name} className="sm:col-span-2" />
      <FigureField name="diameterMm" label={wording.diameterOfTheBrick} />
      <FigureField name="lengthMm" label={wording.lengthOfTheBrick} />
      <FigureField name="cpsi" label={wording.cellsPerSquareInch} />
      <FigureField name="wallMm" label={wording.wall} />
      <ChoiceField
        name="material"
        label={wording.material}
        options={FILTER_MATERIALS.map((material) => [material, material.replaceAll('-', ' ')])}
      />
      <CoatingChoice />
      <ChoiceField
        name="basis"
        label={wording.knownBy}
        options={[
          ['measured', wording.measuredOrReadOffTheCan],
          ['assumed', wording.assumedFromASimilarVehicle],
        ]}
      />
      <div className="sm:col-span-2 grid gap-3">
        {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
        <Button type="submit" weight="main" disabled={state.isLoading}>
          {wording.addTheFilterSize}
        </Button>
      </div>
    </FieldForm>
  );
}

/** Whether the filter is coated. */
function CoatingChoice() {
  return (
    <ChoiceField
      name="catalyst"
      label={wording.coating}
      hint={wording.decidesHowSootBurnsAndWhichFluid}
      options={[
        ['', common.notKnown],
        ['coated', 'coated'],
        ['none', 'bare'],
        ['fuel-borne', wording.bareAdditiveInTheFuel],
      ]}
    />
  );
}
