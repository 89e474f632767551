import { describe, expect, it } from 'vitest';
import { useCommandLine } from './testing/commandLine.ts';

const { call, file, json } = useCommandLine();

interface Judged {
  readonly likely: readonly { readonly id: string; readonly probability: number }[];
  readonly inhibitors: readonly string[];
  readonly next?: { readonly do: string; readonly id?: string };
  readonly choice: readonly { readonly treatment: string; readonly allowed: boolean }[];
  readonly drive: { readonly verdict: string };
  readonly proof: { readonly verdict: string; readonly missing: readonly string[] };
}

const judge = (job: object): Promise<Judged> => json<Judged>('judge', file('job.json', job));
const chance = ({ likely }: Judged, id: string): number =>
  likely.find((one) => one.id === id)?.probability ?? 0;
const offered = ({ choice }: Judged): string[] =>
  choice.filter(({ allowed }) => allowed).map(({ treatment }) => treatment);

const engine = { displacementL: 1.7 };
const held = (zero: number, idle: number, hold: number): object => ({
  samples: [
    { kind: 'key-off', rpm: 0, dpMbar: zero },
    { kind: 'idle', rpm: 830, dpMbar: idle },
    { kind: 'hold', rpm: 3000, dpMbar: hold },
  ],
});

describe('judge', () => {
  it('offers nothing on a sensor that shows the same with the engine off, and sends to the sensor first', async () => {
    const job = await judge({ vehicle: engine, readings: held(410, 411, 412) });
    expect(chance(job, 'dp-sensor-failed')).toBeGreaterThan(0.8);
    expect(offered(job)).toEqual([]);
    expect(job.next?.do).toBe('check');
    expect(job.drive.verdict).toBe('limited');
  });

  it('cleans no filter that lets soot past', async () => {
    const job = await judge({
      vehicle: engine,
      checks: { 'filter-look': 'outlet-sooty', 'dp-swap': 'swap-same' },
      readings: held(0, 0.4, 2),
    });
    expect(chance(job, 'filter-cracked')).toBeGreaterThan(0.9);
    expect(offered(job)[0]).toBe('exchange');
    expect(offered(job)).not.toContain('chemical');
  });

  it('reads names without numbers, and takes nothing for missing in such a scan', async () => {
    const job = await judge({ vehicle: engine, codes: ['Glow plug control circuit'] });
    expect(chance(job, 'glow-plugs-failed')).toBeGreaterThan(0.5);
  });

  it('drops what is not fitted', async () => {
    const job = await judge({ vehicle: { ...engine, parts: ['engine', 'turbine', 'catalyst'] }, codes: [] });
    expect(job.likely.map(({ id }) => id)).not.toContain('soot-loaded');
    expect(job.likely.map(({ id }) => id)).not.toContain('dp-sensor-failed');
  });

  it('shows no repair by a good check beside a bad one, and goes by a check as it came out last', async () => {
    const check = (id: string, outcome: string): object => ({
      kind: 'check',
      check: id,
      values: {},
      outcome,
    });
    const since = async (...checks: object[]): Promise<string> => {
      const { proof } = await judge({
        vehicle: engine,
        entries: [
          check('pipe-pump', 'high-pipe-shut'),
          {
            kind: 'cause',
            cause: 'high-pipe-blocked',
            state: 'confirmed',
            why: 'A pump finds no way through',
          },
          { kind: 'work', work: 'cause-repaired', what: 'Pipe drilled free' },
          { kind: 'cause', cause: 'high-pipe-blocked', state: 'put-right', why: 'Drilled free' },
          ...checks,
          { kind: 'drive', distanceKm: 15, powerLimitGone: true, reportedBy: 'technician' },
          { kind: 'code-scan', when: 'after-drive', codes: [] },
          { kind: 'reading', purpose: 'after', origin: { type: 'hand' }, ...held(0, 4, 22) },
        ],
      });
      return proof.verdict;
    };
    expect(await since(check('pipe-response', 'response-quick'))).toBe('proved');
    expect(await since(check('pipe-response', 'response-quick'), check('pipe-pump', 'high-pipe-shut'))).toBe(
      'not-proved',
    );
    expect(await since(check('pipe-pump', 'high-pipe-shut'), check('pipe-pump', 'pipes-open'))).toBe(
      'proved',
    );
  });

  it('proves a thermostat by its own check, drive and scan, without any ΔP', async () => {
    const entries = [
      { kind: 'check', check: 'thermostat', values: {}, outcome: 'coolant-cool' },
      { kind: 'cause', cause: 'thermostat-stuck-open', state: 'confirmed', why: 'Rests at 61 °C' },
      { kind: 'work', work: 'cause-repaired', what: 'Thermostat renewed' },
      { kind: 'cause', cause: 'thermostat-stuck-open', state: 'put-right', why: 'Renewed' },
      { kind: 'check', check: 'thermostat', values: {}, outcome: 'coolant-warm' },
    ];
    const waiting = await judge({ vehicle: engine, entries });
    expect(waiting.proof.verdict).toBe('not-proved');
    expect(waiting.proof.missing.join()).toMatch(/drive/);
    const whole = await judge({
      vehicle: engine,
      entries: [
        ...entries,
        { kind: 'drive', distanceKm: 15, powerLimitGone: true, reportedBy: 'technician' },
        { kind: 'code-scan', when: 'after-drive', codes: [] },
      ],
    });
    expect(whole.proof.verdict).toBe('proved');
  });

  it.each([
    ['a key that is none', { vehicles: {} }, /vehicles/],
    ['a part that is none', { vehicle: { parts: ['wing'] } }, /vehicle\.parts/],
    ['an entry of no kind', { entries: [{ kind: 'dance' }] }, /entries/],
  ])('%s: status 2, one line, nothing on stdout', async (_what, job, said) => {
    const { status, stdout, stderr } = await call('judge', file('job.json', job), '--json');
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(said);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});
