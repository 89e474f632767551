import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import { say } from '@white-ember/core/words';
import { spokenNow } from '../../data/words.ts';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import {
  BENCH_FAMILIES,
  FAULT_IDS,
  FAULTS,
  type AdapterFaults,
  type Fault,
  type FaultId,
} from '@white-ember/core/bench';
import { Button } from '../../ui/Button.tsx';
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

/** What shows clearly in a baseline, of each fault. */
const CLEARLY: Partial<Record<FaultId, number>> = { 'back-pressure-pipe-blocked': 0.86 };

function chosenFault(choice: string): Fault[] {
  if (choice === '') return [];
  const id =
    choice === 'hidden'
      ? FAULT_IDS[Math.floor(Math.random() * FAULT_IDS.length)]
      : (choice.split('/')[0] as FaultId);
  if (id === undefined) return [];
  const { forms } = FAULTS[id];
  const form = choice.split('/')[1] ?? forms?.[Math.floor(Math.random() * forms.length)];
  return [{ id, severity: CLEARLY[id] ?? 1, ...(form === undefined ? {} : { form }) }];
}

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
  const [fault, setFault] = useState('');
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
          faults: chosenFault(fault),
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
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.whatIsWrongWithIt}</span>
        <select className="input-box" value={fault} onChange={(event) => setFault(event.target.value)}>
          <option value="">{wording.nothing}</option>
          <option value="hidden">{wording.hiddenFault}</option>
          {FAULT_IDS.map((id) => (
            <option key={id} value={id}>
              {spokenNow(say(`benchFaults.${id}`))}
            </option>
          ))}
        </select>
      </label>
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
      <Button weight="main" type="submit" className="justify-self-start">
        {wording.setUpTheSimulatedVehicle}
      </Button>
    </form>
  );
}
