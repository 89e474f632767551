import * as list from '@white-ember/core/words/screens/jobList';
import * as common from '@white-ember/core/words/screens/common';
import { SameAs } from '../vehicles/SameAs.tsx';
import { type Vehicle } from '@white-ember/core/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import { problemOf, useAddVehicleMutation, useOpenJobMutation, useVehiclesQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

/** Shorter than this it is a search, not a plate. */
const LEAST_PLATE = 4;

/** Choose the vehicle by plate, or add it; the job opens on it. */
export function OpenJobSheet({ onClose }: { onClose: () => void }) {
  const [find, setFind] = useState('');
  const vehicles = useVehiclesQuery(find ? { find } : {});
  const [openJob, state] = useOpenJobMutation();
  const [addVehicle, adding] = useAddVehicleMutation();
  const failure = state.error ?? adding.error;
  const navigate = useNavigate();
  const start = async (vehicleId: string): Promise<void> => {
    const made = await openJob({ id: uuidv7(), vehicleId, openedAt: new Date().toISOString() });
    if (made.data) void navigate(`/jobs/${made.data.id}?stage=intake`);
  };
  // A plate that is new here, on a vehicle of a kind that is known: one tap makes both.
  const startLike = async ({
    model,
    family,
    displacementL,
    filterModelId,
    fitted,
  }: Vehicle): Promise<void> => {
    const made = await addVehicle({
      id: uuidv7(),
      plate: find.trim().toUpperCase(),
      model,
      family,
      ...(displacementL === undefined ? {} : { displacementL }),
      ...(filterModelId === undefined ? {} : { filterModelId }),
      fitted,
    });
    if (made.data) await start(made.data.id);
  };
  const isNew = find.trim().length >= LEAST_PLATE && vehicles.data?.length === 0 && !vehicles.isFetching;
  return (
    <Sheet open onOpenChange={onClose} title={list.newJob}>
      <Field label={common.plateOrVehicle}>
        <input
          className="input-box"
          value={find}
          onChange={(event) => setFind(event.target.value)}
          autoComplete="off"
        />
      </Field>
      <ul className="my-3 border-t-2 border-ink max-h-[40vh] overflow-auto" aria-label={common.vehicles}>
        {(vehicles.data ?? []).map((vehicle) => (
          <VehicleToOpen key={vehicle.id} vehicle={vehicle} state={state} start={start} />
        ))}
      </ul>
      {isNew ? (
        <div className="mb-4">
          <SameAs onChosen={(like) => void startLike(like)} />
        </div>
      ) : null}
      {failure ? <ProblemNotice problem={problemOf(failure)} /> : null}
      <Button
        onClick={() =>
          void navigate(`/vehicles/new?then=job${find ? `&plate=${encodeURIComponent(find)}` : ''}`)
        }
        className="w-full"
      >
        {common.addAVehicle}
      </Button>
    </Sheet>
  );
}

/** A vehicle that a job can be opened for. */
function VehicleToOpen({
  vehicle,
  state,
  start,
}: {
  vehicle: Vehicle;
  state: { readonly isLoading: boolean };
  start: (vehicleId: string) => Promise<void>;
}) {
  return (
    <li className="border-b-2 border-rule">
      <button
        className="w-full text-left min-h-14 px-2 hover:bg-card flex items-baseline gap-3"
        disabled={state.isLoading}
        onClick={() => void start(vehicle.id)}
      >
        <span className="figure-text text-lg">{vehicle.plate}</span>
        <span>{vehicle.model}</span>
        <span className="text-sm text-ink2">{vehicle.customer?.name}</span>
      </button>
    </li>
  );
}
