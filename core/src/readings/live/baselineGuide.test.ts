import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, inEnglish, inWords, measuresOf, US_CUSTOMARY, wordsOf } from '../../words/index.ts';
import { ROLE_IDS } from '../channelRoles.ts';
import { BASELINE_STEPS, BaselineGuide, baselinePlan, type BaselineStepId } from './baselineGuide.ts';
import { CHANNEL_PRESETS } from './presets.ts';
import { rateAdvice, SteadyFollower } from './steadyRun.ts';

const PLAN = baselinePlan(2, 78);

/** A guide that is fed at ten readings a second. */
function fed(plan = PLAN) {
  const guide = new BaselineGuide(plan);
  let timeS = 0;
  const hold = (rpm: number, seconds: number, coolantC: number | undefined = 84, wander = 0): void => {
    for (let i = 0; i < seconds * 10; i++) {
      timeS += 0.1;
      guide.push({ timeS, rpm: rpm === 0 ? 0 : rpm + wander * Math.sin(i / 7), coolantC });
    }
  };
  const snap = (): void => {
    for (const rpm of [1400, 2300, 3200, 2500, 1500, 900]) hold(rpm, 0.4);
    hold(820, 6);
  };
  const stateOf = (id: BaselineStepId) => inEnglish(guide.steps).find((step) => step.id === id);
  return { guide, hold, snap, stateOf, wait: (seconds: number): void => void (timeS += seconds) };
}

function whole({ hold, snap }: ReturnType<typeof fed>): void {
  hold(0, 8);
  hold(820, 25);
  hold(2500, 20, 84, 80);
  hold(3000, 25, 84, 90);
  hold(820, 8);
  for (let i = 0; i < 3; i++) snap();
  hold(0, 9);
}

describe('the guided baseline', () => {
  it('recognises every step by itself and ends with key off', () => {
    const drill = fed();
    expect(drill.guide.next).toBe('key-on');
    whole(drill);
    expect(drill.guide.complete).toBe(true);
    expect(drill.guide.next).toBeUndefined();
    expect(drill.guide.steps.map(({ id, state }) => [id, state])).toEqual([
      ['key-on', 'done'],
      ['cold-idle', 'not-needed'],
      ['warm-idle', 'done'],
      ['hold-low', 'done'],
      ['hold-high', 'done'],
      ['snaps', 'done'],
      ['key-off', 'done'],
    ]);
  });

  it('takes the steps in whatever order they come; begun running, the rest at the end gives the zero', () => {
    const { guide, hold, snap, stateOf } = fed();
    hold(820, 25);
    for (let i = 0; i < 3; i++) snap();
    hold(3000, 25);
    hold(2500, 20);
    expect(guide.next).toBe('key-off');
    expect(guide.complete).toBe(false);
    hold(0, 9);
    expect(guide.complete).toBe(true);
    expect(stateOf('key-on')).toMatchObject({ state: 'not-needed', text: 'Read at key off.' });
  });

  it('asks a cold engine for a cold idle and waits with the warm one until the coolant says so', () => {
    const { guide, hold, stateOf } = fed();
    hold(0, 8, 12);
    hold(950, 25, 14);
    expect(stateOf('cold-idle')).toMatchObject({ state: 'done' });
    hold(820, 30, 66);
    expect(guide.next).toBe('warm-idle');
    expect(stateOf('warm-idle')?.text).toBe('Warm it up: coolant 66 °C, counts from 78 °C.');
    const us = inWords(guide.steps, wordsOf([ENGLISH], measuresOf({ units: US_CUSTOMARY })));
    expect(us.find(({ id }) => id === 'warm-idle')?.text).toBe(
      'Warm it up: coolant 151 °F, counts from 172 °F.',
    );
    hold(820, 30, 80);
    expect(stateOf('warm-idle')).toMatchObject({ state: 'done' });
  });

  it('asks nothing of the coolant where it is not read', () => {
    const { hold, stateOf } = fed();
    const guide = fed();
    hold(0, 8);
    for (let i = 0; i < 300; i++) guide.guide.push({ timeS: i / 10, rpm: i < 60 ? 0 : 820 });
    expect(guide.stateOf('warm-idle')?.state).toBe('done');
    expect(stateOf('warm-idle')?.state).toBe('to-do');
  });

  it('says what is missing: seconds of a hold, snaps that were made', () => {
    const { hold, snap, stateOf } = fed();
    hold(0, 8);
    hold(820, 25);
    hold(2500, 9);
    expect(stateOf('hold-low')).toMatchObject({ state: 'now' });
    expect(stateOf('hold-low')?.text).toMatch(/^Hold 2500 rpm: [678] s\.$/);
    expect(stateOf('hold-low')?.share).toBeGreaterThan(0.4);
    hold(2500, 12);
    hold(3000, 25);
    hold(820, 8);
    snap();
    expect(stateOf('snaps')?.text).toContain('1 of 3 so far');
  });

  it('lets a foot wander, and does not count a speed that is not the one asked for', () => {
    const { hold, stateOf } = fed();
    hold(0, 8);
    hold(820, 25);
    hold(2450, 20, 84, 130);
    expect(stateOf('hold-low')?.state).toBe('done');
    hold(3600, 30);
    hold(2000, 30);
    expect(stateOf('hold-high')?.state).toBe('now');
  });

  it('does not take the end of a long hold for a snap', () => {
    const { hold, stateOf } = fed();
    hold(0, 8);
    hold(820, 25);
    hold(2500, 20);
    hold(3000, 25);
    hold(820, 10);
    expect(stateOf('snaps')?.text).toContain('0 of 3');
  });

  it('holds a large engine at lower speeds', () => {
    expect(baselinePlan(12.8, 78)).toMatchObject({ lowRpm: 1500, highRpm: 2000 });
    expect(baselinePlan(undefined, 78)).toMatchObject({ lowRpm: 2500, highRpm: 3000 });
    const { hold, stateOf } = fed(baselinePlan(12.8, 78));
    hold(0, 8);
    hold(620, 25);
    hold(1500, 20);
    expect(stateOf('hold-low')?.state).toBe('done');
    hold(2000, 25);
    expect(stateOf('hold-high')?.state).toBe('done');
  });

  it('never goes back on a step, whatever comes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ rpm: fc.integer({ min: 0, max: 5000 }), s: fc.integer({ min: 1, max: 40 }) }), {
          maxLength: 25,
        }),
        (parts) => {
          const { guide, hold } = fed();
          let done = new Set<string>();
          for (const { rpm, s } of parts) {
            hold(rpm, s);
            const now = new Set(guide.steps.filter(({ state }) => state === 'done').map(({ id }) => id));
            for (const id of done) if (id !== 'cold-idle') expect(now.has(id as BaselineStepId)).toBe(true);
            for (const { share } of guide.steps) {
              expect(share).toBeGreaterThanOrEqual(0);
              expect(share).toBeLessThanOrEqual(1);
            }
            done = now;
          }
          expect(guide.steps.map(({ id }) => id)).toEqual([...BASELINE_STEPS]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('the steady stretch of now', () => {
  const follow = (parts: readonly (readonly [number, number])[], kmPerH = 0): SteadyFollower => {
    const follower = new SteadyFollower();
    let timeS = 0;
    for (const [rpm, seconds] of parts)
      for (let i = 0; i < seconds * 10; i++) follower.push((timeS += 0.1), rpm, kmPerH);
    return follower;
  };

  it('is off, idle, hold or moving', () => {
    expect(follow([[0, 5]]).run).toMatchObject({ kind: 'engine-off' });
    expect(
      follow([
        [0, 5],
        [820, 10],
      ]).run,
    ).toMatchObject({ kind: 'idle', meanRpm: 820 });
    expect(
      follow([
        [820, 10],
        [2600, 10],
      ]).run,
    ).toMatchObject({ kind: 'hold', meanRpm: 2600 });
    expect(follow([[1800, 10]], 60).run.kind).toBe('moving');
  });

  it('begins anew with a jump and with a gap, and leaves the settling out', () => {
    const { run } = follow([
      [2500, 20],
      [3000, 6],
    ]);
    expect(run.steadyS).toBeGreaterThan(4);
    expect(run.steadyS).toBeLessThan(5);
    const gap = new SteadyFollower();
    for (let i = 0; i < 100; i++) gap.push(i / 10, 2500);
    gap.push(60, 2500);
    expect(gap.run.steadyS).toBe(0);
  });
});

describe('a slow link', () => {
  it('is said to be too slow for what it cannot show, and for nothing else', () => {
    expect(rateAdvice(20)).toBeUndefined();
    expect(rateAdvice(2)).toBeUndefined();
    expect(rateAdvice(0)).toBeUndefined();
    expect(inEnglish(rateAdvice(0.6))).toMatch(/^At 0\.6 readings a second a restricted pipe looks like/);
    expect(inEnglish(rateAdvice(0.25))).toMatch(/^A reading every 4 s: too slow to find steady holds/);
  });

  it('gives no steady stretch where it is said to be too slow, and one where it is not', () => {
    const followed = (hz: number): number => {
      const follower = new SteadyFollower();
      for (let i = 0; i < 40 * hz; i++) follower.push(i / hz, 2500);
      return follower.run.steadyS;
    };
    expect(followed(0.25)).toBe(0);
    expect(followed(0.6)).toBeGreaterThan(30);
  });
});

describe('presets', () => {
  it('name channels that exist, and few enough to be answered quickly', () => {
    expect(CHANNEL_PRESETS.map(({ id }) => id)).toEqual([
      'baseline',
      'key-on',
      'pull',
      'pipe',
      'warm-up',
      'regeneration',
    ]);
    for (const { roles } of CHANNEL_PRESETS) {
      expect(roles.length).toBeLessThanOrEqual(13);
      expect(new Set(roles).size).toBe(roles.length);
      for (const role of roles) expect(ROLE_IDS).toContain(role);
    }
  });
});
