import { spoken } from '../../words/index.ts';
import { someOf } from '../../testing/seeds.ts';
import { describe, expect, it } from 'vitest';
import { madeLog, madeVehicle, type MadeFaults, type MadeVehicle } from '../../testing/madeLog.ts';
import { dice, DRILLS, type DrillName } from '../../testing/drills.ts';
import { randomLog } from '../../testing/randomLog.ts';
import { DEFAULT_LIMITS, type Limits } from '../../limits/index.ts';
import {
  analyseLog,
  analyseRaw as analyseRawInCodes,
  CHANNEL_ROLES,
  type Finding,
  type LogAnalysis,
  type RawLog,
} from '../index.ts';

const analyseRaw = spoken(analyseRawInCodes);

interface Case {
  readonly drill?: DrillName;
  readonly faults?: MadeFaults;
  readonly vehicle?: Partial<MadeVehicle>;
  readonly limits?: Partial<Limits>;
  /** Every n-th reading of 10 a second. */
  readonly every?: number;
  readonly without?: readonly string[];
}

/** What a made vehicle shows, without a file between. */
function analyse({
  drill = 'full',
  faults = {},
  vehicle = {},
  limits = {},
  every = 2,
  without = [],
}: Case): LogAnalysis {
  const d = dice(31);
  const made = {
    ...madeVehicle(d),
    displacementL: 2,
    idleRpm: 820,
    barometerMbar: 1008,
    boostMbar: 180,
    ...vehicle,
  };
  const { timeS, channels } = madeLog(made, DRILLS[drill](made.idleRpm, d), faults, d);
  const thin = (values: Float64Array): Float64Array => values.filter((_, i) => i % every === 0);
  const times = thin(timeS);
  const raw: RawLog = {
    format: 'made',
    durationS: times.at(-1) ?? 0,
    columns: (Object.keys(channels) as (keyof typeof channels)[])
      .filter((role) => !without.includes(role))
      .map((role) => ({
        name: role,
        source: role,
        role,
        unitText: CHANNEL_ROLES[role].unit,
        timeS: times,
        values: thin(channels[role] as Float64Array),
      })),
    facts: {},
    warnings: [],
  };
  return analyseRaw(raw, { displacementL: made.displacementL, limits: { ...DEFAULT_LIMITS, ...limits } })
    .analysis;
}
const ids = (made: Case): string[] => [...new Set(analyse(made).findings.map(({ id }) => id))];
const finding = (made: Case, id: string): Finding | undefined =>
  analyse(made).findings.find((one) => one.id === id);

describe('a healthy vehicle raises no finding', () => {
  it.each(['full', 'short', 'idleOnly', 'longHold', 'longIdle', 'pull'] as const)(
    'in the drill “%s”',
    (drill) => {
      expect(ids({ drill })).toEqual([]);
    },
  );
  it('from cold, at any rate of recording, high up in the mountains', () => {
    expect(ids({ vehicle: { cold: true, ambientC: -4 } })).toEqual([]);
    for (const every of [1, 5, 10, 20]) expect(ids({ every }), `every ${every}`).toEqual([]);
    expect(ids({ vehicle: { barometerMbar: 720 } })).toEqual([]);
  });
  it('after a drive with a filter that is still hot', () => {
    expect(ids({ drill: 'regeneration', faults: { sootG: 12 } })).toEqual(['regen-event']);
  });
});

describe('one fault gives its finding and no other', () => {
  it.each<[string, Case, string[]]>([
    ['a dead ΔP sensor', { faults: { dpDead: true } }, ['dp-no-response']],
    ['one stuck high', { faults: { dpStuckMbar: 320 } }, ['dp-stuck-high']],
    ['crossed hoses', { faults: { dpReversed: true, sootG: 14 } }, ['dp-reversed']],
    ['an offset zero', { faults: { dpZeroMbar: -16, sootG: 12 } }, ['dp-zero-offset']],
    ['a restricted ΔP pipe', { faults: { dpLagS: 5 } }, ['dp-slow-response']],
    ['too little ΔP', { faults: { dpGain: 0.05 } }, ['dp-low-for-flow']],
    ['a dead back-pressure sensor', { faults: { ebpStuckMbar: 1008 } }, ['ebp-no-response']],
    ['a restricted back-pressure pipe', { faults: { ebpLagS: 6 } }, ['ebp-slow-decay']],
    ['a back-pressure sensor off at key on', { faults: { ebpOffset: 0.16 } }, ['ebp-key-on-mismatch']],
    ['a dead manifold sensor', { faults: { mapStuckMbar: 1008 } }, ['map-no-response']],
    ['a slow manifold sensor', { faults: { mapLagS: 6 } }, ['map-slow-decay']],
    ['air past the meter', { faults: { airShare: 0.5 } }, ['maf-low-for-speed']],
    ['a meter that reads high', { faults: { airShare: 1.7 } }, ['maf-high-for-speed']],
    ['an open EGT', { faults: { egtOpen: [2, -40] } }, ['egt2-open']],
    ['a stuck EGT', { faults: { egtStuck: [4, 120] } }, ['egt4-stuck']],
    [
      'an EGT that is off when cold',
      { faults: { egtColdOffset: [1, 40] }, vehicle: { cold: true } },
      ['egt1-cold-mismatch'],
    ],
    [
      'a thermostat stuck open',
      { drill: 'longIdle', faults: { coolantC: 55 } },
      ['coolant-below-regen-temperature'],
    ],
    ['a cracked back-pressure tube', { drill: 'pull', faults: { ebpGain: 0.1 } }, ['ebp-low-for-boost']],
    ['a regeneration', { drill: 'regeneration', faults: { sootG: 14 } }, ['regen-event']],
  ])('%s', (_name, made, expected) => {
    expect(ids(made)).toEqual(expected);
  });

  it('EGTs in the wrong order are told in a steady hold, not while a hot part cools', () => {
    expect(ids({ drill: 'longHold', faults: { egtColdOffset: [3, 85] } })).toEqual(['egt-order']);
    expect(
      ids({ drill: 'longHold', faults: { egtColdOffset: [3, 85] }, limits: { egtOrderC: 100 } }),
    ).toEqual([]);
    expect(ids({ drill: 'regeneration', faults: { sootG: 14 }, limits: { egtOrderC: 15 } })).toEqual([
      'regen-event',
    ]);
  });
});

describe('findings say what they rest on', () => {
  it('a lag is measured to a fifth, with the sampling beside it', () => {
    for (const lag of [3, 5, 9]) {
      const found = finding({ faults: { dpLagS: lag }, every: 3 }, 'dp-slow-response');
      expect(Math.abs((found?.evidence['lagS'] ?? 0) / lag - 1), `${lag} s`).toBeLessThan(0.2);
      expect(found?.evidence['sampleIntervalS']).toBeCloseTo(0.3, 5);
    }
  });
  it('a log too coarse for a response says so and gives no finding', () => {
    const { findings, warnings } = analyse({ faults: { dpLagS: 5 }, every: 30 });
    expect(findings.map(({ id }) => id)).not.toContain('dp-slow-response');
    expect(warnings.map(({ code }) => code)).toContain('response-not-shown');
  });
  it('a regeneration has start, end, peak and what it did to the counter', () => {
    const found = finding({ drill: 'regeneration', faults: { sootG: 16 } }, 'regen-event');
    expect(found?.startS).toBeGreaterThan(100);
    expect((found?.endS ?? 0) - (found?.startS ?? 0)).toBeGreaterThan(200);
    expect(found?.evidence['peakC']).toBeGreaterThan(570);
    expect(found?.evidence['sootAfterG']).toBeLessThan((found?.evidence['sootBeforeG'] ?? 0) / 1.5);
  });
  it('every finding has a limit among its figures, and all of them are numbers', () => {
    for (let seed = 1; seed <= 12; seed++) {
      for (const { id, evidence, text } of analyse({
        faults: { sootG: 5 + 3 * seed, dpLagS: seed, airShare: 0.4 + seed / 10 },
      }).findings) {
        expect(
          Object.keys(evidence).some((key) => key.startsWith('limit')),
          id,
        ).toBe(true);
        expect(Object.values(evidence).every(Number.isFinite), id).toBe(true);
        expect(text).not.toMatch(/NaN|undefined/);
      }
    }
  });
  it('each limit of the profile decides', () => {
    const cases: readonly [Case, Partial<Limits>, string][] = [
      [{ faults: { dpLagS: 5 } }, { slowResponseS: 8 }, 'dp-slow-response'],
      [{ faults: { ebpOffset: 0.13 } }, { keyOnPercent: 15 }, 'ebp-key-on-mismatch'],
      [{ faults: { dpGain: 0.05 } }, { dpLowForFlowMbar: 0.2 }, 'dp-low-for-flow'],
      [{ faults: { egtOpen: [2, -40] } }, { egtOpenLowC: -60 }, 'egt2-open'],
      [{ faults: { egtStuck: [4, 120] } }, { egtOthersMoveC: 290 }, 'egt4-stuck'],
      [
        { drill: 'longIdle', faults: { coolantC: 55 } },
        { coolantRegenMinC: 40, coolantWarmC: 41 },
        'coolant-below-regen-temperature',
      ],
      [{ drill: 'regeneration', faults: { sootG: 14 } }, { regenEgt3C: 650 }, 'regen-event'],
      [{ drill: 'pull', faults: { ebpGain: 0.1 } }, { ebpLowForBoostMbar: 1900 }, 'ebp-low-for-boost'],
      [{ faults: { mapStuckMbar: 1008 } }, { speedRangeRpm: 4000 }, 'map-no-response'],
      [{ faults: { dpReversed: true, sootG: 14 } }, { flowCorrelationReversed: 1 }, 'dp-reversed'],
    ];
    for (const [made, changed, id] of cases) {
      expect(ids(made), id).toContain(id);
      expect(ids({ ...made, limits: changed }), id).not.toContain(id);
    }
  });
});

describe('what a log cannot show is not said', () => {
  it.each<[string, Case, string]>([
    [
      'an intake leak without manifold pressure',
      { faults: { airShare: 0.5 }, without: ['manifoldPressure'] },
      'maf-low-for-speed',
    ],
    [
      'an intake leak by a manifold sensor that is dead',
      { faults: { airShare: 0.5, mapStuckMbar: 1500 } },
      'maf-low-for-speed',
    ],
    ['a dead sensor at idle alone', { drill: 'idleOnly', faults: { dpDead: true } }, 'dp-no-response'],
    ['a filter judged by a sensor that is stuck', { faults: { dpStuckMbar: 400 } }, 'dp-high-idle'],
    [
      'a cold thermostat in a cold start',
      { vehicle: { cold: true, ambientC: 2 } },
      'coolant-below-regen-temperature',
    ],
  ])('%s', (_name, made, id) => {
    expect(ids(made)).not.toContain(id);
  });
});

describe('made logs in random dialects', () => {
  it.each(someOf(Array.from({ length: 6 }, (_, i) => i)))(
    'give what was put into them, and nothing else (part %i)',
    async (part) => {
      for (let seed = 1 + part * 8; seed <= 8 + part * 8; seed++) {
        const log = randomLog(seed);
        const read = await analyseLog(log.bytes, { displacementL: log.displacementL });
        const found = read.ok
          ? [...new Set(read.value.analysis.findings.map(({ id }) => id))]
          : ['unreadable'];
        expect(found, `${seed}: ${log.about}`).toEqual(expect.arrayContaining([...log.injected]));
        expect(
          found.filter((id) => !log.injected.includes(id) && !log.allowed.includes(id)),
          `${seed}: ${log.about}`,
        ).toEqual([]);
      }
    },
  );
});
