import { describe, expect, it } from 'vitest';
import { happenedAt, type Entry, type EntryBody } from '../ledger/index.ts';
import { madeEntry, madeId, note } from '../testing/madeEntries.ts';
import { PLAIN_WORDS } from '../words/index.ts';
import { clocksOf } from './clocks.ts';
import { openMatters } from './openMatters.ts';
import { stateNow, stepsInState, type JobState } from './stateNow.ts';
import { stepTitle } from './stepTitle.ts';

const MINUTE_MS = 60_000;
const after = (bodies: readonly EntryBody[], minutes = 1): JobState | undefined => {
  const entries: readonly Entry[] = bodies.map((body, i) => madeEntry(i + 1, body));
  const last = entries.at(-1);
  return stateNow(
    { entries, clocks: clocksOf(entries), open: openMatters(entries) },
    (last ? happenedAt(last) : 0) + minutes * MINUTE_MS,
  );
};

const burn = (work: 'standing-regeneration' | 'drive-regeneration'): EntryBody => ({
  kind: 'work',
  work,
  what: 'Commanded',
  begun: true,
});
const cooling: EntryBody = { kind: 'clock-started', clock: 'cooling', minutes: 40, what: 'To 45 °C' };
const choice: EntryBody = {
  kind: 'choice-offered',
  question: 'Clean it or fit a new one',
  currency: 'EUR',
  options: [
    { id: 'a', what: 'Clean', price: 95 },
    { id: 'b', what: 'New', price: 980 },
  ],
};
const ordered: EntryBody = { kind: 'temporary-repair', what: 'Sleeved', order: { name: 'High hose' } };
const scan: EntryBody = { kind: 'code-scan', when: 'before', codes: [] };

describe('what a job is in the middle of', () => {
  it('nothing, where nothing runs and nobody is waited for', () => {
    expect(after([])).toBeUndefined();
    expect(after([scan, note('Keys on the hook')])).toBeUndefined();
  });
  it('a burn that runs, in the yard or on the road, before all else; not one that has ended', () => {
    expect(after([cooling, burn('standing-regeneration')])?.is).toBe('burning');
    expect(after([burn('drive-regeneration')])?.is).toBe('on-the-road');
    const ended: EntryBody = {
      kind: 'burn-ended',
      burn: madeId(1),
      how: 'by-itself',
      source: 'hand',
      minutes: 20,
    };
    expect(after([burn('standing-regeneration'), ended])).toBeUndefined();
  });
  it('no burn whose end nobody entered, once work has gone on', () => {
    expect(after([burn('standing-regeneration'), scan])).toBeUndefined();
  });
  it('nothing on a job that is signed off: what is open there is a follow-up', () => {
    const entries = [madeEntry(1, ordered)];
    const facts = { entries, clocks: clocksOf(entries), open: openMatters(entries) };
    expect(stateNow(facts, 0)?.is).toBe('part');
    expect(stateNow({ ...facts, signedOff: {} }, 0)).toBeUndefined();
  });
  it('a wait while its timer goes and rings, and no more an hour after', () => {
    expect(after([cooling], 10)).toMatchObject({
      is: 'waiting',
      stage: 'treat',
      clock: { clock: 'cooling' },
    });
    expect(after([cooling], 60)?.is).toBe('waiting');
    expect(after([cooling], 40 + 61)).toBeUndefined();
  });
  it('of two waits the one that is over first', () => {
    const steam: EntryBody = { kind: 'clock-started', clock: 'steam', minutes: 10, what: 'Boiling off' };
    expect(after([cooling, steam])).toMatchObject({ clock: { clock: 'steam' } });
  });
  it('the customer’s choice, until it is made or the work goes on without it', () => {
    expect(after([scan, choice, note('Rang twice')])).toMatchObject({ is: 'choice', stage: 'decide' });
    expect(after([choice, scan])).toBeUndefined();
    expect(
      after([
        choice,
        { kind: 'choice-made', offer: madeId(1), option: 'a', by: 'Ms Oakridge', how: 'phone' },
      ]),
    ).toBeUndefined();
  });
  it('a part on order, where nothing was done since', () => {
    expect(after([scan, ordered])).toMatchObject({
      is: 'part',
      stage: 'treat',
      matter: { waitsFor: 'High hose' },
    });
    expect(after([ordered, scan])).toBeUndefined();
    expect(after([{ kind: 'temporary-repair', what: 'Sleeved' }])).toBeUndefined();
  });
});

describe('what is next while a job is in the middle of something', () => {
  const scanNext = [{ do: 'scan', why: 'Nothing is known yet' }] as const;
  const first = (bodies: readonly EntryBody[]): string => {
    const [step] = stepsInState(scanNext, after(bodies));
    return step ? PLAIN_WORDS.say(stepTitle(step)) : '';
  };
  it('is what ends that, before what is next otherwise', () => {
    expect(first([burn('standing-regeneration')])).toBe('Watch the regeneration');
    expect(first([choice])).toBe('Ask for the customer’s choice');
    expect(first([ordered])).toBe('Fit the part on order');
    expect(stepsInState(scanNext, after([choice]))).toHaveLength(2);
  });
  it('is what it was where nothing holds the job up, or a timer says so by itself', () => {
    expect(first([scan])).toBe('Scan every module');
    expect(first([cooling])).toBe('Scan every module');
  });
});
