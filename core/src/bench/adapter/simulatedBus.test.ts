import { inEnglish } from '../../words/index.ts';
import {
  type CanFrame,
  IsoTpEnd,
  type LinkReading,
  type LinkState,
  ObdLink,
  RecordingText,
  codeBytes,
  codeOfBytes,
} from '../../link/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../../quantities/index.ts';
import { analyseLog } from '../../readings/index.ts';
import { BenchVehicle } from '../benchVehicle.ts';
import { type BenchOptions } from '../benchOptions.ts';
import { Driver, type Wish } from '../driver.ts';
import { benchFamily, type BenchFamily } from '../families.ts';
import { obdAnswer } from './obdResponder.ts';
import { SimulatedBus } from './simulatedBus.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;

/** Two ends on a bus without delay; `meddle` may drop or change what passes. */
function ends(meddle: (frame: CanFrame, index: number) => CanFrame | undefined = (frame) => frame) {
  const frames: CanFrame[] = [];
  const got: Uint8Array[] = [];
  const pass = (frame: CanFrame, to: () => IsoTpEnd): void => {
    const passed = meddle(frame, frames.length);
    frames.push(frame);
    if (passed) to().receive(passed);
  };
  const there: IsoTpEnd = new IsoTpEnd({
    sendId: 2,
    receiveId: 1,
    put: (frame) => pass(frame, () => here),
    onMessage: (bytes) => got.push(bytes),
  });
  const here: IsoTpEnd = new IsoTpEnd({
    sendId: 1,
    receiveId: 2,
    put: (frame) => pass(frame, () => there),
    onMessage: () => undefined,
  });
  return { here, there, frames, got };
}

describe('ISO 15765-2', () => {
  it('carries messages of every length whole, in frames of eight bytes', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 1, maxLength: 4095 }), (bytes) => {
        const { here, frames, got } = ends();
        here.send(bytes);
        expect(got).toHaveLength(1);
        expect(got[0]).toEqual(bytes);
        for (const frame of frames) expect(frame.bytes).toHaveLength(8);
      }),
      { numRuns: 60 },
    );
  });

  it('writes what the standard shows: single frame, first frame with clear to send, consecutive frames', () => {
    const { here, frames } = ends();
    here.send(Uint8Array.of(0x01, 0x0c));
    here.send(Uint8Array.from({ length: 10 }, (_, i) => i));
    const hex = frames.map(({ bytes }) => [...bytes].map((b) => b.toString(16).padStart(2, '0')).join(' '));
    expect(hex).toEqual([
      '02 01 0c cc cc cc cc cc',
      '10 0a 00 01 02 03 04 05',
      '30 00 00 cc cc cc cc cc',
      '21 06 07 08 09 cc cc cc',
    ]);
  });

  it('drops a message whose frames do not follow each other, and counts it', () => {
    const { here, there, got } = ends((frame, index) => (index === 3 ? undefined : frame));
    here.send(new Uint8Array(40).fill(7));
    expect(got).toEqual([]);
    expect(there.lost).toBeGreaterThan(0);
    here.send(Uint8Array.of(1, 2, 3));
    expect(got).toEqual([Uint8Array.of(1, 2, 3)]);
  });

  it('takes any frames without falling over', () => {
    fc.assert(
      fc.property(fc.array(fc.uint8Array({ maxLength: 8 }), { maxLength: 40 }), (all) => {
        const { there, got } = ends();
        for (const bytes of all) there.receive({ id: 1, bytes });
        for (const message of got) expect(message.length).toBeGreaterThan(0);
      }),
    );
  });

  it('refuses an empty message and one that is too long', () => {
    const { here } = ends();
    expect(() => here.send(new Uint8Array())).toThrow(RangeError);
    expect(() => here.send(new Uint8Array(4096))).toThrow(RangeError);
  });
});

describe('the ECU at the plug', () => {
  it('writes codes as two bytes and back', () => {
    expect(codeBytes('P2463')).toEqual([0x24, 0x63]);
    expect(codeBytes('U0100')).toEqual([0xc1, 0x00]);
    expect(codeBytes('SPN 3251')).toBeUndefined();
    for (const code of ['P2463', 'P0A1F', 'C1234', 'B3FFF', 'U0100'])
      expect(codeOfBytes(...(codeBytes(code) as [number, number]))).toBe(code);
  });

  it('says nothing with the ignition off, and refuses services it does not have', () => {
    const vehicle = new BenchVehicle({ family: tarn, seed: 1 });
    expect(obdAnswer(vehicle, Uint8Array.of(0x01, 0x0c))).toBeUndefined();
    vehicle.controls.ignition = 'on';
    expect(obdAnswer(vehicle, Uint8Array.of(0x22, 0xf1, 0x90))).toEqual(Uint8Array.of(0x7f, 0x22, 0x11));
    expect(obdAnswer(vehicle, Uint8Array.of(0x01, 0x0c))).toEqual(Uint8Array.of(0x41, 0x0c, 0, 0));
  });
});

function plugged(options: Partial<BenchOptions> = {}) {
  const vehicle = new BenchVehicle({ family: tarn, seed: 6, ...options });
  const driver = new Driver(vehicle);
  const lines: string[] = [];
  const bus = new SimulatedBus(vehicle, (timeS, { id, bytes }) => {
    const data = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
    lines.push(`(${(1e9 + timeS).toFixed(6)}) can0 ${id.toString(16).toUpperCase()}#${data.toUpperCase()}`);
  });
  const readings: LinkReading[] = [];
  const states: LinkState[] = [];
  const link = new ObdLink(bus, {
    onReadings: (some) => readings.push(...some),
    onState: (state) => states.push(state),
  });
  /** Steps the vehicle, and lets what waits for answers go on between the steps. */
  const go = async (wish: Wish, seconds: number): Promise<void> => {
    for (let i = 0; i < Math.round(seconds / vehicle.stepS); i++) {
      driver.follow(wish, vehicle.stepS);
      bus.advance();
      link.advance(vehicle.timeS);
      for (let turn = 0; turn < 4; turn++) await Promise.resolve();
    }
  };
  /** Waits for an answer while the vehicle goes on. */
  const during = async <T>(wish: Wish, asked: Promise<T>): Promise<T> => {
    let settled = false;
    const both = asked.finally(() => (settled = true));
    both.catch(() => undefined);
    for (let i = 0; i < 200 && !settled; i++) await go(wish, 0.1);
    return both;
  };
  return { vehicle, bus, link, readings, states, lines, go, during };
}

describe('a scan tool that speaks OBD', () => {
  it('connects, finds what is fitted, streams it, reads and clears codes', async () => {
    const { link, vehicle, readings, states, go, during } = plugged({
      faults: [{ id: 'egt4-failed', severity: 1 }],
    });
    await expect(during({ do: 'off' }, link.connect())).rejects.toThrow(/ignition on/);
    await go({ do: 'key-on' }, 12);
    expect((await during({ do: 'key-on' }, link.connect())).vehicle).toBe('Tarn 2.0');
    expect(states.at(-1)).toEqual({ status: 'connected' });
    const channels = await link.channels();
    const roles = channels.map(({ role }) => role);
    expect(roles).toEqual(
      expect.arrayContaining(['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'egt3', 'exhaustBackPressure']),
    );
    expect(new Set(roles).size).toBe(roles.length);

    const wanted = channels.filter(({ role }) => ['engineSpeed', 'dpfDeltaP', 'egt3'].includes(role));
    await link.stream(wanted.map(({ id }) => id));
    await go({ do: 'start' }, 3);
    await go({ do: 'idle' }, 5);
    const last = (role: string): number =>
      readings.filter(({ id }) => id === wanted.find((one) => one.role === role)?.id).at(-1)?.value ??
      Number.NaN;
    expect(Math.abs(last('engineSpeed') - vehicle.plant.engine.rpm)).toBeLessThan(20);
    expect(Math.abs(last('dpfDeltaP') - vehicle.plant.filter.deltaPMbar)).toBeLessThan(1);
    expect(Math.abs(last('egt3') - vehicle.plant.egtC[2])).toBeLessThan(3);

    const codes = await during({ do: 'idle' }, link.codes());
    expect(codes.map(({ code }) => code)).toContain('P2471');
    expect(await during({ do: 'idle' }, link.clearCodes())).toMatchObject({ done: false });
    await go({ do: 'off' }, 5);
    // Nothing answers with the ignition off: the link was given up, and is taken up anew.
    expect(states.at(-1)).toMatchObject({ status: 'lost' });
    await go({ do: 'key-on' }, 1);
    await during({ do: 'key-on' }, link.connect());
    expect(await during({ do: 'key-on' }, link.clearCodes())).toMatchObject({ done: true });
    await link.disconnect();
    await expect(link.codes()).rejects.toThrow(/Not connected/);
  });

  it('finds on a smaller vehicle only what that one has', async () => {
    const { link, go, during } = plugged({ family: benchFamily('Corrin 1.5') as BenchFamily });
    await go({ do: 'key-on' }, 1);
    await during({ do: 'key-on' }, link.connect());
    const roles = (await link.channels()).map(({ role }) => role);
    expect(roles).not.toContain('egt2');
    expect(roles).not.toContain('exhaustBackPressure');
    expect(roles).toContain('egt4');
  });

  it('gives up a link that is pulled out, says so, and connects anew', async () => {
    const { link, bus, readings, states, go, during } = plugged();
    await go({ do: 'key-on' }, 1);
    await during({ do: 'key-on' }, link.connect());
    const channels = await link.channels();
    await link.stream(channels.slice(0, 4).map(({ id }) => id));
    await go({ do: 'key-on' }, 2);
    expect(readings.length).toBeGreaterThan(50);
    bus.unplugged = true;
    await go({ do: 'key-on' }, 6);
    expect(states.at(-1)).toMatchObject({ status: 'lost' });
    bus.unplugged = false;
    await during({ do: 'key-on' }, link.connect());
    expect(states.at(-1)).toEqual({ status: 'connected' });
  });

  it('what passed over the bus is a log that the reader takes, and so is what the tool recorded', async () => {
    const { link, lines, readings, go, during } = plugged();
    await go({ do: 'key-on' }, 1);
    const identity = await during({ do: 'key-on' }, link.connect());
    const channels = (await link.channels()).filter(({ role }) =>
      ['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'coolantTemp', 'barometricPressure', 'egt3'].includes(role),
    );
    const text = new RecordingText(channels, { ...identity, displacementL: 2 });
    await link.stream(channels.map(({ id }) => id));
    await go({ do: 'key-on' }, 6);
    await go({ do: 'start' }, 3);
    await go({ do: 'idle' }, 20);
    await go({ do: 'hold', rpm: 2800 }, 20);
    await go({ do: 'idle' }, 12);
    const read = async (written: string) =>
      valueOf(
        await analyseLog(new TextEncoder().encode(written), { displacementL: 2, geometry: tarn.filter }),
      ).analysis;
    const [bus, tool] = [await read(`${lines.join('\n')}\n`), await read(text.head + text.rows(readings))];
    for (const analysis of [bus, tool]) {
      expect(analysis.windows.map(({ kind }) => kind)).toEqual(['engine-off', 'idle', 'hold', 'idle']);
      expect(analysis.findings).toEqual([]);
    }
    expect(inEnglish(bus.format)).toMatch(/CAN/);
    const hold = (analysis: typeof bus): number =>
      analysis.windows.find(({ kind }) => kind === 'hold')?.dpfDeltaP?.mean ?? Number.NaN;
    expect(Math.abs(hold(bus) - hold(tool))).toBeLessThan(0.5);
  });
});
