import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

export const findings = {
  'the-pressure-before-the-turbo': 'The pressure before the turbo',
  'its-pipe-is-blocked': 'its pipe is blocked or the sensor has failed',
  'manifold-pressure': 'Manifold pressure',
  'moves-by-only-limit-while': (
    {
      what,
      range,
      limit,
      speed,
      pipe,
    }: { what: Said; range: number; limit: number; speed: number; pipe: Said },
    w: Words,
  ) =>
    `${w.say(what)} moves by only ${w.pressure(range)} (limit ${w.pressure(limit)}) while engine speed moves by ${w.number(speed, 0)} rpm: ${w.say(pipe)}.`,
  'its-pipe-is-restricted': 'its pipe is restricted',
  'the-barometer': 'the barometer',
  'manifold-pressure-2': 'manifold pressure',
  'the-pressure-before-the-turbo-2': 'the pressure before the turbo',
  'with-the-engine-off-shows': (
    {
      what,
      value,
      by,
      mbar,
      off,
      limit,
    }: { what: Said; value: number; by: Said; mbar: number; off: number; limit: number },
    w: Words,
  ) =>
    `With the engine off ${w.within(what)} shows ${w.pressure(value)} where ${w.say(by)} shows ${w.pressure(mbar)}: off by ${w.percent(off, 0)} (limit ${w.percent(limit)}). Repeat it hot and cold.`,
  'at-full-load-the-pressure': ({ gap, limit }: { gap: number; limit: number }, w: Words) =>
    `At full load the pressure before the turbo is ${w.pressure(gap)} below manifold pressure (limit ${w.pressure(limit)}): a turbo making this boost must have more before it. Look for a cracked or clogged pipe, even without a code.`,
  'air-gets-in-after': 'air gets in after the MAF sensor, or it reads low',
  'air-is-lost-after': 'air is lost after the MAF sensor, or it reads high',
  'at-rpm-the-maf-sensor': (
    {
      mean,
      metered,
      expectedValue,
      ratio,
      limitRatio,
      what,
    }: {
      mean: number;
      metered: number;
      expectedValue: number;
      ratio: number;
      limitRatio: number;
      what: Said;
    },
    w: Words,
  ) =>
    `At ${w.number(mean, 0)} rpm the MAF sensor shows ${w.massFlow(metered, 1)}; engine speed and manifold pressure call for ${w.massFlow(expectedValue, 1)} (ratio ${w.number(ratio, 2)}, limit ${w.number(limitRatio)}): ${w.say(what)}.`,
  'dp-stays-at-while-engine': ({ mean, speedRangeRpm }: { mean: number; speedRangeRpm: number }, w: Words) =>
    `ΔP stays at ${w.pressure(mean)} while engine speed moves by ${w.number(speedRangeRpm, 0)} rpm: sensor, wiring or both pipes. The filter cannot be judged.`,
  'dp-is-frozen-at-range': (
    { mean, range, limit }: { mean: number; range: number; limit: number },
    w: Words,
  ) =>
    `ΔP is frozen at ${w.pressure(mean)} (range ${w.pressure(range)}) whatever the engine does, above ${w.pressure(limit)}: no real pressure does that.`,
  'dp-falls': (
    { hold, correlation, limit }: { hold: number; correlation: number; limit: number },
    w: Words,
  ) =>
    `ΔP falls to ${w.pressure(hold)} as the flow rises (correlation ${w.number(correlation, 2)}, limit ${w.number(limit)}): hoses crossed, sensor fitted the wrong way round, or high pipe blocked so only the low side arrives.`,
  'with-the-engine-off-dp': ({ zeroMbar, limit }: { zeroMbar: number; limit: number }, w: Words) =>
    `With the engine off ΔP shows ${w.pressure(zeroMbar)} instead of 0 (limit ±${w.pressure(limit)}); it is subtracted from every reading.`,
  'a-pipe-to-the-sensor': 'a pipe to the sensor is restricted',
  'readings-are-at-full-scale': ({ count, limit }: { count: number; limit: number }, w: Words) =>
    `${w.number(count)} readings are at full scale, ${w.pressure(limit)}: the true pressure is at least that.`,
  'its-zero-of-removed': ({ zeroMbar }: { zeroMbar: number }, w: Words) =>
    `, its zero of ${w.pressure(zeroMbar)} removed`,
  'the-limit-as-the-filter': ({ factor }: { factor: number }, w: Words) =>
    `, ${w.number(factor, 1)} × the limit as the filter is still hot`,
  'dp-at-idle-is-blocked': (
    { value, lessZero, limit, forHotGas }: { value: number; lessZero: Said; limit: number; forHotGas: Said },
    w: Words,
  ) =>
    `ΔP at idle is ${w.pressure(value)}${w.say(lessZero)}; blocked above ${w.pressure(limit)}${w.say(forHotGas)}.`,
  'dp-at-rpm': (
    {
      mean,
      value,
      lessZero,
      limit,
      at3000,
      forHotGas,
    }: { mean: number; value: number; lessZero: Said; limit: number; at3000: number; forHotGas: Said },
    w: Words,
  ) =>
    `ΔP at ${w.number(mean, 0)} rpm is ${w.pressure(value)}${w.say(lessZero)}; at this flow blocked above ${w.pressure(limit)} (${w.pressure(at3000)} at 3000 rpm${w.say(forHotGas)}).`,
  'and-a-clean-filter': ({ clean }: { clean: number }, w: Words) =>
    ` and a clean filter of this size would show ${w.pressure(clean)}`,
  'dp-follows-the-flow-but': (
    { value, mean, limit, against }: { value: number; mean: number; limit: number; against: Said },
    w: Words,
  ) =>
    `ΔP follows the flow but is only ${w.pressure(value)} at ${w.number(mean, 0)} rpm; less than ${w.pressure(limit)} is implausible${w.say(against)}: a split or leaking hose, a part-blocked pipe, or a filter without its core.`,
  'during-one-hold-dp-falls': (
    {
      start,
      end,
      dpFallingDropMbar,
      dpFallingDropPercent,
    }: { start: number; end: number; dpFallingDropMbar: number; dpFallingDropPercent: number },
    w: Words,
  ) =>
    `During one hold ΔP falls from ${w.pressure(start)} to ${w.pressure(end)}, by more than ${w.pressure(dpFallingDropMbar)} and ${w.percent(dpFallingDropPercent)}: the filter is opening.`,
  'the-filter-taken': ({ filterPerEngineSize }: { filterPerEngineSize: number }, w: Words) =>
    `, the filter taken as ${w.number(filterPerEngineSize)} × the engine`,
  'g-l-in-l': (
    { sootHighGPerL, volume, assumed }: { sootHighGPerL: number; volume: number; assumed: Said },
    w: Words,
  ) => ` (${w.loading(sootHighGPerL)} in ${w.volume(volume, 1)}${w.say(assumed)})`,
  'the-ecu-counts-g': ({ value, limit, by }: { value: number; limit: number; by: Said }, w: Words) =>
    `The ECU counts ${w.soot(value, 0)} of soot, high above ${w.soot(limit, 0)}${w.say(by)}.`,
  'the-soot-value-is-g': ({ value, limit }: { value: number; limit: number }, w: Words) =>
    `The soot value is ${w.soot(value, 0)}, under ${w.soot(limit)}, although the pressure is that of a blocked filter: the counter was reset, or the cause is ash, a pipe or a sensor.`,
  'follows-the-flow-s-late': (
    {
      what,
      lagS,
      limit,
      transients,
      what2,
      intervalS,
      means,
    }: {
      what: Said;
      lagS: number;
      limit: number;
      transients: number;
      what2: Said;
      intervalS: number;
      means: Said;
    },
    w: Words,
  ) =>
    `${w.say(what)} follows the flow ${w.number(lagS, 1)} s late (limit ${w.number(limit)} s, over ${w.number(transients)} quick ${w.say(what2)} of engine speed, a reading every ${w.number(intervalS, 1)} s): ${w.say(means)}.`,
  'shows-c': (
    {
      label,
      middle,
      share,
      egtOpenLowC,
      egtOpenHighC,
    }: { label: Said; middle: number; share: number; egtOpenLowC: number; egtOpenHighC: number },
    w: Words,
  ) =>
    `${w.say(label)} shows ${w.temperature(middle, 0)} in ${w.percent(share, 0)} of its readings, the end of its scale (limits ${w.temperature(egtOpenLowC)} and ${w.temperature(egtOpenHighC)}): circuit open or shorted.`,
  'stays-at-c-range-c': (
    {
      label,
      middle,
      range,
      egtStuckRangeC,
      most,
      egtOthersMoveC,
    }: {
      label: Said;
      middle: number;
      range: number;
      egtStuckRangeC: number;
      most: number;
      egtOthersMoveC: number;
    },
    w: Words,
  ) =>
    `${w.say(label)} stays at ${w.temperature(middle, 0)} (range ${w.temperatureChange(range, 1)}, limit ${w.temperatureChange(egtStuckRangeC)}) while another moves by ${w.temperatureChange(most)} (limit ${w.temperatureChange(egtOthersMoveC)}): sensor or wiring.`,
  'with-the-engine-cold': (
    { label, value, around, limit }: { label: Said; value: number; around: number; limit: number },
    w: Words,
  ) =>
    `With the engine cold and off ${w.say(label)} shows ${w.temperature(value, 0)} where the other temperatures show ${w.temperature(around, 0)} (limit ±${w.temperatureChange(limit)}): the sensor has drifted.`,
  'in-a-steady-hold-shows': (
    {
      label,
      value,
      label2,
      before,
      limit,
    }: { label: Said; value: number; label2: Said; before: number; limit: number },
    w: Words,
  ) =>
    `In a steady hold ${w.say(label)} shows ${w.temperature(value, 0)} and ${w.say(label2)}, nearer to the engine, ${w.temperature(before, 0)} (limit ${w.temperatureChange(limit)} hotter): swapped plugs or a wrong sensor.`,
  'regeneration-is-inhibited': 'regeneration is inhibited',
  'not-warm-enough-to-judge': 'not warm enough to judge',
  'coolant-at-c-after-min': (
    {
      what,
      end,
      ranMin,
      what2,
      limit,
    }: { what: Said; end: number; ranMin: number; what2: Said; limit: number },
    w: Words,
  ) =>
    `Coolant ${w.say(what)} at ${w.temperature(end, 0)} after ${w.number(ranMin, 0)} min of running; ${w.say(what2)} below ${w.temperature(limit)}: check the thermostat.`,
  'the-soot-value-goes': ({ before, after }: { before: number; after: number }, w: Words) =>
    `; the soot value goes from ${w.soot(before, 0)} to ${w.soot(after, 0)}`,
  'a-regeneration-before-the-filter': (
    {
      regenEgt3C,
      lastedMin,
      peakC,
      counted,
    }: { regenEgt3C: number; lastedMin: number; peakC: number; counted: Said },
    w: Words,
  ) =>
    `A regeneration: before the filter more than ${w.temperature(regenEgt3C)} for ${w.number(lastedMin, 0)} min, up to ${w.temperature(peakC, 0)}${w.say(counted)}.`,
  'manifold-pressure-not-read-taken': ({ barometerMbar }: { barometerMbar: number }, w: Words) =>
    `manifold pressure not read: taken as the barometer, ${w.pressure(barometerMbar)}`,
  'manifold-pressure-off-at-rest': (
    { barometerMbar, share }: { barometerMbar: number; share: number },
    w: Words,
  ) =>
    share >= 100
      ? `manifold pressure is wrong with the engine off, so not used: taken as ${w.pressure(barometerMbar)}`
      : `manifold pressure is off with the engine off: ${w.percent(share, 0)} taken from the barometer, ${w.pressure(barometerMbar)}`,
  'intake-air-not-read-taken': ({ assumedC }: { assumedC: number }, w: Words) =>
    `intake air not read: taken as ${w.temperature(assumedC)}`,
  'flow-at-idle-by-engine':
    'flow at idle by engine speed: gas that is recirculated counts as exhaust, up to a third',
  'maf-sensor-not-used': (
    {
      metered,
      gPerS,
      ratio,
      low,
      high,
    }: { metered: number; gPerS: number; ratio: number; low: number; high: number },
    w: Words,
  ) =>
    `MAF sensor not used: it shows ${w.massFlow(metered, 1)} where engine speed and manifold pressure call for ${w.massFlow(gPerS, 1)} (ratio ${w.number(ratio, 2)}, limits ${w.number(low)}–${w.number(high)})`,
  'flow-at-rpm': ({ rpm }: { rpm: number }, w: Words) => `Flow at ${w.number(rpm, 0)} rpm`,
  'needs-the-air-mass': 'needs the air mass, or the engine size of the vehicle',
  'filter-temperature-not-read-taken': ({ assumedC }: { assumedC: number }, w: Words) =>
    `filter temperature not read: taken as ${w.temperature(assumedC)}`,
  'barometer-not-read-taken': ({ assumedMbar }: { assumedMbar: number }, w: Words) =>
    `barometer not read: taken as ${w.pressure(assumedMbar)}`,
  'no-engine-speed-column-recognised':
    'No engine speed column recognised, so no idle or hold can be found. Select the column.',
  'no-dp-column-recognised': 'No ΔP column recognised.',
  'engine-size-unknown-the-maf':
    'Engine size unknown: the MAF sensor cannot be compared with engine speed, so no intake leak can be judged.',
  'dp-is-read-every-s': (
    { intervalS, slowResponseS }: { intervalS: number; slowResponseS: number },
    w: Words,
  ) =>
    `ΔP is read every ${w.number(intervalS, 1)} s: too slow to show whether it follows the flow within ${w.number(slowResponseS)} s.`,
} as const;
