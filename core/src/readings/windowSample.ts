import { mean, standardDeviation } from '../quantities/index.ts';
import type { SampleKind, SteadySample } from '../ledger/index.ts';
import { channelBetween, type Recording } from './recording.ts';
import type { ChannelRole } from './channelRoles.ts';
import type { LogWindow } from './windows.ts';

const MAX_BLOCKS = 240;
/** Readings a second apart still lean on each other (pedal, gas path); blocks of two seconds hardly do. */
const BLOCK_S = 2;

const SAMPLE_KIND: Partial<Record<LogWindow['kind'], SampleKind>> = {
  'engine-off': 'key-off',
  idle: 'idle',
  hold: 'hold',
};

const meanIn = (recording: Recording, role: ChannelRole, startS: number, endS: number): number | undefined =>
  mean(channelBetween(recording, role, startS, endS));

/** Share of the inlet in the mean of a bed that still warms up: the front of heat has not come through, most of it is as behind it. */
const WARMING_INLET = 1 / 3;

/** Filter temperature by before and after the brick where both are there; their mean once what comes out is as hot as what goes in. */
function filterTemperature(recording: Recording, startS: number, endS: number): number | undefined {
  const both = [meanIn(recording, 'egt3', startS, endS), meanIn(recording, 'egt4', startS, endS)].map(
    plausibleEgt,
  );
  const [inlet, outlet] = both;
  if (inlet !== undefined && outlet !== undefined && inlet > outlet)
    return outlet + WARMING_INLET * (inlet - outlet);
  return mean(both.filter((value) => value !== undefined));
}

/** An open or shorted sensor shows the end of its range, which is no temperature. */
const plausibleEgt = (value: number | undefined): number | undefined =>
  value !== undefined && value > -35 && value < 950 ? value : undefined;

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/**
 * A steady window of a log as one sample of the ledger, with its spread, count and block means. Undefined where the
 * window is none that pressure is read in, or no pressure was logged in it.
 */
export function windowSample(recording: Recording, window: LogWindow): SteadySample | undefined {
  const kind = SAMPLE_KIND[window.kind];
  const { startS, endS } = window;
  const dp = channelBetween(recording, 'dpfDeltaP', startS, endS);
  const dpMbar = mean(dp);
  if (!kind || dpMbar === undefined) return undefined;
  const optional = (key: string, value: number | undefined, digits: number): Record<string, number> =>
    value === undefined ? {} : { [key]: round(value, digits) };
  return {
    kind,
    rpm: round(Math.max(window.rpm.mean, 0), 1),
    dpMbar: round(dpMbar, 3),
    dpSdMbar: round(standardDeviation(dp), 3),
    count: dp.length,
    startS: round(startS, 2),
    endS: round(endS, 2),
    ...optional('airMassGPerS', nonNegative(meanIn(recording, 'massAirFlow', startS, endS)), 3),
    ...optional('manifoldMbar', meanIn(recording, 'manifoldPressure', startS, endS), 1),
    ...optional('intakeAirC', meanIn(recording, 'intakeAirTemp', startS, endS), 1),
    ...optional('filterC', filterTemperature(recording, startS, endS), 1),
    ...optional('egt1C', plausibleEgt(meanIn(recording, 'egt1', startS, endS)), 0),
    ...optional('egt2C', plausibleEgt(meanIn(recording, 'egt2', startS, endS)), 0),
    ...optional('egt3C', plausibleEgt(meanIn(recording, 'egt3', startS, endS)), 0),
    ...optional('egt4C', plausibleEgt(meanIn(recording, 'egt4', startS, endS)), 0),
    ...optional('coolantC', meanIn(recording, 'coolantTemp', startS, endS), 1),
    ...(kind === 'key-off' ? {} : { blocks: blockMeans(recording, startS, endS) }),
  };
}

const nonNegative = (value: number | undefined): number | undefined =>
  value === undefined ? undefined : Math.max(value, 0);

function blockMeans(recording: Recording, startS: number, endS: number): NonNullable<SteadySample['blocks']> {
  const step = Math.max(BLOCK_S, (endS - startS) / MAX_BLOCKS);
  const blocks: NonNullable<SteadySample['blocks']> = [];
  const orNull = (value: number | undefined, digits: number): number | null =>
    value === undefined ? null : round(value, digits);
  for (let from = startS; from + step / 2 <= endS; from += step) {
    const to = Math.min(from + step, endS);
    const dpMbar = meanIn(recording, 'dpfDeltaP', from, to);
    const rpm = meanIn(recording, 'engineSpeed', from, to);
    if (dpMbar === undefined || rpm === undefined) continue;
    blocks.push([
      orNull(nonNegative(meanIn(recording, 'massAirFlow', from, to)), 3),
      round(rpm, 1),
      orNull(filterTemperature(recording, from, to), 1),
      orNull(meanIn(recording, 'manifoldPressure', from, to), 1),
      round(dpMbar, 3),
    ]);
  }
  return blocks;
}
