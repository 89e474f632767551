import {
  clean,
  codes,
  complaint,
  filter,
  note,
  part,
  provedBy,
  signOff,
  work,
  type DemoJob,
} from '../steps.ts';

/** A fleet of town taxis: the same use, the same filters, who comes back and why. */
export const TAXIS: readonly DemoJob[] = [
  {
    vehicle: 'taxi03',
    daysAgo: 418,
    steps: [
      { min: 0, body: complaint('Filter lamp on, town work', 71_200) },
      { min: 6, body: codes('before', 'P2463') },
      { min: 14, purpose: 'before', gauge: filter(21, 10, 61) },
      { min: 36, body: work('drive-regeneration', 'Two up, ring road, 20 min at 70 km/h') },
      { min: 70, purpose: 'after', gauge: filter(3.5, 10, 62) },
      ...provedBy(76, 14),
    ],
  },
  {
    vehicle: 'taxi03',
    daysAgo: 231,
    steps: [
      { min: 0, body: complaint('Lamp on, power limited', 98_600, true) },
      { min: 8, body: codes('before', 'P2463', 'P244B') },
      { min: 20, purpose: 'before', fileName: 'FL003-2-before.csv', log: filter(34, 14, 63) },
      { min: 45, body: clean('Eight bursts of 5 s, cold filter', 0.8) },
      {
        min: 112,
        purpose: 'after',
        fileName: 'FL003-2-after.csv',
        log: filter(4, 13, 64, { countedG: 34 }),
      },
      ...provedBy(120, 16, undefined, { counterG: 34 }),
    ],
  },
  {
    vehicle: 'taxi03',
    daysAgo: 44,
    steps: [
      { min: 0, body: complaint('Third time in fourteen months', 127_900) },
      { min: 7, body: codes('before', 'P2463') },
      { min: 18, purpose: 'before', gauge: filter(31, 18, 65) },
      { min: 42, body: clean('Eight bursts of 5 s, cold filter', 0.8) },
      { min: 110, purpose: 'after', gauge: filter(4, 17, 66, { countedG: 31 }) },
      ...provedBy(116, 18, 'Town work only: a motorway run a week, or it is back in 27 000 km.', {
        counterG: 31,
      }),
    ],
  },
  {
    vehicle: 'taxi07',
    daysAgo: 402,
    steps: [
      { min: 0, body: complaint('Filter lamp on, only town work', 96_400) },
      { min: 6, body: codes('before', 'P2463') },
      {
        min: 14,
        purpose: 'before',
        fileName: 'FL007-before.csv',
        log: filter(34, 18, 71, { countedG: 31 }),
      },
      { min: 40, body: work('drive-regeneration', 'Two up, ring road and back, 20 min at 70 km/h') },
      { min: 78, purpose: 'after', fileName: 'FL007-after.csv', log: filter(4, 18, 72, { countedG: 3 }) },
      ...provedBy(84, 24, 'Town work only: back in about 9 000 km.'),
    ],
  },
  {
    vehicle: 'taxi19',
    daysAgo: 377,
    steps: [
      { min: 0, body: complaint('Lamp on since another workshop changed the ΔP sensor', 54_300) },
      { min: 5, body: codes('before', 'P2453') },
      {
        min: 15,
        purpose: 'before',
        fileName: 'FL019-before.csv',
        log: filter(7, 8, 53, { faults: [{ id: 'dp-hoses-crossed', severity: 1 }] }),
      },
      {
        min: 24,
        body: part('high-pipe', 'failed', 'Hoses crossed at the sensor: the wide one is the high one'),
      },
      { min: 31, body: work('other', 'Hoses put right at the sensor') },
      { min: 40, purpose: 'after', fileName: 'FL019-after.csv', log: filter(7, 8, 54) },
      { min: 46, body: note('Filter was never the fault. No fluid used.') },
      { min: 52, by: 'imke', body: signOff('Nothing at the filter.') },
    ],
  },
  {
    vehicle: 'taxi19',
    daysAgo: 84,
    steps: [
      { min: 0, body: complaint('Lamp on, slow to start', 93_800) },
      { min: 9, body: codes('before', 'P2463', 'P0380') },
      { min: 20, purpose: 'before', gauge: filter(29, 14, 55) },
      { min: 44, body: clean('Eight bursts of 5 s, cold filter', 0.8) },
      { min: 110, purpose: 'after', gauge: filter(4, 13, 56, { countedG: 29 }) },
      ...provedBy(
        118,
        15,
        'Glow plugs 2 and 3 open: customer did not want them done. Regeneration is held off by them.',
        { counterG: 29 },
      ),
    ],
  },
  {
    vehicle: 'taxi19',
    daysAgo: 58,
    steps: [
      { min: 0, body: complaint('Lamp on again after three weeks', 95_600) },
      { min: 7, body: codes('before', 'P0380', 'P2463') },
      {
        min: 18,
        purpose: 'before',
        fileName: 'FL019-3-before.csv',
        log: filter(27, 15, 57, { faults: [{ id: 'glow-plugs-failed', severity: 0.8 }] }),
      },
      { min: 40, body: work('cause-repaired', 'Glow plugs 1–4 and their relay replaced') },
      { min: 66, body: clean('Eight bursts of 5 s, cold filter', 0.8) },
      {
        min: 132,
        purpose: 'after',
        fileName: 'FL019-3-after.csv',
        log: filter(4, 15, 58, { countedG: 27 }),
      },
      ...provedBy(140, 20, undefined, { counterG: 27 }),
    ],
  },
  {
    vehicle: 'taxi23',
    daysAgo: 300,
    steps: [
      { min: 0, body: complaint('No power uphill since it was backed into a bollard', 142_700, true) },
      { min: 8, body: codes('before', 'P0471') },
      {
        min: 19,
        purpose: 'before',
        fileName: 'FL023-before.csv',
        log: filter(4, 14, 67, { faults: [{ id: 'downstream-restricted', severity: 0.5 }] }),
      },
      { min: 30, body: part('silencer', 'failed', 'Pipe flattened ahead of the silencer') },
      { min: 35, body: part('filter', 'sound', 'ΔP falls to normal with the line open behind it') },
      { min: 90, body: work('cause-repaired', 'Pipe and silencer replaced') },
      { min: 104, purpose: 'after', fileName: 'FL023-after.csv', log: filter(4, 14, 68) },
      { min: 110, body: note('The low side is open to the air: what lies behind the filter was in its ΔP') },
      ...provedBy(116, 12),
    ],
  },
  {
    vehicle: 'taxi12',
    daysAgo: 33,
    steps: [
      { min: 0, body: complaint('Told elsewhere that the filter is blocked', 88_020) },
      { min: 5, body: codes('before', 'P0471') },
      {
        min: 16,
        purpose: 'before',
        fileName: 'FL012-before.csv',
        log: filter(6, 12, 51, { faults: [{ id: 'back-pressure-pipe-blocked', severity: 0.93 }] }),
      },
      { min: 31, body: part('back-pressure-sensor', 'doubtful', 'Slow to fall after release: its pipe') },
      {
        min: 48,
        body: work(
          'pipe-cleared',
          'Back-pressure pipe soaked and rodded, blown away from the sensor',
          'back-pressure-sensor',
        ),
      },
      { min: 62, purpose: 'after', fileName: 'FL012-after.csv', log: filter(6, 12, 52) },
      { min: 66, body: note('Filter was never the fault. No fluid used.') },
      { min: 70, by: 'imke', body: signOff('Nothing at the filter.') },
    ],
  },
];
