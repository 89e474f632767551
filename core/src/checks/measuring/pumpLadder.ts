import { say } from '../../words/index.ts';
import { failed, outOfRange, success, type Result } from '../../quantities/index.ts';

/** One rung: what the pump's gauge said, and what the sensor said on the way up and, where it was read, on the way down. */
export interface Rung {
  readonly appliedMbar: number;
  readonly upMbar: number;
  readonly downMbar?: number;
}

export interface Ladder {
  /** Indicated with nothing applied, mbar. */
  readonly zeroMbar: number;
  /** Slope of indicated over applied, 1 is right. */
  readonly gain: number;
  /** Most that a rung lies off the straight line through all, % of full scale. */
  readonly linearityPercent: number;
  /** Most that way down and way up differ, % of full scale; undefined without a way down. */
  readonly hysteresisPercent?: number;
  /** The rung that is furthest off what was applied, mbar. */
  readonly worst: { readonly appliedMbar: number; readonly offMbar: number };
  /** Rungs at the end of the sensor's scale, left out of the line. */
  readonly saturated: readonly number[];
  /** Gauge's own zero that was taken off what it said, mbar. */
  readonly gaugeZeroMbar: number;
}

/** Above this share of full scale a value that does not rise any more is the end of the scale, not a fault. */
const END_OF_SCALE = 0.97;

/**
 * Straight line by least squares through the rungs of a pump ladder, in coordinates from their mean so that nothing
 * cancels; zero, gain, linearity, hysteresis and worst rung. mbar in and out; `gaugeZeroMbar` is what the pump's own gauge
 * shows with nothing on it. Needs three rungs below the end of the scale. Worked value: 0, 500, 1000 applied, 10, 505, 1000
 * indicated of 1000 full scale → zero 10, gain 0.99, worst +10 at 0.
 */
export function readLadder(
  rungs: readonly Rung[],
  { fullScaleMbar, gaugeZeroMbar = 0 }: { readonly fullScaleMbar: number; readonly gaugeZeroMbar?: number },
): Result<Ladder> {
  const bad = outOfRange(say('fields.full-scale'), fullScaleMbar, 20, 5000, 'mbar');
  if (bad) return failed(bad);
  const applied = (rung: Rung): number => rung.appliedMbar - gaugeZeroMbar;
  const highest = Math.max(...rungs.map(({ upMbar }) => upMbar));
  const saturated = rungs.filter(
    (rung) =>
      applied(rung) > END_OF_SCALE * fullScaleMbar &&
      rung.upMbar >= Math.min(highest, END_OF_SCALE * fullScaleMbar),
  );
  const beyond = saturated.filter((rung) => applied(rung) > fullScaleMbar);
  const used = rungs.filter((rung) => !beyond.includes(rung));
  if (used.length < 3)
    return failed({
      code: 'not-enough-data',
      field: say('checks.the-ladder'),
      requirement: say('checks.needs-three-rungs-below'),
      value: used.length,
    });
  const n = used.length;
  const meanX = used.reduce((sum, rung) => sum + applied(rung), 0) / n;
  const meanY = used.reduce((sum, { upMbar }) => sum + upMbar, 0) / n;
  let [sxx, sxy] = [0, 0];
  for (const rung of used) {
    sxx += (applied(rung) - meanX) ** 2;
    sxy += (applied(rung) - meanX) * (rung.upMbar - meanY);
  }
  if (sxx < 1)
    return failed({
      code: 'not-enough-data',
      field: say('checks.the-ladder'),
      requirement: say('checks.needs-rungs-at-different-pressures'),
    });
  const gain = sxy / sxx;
  const lineAt = (x: number): number => meanY + gain * (x - meanX);
  const zeroRung = used.find((rung) => Math.abs(applied(rung)) < 1);
  const offs = used.map((rung) => ({
    appliedMbar: applied(rung),
    offMbar: rung.upMbar - applied(rung),
  }));
  const worst = offs.reduce((a, b) => (Math.abs(b.offMbar) > Math.abs(a.offMbar) ? b : a));
  const both = used.filter((rung) => rung.downMbar !== undefined);
  const percent = (mbar: number): number => (100 * mbar) / fullScaleMbar;
  return success({
    zeroMbar: zeroRung?.upMbar ?? lineAt(0),
    gain,
    linearityPercent: percent(Math.max(...used.map((rung) => Math.abs(rung.upMbar - lineAt(applied(rung)))))),
    ...(both.length === 0
      ? {}
      : {
          hysteresisPercent: percent(
            Math.max(...both.map((rung) => Math.abs((rung.downMbar ?? 0) - rung.upMbar))),
          ),
        }),
    worst,
    saturated: beyond.map(applied),
    gaugeZeroMbar,
  });
}
