import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/vehicles';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import {
  problemOf,
  useJobsQuery,
  useOpenJobMutation,
  useVehicleOutlookQuery,
  useVehicleQuery,
} from '../../data/api.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import { TaskList } from '../tasks/TaskList.tsx';
import { FilterHistory } from './FilterHistory.tsx';
import { JobLines } from './JobLines.tsx';
import { OutlookPanel } from './OutlookPanel.tsx';
import { PartsAndNotes } from './PartsAndNotes.tsx';
import { VehicleRoad } from './VehicleRoad.tsx';
import { VehicleForm } from './VehicleForm.tsx';

export function NewVehiclePage() {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const [openJob] = useOpenJobMutation();
  const [id] = useState(() => uuidv7());
  const done = async (vehicleId: string): Promise<void> => {
    if (params.get('then') !== 'job') {
      void navigate('/vehicles');
      return;
    }
    const job = await openJob({ id: uuidv7(), vehicleId, openedAt: new Date().toISOString() });
    void navigate(job.data ? `/jobs/${job.data.id}?stage=intake` : '/vehicles');
  };
  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto">
      <h1 className="text-3xl mb-4">{common.addAVehicle}</h1>
      <VehicleForm id={id} plate={params.get('plate') ?? ''} onStored={(stored) => void done(stored)} />
    </main>
  );
}

export function VehiclePage() {
  const { vehicleId = '' } = useParams();
  const vehicle = useVehicleQuery(vehicleId);
  const jobs = useJobsQuery({ show: 'all', vehicleId });
  const told = useVehicleOutlookQuery(vehicleId);
  const [saved, setSaved] = useState(false);
  if (vehicle.error) {
    return (
      <main className="p-6">
        <ProblemNotice problem={problemOf(vehicle.error)} />
      </main>
    );
  }
  if (!vehicle.data) return <main className="p-6">{common.opening}</main>;
  return (
    <main className="p-4 sm:p-6 max-w-6xl w-full mx-auto grid gap-8 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <div className="grid gap-8 content-start min-w-0">
        <h1 className="text-3xl">{vehicle.data.plate}</h1>
        {told.data && told.data.visits.length > 0 ? (
          <section aria-label={wording.allJobsByDistance} className="min-w-0">
            <VehicleRoad visits={told.data.visits} />
          </section>
        ) : null}
        <OutlookPanel vehicleId={vehicleId} />
        <TaskList vehicleId={vehicleId} />
        <section aria-label={common.jobs}>
          <h2 className="text-2xl mb-1">{common.jobs}</h2>
          <JobLines jobs={jobs.data?.jobs ?? []} />
          {jobs.data?.jobs.length === 0 ? <p className="text-ink2">{common.noneYet}</p> : null}
        </section>
        {told.data ? (
          <section aria-label={wording.theFilterOverTime} className="min-w-0">
            <h2 className="text-2xl mb-1 border-b-2 border-ink">{wording.theFilterOverTime}</h2>
            <FilterHistory visits={told.data.visits} />
          </section>
        ) : null}
        <PartsAndNotes vehicleId={vehicleId} />
      </div>
      <section>
        <h2 className="text-2xl mb-4">{wording.vehicleFilterAndLine}</h2>
        <VehicleForm
          key={vehicle.data.revision}
          id={vehicle.data.id}
          stored={vehicle.data}
          onStored={() => setSaved(true)}
        />
        {saved ? (
          <div className="mt-4">
            <Notice title={wording.savedOpenJobsOfThisVehicleNow} />
          </div>
        ) : null}
      </section>
    </main>
  );
}
