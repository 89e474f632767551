import type { Said } from '../message.ts';
import type { Translation, Words } from '../words.ts';
import type { proof as english } from '../en/proof.ts';

const fromTo = (fromG: number, toG: number, w: Words): string =>
  `von ${w.soot(fromG, 1)} auf ${w.soot(toG, 1)}`;

interface Rise {
  lowMbar: number;
  highMbar: number;
  leastMbar: number;
}
const riseBy = ({ lowMbar, highMbar, leastMbar }: Rise, w: Words): string =>
  `von Hand ${w.pressure(lowMbar)} auf ${w.pressure(highMbar)} (mindestens ${w.pressure(leastMbar)})`;

/** The evidence, and what is missing of it, as it stands in the customer’s report. */
export const proof: Partial<Translation<typeof english>> = {
  idle: 'Leerlauf',
  rpm: ({ rpm }: { rpm: number }, w: Words) => `${w.number(rpm, 0)} 1/min`,
  'after-was-read-at-more':
    'Nachher floss mehr Abgas als vorher, und doch war der Druck kleiner: Der wahre Rückgang ist mindestens so groß.',
  'curve-misses': ({ share, rpm }: { share: number; rpm: number }, w: Words) =>
    `Die Kurve liegt bei ${w.number(rpm, 0)} 1/min ${w.percent(100 * Math.abs(share), 0)} ${share > 0 ? 'über' : 'unter'} der Messung: Es gelten die Punkte.`,
  'curve-misses-idle': ({ share }: { share: number }, w: Words) =>
    `Die Kurve liegt im Leerlauf ${w.percent(100 * Math.abs(share), 0)} ${share > 0 ? 'über' : 'unter'} der Messung: Der AGR-Strom ist nicht bekannt.`,
  'the-before-reading': 'Die Messung vorher hat keinen Wert mit bekanntem Abgasstrom.',
  'the-after-reading': 'Die Messung nachher hat keinen Wert mit bekanntem Abgasstrom.',
  'the-two-readings-share': (
    { beforeM3PerH, afterM3PerH }: { beforeM3PerH: number; afterM3PerH: number },
    w: Words,
  ) =>
    `Die Messungen haben keinen gemeinsamen Abgasstrom: vorher bis ${w.volumeFlow(beforeM3PerH)}, nachher bis ${w.volumeFlow(afterM3PerH)}. Beide bei denselben Drehzahlen messen.`,
  'the-before-reading-was-taken':
    'Die Messung vorher wurde nach der Arbeit gemacht: Sie kann den Zustand davor nicht zeigen',
  'a-before-reading': 'Eine Messung vorher',
  'read-before-any-work': 'Vor jeder Arbeit am Filter messen',
  'the-after-reading-is-older':
    'Die Messung nachher ist älter als die letzte Arbeit an Filter oder Sensor: neu messen',
  'an-after-reading': 'Eine Messung nachher',
  'read-again-at-the-same': 'Bei denselben Drehzahlen warm noch einmal messen',
  'with-sensor-and-pipes-repaired': 'Mit repariertem Sensor und Leitungen liegt der Druck in den Grenzen',
  'the-new-filters-pressure': 'Der Druck des neuen Filters liegt in den Grenzen',
  'pressure-lower-at-equal-flow': 'Druck bei gleichem Abgasstrom kleiner und in den Grenzen',
  'exhaust-temperature-rises-past-c': ({ limit }: { limit: number }, w: Words) =>
    `Die Abgastemperatur steigt über ${w.temperature(limit)}`,
  'exhaust-temperature-rises-freely': ({ readC, limit }: { readC: number; limit: number }, w: Words) =>
    `Die Abgastemperatur steigt ungehindert: ${w.temperature(readC)} (mindestens ${w.temperature(limit)})`,
  'exhaust-gets-no-hotter': ({ readC, limit }: { readC: number; limit: number }, w: Words) =>
    `Das Abgas wird nicht heißer als ${w.temperature(readC)}, nötig sind ${w.temperature(limit)}: Die Regeneration kann gesperrt sein`,
  'a-drive-after-the-work': 'Eine Probefahrt nach der Arbeit',
  'drive-at-least-km-warm': ({ driveLeastKm }: { driveLeastKm: number }, w: Words) =>
    `Mindestens ${w.distance(driveLeastKm)} warm fahren, einmal voll beschleunigen`,
  'a-drive-of-km': ({ distanceKm, driveLeastKm }: { distanceKm: number; driveLeastKm: number }, w: Words) =>
    `Eine Fahrt von ${w.distance(distanceKm)} ist zu kurz, um etwas zu zeigen (mindestens ${w.distance(driveLeastKm)})`,
  'drive-at-least-km': ({ driveLeastKm }: { driveLeastKm: number }, w: Words) =>
    `Mindestens ${w.distance(driveLeastKm)} fahren`,
  'drive-of-km': ({ distanceKm, byCustomer }: { distanceKm: number; byCustomer: boolean }, w: Words) =>
    `Fahrt von ${w.distance(distanceKm)}${byCustomer ? ', vom Kunden gemeldet' : ''}`,
  'no-codes-after-the-drive': 'Keine Fehlercodes nach der Fahrt',
  'scan-again-after-the-drive': 'Nach der Fahrt neu auslesen; ohne Gerät kann der Kunde die Lampen melden',
  'codes-after-the-drive': ({ codes }: { codes: readonly string[] }) =>
    `Fehlercodes nach der Fahrt: ${codes.join(', ')}`,
  'no-lamp-and-no-message': 'Keine Lampe und keine Meldung nach der Fahrt, vom Kunden gemeldet',
  'no-codes-but': ({ beside }: { beside: readonly string[] }) =>
    `Keine Fehlercodes nach der Fahrt${beside.length === 0 ? '' : `, außer ${beside.join(', ')}, ohne Bezug zum Filter`}`,
  'power-is-still-limited': 'Die Leistung ist noch begrenzt',
  'power-limit-gone': 'Volle Leistung',
  'one-pull-at-full-throttle': 'Auf der Fahrt einmal voll beschleunigen',
  'dp-sensor-proved-good-hoses': 'Differenzdrucksensor nachweislich gut, Schläuche fest und heil',
  'pump-test-or-a-known': 'Prüfung mit der Handpumpe, oder ein bekannt guter Sensor an seiner Stelle',
  'dp-sensor-good': 'Differenzdrucksensor gut',
  'the-dp-sensor-fitted': 'Der verbaute Differenzdrucksensor gehört nicht zu diesem Fahrzeug',
  'dp-sensor-good-by': ({ why }: { why: Said }, w: Words) => `Differenzdrucksensor gut: ${w.say(why)}`,
  'a-new-one': 'ein neuer',
  looked: 'geprüft',
  'the-dp-sensor': ({ state, why }: { state: Said; why: Said }, w: Words) =>
    `Der Differenzdrucksensor ist ${w.say(state)}: ${w.say(why)}`,
  'sensor-hoses-checked': 'Sensorschläuche geprüft',
  'hoses-refitted-intact': 'Schläuche wieder montiert, heil und nicht vertauscht',
  'hoses-one-minute-each': 'Schläuche, eine Minute: jeder an seinem Anschluss, heil, geklemmt',
  'a-sensor-pipe-is-blocked': 'Eine Sensorleitung ist zu',
  'sensor-pipes-open': 'Sensorleitungen frei',
  'the-new-sensor-needs': ({ bestText }: { bestText: Said }, w: Words) =>
    `${w.say(bestText)}; der neue Sensor muss selbst geprüft werden`,
  'sensor-and-pipes-checked-again': 'Sensor und Leitungen nach der Reparatur noch einmal geprüft',
  'dp-follows-the-flow': 'Der Differenzdruck folgt dem Abgasstrom',
  'dp-lags-the-flow': 'Der Differenzdruck hinkt dem Abgasstrom nach: Eine Leitung ist verengt',
  'dp-follows-the-flow-in': 'Der Differenzdruck folgt dem Abgasstrom in der Aufzeichnung',
  'does-not-follow-the-flow': ({ correlation, least }: { correlation: number; least: number }, w: Words) =>
    `Der Differenzdruck folgt dem Abgasstrom nicht (r ${w.number(correlation, 2)}, mindestens ${w.number(least)})`,
  'follows-the-flow-by': (
    {
      correlation,
      least,
      lagS,
      mostS,
    }: { correlation: number; least: number; lagS: number | undefined; mostS: number },
    w: Words,
  ) =>
    `Der Differenzdruck folgt dem Abgasstrom in der Aufzeichnung (r ${w.number(correlation, 2)}, mindestens ${w.number(least)}${lagS === undefined ? '' : `, binnen ${w.number(lagS, 1)} s von ${w.number(mostS)} s`})`,
  'rises-with-the-flow': (figures: Rise, w: Words) =>
    `Der Differenzdruck steigt mit dem Abgasstrom: ${riseBy(figures, w)}`,
  'does-not-rise-with-the-flow': (figures: Rise, w: Words) =>
    `Der Differenzdruck steigt nicht mit dem Abgasstrom: ${riseBy(figures, w)}`,
  'repaired-and-its-check-passed': ({ cause }: { cause: Said }, w: Words) =>
    `Behoben, und seither geprüft: ${w.say(cause)}`,
  'its-own-check-passed-after': ({ cause }: { cause: Said }, w: Words) =>
    `Nach der Reparatur für sich geprüft: ${w.say(cause)}`,
  'repeat-the-check-that-found': 'Die Prüfung wiederholen, die es gezeigt hat',
  'its-pipe-checked-since-intact': 'Leitung seither geprüft: heil',
  'its-pipe-checked-intact-after': 'Leitung nach der Reparatur als heil geprüft',
  'the-soot-counter-over': 'Der Rußzähler über die Fahrt',
  'the-soot-counter-after': ({ end }: { end: number }, w: Words) =>
    `Der Rußzähler steht nach der Fahrt auf ${w.soot(end, 1)}; der Anfangswert fehlt`,
  'soot-fell-on-the-drive': ({ fromG, toG }: { fromG: number; toG: number }, w: Words) =>
    `Der Ruß nahm auf der Fahrt ab: ${fromTo(fromG, toG, w)} nach Zähler`,
  'the-soot-counter-is-still': ({ end }: { end: number }, w: Words) =>
    `Der Rußzähler steht noch auf ${w.soot(end, 1)}: nach der Reinigung nicht zurückgesetzt`,
  'soot-rose-on-the-drive': (
    { fromG, toG, mostG }: { fromG: number; toG: number; mostG: number },
    w: Words,
  ) =>
    `Der Rußzähler stieg auf der Fahrt: ${fromTo(fromG, toG, w)}, höchstens ${w.soot(mostG, 1)} mehr wären zu erwarten: Es sammelt sich wieder Ruß`,
  'soot-by-the-counter-after': (
    { end, sootAfterCleanG }: { end: number; sootAfterCleanG: number },
    w: Words,
  ) =>
    `Ruß nach Zähler nach der Fahrt ${w.soot(end, 1)}, höchstens ${w.soot(sootAfterCleanG, 1)} wären zu erwarten`,
  'soot-over-the-drive': (
    { fromG, toG, mostG, reset }: { fromG: number; toG: number; mostG: number; reset: boolean },
    w: Words,
  ) =>
    `Rußzähler über die Fahrt: ${fromTo(fromG, toG, w)}, höchstens ${w.soot(mostG, 1)} mehr wären zu erwarten${reset && fromG > 0 ? `; ${w.soot(fromG, 1)} ist der Wert nach dem Zurücksetzen` : ''}`,
};
