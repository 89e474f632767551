import type { Act, PipeName, PlugName, PressurePort } from '@white-ember/core/bench';

export interface HandAct {
  readonly label: string;
  readonly act: (mbar: number) => Act;
  /** Asks for a pressure of the hand pump. */
  readonly asksMbar?: true;
}

const sensor = (plug: PlugName, name: string): HandAct[] => [
  { label: `Unplug the ${name}`, act: () => ({ do: 'unplug', sensor: plug }) },
  { label: `Plug the ${name} in`, act: () => ({ do: 'plug', sensor: plug }) },
  { label: `Put a known-good ${name} in`, act: () => ({ do: 'swap-sensor', sensor: plug }) },
];

const pipe = (which: PipeName, name: string): HandAct[] => [
  {
    label: `Pump into the ${name}`,
    asksMbar: true,
    act: (mbar) => ({ do: 'pump-pipe', pipe: which, mbar }),
  },
  { label: `Soak the ${name} with cleaner`, act: () => ({ do: 'soak-pipe', pipe: which }) },
  { label: `Work a cable through the ${name}`, act: () => ({ do: 'rod-pipe', pipe: which }) },
  { label: `Blow the ${name} out`, act: () => ({ do: 'blow-pipe', pipe: which }) },
  { label: `Replace the ${name}`, act: () => ({ do: 'replace-pipe', pipe: which }) },
];

const port = (which: PressurePort, name: string): HandAct[] => [
  { label: `Pump on the ${name}`, asksMbar: true, act: (mbar) => ({ do: 'pump', port: which, mbar }) },
  { label: `Take the pump off the ${name}`, act: () => ({ do: 'pump', port: which, mbar: undefined }) },
];

/** What hands can do at the simulated vehicle, by where they do it. */
export const HANDS_ON: readonly { readonly at: string; readonly acts: readonly HandAct[] }[] = [
  {
    at: 'ΔP sensor',
    acts: [
      ...sensor('dpfDeltaP', 'ΔP sensor'),
      ...port('dp-high', 'high port'),
      ...port('dp-low', 'low port'),
      { label: 'Fit its hoses correctly', act: () => ({ do: 'right-hoses' }) },
    ],
  },
  { at: 'Pipes', acts: [...pipe('high', 'high pipe'), ...pipe('low', 'low pipe')] },
  {
    at: 'Back-pressure sensor',
    acts: [
      ...sensor('exhaustBackPressure', 'back-pressure sensor'),
      ...port('back-pressure', 'its port'),
      ...pipe('back-pressure', 'its pipe'),
    ],
  },
  {
    at: 'Intake',
    acts: [
      ...sensor('massAirFlow', 'MAF sensor'),
      ...sensor('manifoldPressure', 'manifold pressure sensor'),
      { label: 'Tape the intake duct', act: () => ({ do: 'seal-duct' }) },
      { label: 'Make the charge pipe tight', act: () => ({ do: 'seal-charge-pipe' }) },
    ],
  },
  {
    at: 'EGT sensors',
    acts: ([1, 2, 3, 4] as const).flatMap((number) => sensor(`egt${number}`, `EGT ${number}`)),
  },
  {
    at: 'Exhaust line and filter',
    acts: [
      {
        label: 'Open the line before the catalyst',
        act: () => ({ do: 'open-joint', joint: 'before-catalyst' }),
      },
      { label: 'Open the line before the filter', act: () => ({ do: 'open-joint', joint: 'before-filter' }) },
      { label: 'Open the line after the filter', act: () => ({ do: 'open-joint', joint: 'after-filter' }) },
      { label: 'Close the line', act: () => ({ do: 'open-joint', joint: undefined }) },
      {
        label: 'Inject a dose of fluid through the high pipe',
        act: () => ({ do: 'inject-fluid', grams: 500, by: 'high-pipe' }),
      },
      {
        label: 'Inject a dose of fluid through a sensor port',
        act: () => ({ do: 'inject-fluid', grams: 500, by: 'sensor-port' }),
      },
      { label: 'Take the filter off and weigh it', act: () => ({ do: 'take-filter-off' }) },
      { label: 'Back-flush it', act: () => ({ do: 'back-flush' }) },
      { label: 'Dry it and weigh it', act: () => ({ do: 'dry-filter' }) },
      { label: 'Refit it', act: () => ({ do: 'refit-filter' }) },
      { label: 'Fit a replacement filter', act: () => ({ do: 'exchange-filter' }) },
    ],
  },
  {
    at: 'Service',
    acts: [
      { label: 'Change the oil', act: () => ({ do: 'change-oil' }) },
      { label: 'Change the glow plugs and their relay', act: () => ({ do: 'change-glow-plugs' }) },
      { label: 'Fill the tank', act: () => ({ do: 'refuel' }) },
      { label: 'Leave it parked for an hour', act: () => ({ do: 'stand', hours: 1 }) },
    ],
  },
];
