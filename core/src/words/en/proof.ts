import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

const counterWas = (wasG: number | undefined, w: Words): string =>
  wasG === undefined ? '' : `It was at ${w.soot(wasG, 1)}. `;
const fromTo = (fromG: number, toG: number, w: Words): string => `${w.soot(fromG, 1)} to ${w.soot(toG, 1)}`;

interface Rise {
  lowMbar: number;
  highMbar: number;
  leastMbar: number;
}
const riseBy = ({ lowMbar, highMbar, leastMbar }: Rise, w: Words): string =>
  `${w.pressure(lowMbar)} to ${w.pressure(highMbar)} by hand (at least ${w.pressure(leastMbar)})`;

export const proof = {
  'after-was-read-at-more':
    'After was read at more flow than before and still shows less: the true fall is at least this.',
  idle: 'idle',
  rpm: ({ rpm }: { rpm: number }, w: Words) => `${w.number(rpm, 0)} rpm`,
  'the-before-reading': 'The before reading has no sample with a known flow.',
  'the-after-reading': 'The after reading has no sample with a known flow.',
  'the-two-readings-share': (
    { beforeM3PerH, afterM3PerH }: { beforeM3PerH: number; afterM3PerH: number },
    w: Words,
  ) =>
    `The two readings share no flow: before up to ${w.volumeFlow(beforeM3PerH)}, after up to ${w.volumeFlow(afterM3PerH)}. Read both at the same speeds.`,
  'the-zero-of-dp': 'the zero of ΔP was not read on both sides',
  'single-figures-read-by-eye': 'single figures read by eye',
  'filter-size-unknown': 'filter size unknown',
  'next-job-contradicts': (
    {
      number,
      days,
      km,
      withinDays,
      withinKm,
      readsMbar,
      leftMbar,
      flowM3PerH,
      ratio,
      goodRatio,
    }: {
      number: number;
      days: number;
      km: number | undefined;
      withinDays: number;
      withinKm: number;
      readsMbar: number;
      leftMbar: number;
      flowM3PerH: number;
      ratio: number | undefined;
      goodRatio: number;
    },
    w: Words,
  ) => {
    const when =
      km === undefined
        ? `${w.number(days)} days later (within ${w.number(withinDays)} days it cancels the proof)`
        : `${w.distance(km)} later (within ${w.distance(withinKm)} it cancels the proof)`;
    const over =
      ratio === undefined ? '' : `, ${w.number(ratio, 1)} × clean, good up to ${w.number(goodRatio)}`;
    return `Job ${number}, ${when}, reads ${w.pressure(readsMbar)} where this one left ${w.pressure(leftMbar)} at ${w.volumeFlow(flowM3PerH)}${over}.`;
  },
  'the-before-reading-was-taken':
    'The before reading was taken after the work: it cannot show the state before',
  'a-before-reading': 'A before reading',
  'read-before-any-work': 'Read before any work on the filter',
  'the-after-reading-is-older':
    'The after reading is older than the last work on filter or sensor: read again',
  'an-after-reading': 'An after reading',
  'read-again-at-the-same': 'Read again at the same speeds, warm',
  'with-sensor-and-pipes-repaired': 'With sensor and pipes repaired, the pressure is within limits',
  'the-new-filters-pressure': 'The new filter’s pressure is within limits',
  'pressure-lower-at-equal-flow': 'Pressure lower at equal flow and within limits',
  'exhaust-temperature-rises-past-c': ({ limit }: { limit: number }, w: Words) =>
    `Exhaust temperature rises past ${w.temperature(limit)}`,
  'note-the-temperature-before':
    'Note the temperature before the filter in the hold, or the highest on the drive',
  'exhaust-temperature-rises-freely': ({ readC, limit }: { readC: number; limit: number }, w: Words) =>
    `Exhaust temperature rises freely: ${w.temperature(readC)} (at least ${w.temperature(limit)})`,
  'exhaust-gets-no-hotter': ({ readC, limit }: { readC: number; limit: number }, w: Words) =>
    `Exhaust gets no hotter than ${w.temperature(readC)}, at least ${w.temperature(limit)} needed: regeneration may be inhibited`,
  'note-the-highest-temperature-before': 'Note the highest temperature before the filter on the drive',
  'a-drive-after-the-work': 'A drive after the work',
  'drive-at-least-km-warm': ({ driveLeastKm }: { driveLeastKm: number }, w: Words) =>
    `Drive at least ${w.distance(driveLeastKm)}, warm, with one pull`,
  'a-drive-of-km': ({ distanceKm, driveLeastKm }: { distanceKm: number; driveLeastKm: number }, w: Words) =>
    `A drive of ${w.distance(distanceKm)} is too short to prove anything (at least ${w.distance(driveLeastKm)})`,
  'drive-at-least-km': ({ driveLeastKm }: { driveLeastKm: number }, w: Words) =>
    `Drive at least ${w.distance(driveLeastKm)}`,
  'drive-of-km': ({ distanceKm, byCustomer }: { distanceKm: number; byCustomer: boolean }, w: Words) =>
    `Drive of ${w.distance(distanceKm)}${byCustomer ? ', reported by the customer' : ''}`,
  'drive-reported-by-the-customer': 'drive reported by the customer only',
  'no-codes-after-the-drive': 'No codes after the drive',
  'scan-again-after-the-drive':
    'Scan again after the drive; the customer may report lamps if no tool is at hand',
  'codes-after-the-drive': ({ codes }: { codes: readonly string[] }) =>
    `Codes after the drive: ${codes.join(', ')}`,
  'no-lamp-and-no-message': 'No lamp and no message after the drive, reported by the customer',
  'no-codes-but': ({ beside }: { beside: readonly string[] }) =>
    `No codes after the drive${beside.length === 0 ? '' : `, but for ${beside.join(', ')}, unrelated to the filter`}`,
  'lamps-reported-by-the-customer': 'lamps reported by the customer; no scan',
  'power-is-still-limited': 'Power is still limited',
  'power-limit-gone': 'Power limit gone',
  'one-pull-at-full-throttle': 'One pull at full throttle on the drive',
  'dp-sensor-proved-good-hoses': 'ΔP sensor proved good, hoses fitted and intact',
  'curve-misses': ({ share, rpm }: { share: number; rpm: number }, w: Words) =>
    `The curve is ${w.percent(100 * Math.abs(share), 0)} ${share > 0 ? 'above' : 'below'} the reading at ${w.number(rpm, 0)} rpm: trust the points, not the curve.`,
  'curve-misses-idle': ({ share }: { share: number }, w: Words) =>
    `The curve is ${w.percent(100 * Math.abs(share), 0)} ${share > 0 ? 'above' : 'below'} the reading at idle: EGR flow is unknown.`,
  'pump-test-or-a-known': 'Pump test, or a known-good sensor in its place',
  'dp-sensor-good': 'ΔP sensor good',
  'the-dp-sensor-fitted': 'The ΔP sensor fitted is not for this vehicle',
  'dp-sensor-good-by': ({ why }: { why: Said }, w: Words) => `ΔP sensor good: ${w.say(why)}`,
  'a-new-one': 'a new one',
  looked: 'looked at',
  'dp-sensor-not-compared': 'ΔP sensor not compared with a pump or a known-good sensor',
  'the-dp-sensor': ({ state, why }: { state: Said; why: Said }, w: Words) =>
    `The ΔP sensor is ${w.say(state)}: ${w.say(why)}`,
  'sensor-hoses-checked': 'Sensor hoses checked',
  'hoses-refitted-intact': 'Hoses refitted, intact and not crossed',
  'sensor-hoses': ({ state }: { state: string }) => `Sensor hoses ${state === 'low' ? 'crossed' : state}`,
  'hoses-reported-sound-without': 'hoses reported sound, without the guided check',
  'hoses-one-minute-each': 'Hoses, one minute: each on its port, intact, clipped',
  'a-sensor-pipe-is-blocked': 'A sensor pipe is blocked',
  'sensor-pipes-open': 'Sensor pipes open',
  'the-new-sensor-needs': ({ bestText }: { bestText: Said }, w: Words) =>
    `${w.say(bestText)}; the new sensor needs its own check`,
  'sensor-and-pipes-checked-again': 'Sensor and pipes checked again after the repair',
  'repeat-the-pipe-response': 'Repeat the pipe response or pump test, or log a snap',
  'dp-follows-the-flow': 'ΔP follows the flow',
  'read-at-idle': 'Read at idle and in a hold, record a snap, or pump the pipes',
  'dp-lags-the-flow': 'ΔP lags the flow: a pipe is restricted',
  'dp-follows-the-flow-in': 'ΔP follows the flow in the log',
  'does-not-follow-the-flow': ({ correlation, least }: { correlation: number; least: number }, w: Words) =>
    `ΔP does not follow the flow (r ${w.number(correlation, 2)}, at least ${w.number(least)})`,
  'follows-the-flow-by': (
    {
      correlation,
      least,
      lagS,
      mostS,
    }: { correlation: number; least: number; lagS: number | undefined; mostS: number },
    w: Words,
  ) =>
    `ΔP follows the flow in the log (r ${w.number(correlation, 2)}, at least ${w.number(least)}${lagS === undefined ? '' : `, within ${w.number(lagS, 1)} s of ${w.number(mostS)} s`})`,
  'no-quick-change': 'no quick change in the log, so lag unknown',
  'rises-with-the-flow': (figures: Rise, w: Words) => `ΔP rises with the flow: ${riseBy(figures, w)}`,
  'does-not-rise-with-the-flow': (figures: Rise, w: Words) =>
    `ΔP does not rise with the flow: ${riseBy(figures, w)}`,
  'hand-figures-do-not-show': 'hand figures do not show the lag',
  'an-earlier-reading-disagrees': (
    {
      side,
      earlierMbar,
      latestMbar,
      flowM3PerH,
    }: { side: Said; earlierMbar: number; latestMbar: number; flowM3PerH: number },
    w: Words,
  ) =>
    `An earlier ${w.say(side)} reading disagrees with the latest (${w.pressure(earlierMbar)} against ${w.pressure(latestMbar)} at ${w.volumeFlow(flowM3PerH)}): the latest counts.`,
  'dp-zero-not-read': ({ dpZeroDoubtMbar }: { dpZeroDoubtMbar: number }, w: Words) =>
    `ΔP zero not read with the engine off: taken as 0 ± ${w.pressure(dpZeroDoubtMbar)}`,
  'repaired-and-its-check-passed': ({ cause }: { cause: Said }, w: Words) =>
    `Repaired, and its check passed since: ${w.say(cause)}`,
  'its-own-check-passed-after': ({ cause }: { cause: Said }, w: Words) =>
    `Its own check passed after the repair: ${w.say(cause)}`,
  'repeat-the-check-that-found': 'Repeat the check that found it',
  'its-pipe-checked-since-intact': 'Its pipe checked since: intact',
  'its-pipe-checked-intact-after': 'Its pipe checked intact after the repair',
  'look-along-the-pipe': 'Look along the pipe: a cracked one also passes a pump’s air',
  'then-ignition-off': ({ resetKeyOffS, cycles }: { resetKeyOffS: number; cycles: number }, w: Words) =>
    `Then ignition off for ${w.number(resetKeyOffS)} s and on again${cycles > 1 ? `, ${w.number(cycles)} times` : ''}, and check it.`,
  'engine-off-ignition-on-battery': 'Engine off, ignition on, battery support on.',
  'not-yet-proved-at-equal':
    'Not yet proved at equal flow: prove it first. If reset early, the figures before it are kept.',
  'engine-off-for-at-least': ({ resetRestMin }: { resetRestMin: number }, w: Words) =>
    `Engine off for at least ${w.number(resetRestMin)} min so no gas stays in the pipes; both hoses on.`,
  'the-dp-sensor-was-replaced': 'The ΔP sensor was replaced: the ECU does not know its zero.',
  'only-after-a-new-dp': 'Only after a new ΔP sensor; every reading has its offset removed anyway.',
  'trapped-gas-would-be-learned': ({ part, state }: { part: string; state: string }) =>
    `The ${part.replace('-', ' ')} is ${state}: trapped gas would be learned as zero.`,
  'at-rest-it-shows-good': (
    { zero, dpZeroOffsetMbar }: { zero: number; dpZeroOffsetMbar: number },
    w: Words,
  ) =>
    `At rest it shows ${w.pressure(zero)}, good is ±${w.pressure(dpZeroOffsetMbar)}: learning this would hide a drifting sensor.`,
  'oil-and-its-filter-changed': 'Oil and its filter changed, level between the marks.',
  'the-oil-was-changed': 'The oil was changed on this job.',
  'only-after-a-real-oil': 'Only after a real oil change.',
  'no-oil-change': 'No oil change on this job: a reset would hide old oil, or fuel in it.',
  'note-the-soot-and-ash': 'Note the soot and ash values first.',
  'register-the-new-filter': 'Register the new filter in the ECU instead.',
  'no-soot-was-removed':
    'No soot was removed by hand: a regeneration lowers the counter itself; a reset would hide what is there.',
  'done-since-the-last-clean': 'Done since the last clean.',
  'the-counter-is-at-g': ({ counter }: { counter: number }, w: Words) =>
    `The counter is at ${w.soot(counter, 1)} already.`,
  'soot-removed-unknown-to-ecu': ({ counterG }: { counterG: number | undefined }, w: Words) =>
    `Soot was removed without the ECU knowing${counterG === undefined ? '' : `: it is at ${w.soot(counterG, 1)}`}.`,
  'no-soot-was-removed-on': 'No soot was removed on this job: a reset would hide what is in the filter.',
  'note-the-filters-number': 'Note the filter’s number, and soot and ash values.',
  'a-replacement-filter-is-fitted': 'A replacement filter is fitted: its ash starts at zero.',
  'only-for-a-replacement-filter':
    'Only for a replacement filter, or one whose ash was flushed out off the vehicle.',
  'the-filter-was-not-off':
    'The filter was not off the vehicle: ash neither burns nor comes out in place; a reset would hide it.',
  'the-old-filter-is-refitted': 'The old filter is refitted: the ash still in it is no longer counted.',
  'idle-two-minutes-warm-all': 'Idle two minutes, warm, all loads off; then a gentle drive.',
  'the-air-path-was-repaired': 'The air path was repaired: the learned values are wrong now.',
  'only-after-a-repair': 'Only after a repair to the air path.',
  'an-air-path-fault': 'An air path fault is not repaired: it would be learned again and hidden.',
  'save-the-whole-list': 'Save the whole list and its freeze frames with the job.',
  'self-tests-restart-scan-again': 'Self-tests restart: scan again after the drive, not before.',
  'no-codes-saved': 'No codes saved with the job.',
  'no-codes-in-the-last': 'No codes in the last scan.',
  'done-since-the-last-scan': 'Done since the last scan.',
  'codes-in-the-last-scan': ({ codes }: { codes: number }, w: Words) =>
    `${w.number(codes)} ${codes === 1 ? 'code' : 'codes'} in the last scan, from before the work or from unplugging.`,
  'nothing-repaired-yet-the-codes': 'Nothing repaired yet: the codes are your evidence.',
  'active-and-nothing-repaired': ({ codes }: { codes: readonly string[] }) =>
    `${codes.join(', ')} ${codes.length === 1 ? 'is' : 'are'} active and nothing repaired: clearing hides the fault until its self-test has run.`,
  'counter-not-noted': ({ wasG }: { wasG: number | undefined }, w: Words) =>
    `${counterWas(wasG, w)}The value now was not noted.`,
  'counter-at-zero': ({ wasG }: { wasG: number | undefined }, w: Words) =>
    `${counterWas(wasG, w)}At ${w.soot(0)} now: that proves nothing; the drive does.`,
  'counter-at-its-start': ({ wasG, nowG }: { wasG: number | undefined; nowG: number }, w: Words) =>
    `${counterWas(wasG, w)}At ${w.soot(nowG, 1)} now, where this ECU starts counting: no soot, and no proof.`,
  'no-codes-right-after-clearing':
    'No codes right after clearing proves nothing: the self-tests have not run.',
  'oil-counter-proves-nothing': ({ wasPercent }: { wasPercent: number | undefined }, w: Words) =>
    `${wasPercent === undefined ? '' : `It was at ${w.percent(wasPercent, 0)}. `}The counter says nothing about the oil itself.`,
  'read-it-again-before-relying': 'Read it again before relying on it.',
  'in-this-order-comes-first': ({ first }: { first: Said }, w: Words) =>
    `In this order: ${w.say(first)} comes first.`,
  'the-zero-of-the-dp': 'the zero of the ΔP sensor',
  'the-oil-life': 'the oil life',
  'the-soot-counter': 'the soot counter',
  'the-new-filter': 'the new filter',
  'what-the-engine-learned': 'what the engine learned',
  'clearing-the-codes': 'clearing the codes',
  'the-soot-counter-over': 'The soot counter over the drive',
  'note-the-soot-counter-before': 'Note the soot counter before and after the drive',
  'the-soot-counter-after': ({ end }: { end: number }, w: Words) =>
    `The soot counter after the drive is ${w.soot(end, 1)}; its start value is unknown`,
  'drive-again-and-note-both': 'Drive again and note both',
  'soot-fell-on-the-drive': ({ fromG, toG }: { fromG: number; toG: number }, w: Words) =>
    `Soot fell on the drive: ${fromTo(fromG, toG, w)} by the counter`,
  'the-soot-counter-is-still': ({ end }: { end: number }, w: Words) =>
    `The soot counter is still at ${w.soot(end, 1)}: it was not reset after the clean`,
  'reset-the-counter-if-nothing': 'Reset the counter if nothing blocks it, then drive',
  'soot-rose-on-the-drive': (
    { fromG, toG, mostG }: { fromG: number; toG: number; mostG: number },
    w: Words,
  ) =>
    `Soot counter rose on the drive: ${fromTo(fromG, toG, w)}, at most ${w.soot(mostG, 1)} more is expected: soot is building up again`,
  'soot-by-the-counter-after': (
    { end, sootAfterCleanG }: { end: number; sootAfterCleanG: number },
    w: Words,
  ) =>
    `Soot by the counter after the drive ${w.soot(end, 1)}, at most ${w.soot(sootAfterCleanG, 1)} is expected`,
  'soot-over-the-drive': (
    { fromG, toG, mostG, reset }: { fromG: number; toG: number; mostG: number; reset: boolean },
    w: Words,
  ) =>
    `Soot counter over the drive: ${fromTo(fromG, toG, w)}, at most ${w.soot(mostG, 1)} more is expected${reset && fromG > 0 ? `; ${w.soot(fromG, 1)} is the reset value` : ''}`,
  'restriction-after': 'Restriction after',
  'dp-after': ({ at }: { at: Said }, w: Words) => `ΔP after, ${w.say(at)}`,
  'an-after-reading-from-a': 'An after reading from a sensor that follows flow: in this log it does not.',
  'an-after-reading-on-the':
    'An after reading on the plateau: the pressure was still falling during this hold.',
  'a-plausible-reading-after-reads': (
    {
      restrictionAfterValue,
      restrictionImplausibleRatio,
    }: { restrictionAfterValue: number; restrictionImplausibleRatio: number },
    w: Words,
  ) =>
    `A plausible reading: after reads ${w.number(restrictionAfterValue, 2)} × clean, less than a clean filter can show (limit ${w.number(restrictionImplausibleRatio)}). Check sensor, hoses and filter size; a cracked filter reads so too.`,
  'a-plausible-reading-at-m3': (
    {
      afterMbar,
      flowM3PerH,
      dpLowForFlowMbar,
    }: { afterMbar: number; flowM3PerH: number; dpLowForFlowMbar: number },
    w: Words,
  ) =>
    `A plausible reading: ${w.pressure(afterMbar)} at ${w.volumeFlow(flowM3PerH)} is under ${w.pressure(dpLowForFlowMbar)}. Check sensor and hoses.`,
  'a-before-reading-with-the': ({ pathChanged }: { pathChanged: Said }, w: Words) =>
    `A before reading with the present sensor and lines: ${w.say(pathChanged)} after the existing one, so the amount removed is unknown. Next time read again before touching the filter.`,
  'a-plausible-before-reading':
    'A plausible before reading: in this log sensor or pipe do not follow the flow, so the amount removed is unknown.',
  'a-plausible-before-reading-it': (
    {
      restrictionBeforeValue,
      restrictionImplausibleRatio,
    }: { restrictionBeforeValue: number; restrictionImplausibleRatio: number },
    w: Words,
  ) =>
    `A plausible before reading: it reads ${w.number(restrictionBeforeValue, 2)} × clean, less than a clean filter can show (limit ${w.number(restrictionImplausibleRatio)}): sensor, hoses, size, or a cracked filter. The amount removed is unknown.`,
  'the-filter-was-not-touched': ({ pathChanged }: { pathChanged: Said }, w: Words) =>
    `The filter was not touched. Since the before reading ${w.say(pathChanged)} and the reading is now within limits: it was not the filter.`,
  'a-before-reading-with-a': 'A before reading with a pressure above zero.',
  'pressure-went': (
    {
      flowM3PerH,
      beforeMbar,
      afterMbar,
      removed,
      low,
      high,
    }: {
      flowM3PerH: number;
      beforeMbar: number;
      afterMbar: number;
      removed: number;
      low: number;
      high: number;
    },
    w: Words,
  ) =>
    `At ${w.volumeFlow(flowM3PerH)} the pressure drop went from ${w.pressure(beforeMbar)} to ${w.pressure(afterMbar)}: ${w.percent(removed, 0)} removed, ${w.percent(low, 0)} to ${w.percent(high, 0)} (90 %).`,
  'removed-lower-end': 'Removed, lower end',
  'replacement-filter-counts': 'A replacement filter was fitted: its reading counts, and is within limits.',
  'the-reading-is-now-within': 'The reading is now within limits.',
  'the-pressure-rose-by-more': 'The pressure rose by more than the scatter of the readings.',
  'the-before-reading-was-already': 'The before reading was already within limits: nothing to remove.',
  'the-difference-is-within': 'The difference is within the uncertainty of the two readings.',
  'longer-holds-or-both-readings': 'Longer holds, or both readings with the zero read at key off.',
  'repeat-the-holds': 'Repeat the holds of the before reading: idle alone says little about a filter.',
  'is-wanted': (
    {
      name,
      value,
      unit,
      sense,
      limit,
    }: { name: Said; value: number; unit: Said; sense: string; limit: number },
    w: Words,
  ) => `${w.say(name)} is ${w.figure(value, w.say(unit))}, wanted ${sense} ${w.figure(limit, w.say(unit))}.`,
} as const;
