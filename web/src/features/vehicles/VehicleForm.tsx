import * as wording from '@white-ember/core/words/screens/vehicles';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { newVehicleSchema, type Customer, type FilterModel, type Vehicle } from '@white-ember/core/contract';
import { filterVolumeL } from '@white-ember/core/filter';
import { PART_IDS, type PartId } from '@white-ember/core/ledger';
import type { Measures } from '@white-ember/core/words';
import {
  problemOf,
  useAddCustomerMutation,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useCustomersQuery,
  useFiltersQuery,
} from '../../data/api.ts';
import { useWords } from '../../data/words.ts';
import { ChoiceField, FieldForm, FigureField, TextField } from '../../form/FieldForm.tsx';
import { asIs, choice, figure, optionalText, text, type Fields } from '../../form/kinds.ts';
import { checked, useFieldForm } from '../../form/useFieldForm.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { FilterSheet } from './FilterSheet.tsx';
import { SameAs } from './SameAs.tsx';

const FIELDS: Fields = {
  plate: text(),
  model: text(),
  family: text(),
  displacementL: figure('L', 'engineSize'),
  filterModelId: choice(),
  customerId: choice(),
  newCustomer: optionalText(),
  note: optionalText(),
  fitted: asIs([]),
};
const USUAL: PartId[] = PART_IDS.filter((id) => id !== 'scr' && id !== 'egt2');

export const filterLine = (filter: FilterModel, words: Measures): string =>
  wording.cpsiWall(
    filter.name,
    words.length(filter.diameterMm),
    words.length(filter.lengthMm),
    filter.cpsi,
    words.length(filter.wallMm),
    words.engineSize(filterVolumeL(filter), 1),
  );

export function VehicleForm({
  id,
  stored,
  plate = '',
  onStored,
}: {
  id: string;
  stored?: Vehicle;
  plate?: string;
  onStored: (id: string) => void;
}) {
  const words = useWords();
  const filters = useFiltersQuery();
  const customers = useCustomersQuery();
  const [addCustomer, addingCustomer] = useAddCustomerMutation();
  const [add, adding] = useAddVehicleMutation();
  const [change, changing] = useChangeVehicleMutation();
  const [filterSheet, setFilterSheet] = useState(false);
  const form = useFieldForm(
    FIELDS,
    stored ? `vehicle ${id} ${stored.revision}` : `vehicle new ${plate}`,
    stored ?? { plate, fitted: USUAL },
  );
  // One id for the customer however often the form is sent, so that a second try makes no second customer.
  const [newCustomerId] = useState(() => uuidv7());
  const failure = addingCustomer.error ?? adding.error ?? changing.error;

  const save = async (): Promise<void> => {
    const { newCustomer, ...typed } = form.read();
    const vehicle = checked(form, newVehicleSchema, {
      id,
      plate: String(typed['plate']).toUpperCase(),
      // Taken off the line: none of its parts is fitted.
      fitted: typed['fitted'] ?? [],
    });
    if (!vehicle) return;
    let { customerId } = vehicle;
    if (typeof newCustomer === 'string') {
      const customer: Customer = { id: newCustomerId, name: newCustomer };
      const added = await addCustomer(customer);
      if (!added.data) return;
      customerId = added.data.id;
    }
    const { id: _id, ...rest } = vehicle;
    const body = { ...rest, ...(customerId ? { customerId } : {}) };
    const result = stored
      ? await change({ id, body: { ...body, revision: stored.revision } })
      : await add({ id, ...body });
    if (!result.data) return;
    form.done();
    onStored(id);
  };

  // What one vehicle of a kind has, the next one has, too, until somebody says otherwise.
  const takeOver = (like: Vehicle): void => {
    const { model, family, displacementL, filterModelId = '', fitted } = like;
    for (const [name, value] of Object.entries({ model, family, filterModelId, fitted }))
      form.form.setValue(name, value);
    form.form.setValue(
      'displacementL',
      displacementL === undefined ? '' : figure('L', 'engineSize').write(displacementL, form.units),
    );
  };

  const listFailure = filters.error ?? customers.error;
  if (listFailure) return <ProblemNotice problem={problemOf(listFailure)} />;
  // A choice made before its list is there would show, and store, the first of the list instead.
  if (!filters.data || !customers.data) return <p>{common.opening}</p>;
  return (
    <FieldForm of={form} onSave={() => void save()} className="grid gap-4 sm:grid-cols-2">
      <TextField name="plate" label={wording.plate} upper />
      {stored ? null : <SameAs onChosen={takeOver} chosen={form.typed('model') as string} />}
      <TextField name="model" label={common.vehicle} />
      <TextField name="family" label={common.engineFamily} hint={wording.limitsAreKeptPerFamily} />
      <FigureField name="displacementL" label={common.engineSize} hint={wording.forTheFlowIfNoAirMass} />
      <ChoiceField
        name="filterModelId"
        label={common.filter}
        hint={wording.withoutItBeforeAndAfterAreCompared}
        className="sm:col-span-2"
        options={[
          ['', wording.sizeNotKnown],
          ...filters.data.map((filter) => [filter.id, filterLine(filter, words)] as const),
        ]}
      />
      <Button onClick={() => setFilterSheet(true)}>{wording.addAFilterSize}</Button>
      <div className="max-sm:hidden" />
      <ChoiceField
        name="customerId"
        label={wording.customer}
        options={[['', 'none'], ...customers.data.map(({ id: its, name }) => [its, name] as const)]}
      />
      <TextField name="newCustomer" label={wording.orANewCustomer} />
      <fieldset className="sm:col-span-2">
        <legend className="mb-1">{wording.partsOnThisVehiclesExhaustLine}</legend>
        <div className="grid grid-cols-2 md:grid-cols-3 gap-x-4">
          {PART_IDS.map((part) => (
            <label key={part} className="flex items-center gap-3 min-h-11">
              <input
                type="checkbox"
                value={part}
                className="size-5 accent-[var(--ember-button)]"
                {...form.form.register('fitted')}
              />
              {words.name('parts', part)}
            </label>
          ))}
        </div>
      </fieldset>
      <TextField name="note" label={common.note} className="sm:col-span-2" rows={2} />
      <div className="sm:col-span-2 grid gap-3">
        {failure ? <ProblemNotice problem={problemOf(failure)} /> : null}
        <Button type="submit" weight="main" disabled={adding.isLoading || changing.isLoading}>
          {stored ? wording.save : wording.addTheVehicle}
        </Button>
      </div>
      <FilterSheet
        open={filterSheet}
        onOpenChange={setFilterSheet}
        onAdded={(filterId) => form.form.setValue('filterModelId', filterId)}
      />
    </FieldForm>
  );
}
