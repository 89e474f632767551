import type { Said } from '../message.ts';
import type { Translation, Words } from '../words.ts';
import { report as inEnglish } from '../en/report.ts';

const sootWent = (beforeG: number, afterG: number | undefined, w: Words): string =>
  `${w.soot(beforeG, 1)} → ${afterG === undefined ? '?' : w.soot(afterG, 1)}`;

/** The customer’s report. What only the next technician reads stays as it is in English. */
export const report: Translation<typeof inEnglish> = {
  ...inEnglish,
  'to-do': 'Zu tun:',
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
      ...(dueKm === undefined ? [] : [`bei ${w.distance(dueKm)}`]),
      ...(due === undefined ? [] : [`bis ${w.date(`${due}T12:00:00.000Z`)}`]),
    ].join(', ') + (why === undefined ? '' : ` (${w.say(why).replace(/\.$/, '')})`),
  'not-repaired-yet': 'Noch nicht behoben:',
  'back-within': ({ cause, withinKm, chance }: { cause: Said; withinKm: number; chance: number }, w: Words) =>
    `${w.say(cause)}. Innerhalb von ${w.distance(withinKm)} wieder da, Wahrscheinlichkeit ${w.percent(100 * chance, 0)}.`,
  'due-now-over-a-clean': ({ limitRatio }: { limitRatio: number }, w: Words) =>
    `Jetzt fällig: mehr als das ${w.number(limitRatio)}-Fache eines sauberen Filters.`,
  'not-within-the-forecast-distance': 'Nicht innerhalb der Strecke, die sich vorhersagen lässt.',
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
    const far = (km: number): string => (km >= farthestKm ? 'jenseits der Vorhersage' : w.roughDistance(km));
    return `Füllt er sich wie bisher, ist er in etwa ${far(dueKm)} wieder fällig${on === undefined ? '' : `, um den ${w.date(on)}`} (80 %: ${far(lowKm)} bis ${far(highKm)}). Fällig heißt: das ${w.number(limitRatio)}-Fache eines sauberen Filters.`;
  },
  'at-the-same-exhaust-flow': ({ percent }: { percent: number }, w: Words) =>
    `Bei gleichem Abgasstrom ist der Widerstand des Filters ${w.percent(Math.abs(percent), 0)} kleiner als vorher.`,
  'it-was-not-the-filter': 'Es war nicht der Filter, und es ist behoben',
  'the-sensor-or-its-pipes':
    'Der Sensor oder seine Leitungen waren schuld und sind in Ordnung gebracht. Richtig gemessen ist der Filter gut. Probefahrt und Auslesen ergaben nichts mehr.',
  'the-new-filter': 'Der neue Filter ist in Ordnung',
  'its-pressure': 'Sein Druck ist, wie er sein soll. Probefahrt und Auslesen ergaben nichts mehr.',
  'fixed-and-proved': 'Behoben und nachgewiesen',
  'a-drive-and-a-scan': ({ fell }: { fell: Said }, w: Words) =>
    `${w.say(fell)} Probefahrt und Auslesen ergaben nichts mehr.`.trimStart(),
  'the-filter-is-free-again': 'Der Filter ist wieder frei; letzte Prüfungen stehen aus',
  'the-sensor-or-its-pipes-were':
    'Der Sensor oder seine Leitungen waren schuld. Richtig gemessen ist der Filter gut. Was noch zu prüfen ist, steht unten.',
  'outstanding-checks-are-listed-below': ({ fell }: { fell: Said }, w: Words) =>
    `${w.say(fell)} Was noch zu prüfen ist, steht unten.`.trimStart(),
  'the-problem-has-come-back': 'Der Fehler ist wiedergekommen',
  'the-work-helped-but':
    'Die Arbeit hat geholfen, aber der Filter war so bald wieder voll, dass die Ursache noch da sein muss.',
  'better-but-not-good-yet': 'Besser, aber noch nicht gut',
  'that-is-not-enough-yet': ({ fell }: { fell: Said }, w: Words) =>
    `${w.say(fell)} Das reicht noch nicht.`.trimStart(),
  'not-better': 'Nicht besser',
  'the-filter-is-more-blocked': 'Der Filter ist stärker zugesetzt als vorher. Die Arbeit ist nicht fertig.',
  'the-filter-is-good': 'Der Filter ist gut',
  'it-was-good-on-arrival': 'Er war schon bei der Ankunft gut: Es gab nichts zu reinigen.',
  'result-not-known-yet': 'Ergebnis noch nicht bekannt',
  'what-is-missing-is-listed': 'Was fehlt, steht unten.',
  'the-work-is-not-finished': 'Die Arbeit ist nicht fertig',
  'a-reading-before-and-one': 'Eine Messung vor und eine nach der Arbeit werden zeigen, ob sie geholfen hat.',
  'why-it-came': 'Warum das Fahrzeug hier war',
  'found-and-repaired': 'Gefunden und behoben:',
  'no-cause-was-found-other': 'Außer der Beladung des Filters wurde keine Ursache gefunden.',
  'what-was-done': 'Was gemacht wurde',
  'how-blocked-the-filter': 'Wie zugesetzt der Filter war, vorher und nachher',
  'at-the-same-flow-before': (
    { beforeMbar, afterMbar }: { beforeMbar: number; afterMbar: number },
    w: Words,
  ) => `Bei gleichem Abgasstrom: vorher ${w.pressure(beforeMbar)}, nachher ${w.pressure(afterMbar)}.`,
  'outstanding-checks': 'Noch zu prüfen',
  photos: 'Fotos',
  'what-remains': 'Was offen bleibt',
  'when-it-is-due-again': 'Wann der Filter wieder fällig ist',
  'please-note': 'Bitte beachten',
  job: ({ number }: { number: number }) => `Auftrag ${number}`,
  'signed-off': ({ by, at }: { by: string; at: number }, w: Words) => `Abgeschlossen: ${by}, ${w.moment(at)}`,
  'not-signed-off': 'Nicht abgeschlossen',
  'a-lamp-that-is-off':
    'Eine erloschene Lampe und ein Zähler auf null beweisen für sich nichts. Geht die Lampe wieder an, nicht unter Last weiterfahren: Der Filter kann überhitzen. Einen Filter auszubauen oder auszuräumen ist fast überall verboten.',
  'done-although-blocked': ({ against }: { against: readonly Said[] }, w: Words) =>
    `Gemacht, obwohl etwas dagegen sprach: ${w.all(against)}`,
  'soot-counted': ({ beforeG, afterG }: { beforeG: number; afterG: number | undefined }, w: Words) =>
    `Ruß nach Zähler: ${sootWent(beforeG, afterG, w)}`,
  found: 'Gefunden:',
  open: 'Offen:',
  'open-matter': (
    { what, waitsFor, due }: { what: Said; waitsFor: string | undefined; due: string | undefined },
    w: Words,
  ) =>
    waitsFor === undefined
      ? w.say(what)
      : `${w.say(what)}; bestellt: ${waitsFor}${due === undefined ? '' : `, kommt am ${w.shortDate(`${due}T12:00:00.000Z`)}`}`,
  'nothing-noted': 'Nichts vermerkt.',
  customer: 'Kunde',
  page: ({ title, page, pages }: { title: string; page: number; pages: number }, w: Words) =>
    `${title} · Seite ${w.number(page)} von ${w.number(pages)}`,
  'photos-not-printed': ({ count }: { count: number }, w: Words) =>
    `${count === 1 ? 'Ein Foto lässt' : `${w.number(count)} Fotos lassen`} sich nicht drucken; beim Auftrag aufbewahrt.`,
  'photo-of-the-job': 'Foto vom Auftrag',
  print: 'Drucken',
  'link-open-until': ({ at }: { at: string }, w: Words) =>
    `Dieser Link ist bis zum ${w.shortDate(at)} offen.`,
  'letter-subject': ({ title, about }: { title: string; about: string | undefined }) =>
    `${title}: ${about ?? 'Bericht'}`,
  'letter-attached': ({ until }: { until: string }, w: Words) =>
    `Der Bericht liegt bei. Bis zum ${w.date(until)} steht er auch hier, mit dem Stand jenes Tages:`,
};
