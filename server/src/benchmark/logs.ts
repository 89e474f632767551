import { inferSchema, initParser } from 'udsv';
import { analyseLog, analyseRaw, openLog } from '@white-ember/core/readings';
import { valueOf } from '@white-ember/core/quantities';
import { dice, DRILLS, madeLog, madeVehicle, randomLog } from '@white-ember/core/testing';
import type { Row } from './bench.ts';

const CHANNELS = 30;
const RATE_HZ = 10;

/** Lines of a recording of 30 channels at 10 Hz, half of them known and half not, made by the physics of the tests. */
function* recordingLines(rows: number, channels = CHANNELS): Generator<string> {
  const d = dice(4711);
  const vehicle = madeVehicle(d);
  const drill = madeLog(vehicle, DRILLS.full(vehicle.idleRpm, d), {}, d);
  const known = Object.values(drill.channels);
  const names = [
    'Engine speed (rpm)',
    'DPF differential pressure (mbar)',
    'Exhaust back pressure (mbar)',
    'Manifold absolute pressure (mbar)',
    'Barometric pressure (mbar)',
    'Mass air flow (g/s)',
    'EGT before turbine (degC)',
    'EGT before DOC (degC)',
    'EGT before DPF (degC)',
    'EGT after DPF (degC)',
    'Coolant temperature (degC)',
    'Intake air temperature (degC)',
    'Ambient temperature (degC)',
    'Soot mass (g)',
    'Vehicle speed (km/h)',
  ].slice(0, channels);
  const digits = [0, 1, 0, 0, 0, 2, 1, 1, 1, 1, 1, 1, 1, 1, 0];
  const spare = Math.max(0, channels - names.length);
  yield ['Time (s)', ...names, ...Array.from({ length: spare }, (_, i) => `Channel ${i + 1}`)].join(',');
  const length = drill.timeS.length;
  for (let row = 0; row < rows; row++) {
    const at = row % length;
    let line = (row / RATE_HZ).toFixed(1);
    for (let c = 0; c < names.length; c++) line += `,${(known[c]?.[at] ?? 0).toFixed(digits[c])}`;
    for (let c = 0; c < spare; c++) line += `,${(Math.sin(row / (30 + c)) * 100).toFixed(2)}`;
    yield line;
  }
}

function recording(rows: number, channels = CHANNELS): string {
  const pieces: string[] = [];
  for (const line of recordingLines(rows, channels)) pieces.push(line);
  return `${pieces.join('\n')}\n`;
}

const recordingBytes = (rows: number): Buffer => Buffer.from(recording(rows));

async function best(rounds: number, work: () => unknown): Promise<number> {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    await work();
    least = Math.min(least, performance.now() - start);
  }
  return least;
}

/** An hour at 10 Hz and 30 channels: all of our work against the library’s typed columns alone. */
async function measureSpeed(): Promise<Row> {
  const text = recording(36_000);
  const bytes = Buffer.from(text);
  const library = (): unknown => initParser(inferSchema(text)).typedCols(text);
  const ours = async (): Promise<unknown> => valueOf(await analyseLog(bytes, { displacementL: 2 }));
  library();
  await ours();
  // In turns, so that what else the machine does at a moment falls on both.
  let [alone, all] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (let round = 0; round < 7; round++) {
    alone = Math.min(alone, await best(1, library));
    all = Math.min(all, await best(1, ours));
  }
  const megabytes = bytes.length / 1e6;
  return {
    what: `A log of 60 min, 10 Hz, 30 channels (${megabytes.toFixed(1)} MB) read, mapped, cut into windows and judged`,
    measured: `${all.toFixed(0)} ms, ${(megabytes / (all / 1000)).toFixed(0)} MB/s`,
    against: `uDSV, typed columns of the same text alone: ${alone.toFixed(0)} ms; at most 2.0 × that`,
    ratio: all / alone / 2,
  };
}

const held = (): number => {
  globalThis.gc?.();
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
};

/** What is alive at the most while a log is read in pieces, over its typed arrays; the source text left out. */
async function measureMemory(): Promise<Row[]> {
  if (!globalThis.gc) return [];
  const rows = 144_000;
  const bytes = recordingBytes(rows);
  const typed = rows * (CHANNELS + 1) * 8;
  // What was only needed to make the file must be gone before what reading needs is counted.
  await new Promise((resolve) => setTimeout(resolve, 50));
  const before = held();
  let peak = 0;
  const reader = openLog();
  const PIECE = 1 << 20;
  for (let at = 0; at < bytes.length; at += PIECE) {
    reader.push(bytes.subarray(at, at + PIECE));
    peak = Math.max(peak, held() - before);
  }
  const raw = valueOf(await reader.finish());
  peak = Math.max(peak, held() - before);
  const analysed = analyseRaw(raw, { displacementL: 2 });
  peak = Math.max(peak, held() - before);
  if (analysed.analysis.channels.length === 0) throw new Error('nothing was read');
  return [
    {
      what: `Memory while ${(bytes.length / 1e6).toFixed(0)} MB are read in pieces and judged, source text left out`,
      measured: `${(peak / 1e6).toFixed(0)} MB alive at the most`,
      against: `typed arrays of ${(typed / 1e6).toFixed(0)} MB; at most 3 × that`,
      ratio: peak / typed / 3,
    },
  ];
}

/** Time a row from a quarter of a million rows to two million: the same, if reading is linear. */
async function measureLinear(): Promise<Row> {
  const perRow: number[] = [];
  const sizes = [250_000, 500_000, 1_000_000, 2_000_000];
  for (const rows of sizes) {
    const bytes = Buffer.from(recording(rows, 6));
    const time = await best(2, async () => valueOf(await analyseLog(bytes, { displacementL: 2 })));
    perRow.push((1e6 * time) / rows);
  }
  const growth = (perRow.at(-1) ?? 0) / (perRow[0] ?? 1);
  return {
    what: 'Reading and judging logs of 0.25, 0.5, 1 and 2 million rows, 6 channels',
    measured: `${perRow.map((ns) => ns.toFixed(0)).join(', ')} ns a row`,
    against: 'linear: at 2 million rows at most 1.5 × the time a row of 0.25 million',
    ratio: growth / 1.5,
  };
}

/** 500 made logs with known faults in random dialects. */
async function measureFindings(): Promise<Row[]> {
  const LOGS = 500;
  let injected = 0;
  let found = 0;
  let falseLogs = 0;
  for (let seed = 1; seed <= LOGS; seed++) {
    const log = randomLog(seed);
    const read = await analyseLog(log.bytes, { displacementL: log.displacementL });
    const ids = new Set(read.ok ? read.value.analysis.findings.map((finding) => finding.id) : []);
    injected += log.injected.length;
    found += log.injected.filter((id) => ids.has(id)).length;
    if ([...ids].some((id) => !log.injected.includes(id) && !log.allowed.includes(id))) falseLogs++;
  }
  const hit = (100 * found) / injected;
  const wrong = (100 * falseLogs) / LOGS;
  return [
    {
      what: `Faults put into ${LOGS} made logs that are found`,
      measured: `${found} of ${injected}, ${hit.toFixed(1)} %`,
      against: 'at least 98 %',
      ratio: 98 / hit,
    },
    {
      what: `Of these ${LOGS} logs, those with a false alarm`,
      measured: `${falseLogs}, ${wrong.toFixed(1)} %`,
      against: 'at most 1 %',
      ratio: wrong,
    },
  ];
}

export async function measureLogs(): Promise<Row[]> {
  return [
    await measureSpeed(),
    ...(await measureMemory()),
    await measureLinear(),
    ...(await measureFindings()),
  ];
}
