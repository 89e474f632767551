import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { deriveJob as deriveJobInCodes } from '../job/index.ts';
import type { EntryBody, ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { filterByEngine } from '../filter/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '../testing/index.ts';
import {
  commandInterlocks as commandInterlocksInCodes,
  mostSoot as mostSootInCodes,
  type KnownFilter,
  type LinkCommand,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const commandInterlocks = spoken(commandInterlocksInCodes);
const mostSoot = spoken(mostSootInCodes);

const SILICON: KnownFilter = { ...FILTER, material: 'silicon-carbide' };

function heldBy(
  command: LinkCommand,
  bodies: readonly EntryBody[],
  filter: KnownFilter | undefined = SILICON,
): { id: string; text: string }[] {
  const derived = deriveJob({
    entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    limits: DEFAULT_LIMITS,
    displacementL: DISPLACEMENT_L,
    geometry: FILTER,
  });
  return [
    ...commandInterlocks(command, { derived, limits: DEFAULT_LIMITS, filter, displacementL: DISPLACEMENT_L }),
  ];
}
const ids = (...args: Parameters<typeof heldBy>): string[] => heldBy(...args).map(({ id }) => id);

const sensorSound: EntryBody = { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'Pump ladder' };
const scan: EntryBody = { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] };
const fewGrams = madeReading('before', { sootG: 4 });
const manyGrams = madeReading('before', { sootG: 45 });
const clean: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'One fill' };

const logged = (reading: ReadingBody, findings: readonly string[]): ReadingBody => ({
  ...reading,
  origin: {
    type: 'log',
    logId: '0198c0de-0000-7000-8000-000000000001',
    fileName: 'a.csv',
    mapping: {},
    findings: [...findings],
  },
});

describe('what holds a command off', () => {
  it('is nothing on a filter of little soot whose sensor is proven, with the codes kept', () => {
    for (const command of ['burn', 'clear-codes', 'reset-counter'] as const)
      expect(heldBy(command, [scan, sensorSound, fewGrams])).toEqual([]);
  });

  it('is that no reading was taken: the load is unknown', () => {
    for (const command of ['burn', 'clear-codes', 'reset-counter'] as const)
      expect(ids(command, [scan, sensorSound])).toEqual(['no-reading']);
  });

  it('is too much soot, said with value, limit and what to do', () => {
    const [held] = heldBy('burn', [sensorSound, manyGrams]);
    expect(held?.id).toBe('over-full');
    expect(held?.text).toMatch(
      /g\/L of soot \(\d+ g.*at most 7 g\/L .*silicon carbide\. Clean it chemically/,
    );
  });

  it('goes by the weaker material where it is not known', () => {
    const some = madeReading('before', { sootG: 13 });
    const load = valueOf(
      mostSoot(some, FILTER, { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L }),
    ).gPerL;
    expect(load).toBeGreaterThan(DEFAULT_LIMITS.burnLimitOtherGPerL);
    expect(load).toBeLessThan(DEFAULT_LIMITS.burnLimitSiliconCarbideGPerL);
    expect(ids('burn', [sensorSound, some])).toEqual([]);
    expect(ids('burn', [sensorSound, some], { ...FILTER, material: 'unknown' })).toEqual(['over-full']);
    expect(ids('burn', [sensorSound, some], FILTER)).toEqual(['over-full']);
  });

  it('is a sensor or pipe that is not proven, whatever it shows', () => {
    const bad: EntryBody = { ...sensorSound, part: 'high-pipe', state: 'doubtful' };
    expect(heldBy('burn', [sensorSound, fewGrams, bad])[0]?.text).toContain('the high pipe is doubtful');
    expect(ids('burn', [fewGrams])).toEqual(['pressure-unproven']);
    expect(ids('burn', [logged(fewGrams, [])])).toEqual([]);
    const doubted = heldBy('burn', [sensorSound, logged(fewGrams, ['dp-slow-response'])]);
    expect(doubted[0]?.text).toContain('dp-slow-response');
  });

  it('goes by an assumed size with its doubt: little soot passes, what may be too much is held and says why', () => {
    const assumed = filterByEngine(DISPLACEMENT_L, DEFAULT_LIMITS.filterPerEngineSize);
    expect(ids('burn', [sensorSound, madeReading('before', { sootG: 1 })], assumed)).toEqual([]);
    const some = madeReading('before', { sootG: 9 });
    expect(ids('burn', [sensorSound, some])).toEqual([]);
    const [held] = heldBy('burn', [sensorSound, some], assumed);
    expect(held?.id).toBe('over-full');
    expect(held?.text).toMatch(/Filter size taken as 2\.5 L, by engine size: entering it narrows this\./);
  });

  it('takes a fill level that agrees with the pressure as the ECU’s own measure, whatever the size', () => {
    const assumed = filterByEngine(DISPLACEMENT_L, DEFAULT_LIMITS.filterPerEngineSize);
    const some = madeReading('before', { sootG: 9 });
    expect(ids('burn', [sensorSound, { ...some, sootPercent: 80 }], assumed)).toEqual([]);
    expect(ids('burn', [sensorSound, { ...some, sootPercent: 150 }], assumed)).toEqual(['over-full']);
    // One that contradicts the pressure narrows nothing.
    expect(ids('burn', [sensorSound, { ...manyGrams, sootPercent: 20 }], assumed)).toEqual(['over-full']);
  });

  it('is codes that would be lost', () => {
    expect(ids('clear-codes', [sensorSound, fewGrams])).toEqual(['codes-not-kept']);
  });

  it('is the counter where it says more than the pressure, but not one from before the clean', () => {
    const counted = { ...fewGrams, sootCounterG: 50 };
    expect(heldBy('burn', [sensorSound, counted])[0]?.text).toContain('ECU’s figure');
    expect(ids('reset-counter', [sensorSound, counted])).toEqual(['over-full']);
    const after: EntryBody = { ...counted, purpose: 'after' };
    expect(ids('reset-counter', [sensorSound, manyGrams, clean, after])).toEqual([]);
    expect(ids('burn', [sensorSound, manyGrams, clean, after])).toEqual(['over-full']);
  });

  it('before clearing and resetting too: a tank or sump that is too low by the last answers, fuel in the oil', () => {
    const ready: EntryBody = {
      kind: 'made-ready',
      treatment: 'standing',
      answers: { fuelPercent: 4, oilPercent: 5 },
    };
    for (const command of ['clear-codes', 'reset-counter'] as const)
      expect(ids(command, [scan, sensorSound, fewGrams, ready])).toEqual(['fuel-low', 'oil-low']);
    const filled: EntryBody = { ...ready, answers: { fuelPercent: 60, oilPercent: 60 } };
    expect(ids('clear-codes', [scan, sensorSound, fewGrams, ready, filled])).toEqual([]);
    const diluted: EntryBody = {
      kind: 'check',
      check: 'oil',
      values: { dilutionPercent: 12 },
    };
    const derived = deriveJob({
      entries: [scan, sensorSound, fewGrams, diluted].map((body, i) => madeEntry(i + 1, body)),
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
    });
    expect(derived.checks[0]?.judgement.findings['oil-diluted']).toBe(true);
    expect(ids('reset-counter', [scan, sensorSound, fewGrams, diluted])).toContain('oil-diluted');
  });

  it('a drop to idle that the bed does not stand, before clearing and resetting too', () => {
    const derived = deriveJob({
      entries: [scan, sensorSound, fewGrams].map((body, i) => madeEntry(i + 1, body)),
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
    });
    const forecast = { sootG: 20, sootLeftG: 1, plannedPeakC: 800, dropPeakC: 1100, limitC: 1000 };
    for (const command of ['burn', 'clear-codes', 'reset-counter'] as const)
      expect(
        commandInterlocks(command, { derived, limits: DEFAULT_LIMITS, filter: SILICON, forecast }).map(
          ({ id, text }) => `${id}: ${text}`,
        ),
      ).toEqual([expect.stringMatching(/^drop-too-hot: .*1100 °C by the burn model; limit 1000 °C/)]);
  });

  it('goes by the latest reading: a clean that did nothing changes nothing', () => {
    const after: EntryBody = { ...manyGrams, purpose: 'after' };
    expect(ids('reset-counter', [sensorSound, fewGrams, clean, after])).toEqual(['over-full']);
  });
});

describe('the most soot that a reading leaves room for', () => {
  const context = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L };

  it('lies above what is in the filter, and goes with it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 40, noNaN: true }), (sootG) => {
        const most = valueOf(mostSoot(madeReading('before', { sootG }), FILTER, context));
        expect(most.grams).toBeGreaterThanOrEqual(0.97 * sootG);
        const more = valueOf(mostSoot(madeReading('before', { sootG: sootG + 3 }), FILTER, context));
        expect(more.grams).toBeGreaterThan(most.grams);
      }),
      { numRuns: 60 },
    );
  });

  it('is not said of a reading without a hold', () => {
    const reading = madeReading('before', { sootG: 10 });
    const idleOnly = { ...reading, samples: reading.samples.filter(({ kind }) => kind !== 'hold') };
    expect(mostSoot(idleOnly, FILTER, context)).toMatchObject({ ok: false });
  });
});
