import type { Said } from '../message.ts';
import type { Translation, Words } from '../words.ts';
import type { job as english } from '../en/job.ts';

/** What remains after a job, as it stands in the customer’s report. */
export const job: Partial<Translation<typeof english>> = {
  for: ({ what }: { what: Said }, w: Words) => `Vorläufig: ${w.say(what)}`,
  'a-cause-was-found': 'Eine Ursache wurde gefunden und nicht behoben: Der Filter wird sich wieder zusetzen.',
  'a-repair-is-temporary': 'Eine Reparatur ist vorläufig.',
  'handed-over-before': 'Übergeben, bevor es nachgewiesen war.',
  'ask-for-the-customers-choice': ({ text }: { text: Said }, w: Words) =>
    `Entscheidung des Kunden einholen: ${w.say(text)}`,
  fit: ({ waitsFor }: { waitsFor: Said }, w: Words) => `${w.say(waitsFor)} einbauen`,
  'make-the-repair-permanent': 'Dauerhaft reparieren',
  'read-the-filter-again-after': ({ recheckAfterKm }: { recheckAfterKm: number }, w: Words) =>
    `Den Filter nach ${w.distance(recheckAfterKm)} noch einmal messen`,
  'change-the-oil': 'Öl wechseln',
  'oil-due': ({ everyKm }: { everyKm: number }, w: Words) =>
    `${w.distance(everyKm)} nach dem letzten Wechsel, nach den Grenzwerten.`,
  'temporary-repair': ({ what }: { what: Said }, w: Words) => `Vorläufig repariert: ${w.say(what)}`,
  'a-temporary-repair-or-something': 'Vorläufig repariert, oder noch etwas offen',
  'soot-above-the-regeneration-limit':
    'Zu viel Ruß für eine Regeneration: nicht lange voll beschleunigen, keine Last',
  'power-is-limited': 'Die Leistung ist begrenzt',
  'nothing-known-speaks-against': 'Es ist nichts bekannt, was dagegen spricht',
  'oil-enters-the-exhaust': 'Öl gelangt in den Auspuff: Einmal heiß, brennt es weiter',
  'exhaust-nearly-closed': 'Der Auspuff ist fast zu: Der Motor würgt ab',
  'worn-turbo-leaks-oil':
    'Ein verschlissener Turbolader, der Öl verliert, speist es in den Auspuff; der Motor kann durchgehen',
  'pressure-not-the-filters':
    'Der gezeigte Druck ist nicht der des Filters: Seine Beladung ist nicht bekannt',
  'sensor-path-untrusted':
    'Dem Differenzdrucksensor oder seinen Leitungen ist nicht zu trauen: Die Beladung ist nicht bekannt',
  'oil-may-enter': 'Vielleicht gelangt Öl in den Auspuff: vor einer langen Fahrt prüfen',
  'turbo-worn-no-load': 'Der Turbolader ist verschlissen: keine Last, keine hohen Drehzahlen',
  'full-of-soot': 'Der Filter ist voll Ruß',
};
