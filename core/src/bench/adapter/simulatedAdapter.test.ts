import { inEnglish } from '../../words/index.ts';
import { type LinkChannel, type LinkReading, type LinkState, RecordingText } from '../../link/index.ts';
import { describe, expect, it } from 'vitest';
import { success, valueOf } from '../../quantities/index.ts';
import { analyseLog } from '../../readings/index.ts';
import { BenchVehicle } from '../benchVehicle.ts';
import { type BenchOptions } from '../benchOptions.ts';
import { Driver, type Wish } from '../driver.ts';
import { BENCH_FAMILIES, benchFamily, type BenchFamily } from '../families.ts';
import { SimulatedAdapter, type AdapterFaults } from './simulatedAdapter.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;

function linked(faults: AdapterFaults = {}, options: Partial<BenchOptions> = {}) {
  const vehicle = new BenchVehicle({ family: tarn, seed: 8, ...options });
  const driver = new Driver(vehicle);
  const readings: LinkReading[] = [];
  const states: LinkState[] = [];
  const adapter = new SimulatedAdapter(
    vehicle,
    { onReadings: (some) => readings.push(...some), onState: (state) => states.push(state) },
    faults,
  );
  const go = (wish: Wish, seconds: number): void => driver.follow(wish, seconds, () => adapter.advance());
  return { vehicle, adapter, readings, states, go };
}

const live = (channels: readonly LinkChannel[]): LinkChannel[] =>
  channels.filter(({ status }) => status === 'live');

describe('the link', () => {
  it('answers only with the ignition on, and says what to do', async () => {
    const { adapter, go, states } = linked();
    await expect(adapter.connect()).rejects.toThrow(/ignition on/);
    await expect(adapter.channels()).rejects.toThrow(/Not connected/);
    go({ do: 'key-on' }, 1);
    expect(await adapter.connect()).toMatchObject({ vehicle: 'Tarn 2.0', displacementL: 2 });
    expect(states.at(-1)).toEqual({ status: 'connected' });
    go({ do: 'off' }, 1);
    await expect(adapter.codes()).rejects.toThrow(/ignition is off/);
  });

  it('shares what it carries among the chosen channels, each with times of its own', async () => {
    const { adapter, readings, go } = linked();
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    const channels = live(await adapter.channels());
    expect((await adapter.stream(['engineSpeed'])).hz).toBe(20);
    go({ do: 'key-on' }, 10);
    expect(readings.length).toBeGreaterThan(195);
    expect(readings.length).toBeLessThan(205);
    readings.length = 0;
    const twelve = channels.slice(0, 12).map(({ id }) => id);
    expect((await adapter.stream(twelve)).hz).toBe(5);
    go({ do: 'key-on' }, 10);
    expect(readings.length).toBeGreaterThan(590);
    expect(readings.length).toBeLessThan(610);
    for (const id of twelve) expect(readings.filter((r) => r.id === id).length).toBeGreaterThan(48);
    for (let i = 1; i < readings.length; i++)
      expect(readings[i]?.timeS).toBeGreaterThan(readings[i - 1]?.timeS ?? Infinity);
  });

  it('goes at the pace of the vehicle, not of a clock: paused it gives nothing', async () => {
    const { adapter, readings, go } = linked();
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    await adapter.stream(['dpfDeltaP']);
    for (let i = 0; i < 100; i++) adapter.advance();
    expect(readings.length).toBeLessThanOrEqual(1);
  });

  it('lists what is not fitted and refuses to stream it; gives volts where only they are offered', async () => {
    const corrin = benchFamily('Corrin 1.5') as BenchFamily;
    const { adapter, readings, go } = linked({ voltsOnly: ['dpfDeltaP'] }, { family: corrin });
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    const channels = await adapter.channels();
    expect(channels.find(({ role }) => role === 'egt2')?.status).toBe('not-fitted');
    await expect(adapter.stream(['egt2'])).rejects.toThrow(/not fitted/);
    await expect(adapter.stream(['no-such'])).rejects.toThrow(/offers no channel/);
    expect(channels.find(({ role }) => role === 'dpfDeltaP')).toMatchObject({ status: 'volts', unit: 'V' });
    await adapter.stream(['dpfDeltaP']);
    go({ do: 'key-on' }, 1);
    expect(readings.at(-1)?.value).toBeCloseTo(0.5, 1);
  });

  it('a slow one gives less, a wrong one takes the vehicle for another, one that drops out says so and connects anew', async () => {
    const { adapter, readings, states, go } = linked({
      valuesPerS: 6,
      takesFor: 'Pell 1.6',
      dropsOutAfterS: 20,
    });
    go({ do: 'key-on' }, 1);
    expect((await adapter.connect()).vehicle).toBe('Pell 1.6');
    expect((await adapter.stream(['engineSpeed', 'dpfDeltaP', 'massAirFlow'])).hz).toBe(2);
    go({ do: 'key-on' }, 30);
    expect(states.at(-1)).toMatchObject({ status: 'lost' });
    const had = readings.length;
    expect(had).toBeGreaterThan(100);
    go({ do: 'key-on' }, 5);
    expect(readings.length).toBe(had);
    await expect(adapter.codes()).rejects.toThrow(/Not connected/);
    await adapter.connect();
    await adapter.stream(['engineSpeed']);
    go({ do: 'key-on' }, 5);
    expect(readings.length).toBeGreaterThan(had);
  });

  it('does not answer later what nobody asked: a device that slept leaves a gap', async () => {
    const { vehicle, adapter, readings, go } = linked();
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    await adapter.stream(['engineSpeed']);
    go({ do: 'key-on' }, 5);
    const before = readings.length;
    const leftS = readings.at(-1)?.timeS ?? 0;
    // The vehicle goes on by itself while nothing is asked.
    vehicle.run(40);
    go({ do: 'key-on' }, 1);
    expect(readings.length - before).toBeLessThan(25);
    expect(readings[before]?.timeS).toBeGreaterThan(leftS + 39);
  });

  it('makes a log whose steady stretches on the road are a drive, as long as the road speed is in it', async () => {
    const { adapter, readings, go } = linked();
    go({ do: 'key-on' }, 1);
    const identity = await adapter.connect();
    const wanted = ['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'vehicleSpeed'];
    const channels = live(await adapter.channels()).filter(({ role }) => wanted.includes(role));
    await adapter.stream(channels.map(({ id }) => id));
    go({ do: 'start' }, 3);
    go({ do: 'cruise', kmPerH: 70 }, 90);
    const text = new RecordingText(channels, identity);
    const bytes = new TextEncoder().encode(text.head + text.rows(readings));
    const kinds = valueOf(await analyseLog(bytes)).analysis.windows.map(({ kind }) => kind);
    expect(kinds).toContain('drive');
    expect(kinds).not.toContain('hold');
  });

  it('writes the codes of a heavy vehicle as parameter and failure mode, and holds a burn off by that name', async () => {
    const { adapter, go } = linked(
      {},
      {
        family: benchFamily('Orrin 12.8') as BenchFamily,
        faults: [{ id: 'dp-sensor-failed', severity: 1, form: 'dead' }],
      },
    );
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    go({ do: 'start' }, 4);
    go({ do: 'idle' }, 30);
    const codes = await adapter.codes();
    expect(codes.map(({ code }) => code)).toEqual(['SPN 3251 FMI 4']);
    const answer = await adapter.startRoutine('regenerate-standing');
    expect(answer).toMatchObject({ status: 'refused' });
    expect(inEnglish(answer.text)).toContain('SPN 3251 FMI 4');
  });

  it('reads codes with their freeze frames and starts routines', async () => {
    const { adapter, go } = linked({}, { faults: [{ id: 'egt3-failed', severity: 1 }] });
    go({ do: 'key-on' }, 20);
    await adapter.connect();
    const [code] = await adapter.codes();
    expect(code).toMatchObject({ code: 'P242D', status: 'confirmed', present: true });
    expect(code?.freezeFrame?.values.coolantTemp).toBeGreaterThan(60);
    expect((await adapter.routines()).map(({ id }) => id)).toContain('vane-sweep');
    expect(await adapter.startRoutine('regenerate-standing')).toMatchObject({ status: 'refused' });
    expect(await adapter.clearCodes()).toMatchObject({ done: true });
    expect(await adapter.codes()).toEqual([]);
    await adapter.disconnect();
    await expect(adapter.codes()).rejects.toThrow(/Not connected/);
  });
});

describe('a recording', () => {
  const roles = [
    'engineSpeed',
    'dpfDeltaP',
    'manifoldPressure',
    'barometricPressure',
    'massAirFlow',
    'coolantTemp',
  ];

  it.each(BENCH_FAMILIES.map((family) => [family.name, family.tongue, family] as const))(
    'of %s (%s names) is read like any log: every channel with its role and unit',
    async (_name, _tongue, family) => {
      const { adapter, readings, go } = linked({}, { family });
      go({ do: 'key-on' }, 1);
      const identity = await adapter.connect();
      const channels = live(await adapter.channels());
      const text = new RecordingText(channels, identity);
      await adapter.stream(channels.map(({ id }) => id));
      go({ do: 'key-on' }, 6);
      go({ do: 'start' }, 3);
      go({ do: 'idle' }, 25);
      go({ do: 'hold', rpm: 0.6 * family.governedRpm }, 30);
      go({ do: 'idle' }, 20);
      const bytes = new TextEncoder().encode(text.head + text.rows(readings));
      const read = await analyseLog(bytes);
      expect(read).toEqual(success(expect.anything()));
      const { analysis } = valueOf(read);
      const found = new Map(analysis.channels.map(({ role, column }) => [role, column]));
      for (const { role } of channels) expect(found.has(role), `${role} of ${family.name}`).toBe(true);
      expect(analysis.unmapped).toEqual([]);
      expect(analysis.stated).toMatchObject({ displacementL: family.displacementL });
      expect(analysis.findings).toEqual([]);
      expect(analysis.windows.map(({ kind }) => kind)).toEqual(['engine-off', 'idle', 'hold', 'idle']);
    },
  );

  it('is whole wherever it ends: what was written is read', async () => {
    const { adapter, readings, go } = linked();
    go({ do: 'key-on' }, 1);
    await adapter.connect();
    const channels = live(await adapter.channels()).filter(({ id }) => roles.includes(id));
    const text = new RecordingText(channels, { vehicle: 'Tarn 2.0', displacementL: 2 });
    await adapter.stream(channels.map(({ id }) => id));
    go({ do: 'key-on' }, 5);
    go({ do: 'start' }, 3);
    go({ do: 'idle' }, 30);
    const whole = text.head + text.rows(readings);
    const cut = whole.slice(0, Math.floor(0.7 * whole.length));
    const { analysis } = valueOf(await analyseLog(new TextEncoder().encode(cut)));
    expect(analysis.channels.length).toBe(channels.length);
    expect(analysis.durationS).toBeGreaterThan(20);
  });
});
