import { say } from '../../words/index.ts';
import { mean } from '../../quantities/index.ts';
import { speedDensityGPerS } from '../../filter/index.ts';
import { channelBetween } from '../recording.ts';
import { manifoldBelievable } from './absolutePressure.ts';
import { meanIn, windowsOf, type Detector } from './finding.ts';

const ASSUMED_INTAKE_C = 30;

/** The MAF sensor against what engine speed, manifold pressure and engine size call for, at the highest hold. */
const airMeter: Detector = (context) => {
  const { recording, limits } = context;
  const hold = windowsOf(context, 'hold').sort((a, b) => b.rpm.mean - a.rpm.mean)[0];
  if (!hold || context.displacementL === undefined || !manifoldBelievable(context)) return [];
  const metered = meanIn(context, 'massAirFlow', hold);
  const manifoldMbar = meanIn(context, 'manifoldPressure', hold);
  if (metered === undefined || manifoldMbar === undefined) return [];
  const expected = speedDensityGPerS({
    displacementL: context.displacementL,
    rpm: hold.rpm.mean,
    manifoldMbar,
    manifoldC: mean(channelBetween(recording, 'intakeAirTemp', hold.startS, hold.endS)) ?? ASSUMED_INTAKE_C,
    volumetricEfficiency: limits.volumetricEfficiency,
  });
  if (!expected.ok || expected.value <= 0) return [];
  const ratio = metered / expected.value;
  const low = ratio < limits.mafToSpeedDensityLow;
  if (!low && ratio <= limits.mafToSpeedDensityHigh) return [];
  // Recirculated gas takes the place of air: its flow looks like a leak.
  if (low && (meanIn(context, 'egrPosition', hold) ?? 0) > limits.egrShutPercent) return [];
  const limitRatio = low ? limits.mafToSpeedDensityLow : limits.mafToSpeedDensityHigh;
  return [
    {
      id: low ? 'maf-low-for-speed' : 'maf-high-for-speed',
      level: 'fault',
      channel: 'massAirFlow',
      startS: hold.startS,
      endS: hold.endS,
      evidence: { meteredGPerS: metered, expectedGPerS: expected.value, ratio, limitRatio },
      text: say('findings.at-rpm-the-maf-sensor', {
        mean: hold.rpm.mean,
        metered,
        expectedValue: expected.value,
        ratio,
        limitRatio,
        what: low ? say('findings.air-gets-in-after') : say('findings.air-is-lost-after'),
      }),
    },
  ];
};

export const AIR_METER: readonly Detector[] = [airMeter];
