import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  evidenceOfOutcome,
  infer,
  KNOWN_CAUSES,
  KNOWN_CHECKS,
  networkFor,
  weigh,
} from '../diagnosis/index.ts';
import { pressureDrop, restrictionRatio } from '../filter/index.ts';
import { PLAIN_WORDS } from '../words/index.ts';
import * as wording from '../words/en/screens/learn.ts';
import { ENGLISH } from '../words/index.ts';
import { CHECK_IDS } from '../checks/index.ts';
import { FILTER, FILTER_L, gasAt } from './example.ts';
import {
  checksOf,
  isRange,
  MODELS,
  movesOf,
  QUICK,
  startOf,
  TOPIC_IDS,
  topicOf,
  type Answer,
  type Model,
  type Settings,
  type TopicId,
} from './index.ts';

const modelOf = (topic: TopicId): Model => MODELS[topic];
const ask = (topic: TopicId, settings: Settings = {}): Answer =>
  modelOf(topic).answer({ ...startOf(movesOf(topic)), ...settings });
const figure = (answer: Answer, id: string): number => {
  const found = answer.figures.find((one) => one.id === id)?.value;
  if (found === undefined) throw new Error(`No figure ${id}`);
  return found;
};

/** Any setting of a model that a hand can reach. */
const settingsOf = (topic: TopicId): fc.Arbitrary<Settings> =>
  fc.record(
    Object.fromEntries(
      movesOf(topic).map((move) => [
        move.id,
        isRange(move)
          ? fc
              .integer({ min: 0, max: Math.round((move.to - move.from) / move.step) })
              .map((i) => move.from + i * move.step)
          : fc.constantFrom(...move.options),
      ]),
    ),
  );

/** All settings of the choices, with the ranges at their ends and where they begin. */
function corners(topic: TopicId): Settings[] {
  let all: Settings[] = [{}];
  for (const move of movesOf(topic)) {
    const values = isRange(move) ? [move.from, move.start, move.to] : move.options;
    all = all.flatMap((settings) => values.map((value) => ({ ...settings, [move.id]: value })));
  }
  return all;
}

const QUICK_IDS = TOPIC_IDS.filter((topic) => topic in QUICK);

describe('every topic', () => {
  it.each(TOPIC_IDS)('%s has words for all that it is and says', (topic) => {
    const text = wording.topics[topic]?.(PLAIN_WORDS);
    expect(text).toBeDefined();
    expect(ENGLISH.topics[topic].length).toBeGreaterThan(3);
    const labels = { ...wording.labels, ...wording.labelsOf[topic] };
    const has = (id: string): boolean =>
      labels[id] !== undefined ||
      id.startsWith('next ') ||
      /^P\d/.test(id) ||
      id in ENGLISH.causes ||
      id in ENGLISH.shown ||
      id in ENGLISH.checkNames;
    const nameless = new Set<string>();
    const say = (id: string): void => void (has(id) || nameless.add(id));
    for (const move of movesOf(topic)) {
      say(move.id);
      if (!isRange(move)) move.options.forEach(say);
    }
    for (const settings of topic === 'drop-to-idle' || topic === 'judging' ? [{}] : corners(topic)) {
      const { figures, picture, tells } = ask(topic, settings);
      if (wording.tells[topic]?.[tells] === undefined) nameless.add(`tells ${tells}`);
      figures.forEach(({ id }) => say(id));
      if (picture?.kind === 'lines') [picture.x, picture.y, ...picture.lines].forEach(({ id }) => say(id));
      if (picture?.kind === 'bars') picture.bars.forEach(({ id }) => say(id));
    }
    expect([...nameless]).toEqual([]);
  });

  it.each(TOPIC_IDS)('%s fits half a screen of words, and no sentence is longer than 25', (topic) => {
    const text = wording.topics[topic]?.(PLAIN_WORDS);
    if (!text) throw new Error('No text');
    const { also: _also, ...shown } = text;
    const all = Object.values(shown).flat().join(' ');
    expect(all.split(/\s+/).length).toBeLessThanOrEqual(190);
    for (const sentence of all.split(/[.:;?] /)) expect(sentence.split(' ').length).toBeLessThanOrEqual(25);
  });

  it.each(QUICK_IDS)(
    '%s answers every setting with finite figures and a picture that can be drawn',
    (topic) => {
      fc.assert(
        fc.property(settingsOf(topic), (settings) => {
          const { figures, picture } = ask(topic, settings);
          for (const { value } of figures) expect(value === undefined || Number.isFinite(value)).toBe(true);
          if (picture?.kind === 'lines')
            for (const { points } of picture.lines) expect(points.flat().every(Number.isFinite)).toBe(true);
          if (picture?.kind === 'bars')
            expect(picture.bars.every(({ value }) => Number.isFinite(value) && value >= 0)).toBe(true);
        }),
        { numRuns: 60 },
      );
    },
  );

  it('what is out of range or no option is brought to what can be set', () => {
    expect(ask('dp-sensor', { rpm: 1e9, state: 'constructor' })).toEqual(
      ask('dp-sensor', { rpm: 4000, state: 'sound' }),
    );
    expect(ask('dp-sensor', { rpm: Number.NaN })).toEqual(ask('dp-sensor'));
  });
});

describe('what leads to a topic', () => {
  it('checks and cautions of a topic are there, and lead back to it', () => {
    for (const topic of TOPIC_IDS)
      for (const check of checksOf(topic)) {
        expect(CHECK_IDS).toContain(check);
        expect(topicOf('checks', check)).toBe(topic);
      }
    expect(topicOf('cautions', 'burn')).toBe('drop-to-idle');
    expect(topicOf('cautions', 'air')).toBe('pipes');
    // How flow is compared says nothing of belts and fans.
    expect(topicOf('cautions', 'running-engine')).toBeUndefined();
  });
  it('most causes are explained, above all those of the pressure path and the filter', () => {
    const explained = KNOWN_CAUSES.filter(({ id }) => topicOf('causes', id) !== undefined);
    expect(explained.length).toBeGreaterThanOrEqual(25);
    expect(topicOf('causes', 'high-pipe-blocked')).toBe('pipes');
    expect(topicOf('causes', 'ash-full')).toBe('soot-and-ash');
    expect(topicOf('causes', 'nothing of the kind')).toBeUndefined();
  });
});

describe('differential pressure sensor', () => {
  it('in order it shows the pressure drop of the filter, as the pressure-drop law gives it', () => {
    const answer = ask('dp-sensor', { rpm: 3000, soot: 4 });
    const drop = pressureDrop(FILTER, { sootG: 4 * FILTER_L, ashG: 0 }, gasAt(3000));
    expect(drop.ok && drop.value.totalMbar).toBeCloseTo(figure(answer, 'shown'), 6);
    expect(figure(answer, 'signal')).toBeCloseTo(0.5 + (4 * figure(answer, 'shown')) / 1000, 6);
  });
  it('a blocked high pipe hides any load, a blocked low pipe adds the silencer, crossed hoses turn the sign', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 40 }), fc.integer({ min: 0, max: 16 }), (hundreds, halves) => {
        const set = { rpm: 100 * hundreds, soot: halves / 2 };
        const truth = figure(ask('dp-sensor', set), 'true-drop');
        expect(figure(ask('dp-sensor', { ...set, state: 'high-blocked' }), 'shown')).toBeLessThanOrEqual(0);
        expect(figure(ask('dp-sensor', { ...set, state: 'low-blocked' }), 'shown')).toBeGreaterThan(truth);
        expect(figure(ask('dp-sensor', { ...set, state: 'crossed' }), 'shown')).toBeCloseTo(-truth, 6);
      }),
    );
  });
});

describe('equal flow', () => {
  it('without any work the fall at equal flow is none, whatever is held after', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 80 }), (fifties) => {
        expect(
          figure(ask('equal-flow', { 'after-rpm': 50 * fifties, removed: 0 }), 'equal-fall'),
        ).toBeCloseTo(0, 9);
      }),
    );
    expect(ask('equal-flow', { 'after-rpm': 2000, removed: 0 }).tells).toBe('looks-cured');
    expect(ask('equal-flow', { 'after-rpm': 3600, removed: 0 }).tells).toBe('looks-worse');
  });
  it('more soot removed is a larger fall', () => {
    const falls = [0, 30, 60, 95].map((removed) => figure(ask('equal-flow', { removed }), 'equal-fall'));
    expect(falls).toEqual(falls.toSorted((a, b) => a - b));
  });
});

describe('restriction', () => {
  it('is that of the same law, and higher on the larger filter at the same pressure', () => {
    fc.assert(
      fc.property(settingsOf('restriction'), (settings) => {
        const answer = ask('restriction', settings);
        expect(figure(answer, 'large-times')).toBeGreaterThan(figure(answer, 'small-times'));
      }),
      { numRuns: 40 },
    );
    const answer = ask('soot-and-ash', { soot: 6, ash: 0 });
    const ratio = restrictionRatio(FILTER, gasAt(3000), figure(answer, 'drop-now'));
    expect(ratio.ok && ratio.value.ratio).toBeCloseTo(figure(answer, 'clean-now'), 9);
    expect(figure(answer, 'clean-burnt')).toBeCloseTo(1, 6);
  });
  it('ash stays after a regeneration, the more of it the more', () => {
    const left = [0, 20, 40, 60].map((ash) => figure(ask('soot-and-ash', { ash }), 'clean-burnt'));
    expect(left).toEqual(left.toSorted((a, b) => a - b));
    expect(left[3]).toBeGreaterThan(2 * (left[0] ?? 0));
  });
});

describe('pipes', () => {
  it('the narrower the bore, the later it is back; an open one within the two seconds, a shut one never', () => {
    const times = [100, 60, 40, 30, 20].map((open) => figure(ask('pipes', { open }), 'return-time'));
    expect(times).toEqual(times.toSorted((a, b) => a - b));
    expect(times[0]).toBeLessThan(1.2);
    expect(ask('pipes', { open: 6 }).tells).toBe('shut');
    expect(ask('pipes', { open: 6 }).figures[0]?.value).toBeUndefined();
  });
  it('a reading a second cannot prove an open pipe', () => {
    expect(ask('pipes', { open: 100, rate: '1' }).tells).toBe('too-few-readings');
    expect(ask('pipes', { open: 100, rate: '10' }).tells).toBe('quick');
  });
});

describe('temperatures', () => {
  it('cold all four agree; warm they fall from the engine outward', () => {
    expect(figure(ask('temperatures'), 'cold-spread')).toBeLessThan(1);
    const warm = ask('temperatures', { minutes: 15 });
    const four = [1, 2, 3, 4].map((number) => figure(warm, `egt${number}`));
    expect(four).toEqual(four.toSorted((a, b) => b - a));
    expect(ask('temperatures', { sensor: 'reads-high' }).figures.at(-1)?.within).toBe(false);
    expect(ask('temperatures', { minutes: 0 }).tells).toBe('cold-and-equal');
  });
});

describe('inhibitors', () => {
  it('warm, filled and without codes nothing is in the way; each thing adds one', () => {
    const good = { coolant: 90, fuel: 60, 'oil-life': 50, soot: 4, code: 'none' };
    expect(ask('inhibitors', good).tells).toBe('free');
    for (const bad of [{ coolant: 45 }, { fuel: 5 }, { 'oil-life': 0 }, { code: 'P0545' }])
      expect(figure(ask('inhibitors', { ...good, ...bad }), 'in-the-way')).toBe(1);
    expect(ask('inhibitors', { ...good, coolant: 45, fuel: 5 }).tells).toBe('several');
  });
});

describe('drop to idle', () => {
  it('the drop makes the bed hotter, the more soot and the sooner the hotter; kept revs do not', () => {
    const at = (soot: number, after: number): Answer => ask('drop-to-idle', { soot, 'drop-after': after });
    const [little, much] = [at(4, 4), at(8, 4)];
    expect(figure(much, 'hottest-dropped')).toBeGreaterThan(figure(little, 'hottest-dropped') + 50);
    expect(figure(much, 'hottest-dropped')).toBeGreaterThan(figure(much, 'hottest-kept') + 100);
    expect(figure(at(8, 6), 'hottest-dropped')).toBeLessThan(figure(much, 'hottest-dropped'));
    expect(at(2, 4).tells).toBe('safe');
  });
});

describe('counter', () => {
  it('a reset alone empties the counter and leaves the filter as it was', () => {
    const [before, after] = [ask('counter', { work: 'nothing' }), ask('counter', { work: 'reset-only' })];
    expect(figure(after, 'counts')).toBe(0);
    expect(figure(after, 'clean-now')).toBe(figure(before, 'clean-now'));
    const cleaned = ask('counter', { work: 'cleaned-and-reset' });
    expect(figure(cleaned, 'clean-now')).toBeLessThan(figure(before, 'clean-now') / 2);
  });
});

describe('judging', () => {
  it('its bars are the chances of the judgement of jobs', () => {
    const answer = ask('judging', { reading: 'dp-low-for-flow', check: 'pipe-pump', found: 'nothing-found' });
    const check = KNOWN_CHECKS.find(({ id }) => id === 'pipe-pump');
    if (!check) throw new Error('No such check');
    const evidence = { 'dp-low-for-flow': true, ...evidenceOfOutcome(check, check.otherwise) };
    const { causes } = infer(weigh(networkFor(), evidence));
    expect(
      answer.picture?.kind === 'bars' && answer.picture.bars.map(({ id, value }) => [id, value]),
    ).toEqual(causes.slice(0, 5).map(({ id, probability }) => [id, 100 * probability]));
  });
  it('a check that finds the pipe blocked settles it, a known-good sensor that shows the same overturns the sensor', () => {
    expect(ask('judging', { check: 'pipe-pump', found: 'fault-found' }).tells).toBe('settled');
    expect(
      ask('judging', { reading: 'dp-no-response', check: 'dp-swap', found: 'nothing-found' }).tells,
    ).toBe('overturned');
    expect(ask('judging').tells).toBe('reading-alone');
  });
});
