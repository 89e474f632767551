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
    <Sheet open={open} onOpenChange={onOpenChange} title="Add a filter size">
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
      <TextField name="name" label="Name" className="sm:col-span-2" />
      <FigureField name="diameterMm" label="Diameter of the brick" />
      <FigureField name="lengthMm" label="Length of the brick" />
      <FigureField name="cpsi" label="Cells per square inch" />
      <FigureField name="wallMm" label="Wall" />
      <ChoiceField
        name="material"
        label="Material"
        options={FILTER_MATERIALS.map((material) => [material, material.replaceAll('-', ' ')])}
      />
      <CoatingChoice />
      <ChoiceField
        name="basis"
        label="Known by"
        options={[
          ['measured', 'measured or read off the can'],
          ['assumed', 'assumed from a similar vehicle'],
        ]}
      />
      <div className="sm:col-span-2 grid gap-3">
        {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
        <Button type="submit" weight="main" disabled={state.isLoading}>
          Add the filter size
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
      label="Coating"
      hint="Decides how soot burns and which fluid is allowed"
      options={[
        ['', 'not known'],
        ['coated', 'coated'],
        ['none', 'bare'],
        ['fuel-borne', 'bare, additive in the fuel'],
      ]}
    />
  );
}
