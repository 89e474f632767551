import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

const sootWent = (beforeG: number, afterG: number | undefined, w: Words): string =>
  `${w.soot(beforeG, 1)} → ${afterG === undefined ? '?' : w.soot(afterG, 1)}`;

export const report = {
  'to-do': 'To do:',
  'to-do-what': (
    {
      what,
      why,
      dueKm,
      due,
    }: { what: Said; why: Said | undefined; dueKm: number | undefined; due: string | undefined },
    w: Words,
  ) =>
    [
      w.say(what),
      ...(dueKm === undefined ? [] : [`at ${w.distance(dueKm)}`]),
      ...(due === undefined ? [] : [`by ${w.date(`${due}T12:00:00.000Z`)}`]),
    ].join(', ') + (why === undefined ? '' : ` (${w.say(why).replace(/\.$/, '')})`),
  'not-repaired-yet': 'Not repaired yet:',
  'back-within': ({ cause, withinKm, chance }: { cause: Said; withinKm: number; chance: number }, w: Words) =>
    `${w.say(cause)}. Back within ${w.distance(withinKm)}, chance ${w.percent(100 * chance, 0)}.`,
  'due-now-over-a-clean': ({ limitRatio }: { limitRatio: number }, w: Words) =>
    `Due now: over ${w.number(limitRatio)} × a clean filter.`,
  'not-within-the-forecast-distance': 'Not within the forecast distance.',
  'due-again': (
    {
      dueKm,
      lowKm,
      highKm,
      farthestKm,
      on,
      limitRatio,
    }: {
      dueKm: number;
      lowKm: number;
      highKm: number;
      farthestKm: number;
      on: string | undefined;
      limitRatio: number;
    },
    w: Words,
  ) => {
    const far = (km: number): string => (km >= farthestKm ? 'beyond the forecast' : w.roughDistance(km));
    return `At its loading rate so far, due again in about ${far(dueKm)}${on === undefined ? '' : `, around ${w.date(on)}`} (80 % range ${far(lowKm)} to ${far(highKm)}); due at ${w.number(limitRatio)} × a clean filter.`;
  },
  'at-the-same-exhaust-flow': ({ percent }: { percent: number }, w: Words) =>
    `At the same exhaust flow the filter holds back ${w.percent(Math.abs(percent), 0)} less than before.`,
  'it-was-not-the-filter': 'It was not the filter, and it is repaired',
  'the-sensor-or-its-pipes':
    'The sensor or its pipes were at fault and are repaired. Correctly read, the filter is good. A drive and a scan found nothing more.',
  'the-new-filter': 'The new filter is in order',
  'its-pressure': 'Its pressure is as it should be. A drive and a scan found nothing more.',
  'fixed-and-proved': 'Fixed, and proved',
  'a-drive-and-a-scan': ({ fell }: { fell: Said }, w: Words) =>
    `${w.say(fell)} A drive and a scan found nothing more.`,
  'the-filter-is-free-again': 'The filter is free again; final checks are outstanding',
  'the-sensor-or-its-pipes-were':
    'The sensor or its pipes were at fault. Correctly read, the filter is good. Outstanding checks are listed below.',
  'outstanding-checks-are-listed-below': ({ fell }: { fell: Said }, w: Words) =>
    `${w.say(fell)} Outstanding checks are listed below.`,
  'the-problem-has-come-back': 'The problem has come back',
  'the-work-helped-but':
    'The work helped, but the filter was full again so soon that the cause must still be there.',
  'better-but-not-good-yet': 'Better, but not good yet',
  'that-is-not-enough-yet': ({ fell }: { fell: Said }, w: Words) => `${w.say(fell)} That is not enough yet.`,
  'not-better': 'Not better',
  'the-filter-is-more-blocked': 'The filter is more blocked than before. The work is not finished.',
  'the-filter-is-good': 'The filter is good',
  'it-was-good-on-arrival': 'It was good on arrival: nothing to clean.',
  'result-not-known-yet': 'Result not known yet',
  'what-is-missing-is-listed': 'What is missing is listed below.',
  'the-work-is-not-finished': 'The work is not finished',
  'a-reading-before-and-one': 'A reading before and one after the work will show whether it helped.',
  'why-it-came': 'Why it came',
  'found-and-repaired': 'Found and repaired:',
  'no-cause-was-found-other': 'No cause was found other than the filter’s load.',
  'what-was-done': 'What was done',
  'how-blocked-the-filter': 'How blocked the filter was, before and after',
  'at-the-same-flow-before': (
    { beforeMbar, afterMbar }: { beforeMbar: number; afterMbar: number },
    w: Words,
  ) => `At the same flow: ${w.pressure(beforeMbar)} before, ${w.pressure(afterMbar)} after.`,
  'outstanding-checks': 'Outstanding checks',
  photos: 'Photos',
  'what-remains': 'What remains',
  'when-it-is-due-again': 'When it is due again',
  'please-note': 'Please note',
  job: ({ number }: { number: number }) => `Job ${number}`,
  'signed-off': ({ by, at }: { by: string; at: number }, w: Words) => `Signed off: ${by}, ${w.moment(at)}`,
  'not-signed-off': 'Not signed off',
  'a-lamp-that-is-off':
    'A lamp that is off and a counter at zero prove nothing by themselves. If the lamp comes back, do not keep driving under load: the filter can overheat. Removing or gutting a filter is illegal in most places.',
  'column-at': 'at',
  'column-flow': (_: undefined, w: Words) => `flow, ${w.label('volumeFlow')}`,
  'column-before': 'before',
  'column-after': 'after',
  'column-good': 'good to',
  clean: '× clean',
  'table-note': (_: undefined, w: Words) =>
    `ΔP in ${w.label('pressure')}, zero removed; dash: not read near this flow.`,
  'done-although-blocked': ({ against }: { against: readonly Said[] }, w: Words) =>
    `Done although blocked: ${w.all(against)}`,
  'soot-counted': ({ beforeG, afterG }: { beforeG: number; afterG: number | undefined }, w: Words) =>
    `Soot counted: ${sootWent(beforeG, afterG, w)}`,
  'soot-went': ({ beforeG, afterG }: { beforeG: number; afterG: number | undefined }, w: Words) =>
    sootWent(beforeG, afterG, w),
  fluid: (
    { what, fluid, fluidL }: { what: string; fluid: string | undefined; fluidL: number | undefined },
    w: Words,
  ) =>
    fluid === undefined || fluid === ''
      ? what
      : `${what} (${fluid}${fluidL === undefined ? '' : `, ${w.volume(fluidL)}`})`,
  next: 'Next:',
  proposed: 'Proposed:',
  open: 'Open:',
  found: 'Found:',
  codes: 'Codes:',
  scans: ({ scans }: { scans: readonly { before: boolean; codes: readonly string[] }[] }) =>
    scans
      .map(({ before, codes }) => `${before ? 'before' : 'after'} ${codes.join(', ') || 'none'}`)
      .join('; '),
  evidence: ({ evidence, state }: { evidence: Said; state: string }, w: Words) =>
    `${w.say(evidence)}${state === 'open' ? ' (outstanding)' : state === 'failed' ? ' (failed)' : ''}`,
  record: ({ at, what, by }: { at: number; what: Said; by: string }, w: Words) =>
    `${w.moment(at)} · ${w.say(what)} · ${by}`,
  part: ({ part }: { part: Said }, w: Words) => `${w.say(part)},`,
  'most-likely': 'Most likely:',
  'on-present-evidence': ({ cause, probability }: { cause: Said; probability: number }, w: Words) =>
    `${w.say(cause)}, ${w.percent(100 * probability, 0)} on present evidence`,
  'open-matter': (
    { what, waitsFor, due }: { what: Said; waitsFor: string | undefined; due: string | undefined },
    w: Words,
  ) =>
    waitsFor === undefined
      ? w.say(what)
      : `${w.say(what)}; on order: ${waitsFor}${due === undefined ? '' : `, due ${w.shortDate(`${due}T12:00:00.000Z`)}`}`,
  'nothing-noted': 'Nothing noted.',
  customer: 'Customer',
  page: ({ title, page, pages }: { title: string; page: number; pages: number }, w: Words) =>
    `${title} · page ${w.number(page)} of ${w.number(pages)}`,
  'photos-not-printed': ({ count }: { count: number }, w: Words) =>
    `${count === 1 ? 'One photo' : `${w.number(count)} photos`} cannot be printed; kept with the job.`,
  'photo-of-the-job': 'Photo of the job',
  print: 'Print',
  'link-open-until': ({ at }: { at: string }, w: Words) => `This link is open until ${w.shortDate(at)}.`,
  'letter-subject': ({ title, about }: { title: string; about: string | undefined }) =>
    `${title}: ${about ?? 'report'}`,
  'letter-attached': ({ until }: { until: string }, w: Words) =>
    `The report is attached. Until ${w.date(until)} it is also here, as of that day:`,
  readings: 'Readings',
  missing: ({ text }: { text: Said }, w: Words) => `Missing: ${w.say(text)}`,
  'confidence-lowered': ({ by }: { by: readonly Said[] }, w: Words) =>
    `Confidence lowered by: ${by.map((one) => w.say(one)).join('; ')}.`,
  'before-and-after-at-equal': 'Before and after at equal flow',
  'evidence-outstanding-and-complete': 'Evidence: outstanding and complete',
  'complaint-and-work-done': 'Complaint and work done',
  cause: ({ cause, repaired }: { cause: Said; repaired: boolean }, w: Words) =>
    `Cause${repaired ? ', repaired' : ''}: ${w.say(cause)}.`,
  'parts-looked': 'Parts looked at',
  'none-on-record': 'None on record.',
  'on-record': 'On record',
  'limits-used': 'Limits used',
  'limits-and-filter': (
    {
      profile,
      limits,
      filter,
    }: {
      profile: { family: string | undefined; version: number } | undefined;
      limits: readonly { label: Said; value: number; unit: Said }[];
      filter:
        | { diameterMm: number; lengthMm: number; cpsi: number; wallMm: number; basis: string }
        | undefined;
    },
    w: Words,
  ) => {
    const by = profile
      ? `Profile ${profile.family ?? 'general'}, version ${profile.version}.`
      : 'Starting values.';
    const used = limits
      .map(({ label, value, unit }) => `${w.say(label)} ${w.figure(value, w.say(unit))}`)
      .join('; ');
    const size = filter
      ? `${w.length(filter.diameterMm)} × ${w.length(filter.lengthMm)}, ${w.number(filter.cpsi)} cells per square inch, wall ${w.length(filter.wallMm, 2)} (${filter.basis})`
      : 'size not known';
    return `${by} ${used}. Filter: ${size}.`;
  },
  'burn-end-not-entered': ({ i }: { i: number }, w: Words) => `Burn ${w.number(i)}: end not entered.`,
  burn: (
    {
      number,
      how,
      why,
      minutes,
      peakInletC,
      peakBedC,
      counterBeforeG,
      counterAfterG,
    }: {
      number: number;
      how: Said;
      why: string | undefined;
      minutes: number;
      peakInletC: number | undefined;
      peakBedC: number | undefined;
      counterBeforeG: number | undefined;
      counterAfterG: number | undefined;
    },
    w: Words,
  ) =>
    `${[
      `Burn ${number} ${w.say(how)}${why === undefined || why === '' ? '' : ` (${why})`} after ${w.number(minutes, 0)} min`,
      ...(peakInletC === undefined ? [] : [`${w.temperature(peakInletC)} before the filter`]),
      ...(peakBedC === undefined ? [] : [`bed ${w.temperature(peakBedC)} by the burn model`]),
      ...(counterBeforeG === undefined || counterAfterG === undefined
        ? []
        : [`soot counter ${sootWent(counterBeforeG, counterAfterG, w)}`]),
    ].join(', ')}.`,
  'parts-refitted': ({ count }: { count: number }, w: Words) =>
    `${w.number(count)} parts removed and refitted in reverse order.`,
  'parts-to-refit': ({ count, left }: { count: number; left: readonly string[] }, w: Words) =>
    `${w.number(count)} parts removed; still to refit: ${left.join(', ')}.`,
  fasteners: (
    { signed }: { signed: readonly { what: string; number: number; torqueNm: number; by: string }[] },
    w: Words,
  ) =>
    `Safety-critical fasteners signed off: ${signed
      .map(({ what, number, torqueNm, by }) => `${what} ${number}: ${w.torque(torqueNm)}, ${by}`)
      .join('; ')}.`,
  broke: ({ what, order }: { what: string; order: string | undefined }) =>
    `Broke: ${what}${order === undefined ? '' : `; on order: ${order}`}.`,
} as const;
