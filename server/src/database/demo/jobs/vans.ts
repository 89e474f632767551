import {
  cause,
  check,
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

export const VANS: readonly DemoJob[] = [
  {
    vehicle: 'bakeryVan',
    daysAgo: 243,
    steps: [
      { min: 0, body: complaint('Filter lamp on', 121_500) },
      { min: 7, body: codes('before', 'P2463') },
      { min: 17, purpose: 'before', gauge: filter(27, 17, 13) },
      { min: 40, body: work('drive-regeneration', 'Two up, dual carriageway, 18 min at 80 km/h') },
      { min: 74, purpose: 'after', gauge: filter(3.5, 17, 14) },
      ...provedBy(80, 16, 'Coolant is slow to warm: thermostat to be looked at.'),
    ],
  },
  {
    vehicle: 'parcelVan',
    daysAgo: 61,
    steps: [
      { min: 0, body: complaint('Regenerates every 90 km', 311_900) },
      { min: 8, body: codes('before', 'P242F') },
      {
        min: 20,
        purpose: 'before',
        fileName: 'QP308-before.csv',
        log: filter(24, 150, 41, {
          countedG: 9,
          faults: [{ id: 'dp-sensor-failed', form: 'zero-off', severity: 0.043 }],
        }),
      },
      { min: 50, body: clean('Two bursts, 30 min, flushed', 1) },
      {
        min: 120,
        purpose: 'after',
        fileName: 'QP308-after.csv',
        log: filter(3, 146, 42, { faults: [{ id: 'dp-sensor-failed', form: 'zero-off', severity: 0.043 }] }),
      },
      {
        min: 130,
        body: part(
          'filter',
          'doubtful',
          'Pressure stays high with little soot left: ash. Off-vehicle cleaning or exchange to be quoted',
        ),
      },
    ],
  },
  {
    vehicle: 'parcel309',
    daysAgo: 365,
    steps: [
      { min: 0, body: complaint('Regenerates ever more often', 268_400) },
      { min: 9, body: codes('before', 'P242F') },
      { min: 22, purpose: 'before', fileName: 'QP309-before.csv', log: filter(14, 128, 43) },
      { min: 60, body: part('filter', 'doubtful', 'High at little soot: ash') },
      {
        min: 180,
        body: work(
          'off-vehicle-clean',
          'Off, flushed against its direction, 5.42 kg before and 5.30 kg after',
        ),
      },
      { min: 300, purpose: 'after', fileName: 'QP309-after.csv', log: filter(2, 22, 44) },
      ...provedBy(310, 22),
    ],
  },
  {
    vehicle: 'parcel309',
    daysAgo: 95,
    steps: [
      { min: 0, body: complaint('Black smoke, lamp on', 301_100) },
      { min: 8, body: codes('before', 'P0299', 'P2463') },
      {
        min: 20,
        purpose: 'before',
        gauge: filter(36, 30, 47, { faults: [{ id: 'charge-leak', severity: 0.6 }] }),
      },
      { min: 30, body: check('intake-smoke', { where: 'behind' }) },
      { min: 34, body: cause('charge-leak', 'Charge pipe split at the cooler, seen with smoke') },
      {
        min: 36,
        body: {
          kind: 'family-note',
          topic: 'access',
          text: 'Lower charge pipe: undertray off, clip from the left, 7 mm flexible drive',
          minutes: 15,
        },
      },
      { min: 70, body: work('cause-repaired', 'Charge pipe replaced, smoke test tight') },
      { min: 84, body: clean('Ten bursts of 5 s through the high pipe, cold filter', 1) },
      { min: 152, purpose: 'after', gauge: filter(4, 29, 48, { countedG: 36 }) },
      ...provedBy(160, 18, undefined, { counterG: 36 }),
    ],
  },
  {
    vehicle: 'parcel311',
    daysAgo: 250,
    steps: [
      { min: 0, body: complaint('Forced burn fails elsewhere: too cold', 189_300) },
      { min: 10, body: codes('before', 'P2458') },
      {
        min: 22,
        purpose: 'before',
        fileName: 'QP311-before.csv',
        log: filter(28, 24, 49, { faults: [{ id: 'dosing-injector-blocked', severity: 0.9 }] }),
      },
      {
        min: 55,
        body: work('cause-repaired', 'Fuel dosing injector off, passage clear of carbon, sprays again'),
      },
      {
        min: 80,
        body: work('standing-regeneration', 'Outdoors, supervised, 24 min, EGT before the filter 610 °C'),
      },
      { min: 130, purpose: 'after', fileName: 'QP311-after.csv', log: filter(3, 24, 50) },
      ...provedBy(140, 15),
    ],
  },
  {
    vehicle: 'plumberVan',
    daysAgo: 275,
    steps: [
      { min: 0, body: complaint('Fails its smoke test, no lamp', 171_200) },
      { min: 8, body: codes('before', 'P2002') },
      {
        min: 18,
        purpose: 'before',
        fileName: 'GT73-first.csv',
        log: filter(5, 26, 33, { faults: [{ id: 'filter-cracked', severity: 0.9 }] }),
      },
      { min: 30, body: part('filter', 'failed', 'Outlet face sooty: the brick is cracked') },
      { min: 200, body: work('filter-exchanged', 'New filter, maker’s part') },
      { min: 225, purpose: 'after', fileName: 'GT73-first-after.csv', log: filter(1, 0, 34) },
      { min: 232, body: note('Pressure rose: there is a filter again. Within its limits at this flow.') },
      { min: 240, by: 'imke', body: signOff('Old filter kept for the customer.') },
    ],
  },
  {
    vehicle: 'floristVan',
    daysAgo: 210,
    steps: [
      { min: 0, body: complaint('Lamp on, rounds of 4 km', 52_300) },
      { min: 6, body: codes('before', 'P2463') },
      { min: 15, purpose: 'before', gauge: filter(22, 7, 83) },
      { min: 38, body: work('drive-regeneration', 'Two up, to Sedgeby and back, 20 min at 70 km/h') },
      { min: 72, purpose: 'after', gauge: filter(3, 7, 84) },
      ...provedBy(78, 20, 'Rounds of 4 km: once a week to Sedgeby and back.'),
    ],
  },
  {
    vehicle: 'farmPickup',
    daysAgo: 140,
    steps: [
      { min: 0, body: complaint('Blue smoke, drinks oil', 156_800) },
      { min: 9, body: codes('before', 'P2463') },
      {
        min: 22,
        purpose: 'before',
        gauge: filter(26, 62, 85, { faults: [{ id: 'oil-in-exhaust', severity: 0.7 }] }),
      },
      { min: 36, body: part('turbine', 'failed', 'Shaft wobbles, inlet of the filter oily') },
      {
        min: 44,
        body: note('No burn with oil in the exhaust. Turbocharger first, then the filter off the vehicle.'),
      },
      { min: 50, by: 'imke', body: signOff('Turbocharger is done by the farm; filter untouched.') },
    ],
  },
  {
    vehicle: 'farmPickup',
    daysAgo: 100,
    steps: [
      { min: 0, body: complaint('Turbocharger is new, filter to be cleaned', 157_300) },
      { min: 14, purpose: 'before', fileName: 'RT81-before.csv', log: filter(24, 62, 86) },
      {
        min: 240,
        body: work('off-vehicle-clean', 'Off, soaked overnight, flushed against its direction, dried'),
      },
      { min: 420, purpose: 'after', fileName: 'RT81-after.csv', log: filter(2, 14, 87) },
      ...provedBy(430, 25),
    ],
  },
];
