import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { BENCH_FAMILIES, TEMPER_IDS, type AdapterFaults, type TemperId } from '@white-ember/core/bench';
import { Button } from '../../ui/Button.tsx';
import { BenchFaults } from './BenchFaults.tsx';
import { faultsOf, NO_FAULT, type WantedFault } from './wantedFaults.ts';
import type { BenchSetup } from '../../workers/benchWorker.ts';

const own = (faults: AdapterFaults): BenchSetup['tool'] => ({ speaks: 'own', faults });

const TOOLS: Readonly<Record<string, { readonly label: string; readonly tool: BenchSetup['tool'] }>> = {
  sound: { label: wording.sound60ValuesASecond, tool: own({}) },
  fast: { label: wording.fast280ValuesASecond, tool: own({ valuesPerS: 280 }) },
  obd: { label: wording.genericSpeaksObdOnly, tool: { speaks: 'obd' } },
  slow: { label: wording.slow8ValuesASecond, tool: own({ valuesPerS: 8 }) },
  drops: { label: wording.dropsOutAfterAMinute, tool: own({ dropsOutAfterS: 60 }) },
  wrong: { label: wording.takesItForAnotherVehicle, tool: own({ takesFor: wording.larch89 }) },
  volts: { label: wording.deltapInVoltsOnly, tool: own({ voltsOnly: ['dpfDeltaP'] }) },
};

/** The family of the bench that is nearest to the job's vehicle. */
function nearest(family: string, displacementL: number | undefined): string {
  const same = BENCH_FAMILIES.find(({ name }) => name === family);
  if (same) return same.name;
  const size = displacementL ?? 2;
  return [...BENCH_FAMILIES].sort(
    (a, b) => Math.abs(a.displacementL - size) - Math.abs(b.displacementL - size),
  )[0]?.name as string;
}

/** Which simulated vehicle stands on the bench, and what is wrong with it. */
export function BenchSetupForm({
  family,
  displacementL,
  onReady,
}: {
  family: string;
  displacementL: number | undefined;
  onReady: (setup: BenchSetup) => void;
}) {
  const words = useWords();
  const [name, setName] = useState(() => nearest(family, displacementL));
  const [faults, setFaults] = useState<readonly WantedFault[]>([NO_FAULT]);
  const [temper, setTemper] = useState<TemperId>('strict');
  const [cold, setCold] = useState(false);
  const [tool, setTool] = useState('sound');
  return (
    <form
      className="grid gap-4 max-w-xl"
      onSubmit={(event) => {
        event.preventDefault();
        onReady({
          family: name,
          seed: Math.floor(Math.random() * 1e6),
          faults: faultsOf(faults, Math.random),
          temper,
          cold,
          tool: TOOLS[tool]?.tool ?? own({}),
        });
      }}
    >
      <p className="max-w-prose">{wording.aSimulatedVehicleOnTheSameLink}</p>
      <label className="grid gap-1">
        <span className="font-head font-semibold">{common.vehicle}</span>
        <select className="input-box" value={name} onChange={(event) => setName(event.target.value)}>
          {BENCH_FAMILIES.map((one) => (
            <option key={one.name}>{one.name}</option>
          ))}
        </select>
      </label>
      <BenchFaults faults={faults} onChange={setFaults} />
      <label className="grid gap-1">
        <span className="font-head font-semibold">{common.engine}</span>
        <select
          className="input-box"
          value={cold ? 'cold' : 'warm'}
          onChange={(event) => setCold(event.target.value === 'cold')}
        >
          <option value="warm">{wording.warmFromDriving}</option>
          <option value="cold">{wording.coldStoodOvernightAt(words.temperature(12))}</option>
        </select>
      </label>
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.scanTool}</span>
        <select className="input-box" value={tool} onChange={(event) => setTool(event.target.value)}>
          {Object.entries(TOOLS).map(([id, { label }]) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.ecu}</span>
        <select
          className="input-box"
          value={temper}
          onChange={(event) => setTemper(event.target.value as TemperId)}
        >
          {TEMPER_IDS.map((id) => (
            <option key={id} value={id}>
              {wording.ecuTempers[id]}
            </option>
          ))}
        </select>
      </label>
      <Button weight="main" type="submit" className="justify-self-start">
        {wording.setUpTheSimulatedVehicle}
      </Button>
    </form>
  );
}
