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

export const CARS: readonly DemoJob[] = [
  {
    vehicle: 'estate',
    daysAgo: 143,
    steps: [
      {
        min: 0,
        body: complaint('Lamp comes back two days after a forced burn elsewhere', 171_250, true),
      },
      { min: 9, body: codes('before', 'P0101', 'P2002') },
      {
        min: 21,
        purpose: 'before',
        fileName: 'HW52-first.csv',
        log: filter(44, 30, 31, { countedG: 40, faults: [{ id: 'intake-leak', severity: 0.82 }] }),
      },
      {
        min: 35,
        body: part('engine', 'failed', 'Duct split between MAF sensor and compressor, seen with smoke'),
      },
      { min: 70, body: work('cause-repaired', 'Intake duct replaced, smoke test tight') },
      { min: 95, body: clean('One fill through the high pipe, cold', 1.2) },
      { min: 160, purpose: 'after', fileName: 'HW52-after.csv', log: filter(5, 28, 32, { countedG: 4 }) },
      ...provedBy(170, 31),
    ],
  },
  {
    vehicle: 'vetEstate',
    daysAgo: 160,
    steps: [
      { min: 0, body: complaint('ΔP sensor changed twice elsewhere, lamp still on', 118_600) },
      { min: 8, body: codes('before', 'P2453') },
      {
        min: 20,
        purpose: 'before',
        fileName: 'VX60-before.csv',
        log: filter(8, 13, 77, { faults: [{ id: 'dp-sensor-wrong', severity: 1 }] }),
      },
      {
        min: 38,
        body: part('dp-sensor', 'failed', 'Pump test: a quarter of what is pumped. Part of another range'),
      },
      { min: 60, body: work('sensor-replaced', 'Sensor by part number, maker’s part', 'dp-sensor') },
      { min: 72, purpose: 'after', fileName: 'VX60-after.csv', log: filter(8, 13, 78) },
      { min: 80, body: note('Filter is fine and was all the time.') },
      { min: 86, by: 'imke', body: signOff('Two wrong sensors given back to the customer.') },
    ],
  },
  {
    vehicle: 'nurseHatch',
    daysAgo: 75,
    steps: [
      { min: 0, body: complaint('Lamp on, night shifts, 3 km each way', 64_100) },
      { min: 7, body: codes('before', 'P2463') },
      { min: 18, purpose: 'before', gauge: filter(24, 9, 88) },
      { min: 42, body: clean('One fill, 30 min', 0.8) },
      { min: 92, purpose: 'after', gauge: filter(20, 9, 89), note: 'Little came out: second fill next week' },
      { min: 98, body: note('Customer had to leave for her shift') },
      {
        min: 101,
        body: {
          kind: 'choice-offered',
          question: 'The filter, after one fill with little gain',
          currency: 'EUR',
          options: [
            { id: 'a', what: 'Second fill in place', price: 95, minutes: 70 },
            { id: 'b', what: 'Send out to be flushed', price: 340, remark: 'two days without the car' },
            { id: 'c', what: 'New filter', price: 980 },
          ],
        },
      },
      {
        min: 103,
        body: {
          kind: 'drivable',
          verdict: 'limited',
          why: 'Soot under the limit, nothing holds regeneration off',
          limits: 'Twenty minutes of main road every other day',
          until: 'her choice',
        },
      },
    ],
  },
  {
    vehicle: 'oldSaloon',
    daysAgo: 27,
    steps: [
      { min: 0, body: complaint('Filter quoted for exchange elsewhere', 41_900) },
      { min: 6, body: codes('before', 'P2453') },
      {
        min: 16,
        purpose: 'before',
        fileName: 'DY38-before.csv',
        log: filter(5, 5, 79, { faults: [{ id: 'low-pipe-blocked', severity: 0.88 }] }),
      },
      {
        min: 28,
        body: check('pipe-pump', { lowStartMbar: 400, lowLeftMbar: 388, highStartMbar: 70, highLeftMbar: 0 }),
      },
      { min: 31, body: cause('low-pipe-blocked', 'Holds 388 of 400 mbar') },
      {
        min: 44,
        body: work('pipe-cleared', 'Low pipe soaked, rodded and blown out with the sensor off', 'low-pipe'),
      },
      {
        min: 50,
        body: check('pipe-pump', { lowStartMbar: 60, lowLeftMbar: 0, highStartMbar: 70, highLeftMbar: 0 }),
      },
      { min: 56, purpose: 'after', fileName: 'DY38-after.csv', log: filter(5, 5, 80) },
      ...provedBy(62, 9, 'Filter is fine. No exchange.'),
    ],
  },
];
