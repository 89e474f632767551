import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { RunningClock, RunningClocks } from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import { share } from '@white-ember/core/quantities';
import type { TestClient } from '../testing/TestClient.ts';
import { makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

const MOMENTS = 50;
const SEED = 611;
/** A server that is taken away is back within this, however busy the machine is. */
const PATIENCE_MS = 60_000;

/** The server is taken away at a moment of the request, and another one stands at another address over the same database. */
async function restart(app: TestApp, workshop: TestWorkshop, afterMs: number): Promise<TestApp> {
  await new Promise((resolve) => setTimeout(resolve, afterMs));
  await app.close();
  const next = await startTestApp({}, app.databaseUrl);
  for (const client of [workshop.lead, workshop.technician, workshop.viewer]) client.address = next.address;
  return next;
}

describe('clocks over restarts of the server', () => {
  it(`at ${MOMENTS} moments in the middle of work: none is lost, none is doubled, none moves`, async () => {
    let app = await startTestApp();
    try {
      const workshop = await makeWorkshop(app, 'Reedmere');
      const startedAt = Date.now();
      const meant = new Map<string, number>();
      const ended = new Set<string>();
      // As a device does it: the same entry again until the server has answered.
      const until = async (body: EntryBody, deviceTime: string): Promise<string> => {
        const id = uuidv7();
        const giveUp = performance.now() + PATIENCE_MS;
        while (performance.now() < giveUp) {
          try {
            const { status } = await workshop.technician.post(`/api/jobs/${workshop.ids.job}/entries`, {
              id,
              deviceTime,
              body,
            });
            if (status < 300) return id;
          } catch {
            // Nobody answered: the next server will.
          }
          await new Promise((resolve) => setTimeout(resolve, 10));
        }
        throw new Error('never acknowledged');
      };
      for (let i = 0; i < MOMENTS; i++) {
        const minutes = 5 + Math.floor(100 * share(SEED, 1, i));
        const deviceTime = new Date(startedAt + i * 1000).toISOString();
        const work = async (): Promise<void> => {
          const id = await until(
            { kind: 'clock-started', clock: 'cooling', minutes, what: `wait ${i}` },
            deviceTime,
          );
          meant.set(id, Date.parse(deviceTime) + minutes * 60_000);
          // Every third is ended by the next request, in which the server may go away as well.
          if (i % 3 === 0) {
            await until(
              { kind: 'clock-ended', entry: id },
              new Date(startedAt + i * 1000 + 500).toISOString(),
            );
            ended.add(id);
          }
        };
        const [, next] = await Promise.all([work(), restart(app, workshop, 25 * share(SEED, 2, i))]);
        app = next;
      }
      const { body } = await workshop.viewer.get<RunningClocks>('/api/clocks');
      const running = [...meant].filter(([id]) => !ended.has(id)).sort((a, b) => a[1] - b[1]);
      expect(body.clocks.map(({ entryId, until: end }: RunningClock) => [entryId, Date.parse(end)])).toEqual(
        running,
      );
      expect(running.length).toBe(MOMENTS - Math.ceil(MOMENTS / 3));
      expect(Math.abs(Date.parse(body.now) - Date.now())).toBeLessThan(5000);
    } finally {
      await app.close();
    }
  }, 300_000);

  it('are seen by their own workshop only', async () => {
    const app = await startTestApp();
    try {
      const [mine, other] = [await makeWorkshop(app, 'Reedmere'), await makeWorkshop(app, 'Tollgate')];
      await mine.technician.post(`/api/jobs/${mine.ids.job}/entries`, {
        id: uuidv7(),
        deviceTime: new Date().toISOString(),
        body: { kind: 'clock-started', clock: 'dwell', minutes: 30, what: 'One fill' },
      });
      const seenBy = async (client: TestClient): Promise<readonly RunningClock[]> =>
        (await client.get<RunningClocks>('/api/clocks')).body.clocks;
      // It rings for who works on the job; for others of the workshop it is a mark.
      expect((await seenBy(mine.technician)).map((clock) => clock.mine)).toEqual([true]);
      expect((await seenBy(mine.viewer)).map((clock) => clock.mine)).toEqual([false]);
      expect((await other.viewer.get<RunningClocks>('/api/clocks')).body.clocks).toEqual([]);
    } finally {
      await app.close();
    }
  });
});
