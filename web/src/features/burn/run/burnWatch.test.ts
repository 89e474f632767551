import { inEnglish } from '@white-ember/core/words';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import type { ChannelRole } from '@white-ember/core/readings';
import type { LiveSession } from '../../live/liveSession.ts';
import { BurnWatch } from './burnWatch.ts';

beforeEach(() => {
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('document', { addEventListener: () => undefined, removeEventListener: () => undefined });
});
afterEach(() => vi.unstubAllGlobals());

/** A link of which the test says what it shows and how the module answers to a stop. */
function link(answer: { status: string; text: string } | undefined) {
  const values: Partial<Record<ChannelRole, number>> = { engineSpeed: 2300, egt3: 600, egt4: 590 };
  const state = {
    link: { status: 'connected' },
    vehicle: { timeS: 0 },
    channels: Object.keys(values).map((role) => ({ id: role, role, status: 'live' })),
    chosen: Object.keys(values),
    routine: undefined,
  };
  const listeners = new Set<() => void>();
  const commands: string[] = [];
  const session = {
    get: () => state,
    latest: (role: ChannelRole) => values[role],
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    command: (id: string) => {
      commands.push(id);
      return Promise.resolve(answer);
    },
  } as unknown as LiveSession;
  const run = (seconds: number, next: Partial<typeof values> = {}): void => {
    Object.assign(values, next);
    for (let i = 0; i < seconds / 2; i++) {
      state.vehicle.timeS += 2;
      for (const listener of listeners) listener();
    }
  };
  const lose = (): void => {
    state.link.status = 'lost';
    for (const listener of listeners) listener();
  };
  return { session, run, lose, commands };
}
const DONE = { status: 'done', text: 'Dosing stopped.' };
const watchOf = (session: LiveSession, byLink: boolean): BurnWatch =>
  new BurnWatch(session, {
    jobId: 'x',
    kind: 'standing',
    limits: DEFAULT_LIMITS,
    burn: undefined,
    material: 'unknown',
    byLink,
  });
const answered = () => new Promise((resolve) => setTimeout(resolve, 0));

describe('who stops a burn', () => {
  it('the link, where a rule is broken for some moments on end: and it is off when the module has said so', async () => {
    const { session, run, commands } = link(DONE);
    const watch = watchOf(session, true);
    run(20);
    expect(commands).toEqual([]);
    run(2, { egt3: 790 });
    expect(commands).toEqual([]);
    run(8);
    expect(watch.get().stoppedAtS).toBeUndefined();
    await answered();
    expect(commands).toEqual(['stop']);
    expect(watch.get()).toMatchObject({ how: 'stopped' });
    expect(watch.get().why).toMatch(/Gas before the filter: 790 °C, at most 720 °C/);
  });

  it('is not taken for stopped where the tool refuses or does not answer', async () => {
    for (const answer of [undefined, { status: 'refused', text: 'Busy.' }]) {
      const { session, run } = link(answer);
      const watch = watchOf(session, true);
      run(20, { egt3: 790 });
      await answered();
      expect(watch.get().stoppedAtS).toBeUndefined();
      expect(watch.get().refused).toBe(answer?.text ?? 'The tool did not answer.');
      watch.stopped('Stopped at the vehicle');
      expect(watch.get()).toMatchObject({ how: 'stopped', why: 'Stopped at the vehicle' });
    }
  });

  it('only whoever holds the other tool, where that commands it', async () => {
    const { session, run, commands } = link(DONE);
    const watch = watchOf(session, false);
    run(40, { egt3: 790 });
    watch.see('oilSmoke');
    await answered();
    expect(commands).toEqual([]);
    expect(watch.get().stoppedAtS).toBeUndefined();
    expect(watch.get().judged.broken?.id).toBe('oil-smoke');
    watch.stop('I have');
    expect(watch.get()).toMatchObject({ how: 'stopped', why: 'Blue smoke' });
  });

  it('flames are stopped by the link, too, and go down as a fire', async () => {
    const { session, run, commands } = link(DONE);
    const watch = watchOf(session, true);
    run(10);
    watch.see('fire');
    expect(inEnglish(watch.get().judged.text)).toMatch(/Everybody away/);
    await answered();
    expect(commands).toEqual(['stop']);
    expect(watch.get()).toMatchObject({ how: 'fire' });
  });

  it('a lost link is said, and gives no moments', () => {
    const { session, run, lose } = link(DONE);
    const watch = watchOf(session, true);
    run(10);
    const { length } = watch.get().moments;
    lose();
    run(10);
    expect(watch.get().away).toBe(true);
    expect(watch.get().moments).toHaveLength(length);
    watch.end();
  });
});
