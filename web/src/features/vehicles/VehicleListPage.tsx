import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/vehicles';
import { type Vehicle } from '@white-ember/core/contract';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { filterVolumeL } from '@white-ember/core/filter';
import { problemOf, useVehiclesQuery } from '../../data/api.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';

export function VehicleListPage() {
  const [find, setFind] = useState('');
  const vehicles = useVehiclesQuery(find ? { find } : {});
  const list = vehicles.data ?? [];
  return (
    <main className="p-4 sm:p-6 max-w-6xl w-full mx-auto">
      <div className="flex flex-wrap items-end gap-4 mb-5">
        <h1 className="text-3xl grow">{common.vehicles}</h1>
        <input
          className="input-box max-w-72"
          type="search"
          aria-label={wording.findByPlateOrVehicle}
          placeholder={common.plateOrVehicle}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <Link
          to="/vehicles/new"
          className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-flex items-center"
        >
          {common.addAVehicle}
        </Link>
      </div>
      {vehicles.error ? <ProblemNotice problem={problemOf(vehicles.error)} /> : null}
      {list.length === 0 && vehicles.isSuccess ? (
        <p className="text-xl font-head">{wording.noVehicleByThatName}</p>
      ) : null}
      <VehicleRows list={list} />
    </main>
  );
}

/** The vehicles, each with its filter and jobs. */
function VehicleRows({ list }: { list: readonly Vehicle[] }) {
  const words = useWords();
  return (
    <ul className="border-t-2 border-ink">
      {list.map((vehicle) => (
        <li key={vehicle.id} className="border-b-2 border-rule">
          <Link
            to={`/vehicles/${vehicle.id}`}
            className="grid sm:grid-cols-[12rem_1fr_1fr] gap-x-6 py-3 px-2 hover:bg-card items-baseline"
          >
            <span className="figure-text text-xl">{vehicle.plate}</span>
            <span>
              {vehicle.model}
              <span className="block text-sm text-ink2">{vehicle.customer?.name ?? wording.noCustomer}</span>
            </span>
            <span className="text-sm text-ink2">
              {vehicle.filter
                ? `${vehicle.filter.name}, ${words.engineSize(filterVolumeL(vehicle.filter), 1)}, ${vehicle.filter.basis}`
                : wording.filterSizeNotKnown}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
