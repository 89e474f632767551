import {
  cause,
  check,
  clean,
  codes,
  complaint,
  filter,
  note,
  part,
  readTheCaution,
  work,
  type DemoJob,
} from '../steps.ts';

/** What stands in the yard, or lies open, today. */
export const TODAY: readonly DemoJob[] = [
  {
    vehicle: 'bakeryVan',
    daysAgo: 0,
    minutesAgo: 178,
    steps: [
      { min: 0, body: complaint('Lamp on and power limited since Friday, short rounds only', 148_300, true) },
      { min: 9, body: codes('before', 'P2463', 'P244B', 'C0040') },
      { min: 22, purpose: 'before', fileName: 'KE417-before.csv', log: filter(46, 24, 11) },
      { min: 33, body: part('dp-sensor', 'sound', 'Zero good, follows the flow') },
      { min: 39, body: part('high-pipe', 'sound', 'Falls back at once after release') },
      { min: 52, body: work('cause-repaired', 'Thermostat replaced: coolant stayed cool') },
      { min: 66, body: readTheCaution('chemicals', 'chemical-clean') },
      { min: 68, body: clean('Eleven bursts of 5 s through the high pipe, cold filter', 1) },
      { min: 118, body: note('Refit, started outdoors, steam for 9 min') },
      {
        min: 150,
        purpose: 'after',
        fileName: 'KE417-after.csv',
        log: filter(4.5, 22, 12, { countedG: 46 }),
      },
      { min: 158, body: part('scr', 'proven-clear', 'Gauge after the filter hardly moves at 3000 rpm') },
    ],
  },
  {
    vehicle: 'taxi07',
    daysAgo: 0,
    minutesAgo: 64,
    steps: [
      { min: 0, body: complaint('Lamp on again, more town work than ever', 131_700) },
      { min: 7, body: codes('before', 'P2463') },
      {
        min: 19,
        purpose: 'before',
        fileName: 'FL007-2-before.csv',
        log: filter(41, 24, 73, { countedG: 38 }),
      },
      { min: 44, body: { kind: 'treatment-chosen', treatment: 'chemical' } },
      {
        min: 46,
        body: {
          kind: 'made-ready',
          treatment: 'chemical',
          answers: { smoke: true, runOff: true, filterC: 26 },
          site: 'Fleet yard, behind the wash',
        },
      },
      { min: 48, body: readTheCaution('chemicals', 'chemical-clean') },
      { min: 51, body: clean('Nine bursts of 5 s, cold filter; soaking', 0.8) },
    ],
  },
  {
    vehicle: 'carter',
    daysAgo: 1,
    steps: [
      { min: 0, body: complaint('Power limited on the hill to Sedgeby', 684_300, true) },
      { min: 15, body: codes('before', 'SPN 3719 FMI 16') },
      { min: 40, purpose: 'before', gauge: filter(230, 190, 91) },
    ],
  },
  {
    vehicle: 'floristVan',
    daysAgo: 2,
    steps: [{ min: 0, body: complaint('Lamp on again. Still only the town rounds.', 61_900) }],
  },
  {
    vehicle: 'hatch',
    daysAgo: 5,
    steps: [
      { min: 0, body: complaint('Loss of power, lamp on since a clean by the owner', 121_400, true) },
      { min: 12, purpose: 'before', gauge: filter(32, 16, 81) },
      { min: 30, body: clean('One fill, 30 min', 1) },
      {
        min: 90,
        purpose: 'after',
        gauge: filter(6, 16, 82, { faults: [{ id: 'dp-hose-off', severity: 0.97 }] }),
        note: 'Looks too good. Hose?',
      },
    ],
  },
  {
    vehicle: 'carter44',
    daysAgo: 9,
    steps: [
      { min: 0, body: complaint('Asks to be parked for a regeneration twice a day', 402_600) },
      { min: 10, body: codes('before', 'SPN 3719 FMI 16') },
      { min: 30, purpose: 'before', gauge: filter(150, 90, 95) },
      { min: 55, body: clean('Two fills through the sensor port, cold', 4, 45) },
      { min: 160, purpose: 'after', gauge: filter(22, 88, 96, { countedG: 150 }) },
      { min: 170, body: note('Driver takes it to Sedgeby and back and rings with what the lamp does') },
    ],
  },
  {
    vehicle: 'sweeper',
    daysAgo: 12,
    steps: [
      { min: 0, body: complaint('Warning on the panel after a week of leaves', 18_900) },
      { min: 14, body: codes('before', 'SPN 3719 FMI 16', 'SPN 110 FMI 18') },
    ],
  },
  {
    vehicle: 'plumberVan',
    daysAgo: 15,
    steps: [
      {
        min: 0,
        body: {
          ...complaint('Smells of fuel, oil level rises', 203_700),
          use: 'mixed',
          seen: { 'oil-level-high': true, 'slow-to-warm': true, 'black-smoke': false },
          lamps: ['filter'],
        },
      },
      { min: 8, body: codes('before', 'P2458') },
      {
        min: 25,
        purpose: 'before',
        fileName: 'GT73-before.csv',
        log: filter(24, 18, 37, { coolantC: 50, faults: [{ id: 'thermostat-stuck-open', severity: 1 }] }),
      },
      { min: 37, body: check('dp-zero', { restMbar: 0.1 }) },
      {
        min: 38,
        body: check('thermostat', {
          coolant: [
            [0, 50],
            [60, 50],
            [120, 51],
            [180, 50],
          ],
        }),
      },
      { min: 41, body: cause('thermostat-stuck-open', 'Coolant rests at 50 °C on a hold') },
      {
        min: 42,
        body: check('oil', { level: 1.35, sumpL: 7.4, lifePercent: 38, smell: 'fuel', lowAsh: 'yes' }),
      },
      {
        min: 43,
        body: {
          kind: 'temporary-repair',
          what: 'Filter left as it is: thermostat first, then oil, then the filter',
          order: { name: 'Thermostat with housing', number: 'TH-7719', supplier: 'Fenside Parts' },
        },
      },
      {
        min: 44,
        body: note('Coolant is slow to warm and falls at idle: thermostat ordered, filter waits for it'),
      },
    ],
  },
  {
    vehicle: 'parcel311',
    daysAgo: 20,
    steps: [
      { min: 0, body: complaint('Regenerates every day', 226_100) },
      { min: 9, body: codes('before', 'P2463') },
      { min: 24, purpose: 'before', fileName: 'QP311-2-before.csv', log: filter(34, 40, 45) },
      { min: 50, body: clean('Ten bursts of 5 s through the high pipe, cold filter', 1.1) },
      {
        min: 128,
        purpose: 'after',
        fileName: 'QP311-2-after.csv',
        log: filter(4, 39, 46, { countedG: 34 }),
      },
      { min: 140, body: note('Back on its round; drive and re-scan when it comes for its tyres') },
    ],
  },
];
