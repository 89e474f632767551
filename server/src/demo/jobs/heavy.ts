import { clean, codes, complaint, filter, note, part, provedBy, work, type DemoJob } from '../steps.ts';

export const HEAVY: readonly DemoJob[] = [
  {
    vehicle: 'sweeper',
    daysAgo: 330,
    steps: [
      { min: 0, body: complaint('Parked regeneration is refused', 14_200) },
      { min: 12, body: codes('before', 'SPN 110 FMI 18', 'SPN 3719 FMI 16') },
      {
        min: 30,
        purpose: 'before',
        fileName: 'SP17-before.csv',
        log: filter(62, 60, 97, { coolantC: 60, faults: [{ id: 'thermostat-stuck-open', severity: 0.9 }] }),
      },
      {
        min: 48,
        body: part('engine', 'failed', 'Coolant does not pass 66 °C on a hold: thermostat stuck open'),
      },
      { min: 130, body: work('cause-repaired', 'Thermostat replaced, coolant at 86 °C') },
      { min: 150, body: work('standing-regeneration', 'On the yard, supervised, 35 min') },
      { min: 205, purpose: 'after', fileName: 'SP17-after.csv', log: filter(8, 60, 98) },
      ...provedBy(215, 12),
    ],
  },
  {
    vehicle: 'carter44',
    daysAgo: 190,
    steps: [
      { min: 0, body: complaint('Service calls for the filter by distance', 371_000) },
      { min: 10, body: codes('before', 'SPN 3720 FMI 16') },
      { min: 30, purpose: 'before', gauge: filter(45, 760, 93) },
      { min: 45, body: part('filter', 'doubtful', 'High at little soot: ash of six years') },
      {
        min: 300,
        body: work('off-vehicle-clean', 'Both faces blown and flushed off the vehicle, 0.66 kg lighter'),
      },
      { min: 420, purpose: 'after', gauge: filter(6, 90, 94) },
      ...provedBy(440, 40),
    ],
  },
  {
    vehicle: 'carter',
    daysAgo: 286,
    steps: [
      { min: 0, body: complaint('Parked regenerations every second day', 611_800) },
      { min: 12, body: codes('before', 'SPN 3719 FMI 16') },
      { min: 35, purpose: 'before', gauge: filter(190, 150, 99) },
      { min: 70, body: clean('Three fills through the sensor port, cold', 6, 60) },
      { min: 190, purpose: 'after', gauge: filter(30, 148, 100, { countedG: 190 }) },
      { min: 200, body: note('Counter set back after the proof at equal flow') },
      ...provedBy(210, 55, 'Short trips from the wharf: every other week over the hills.', { counterG: 190 }),
    ],
  },
];
