import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import type { Act, PipeName, PlugName, PressurePort } from '@white-ember/core/bench';

export interface HandAct {
  readonly label: string;
  readonly act: (mbar: number) => Act;
  /** Asks for a pressure of the hand pump. */
  readonly asksMbar?: true;
}

const sensor = (plug: PlugName, name: string): HandAct[] => [
  { label: wording.unplugThe(name), act: () => ({ do: 'unplug', sensor: plug }) },
  { label: wording.plugTheIn(name), act: () => ({ do: 'plug', sensor: plug }) },
  { label: wording.putAKnownGoodIn(name), act: () => ({ do: 'swap-sensor', sensor: plug }) },
];

const pipe = (which: PipeName, name: string): HandAct[] => [
  {
    label: wording.pumpIntoThe(name),
    asksMbar: true,
    act: (mbar) => ({ do: 'pump-pipe', pipe: which, mbar }),
  },
  { label: wording.soakTheWithCleaner(name), act: () => ({ do: 'soak-pipe', pipe: which }) },
  { label: wording.workACableThroughThe(name), act: () => ({ do: 'rod-pipe', pipe: which }) },
  { label: wording.blowTheOut(name), act: () => ({ do: 'blow-pipe', pipe: which }) },
  { label: wording.replaceThe(name), act: () => ({ do: 'replace-pipe', pipe: which }) },
];

const port = (which: PressurePort, name: string): HandAct[] => [
  { label: wording.pumpOnThe(name), asksMbar: true, act: (mbar) => ({ do: 'pump', port: which, mbar }) },
  { label: wording.takeThePumpOffThe(name), act: () => ({ do: 'pump', port: which, mbar: undefined }) },
];

/** What hands can do at the simulated vehicle, by where they do it. */
export const HANDS_ON: readonly { readonly at: string; readonly acts: readonly HandAct[] }[] = [
  {
    at: wording.deltapSensor,
    acts: [
      ...sensor('dpfDeltaP', wording.deltapSensor),
      ...port('dp-high', wording.highPort),
      ...port('dp-low', wording.lowPort),
      { label: wording.fitItsHosesCorrectly, act: () => ({ do: 'right-hoses' }) },
    ],
  },
  { at: wording.pipes, acts: [...pipe('high', wording.highPipe), ...pipe('low', wording.lowPipe)] },
  {
    at: wording.backPressureSensor,
    acts: [
      ...sensor('exhaustBackPressure', wording.backPressureSensorWithin),
      ...port('back-pressure', wording.itsPort),
      ...pipe('back-pressure', wording.itsPipe),
    ],
  },
  {
    at: common.intake,
    acts: [
      ...sensor('massAirFlow', wording.mafSensor),
      ...sensor('manifoldPressure', wording.manifoldPressureSensor),
      { label: wording.tapeTheIntakeDuct, act: () => ({ do: 'seal-duct' }) },
      { label: wording.makeTheChargePipeTight, act: () => ({ do: 'seal-charge-pipe' }) },
    ],
  },
  {
    at: wording.egtSensors,
    acts: ([1, 2, 3, 4] as const).flatMap((number) => sensor(`egt${number}`, wording.egt(number))),
  },
  {
    at: wording.exhaustLineAndFilter,
    acts: [
      {
        label: wording.openTheLineBeforeTheCatalyst,
        act: () => ({ do: 'open-joint', joint: 'before-catalyst' }),
      },
      {
        label: wording.openTheLineBeforeTheFilter,
        act: () => ({ do: 'open-joint', joint: 'before-filter' }),
      },
      { label: wording.openTheLineAfterTheFilter, act: () => ({ do: 'open-joint', joint: 'after-filter' }) },
      { label: wording.closeTheLine, act: () => ({ do: 'open-joint', joint: undefined }) },
      {
        label: wording.injectADoseOfFluidThroughThe,
        act: () => ({ do: 'inject-fluid', grams: 500, by: 'high-pipe' }),
      },
      {
        label: wording.injectADoseOfFluidThroughA,
        act: () => ({ do: 'inject-fluid', grams: 500, by: 'sensor-port' }),
      },
      { label: wording.takeTheFilterOffAndWeighIt, act: () => ({ do: 'take-filter-off' }) },
      { label: wording.backFlushIt, act: () => ({ do: 'back-flush' }) },
      { label: wording.dryItAndWeighIt, act: () => ({ do: 'dry-filter' }) },
      { label: wording.refitIt, act: () => ({ do: 'refit-filter' }) },
      { label: wording.fitAReplacementFilter, act: () => ({ do: 'exchange-filter' }) },
    ],
  },
  {
    at: wording.service,
    acts: [
      { label: wording.changeTheOil, act: () => ({ do: 'change-oil' }) },
      { label: wording.changeTheGlowPlugsAndTheirRelay, act: () => ({ do: 'change-glow-plugs' }) },
      { label: wording.fillTheTank, act: () => ({ do: 'refuel' }) },
      { label: wording.leaveItParkedForAnHour, act: () => ({ do: 'stand', hours: 1 }) },
    ],
  },
];
