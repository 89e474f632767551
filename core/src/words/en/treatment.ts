import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

const minutes = (seconds: number, w: Words): string => `${w.number(seconds / 60, seconds < 600 ? 1 : 0)} min`;
const degrees = (celsius: number | undefined, w: Words): string =>
  celsius === undefined ? 'not read' : w.temperature(celsius);

export const treatment = {
  'of-them-to-clear': ({ pipeClearMinutes, state }: { pipeClearMinutes: number; state: Said }, w: Words) =>
    `, ${w.number(pipeClearMinutes)} of them to clear the pipe, which is ${w.say(state)}`,
  min: ({ minutes, what }: { minutes: number; what: Said }, w: Words) =>
    `${w.number(minutes)} min${w.say(what)}`,
  'nothing-to-snap': 'Nothing to snap',
  'min-2': ({ sensorPortMinutes }: { sensorPortMinutes: number }, w: Words) =>
    `${w.number(sensorPortMinutes)} min`,
  'not-tried': 'not tried',
  'to-snap-or-strip': (
    { percent, what, snapped }: { percent: number; what: Said; snapped: number },
    w: Words,
  ) => `${w.percent(percent)} to snap or strip its boss (${w.say(what)}), ${w.money(snapped)} if it does`,
  'min-3': ({ beforeTurbineMinutes }: { beforeTurbineMinutes: number }, w: Words) =>
    `${w.number(beforeTurbineMinutes)} min`,
  'to-harm-turbo-or-engine': (
    { turbineHarmPercent, turbineHarmCost }: { turbineHarmPercent: number; turbineHarmCost: number },
    w: Words,
  ) => `${w.percent(turbineHarmPercent)} to harm turbo or engine, ${w.money(turbineHarmCost)} if it does`,
  'the-catalyst-before-the-filter': 'The catalyst before the filter absorbs some of the fluid',
  'the-bed': 'The bed',
  'needs-the-temperature-before': 'needs the temperature before the filter',
  'not-read': 'not read',
  'model-to-c-after': (
    {
      outletLowC,
      outletHighC,
      sensorC,
      modelOffC,
    }: { outletLowC: number; outletHighC: number; sensorC: number | undefined; modelOffC: number },
    w: Words,
  ) =>
    `Model: ${w.temperature(outletLowC)} to ${w.temperature(outletHighC)} after the filter; sensor: ${degrees(sensorC, w)}; over ${w.temperatureChange(modelOffC)} difference the model is not trusted.`,
  'heating-up-soot-burns': ({ regenEgt3C }: { regenEgt3C: number }, w: Words) =>
    `Heating up: soot burns from ${w.temperature(regenEgt3C)} before the filter.`,
  keep: 'Keep it as it is.',
  'clean-in-about': ({ cleanInS }: { cleanInS: number }, w: Words) =>
    `Clean in about ${minutes(cleanInS, w)} at this rate.`,
  'dosing-off-for-the-beds': (
    { nowS, clockBurnCoolingMin }: { nowS: number; clockBurnCoolingMin: number },
    w: Words,
  ) =>
    `Dosing off for ${minutes(nowS, w)}. The bed’s temperature is not read: keep the flow up for at least ${w.number(clockBurnCoolingMin)} min.`,
  'keep-the-revs-up-bed': ({ bedC, cooledBedC }: { bedC: number; cooledBedC: number }, w: Words) =>
    `Keep the revs up: bed at ${w.temperature(bedC, 0)}. Do not drop to idle above ${w.temperature(cooledBedC)}.`,
  'cooled-the-bed': ({ bedC, cooledBedC }: { bedC: number | undefined; cooledBedC: number }, w: Words) =>
    `Cooled: the bed is at ${degrees(bedC, w)}, under ${w.temperature(cooledBedC)}. Idle a while, then it may be switched off.`,
  'everybody-away-from-the-vehicle':
    'Everybody away from the vehicle. Call the emergency services. Use the extinguisher only from a distance, your exit behind you.',
  'get-the-revs-back-up': ({ label, value, limit }: { label: Said; value: Said; limit: Said }, w: Words) =>
    `${w.say(label)}: ${w.say(value)}, ${w.say(limit)}. Get the revs back up now; never idle, never off, until the bed is cool.`,
  'stop-the-dosing-and-keep': (
    { label, value, limit }: { label: Said; value: Said; limit: Said },
    w: Words,
  ) =>
    `${w.say(label)}: ${w.say(value)}, ${w.say(limit)}. Stop the dosing and keep the flow up until the bed is cool.`,
  'flames-outside-or-an-oil': 'Flames outside, or an oil-fed fire',
  'none-seen': 'none seen',
  'it-has-its-own-rule':
    'It has its own rule: stopping the dosing does not end it. Nobody stays near the vehicle.',
  'blue-smoke-oil': 'Blue smoke, oil',
  'oil-feeds-the-fire': 'Oil feeds the fire and cannot be switched off.',
  'hottest-bed': 'Hottest bed',
  'at-most-c': ({ bedLimitC }: { bedLimitC: number }, w: Words) => `at most ${w.temperature(bedLimitC)}`,
  'from-the-burn-model':
    'From the burn model, or the sensor after the filter if hotter. Above it the brick cracks or melts.',
  'rise-after-the-filter': 'Rise after the filter',
  'at-most-c-s-over': (
    { egtRateCPerS, egtRateFromC }: { egtRateCPerS: number; egtRateFromC: number },
    w: Words,
  ) => `at most ${w.temperatureChange(egtRateCPerS)}/s over ${w.temperature(egtRateFromC)}`,
  'a-runaway-bed-heats-faster': 'A runaway bed heats faster than the dosing can.',
  'gas-before-the-filter': 'Gas before the filter',
  'at-most-c-2': ({ inletMostC }: { inletMostC: number }, w: Words) => `at most ${w.temperature(inletMostC)}`,
  'above-target-means-a-dosing': 'Above target means a dosing fault.',
  'flow-through-the-hot-bed': 'Flow through the hot bed',
  'at-least-of-the-highest': (
    { flowKeptPercent, cooledBedC }: { flowKeptPercent: number; cooledBedC: number },
    w: Words,
  ) => `at least ${w.percent(flowKeptPercent)} of the highest while over ${w.temperature(cooledBedC)}`,
  'the-gas-carries-the-heat': ({ dropNowC }: { dropNowC: number }, w: Words) =>
    `The gas carries the heat away. Idle now would bring the bed to ${w.temperature(dropNowC, 0)}.`,
  'the-gas-carries-the-heat-away': 'The gas carries the heat away: idle is the dangerous case.',
  'heat-from-the-catalyst': 'Heat from the catalyst',
  'at-least-c': ({ catalystRiseC }: { catalystRiseC: number }, w: Words) =>
    `at least +${w.temperatureChange(catalystRiseC)}`,
  'fuel-that-does-not-burn': 'Fuel that does not burn in the catalyst burns in the filter, or gathers.',
  'time-to-heat-up': 'Time to heat up',
  after: ({ egt3C, nowS }: { egt3C: number | undefined; nowS: number }, w: Words) =>
    `${degrees(egt3C, w)} after ${minutes(nowS, w)}`,
  'c-within-min': (
    { regenEgt3C, heatedWithinMin }: { regenEgt3C: number; heatedWithinMin: number },
    w: Words,
  ) => `${w.temperature(regenEgt3C)} within ${w.number(heatedWithinMin)} min`,
  'fuel-that-does-not-heat': 'Fuel that does not heat gathers in the exhaust or goes into the oil.',
  'at-most-c-3': ({ coolantMostC }: { coolantMostC: number }, w: Words) =>
    `at most ${w.temperature(coolantMostC)}`,
  'long-holds-with-little-wind': 'Long holds with little wind.',
  'soot-falling': 'Soot falling',
  'less-after-min-over-c': (
    { sootFallsWithinMin, regenEgt3C }: { sootFallsWithinMin: number; regenEgt3C: number },
    w: Words,
  ) => `less after ${w.number(sootFallsWithinMin)} min over ${w.temperature(regenEgt3C)}`,
  'if-nothing-burns': 'If nothing burns, it is ash, or the counter is wrong.',
  'length-of-this-regeneration': 'Length of this regeneration',
  'at-most-min': ({ burnLongestMin }: { burnLongestMin: number }, w: Words) =>
    `at most ${w.number(burnLongestMin)} min`,
  'stop-inspect-then-run-again': 'Stop, inspect, then run again if needed.',
  'air-now': ({ value, percent }: { value: number; percent: number }, w: Words) =>
    `${w.massFlow(value, 0)} of air, ${w.percent(percent, 0)}`,
  'revs-now': ({ value, percent }: { value: number; percent: number }, w: Words) =>
    `${w.number(value, 0)} rpm, ${w.percent(percent, 0)}`,
  'g-by-the-model': ({ sootG }: { sootG: number }, w: Words) => `${w.soot(sootG, 1)} by the model`,
  'g-by-the-counter': (
    { first, last, modelG }: { first: number; last: number; modelG: number | undefined },
    w: Words,
  ) =>
    `${w.soot(first, 1)} → ${w.soot(last, 1)} by the counter${modelG === undefined ? '' : `, ${w.soot(modelG, 1)} by the model`}`,
  'dp-sensor-off-its-hose':
    'ΔP sensor off its hose: no fluid into it. The fluid enters by the pipe, so the pipe must be open.',
  'a-seized-sensor-can-snap':
    'A seized sensor can snap or strip its boss: soak, gentle heat where safe, flared spanner. The high pipe costs less.',
  'sensor-out-and-dry-fluid': 'Sensor out and dry; fluid goes in through its port.',
  'small-metered-bursts-engine-off':
    'Small metered bursts, engine off, pauses between: nothing may collect in manifold, cylinders or turbo.',
  'turn-the-engine-by-hand':
    'Turn the engine by hand before it is started. The catalyst before the filter absorbs some of the fluid.',
  'filter-temperature-unknown-touch': 'Filter temperature unknown: touch it with care.',
  'a-brick-after-the-filter': 'A brick after the filter gets the run-through: the data sheet allows it.',
  'run-off-is-hazardous-waste': 'Run-off is hazardous waste: collect it and enter the volume.',
  'the-filter-is-at-c': (
    { filterC, sheetName, filterUpToC }: { filterC: number; sheetName: Said; filterUpToC: number },
    w: Words,
  ) =>
    `The filter is at ${w.temperature(filterC, 0)}; ${w.say(sheetName)} may go in up to ${w.temperature(filterUpToC)}: let it cool.`,
  'is-coated': 'is coated',
  'may-be-coated-as-most': 'may be coated, as most are',
  'the-data-sheet-of-does': ({ sheetName, what }: { sheetName: Said; what: Said }, w: Words) =>
    `The data sheet of ${w.say(sheetName)} does not allow coated filters; this one ${w.say(what)}.`,
  'the-data-sheet-of-does-not': ({ sheetName }: { sheetName: Said }, w: Words) =>
    `The data sheet of ${w.say(sheetName)} does not allow bricks after the filter; there is one on this line.`,
  'l-of-needed': (
    { concentrateL, sheetName, stockL }: { concentrateL: number; sheetName: Said; stockL: number },
    w: Words,
  ) =>
    `${w.volume(concentrateL, 2)} of ${w.say(sheetName)} needed for a fill;  ${w.volume(stockL, 2)} are left.`,
  'the-line-is-at-bar': (
    { lineBar, sheetName, lineUpToBar }: { lineBar: number; sheetName: Said; lineUpToBar: number },
    w: Words,
  ) =>
    `The line is at ${w.number(lineBar)} bar; ${w.say(sheetName)} and its gun take up to ${w.number(lineUpToBar)} bar.`,
  cracked: ({ cracked }: { cracked: number }, w: Words) => `, cracked ${w.percent(100 * cracked, 0)}`,
  oil: ({ oil }: { oil: number }, w: Words) => `, oil ${w.percent(100 * oil, 0)}`,
  'soot-ash-likely': (
    { soot, ash, what, what2 }: { soot: number; ash: number; what: Said; what2: Said },
    w: Words,
  ) => `Soot ${w.percent(100 * soot, 0)}, ash ${w.percent(100 * ash, 0)}${w.say(what)}${w.say(what2)} likely`,
  'likely-that-soot-ash-oil': ({ sound }: { sound: number }, w: Words) =>
    `${w.percent(100 * sound, 0)} likely that soot, ash, oil or a crack will not get in the way`,
  'a-drive-removes-up': ({ driveLoadGPerL }: { driveLoadGPerL: number }, w: Words) =>
    `; a drive removes up to ${w.loading(driveLoadGPerL)}`,
  'g-l-of-soot': (
    { gPerL, lowG, highG, what }: { gPerL: number; lowG: number; highG: number; what: Said },
    w: Words,
  ) =>
    `${w.loading(gPerL, 1)} of soot by the pressure (${w.span(w.soot(lowG, 0), w.soot(highG, 0))})${w.say(what)}`,
  'the-burn-model-leaves-g': (
    {
      sootLeftG,
      burnTargetC,
      sootAfterCleanG,
    }: { sootLeftG: number; burnTargetC: number; sootAfterCleanG: number },
    w: Words,
  ) =>
    `The burn model leaves ${w.soot(sootLeftG, 1)} at ${w.temperature(burnTargetC)}; clean is up to ${w.soot(sootAfterCleanG)}`,
  'loosens-soot-cold-no-heat': 'Loosens soot cold: no heat in the bed, whatever the load',
  times: ({ before }: { before: number }, w: Words) => `${w.number(before)} times`,
  'done-on-this-job-already': ({ what }: { what: Said }, w: Words) =>
    `Done ${w.say(what)} on this job already; each repeat removes less`,
  'also-removes-ash-and-oil': 'Also removes ash and oil; weighed before and after',
  'a-cracked-brick-cannot': 'A cracked brick cannot be cleaned',
  'for-cracked-melted-or-ash': 'For cracked, melted, or ash beyond cleaning',
  'the-bed-comes-to-c': (
    { plannedPeakC, dropPeakC, limitC }: { plannedPeakC: number; dropPeakC: number; limitC: number },
    w: Words,
  ) =>
    `The bed comes to ${w.temperature(plannedPeakC, 0)}, and to ${w.temperature(dropPeakC, 0)} if the engine drops to idle; limit ${w.temperature(limitC)}`,
  'the-bed-overheats-if': 'The bed overheats if the engine drops to idle during regeneration',
  'an-unrepaired-cause-will-fill': 'An unrepaired cause will fill it again',
  'two-people-one-drives-one': 'Two people: one drives, one reads',
  'the-parked-vehicle-gets-hot': 'The parked vehicle gets hot: outdoors, watched, extinguisher at hand',
  'smoke-steam-and-run-off': 'Smoke, steam and run-off: the site must allow them',
  'a-seized-egt-can-snap': 'A seized EGT can snap or strip its boss: the high pipe costs less',
  'seized-sensors-and-stripped-threads': 'Seized sensors and stripped threads',
  'axle-mount-and-steering-fasteners': 'Axle, mount and steering fasteners removed are safety-critical',
  'most-expensive-an-unrepaired-cause': 'Most expensive; an unrepaired cause fills the new one too',
  'some-regenerate-parked':
    'Some regenerate parked, with a rig beside the vehicle. Here a drive is preferred: moving air cools the filter.',
  'some-drive-as-moving-air':
    'Some drive, as moving air cools the filter. Here that is preferred where possible.',
  'some-back-flush-off':
    'Some back-flush off the vehicle so no dirt passes through, or regenerate right after. Here held revs and a drive come first.',
  'some-clean-soot-in-place':
    'Some clean soot in place only, or use a water jet alone. Here: fluid, soak, low pressure.',
  'no-reading-yet-take': 'No reading yet: take the before reading first.',
  'it-reads-clean-good-up': ({ ratio, good }: { ratio: number; good: number }, w: Words) =>
    `It reads ${w.number(ratio, 1)} × clean, good up to ${w.number(good)} × clean: enough.`,
  'it-reads-clean-good-up-to': ({ ratio, good }: { ratio: number; good: number }, w: Words) =>
    `It reads ${w.number(ratio, 1)} × clean, good up to ${w.number(good)} × clean: the first flush will show what it gains.`,
  'the-last-flush-removed-within': ({ fellPercent }: { fellPercent: number }, w: Words) =>
    `The last flush removed ${w.percent(fellPercent, 0)}, within the uncertainty of the readings: read again, steadier, before another fill.`,
  'g-l-allowed-when-clearing': ({ limitGPerL }: { limitGPerL: number }, w: Words) =>
    `${w.loading(limitGPerL)} allowed when clearing codes`,
  'a-drop-to-idle-would': ({ peakC, limitC }: { peakC: number; limitC: number }, w: Words) =>
    `a drop to idle would bring that to ${w.temperature(peakC, 0)}, limit ${w.temperature(limitC)}: do not clear codes on it`,
  'within-limits-but-up': ({ gPerL, what }: { gPerL: number; what: Said }, w: Words) =>
    ` Within limits, but up to ${w.loading(gPerL, 1)} of soot may be left; ${w.say(what)}.`,
  'another-should-remove-about': (
    {
      nextPercent,
      worthAnotherPercent,
      why,
    }: { nextPercent: number; worthAnotherPercent: number; why: Said },
    w: Words,
  ) =>
    `Another should remove about ${w.percent(nextPercent, 0)} of what is left; worth it from ${w.percent(worthAnotherPercent)} on.${w.say(why)}`,
  'another-should-remove-about-of': (
    {
      nextPercent,
      worthAnotherPercent,
      why,
    }: { nextPercent: number; worthAnotherPercent: number; why: Said },
    w: Words,
  ) =>
    `Another should remove about ${w.percent(nextPercent, 0)} of what is left, under ${w.percent(worthAnotherPercent)}: no more to gain in place. Consider off-vehicle.${w.say(why)}`,
  'material-unknown-the-lighter-one': 'Material unknown: the lighter one assumed, which runs hotter.',
  'coating-unknown-coated-assumed': 'Coating unknown: coated assumed.',
  'engine-size-unknown-idle': ({ displacementL }: { displacementL: number }, w: Words) =>
    `Engine size unknown: idle of ${w.engineSize(displacementL)} assumed.`,
  'no-ash-soot-evenly-along': 'No ash, soot evenly along the filter.',
  'oxygen-c-before-the-filter': (
    { burnOxygenPercent, burnTargetC }: { burnOxygenPercent: number; burnTargetC: number },
    w: Words,
  ) =>
    `${w.percent(burnOxygenPercent)} oxygen, ${w.temperature(burnTargetC)} before the filter, from the limits profile.`,
  'the-dp-sensor': 'the ΔP sensor',
  'the-high-pipe': 'the high pipe',
  'the-low-pipe': 'the low pipe',
  is: ({ part, state }: { part: Said; state: Said }, w: Words) => `${w.say(part)} is ${w.say(state)}`,
  'the-last-log-shows': ({ finding }: { finding: Said }, w: Words) => `the last log shows ${w.say(finding)}`,
  'the-last-reading': 'the last reading was by hand and the ΔP sensor is unchecked',
  'the-codes-are-not-saved': 'The codes are not saved with the job: scan and save them first.',
  'soot-load-unknown-take':
    'Soot load unknown: take a baseline with a hold first. A full filter can burn up.',
  'no-soot-estimate-can': ({ doubt }: { doubt: Said }, w: Words) =>
    `No soot estimate can be trusted: ${w.say(doubt)}. Prove sensor and pipes, and read again.`,
  'size-taken': ({ volumeL, from }: { volumeL: number; from: 'engine' | 'readings' | 'family' }, w: Words) =>
    `Filter size taken as ${w.volume(volumeL, 1)}, by ${
      {
        engine: 'engine size',
        readings: 'earlier readings of this family',
        family: 'other vehicles of this family',
      }[from]
    }: entering it narrows this.`,
  'silicon-carbide': 'silicon carbide',
  'a-filter': 'a filter of this or unknown material',
  'up-to-g-l': (
    {
      gPerL,
      grams,
      by,
      limit,
      what,
      size,
    }: {
      gPerL: number;
      grams: number;
      by: Said;
      limit: number;
      what: Said;
      size: Said | undefined;
    },
    w: Words,
  ) =>
    `Up to ${w.loading(gPerL, 1)} of soot (${w.soot(grams, 0)}, ${w.say(by)}); at most ${w.loading(limit)} allowed in ${w.say(what)}.${size === undefined ? '' : ` ${w.say(size)}`} Clean it chemically first.`,
  'oil-is-entering-the-exhaust':
    'Oil is entering the exhaust: it would feed a fire nothing stops. Repair it; clean the filter off the vehicle.',
  'oil-in-the-exhaust': (
    { chance, oilHoldsBurnPercent }: { chance: number; oilHoldsBurnPercent: number },
    w: Words,
  ) =>
    `Oil in the exhaust is ${w.percent(chance, 0)} likely; over ${w.percent(oilHoldsBurnPercent)} no regeneration is allowed. Inspect the filter’s inlet face and the turbo.`,
  'with-g-of-soot': (
    { sootG, dropPeakC, limitC }: { sootG: number; dropPeakC: number; limitC: number },
    w: Words,
  ) =>
    `With ${w.soot(sootG, 0)} of soot a drop to idle brings the bed to ${w.temperature(dropPeakC, 0)} by the burn model; limit ${w.temperature(limitC)}. Clean it chemically first.`,
  'fuel-in-the-oil-more':
    'Fuel in the oil: more would follow, and a hot engine can run on it. Change the oil first.',
  'regeneration-is-inhibited': ({ by }: { by: readonly Said[] }, w: Words) =>
    `Regeneration is inhibited by: ${by.map((one) => w.say(one)).join('; ')}.`,
  'a-cause-is-found-but': ({ cause }: { cause: Said }, w: Words) =>
    `A cause is found but not repaired: ${w.say(cause)}. The filter will fill again.`,
  'single-use-part': 'single-use part',
  'not-on-yet': 'not on yet',
  'single-use-parts-not-renewed': 'single-use parts not renewed',
  'not-plugged': ({ connectors }: { connectors: readonly string[] }) =>
    `not plugged in: ${connectors.join(', ')}`,
  'torque-not-signed-off-fastener': ({ left, count }: { left: readonly number[]; count: number }, w: Words) =>
    `torque not signed off: fastener ${left.join(', ')} of ${w.number(count)}`,
  'torque-of-n-m': ({ torqueNm }: { torqueNm: number }, w: Words) =>
    `torque of ${w.torque(torqueNm)} not given`,
  for: ({ part, what }: { part: Said; what: string }, w: Words) => `${w.say(part)} for ${w.say(what)}`,
  due: ({ due }: { due: string }, w: Words) => `due ${w.shortDate(`${due}T12:00:00.000Z`)}`,
  'the-clean-it-was-weighed': ({ when }: { when: Said }, w: Words) =>
    `${w.say(when)} the clean it was weighed wet: no use; dry it and weigh again.`,
  'it-weighs-g-more': ({ removedG }: { removedG: number }, w: Words) =>
    `It weighs ${w.soot(removedG, 0)} more than before: not dry, or weighed with different parts.`,
  'the-clean-took-out-g': ({ removedG, scalesG }: { removedG: number; scalesG: number }, w: Words) =>
    `The clean took out ${w.soot(removedG, 0)}, weighed dry to ± ${w.soot(scalesG)}.`,
  'of-that-g-g': ({ g, lowG, highG }: { g: number; lowG: number; highG: number }, w: Words) =>
    `Of that ${w.soot(g, 0)} (${w.span(w.soot(lowG, 0), w.soot(highG, 0))}) is not soot by the last reading: ash and oil.`,
  'g-more-than-a-new': ({ leftG }: { leftG: number }, w: Words) =>
    `${w.soot(leftG, 0)} more than a new one: that is still in it.`,
  'it-weighs-the-same': 'It weighs the same as a new one.',
  'the-filter-has-not-been': 'The filter has not been weighed and inspected after the clean.',
  'the-filter-is-not-dry': 'The filter is not dry: water cracks the brick in the first heat.',
  'the-filter-is-replace': ({ face }: { face: Said }, w: Words) =>
    `The filter is ${w.say(face)}: replace it, do not refit it.`,
  'broke-and-is-not-repaired': ({ what }: { what: Said }, w: Words) =>
    `${w.say(what)} broke and is not repaired.`,
  'drill-out-the-rest':
    'Drill out the rest and recut the thread, or renew the boss: check the thread pitch first.',
  'note-the-boss-position': 'Note the boss position and cable reach: sensors of one family differ in length.',
  'check-the-thread-pitch-fit':
    'Check the thread pitch; fit an insert if the boss is thick enough, else renew it.',
  'before-welding-battery-off-ecus':
    'Before welding: battery off, ECUs and sensors nearby unplugged. Licensed work where required.',
  'heat-where-safe-no-flame':
    'Heat where safe, no flame near fuel lines; else drill it out. Replace with the same strength grade.',
  'note-what-broke-and-what': 'Note what broke and what it needs.',
  'outdoors-or-the-tailpipe-under': 'Outdoors, or the tailpipe under extraction',
  'gas-and-smoke-are-trapped': 'Gas and smoke are trapped: go outdoors, or fit extraction at the tailpipe.',
  'nothing-flammable-near-the-exhaust':
    'Nothing flammable near the exhaust: dry grass, fuel, cartons, other vehicles',
  'something-flammable-is-near': 'Something flammable is near the exhaust: move it or the vehicle.',
  'fire-extinguisher-at-hand': 'Fire extinguisher at hand',
  'no-extinguisher-at-hand': 'No extinguisher at hand.',
  'neutral-or-park-brake': 'Neutral or park, brake on, wheels chocked',
  'the-vehicle-is-not-secured': 'The vehicle is not secured.',
  'somebody-stays-with-it-until': 'Somebody stays with it until it has cooled',
  'nobody-stays': 'Nobody stays with it.',
  'smoke-steam-and-noise': 'Smoke, steam and noise are no nuisance here',
  'smoke-steam-and-noise-are': 'Smoke, steam and noise are a nuisance here: dose at another site.',
  'run-off-can-be-collected': 'Run-off can be collected',
  'run-off-cannot-be-collected': 'Run-off cannot be collected: it is hazardous waste.',
  'on-axle-stands-never': 'On axle stands, never a jack alone',
  'the-vehicle': 'The vehicle is not on axle stands.',
  'engine-supported-if-a-mount': 'Engine supported, if a mount or cross-member comes off',
  'the-engine-is-not-supported': 'The engine is not supported.',
  'by-the-gauge': 'By the gauge or a channel',
  'oil-on-the-dipstick': 'Oil on the dipstick',
  '0-is-the-lower-mark': '0 is the lower mark, 100 the upper',
  filter: 'Filter now',
  'by-its-egts': 'By its EGTs or a contact thermometer',
  'fuel-is-below': ({ fuelLowPercent }: { fuelLowPercent: number }, w: Words) =>
    `Fuel is below ${w.percent(fuelLowPercent)} by the tank check: fill up first.`,
  'one-drives-one-reads': 'One drives, one reads: a second person is needed on the road.',
  'the-second-person': 'The second person',
  'answered-min-ago-valid': ({ ageMin, readyForMin }: { ageMin: number; readyForMin: number }, w: Words) =>
    `Answered ${w.number(ageMin, 0)} min ago; valid for ${w.number(readyForMin)} min: check again`,
  'fuel-is-at-at-least': ({ value, fuelLowPercent }: { value: number; fuelLowPercent: number }, w: Words) =>
    `Fuel is at ${w.percent(value, 0)}; at least ${w.percent(fuelLowPercent)} for a regeneration: fill up first.`,
  'oil-is-at-between': (
    { value, oilLevelLowPercent }: { value: number; oilLevelLowPercent: number },
    w: Words,
  ) =>
    `Oil is at ${w.percent(value, 0)} between the marks; at least ${w.percent(oilLevelLowPercent)} for half an hour at raised revs.`,
  'the-filter-is-at-c-up': ({ value, upToC }: { value: number; upToC: number }, w: Words) =>
    `The filter is at ${w.temperature(value, 0)}; up to ${w.temperature(upToC)} is safe to work on: let it cool.`,
  'the-last-regeneration': 'The last regeneration has no end yet: enter how it ended.',
  'the-last-one-ended': 'The last one ended in a fire.',
  'no-reading-since-the-last':
    'No reading since the last regeneration: take a hold at the before reading’s flow first.',
  'regenerations-done-at-most': (
    { burnsLength, mostRuns }: { burnsLength: number; mostRuns: number },
    w: Words,
  ) =>
    `${w.number(burnsLength)} regenerations done; at most ${w.number(mostRuns)} in a row. What is left does not burn: clean it chemically, or off the vehicle.`,
  'the-remaining-soot-cannot': 'The remaining soot cannot be estimated from the last reading.',
  'g-are-left': (
    {
      sootG,
      highG,
      highGPerL,
      sootAfterCleanG,
    }: { sootG: number; highG: number; highGPerL: number; sootAfterCleanG: number },
    w: Words,
  ) =>
    `${w.soot(sootG, 1)} are left by the pressure, at most ${w.soot(highG, 1)} (${w.loading(highGPerL, 1)}); clean is up to ${w.soot(sootAfterCleanG)}`,
  enough: ({ left }: { left: Said }, w: Words) => `${w.say(left)}: enough.`,
  'the-last-one-removed': (
    {
      burntPercent,
      beforeG,
      secondRunPercent,
    }: { burntPercent: number; beforeG: number; secondRunPercent: number },
    w: Words,
  ) =>
    `The last one removed ${w.percent(burntPercent, 0)} of ${w.soot(beforeG)}; under ${w.percent(secondRunPercent)} another gains nothing. Likely ash, or the sensor.`,
  'the-last-one-was-stopped': ({ why }: { why: string }) =>
    `The last one was stopped${why === '' ? '' : `: ${why}`}. Fix that first.`,
  'this-is-a-new-regeneration': 'This is a new regeneration: read its cautions and answer everything again.',
  'pressure-and-fill-level-in-agreement': 'pressure and fill level in agreement',
  'pressure-and-counter-in-agreement': 'pressure and counter, in agreement',
  'the-ecus-figure': 'the ECU’s figure',
  'the-upper-end': 'the upper end of the pressure estimate',
  'the-reading': 'The reading',
  'needs-a-hold-with-flow': 'needs a hold with flow to estimate soot',
  'not-known-yet-it-takes': ({ windowS }: { windowS: number }, w: Words) =>
    `Not known yet: it takes ${w.number(windowS)} s at steady revs.`,
  hold: 'Hold on.',
  clean: ({ nowRatio }: { nowRatio: number }, w: Words) => `${w.number(nowRatio, 1)} × clean`,
  'still-rising-the-filter': ({ ratio }: { ratio: Said }, w: Words) =>
    `Still rising, ${w.say(ratio)}: the filter is wet.`,
  'hold-the-revs': 'Hold the revs.',
  'falling-by-a-minute': ({ percentPerMin, ratio }: { percentPerMin: number; ratio: Said }, w: Words) =>
    `Falling by ${w.percent(percentPerMin, 0)} a minute, ${w.say(ratio)}.`,
  'hold-the-revs-until': 'Hold the revs until it is steady.',
  'steady-at-but-the-gas': (
    { ratio, afterFilterC, dryC }: { ratio: Said; afterFilterC: number; dryC: number },
    w: Words,
  ) =>
    `Steady at ${w.say(ratio)}, but the gas after the filter is at ${w.temperature(afterFilterC, 0)}: under ${w.temperature(dryC)} water is still boiling off.`,
  'steady-at-but-the-coolant': (
    { ratio, coolantC, coolantWarmC }: { ratio: Said; coolantC: number; coolantWarmC: number },
    w: Words,
  ) =>
    `Steady at ${w.say(ratio)}, but the coolant is at ${w.temperature(coolantC, 0)}; warm is from ${w.temperature(coolantWarmC)}.`,
  'not-yet-hold-the-revs': 'Not yet: hold the revs.',
  'steady-at-a-minute-steady': (
    { ratio, percentPerMin, stillPercent }: { ratio: Said; percentPerMin: number; stillPercent: number },
    w: Words,
  ) =>
    `Steady at ${w.say(ratio)}, ${w.percent(percentPerMin, 1)} a minute; steady is below ${w.percent(stillPercent)}.`,
  'take-the-reading': 'Take the reading now.',
  degrees: ({ celsius }: { celsius: number | undefined }, w: Words) => degrees(celsius, w),
  minutes: ({ seconds }: { seconds: number }, w: Words) => minutes(seconds, w),
  rate: ({ cPerS }: { cPerS: number }, w: Words) => `${w.temperatureChange(cPerS, 1)}/s`,
  rise: ({ riseC }: { riseC: number }, w: Words) => `+${w.temperatureChange(riseC)}`,
} as const;
