import { own } from '../text/index.ts';
import { CHECK_LABELS } from '../checks/index.ts';
import type { BurnEnd, Entry, Face, Reset, Treatment, WorkType } from '../ledger/index.ts';
import { CLOCK_LABELS } from './clocks.ts';

export const WORK_LABELS: Record<WorkType, string> = {
  'chemical-clean': 'Chemical clean in place',
  'drive-regeneration': 'Drive regeneration',
  'standing-regeneration': 'Parked regeneration',
  'off-vehicle-clean': 'Off-vehicle back-flush',
  'filter-exchanged': 'Filter replaced',
  'pipe-cleared': 'Pipe cleared',
  'sensor-replaced': 'Sensor replaced',
  'cause-repaired': 'Cause repaired',
  'oil-changed': 'Oil changed',
  other: 'Other work',
};

/** Here and not with the choice: a pin needs the word, not the whole of diagnosis and treatment. */
export const TREATMENT_LABELS: Readonly<Record<Treatment, string>> = {
  nothing: 'Leave the filter alone',
  drive: 'Drive regeneration',
  standing: 'Parked regeneration',
  chemical: 'Chemical clean in place',
  'off-vehicle': 'Off-vehicle clean, back-flushed',
  exchange: 'Replacement filter',
};

export const BURN_END_WORDS: Readonly<Record<BurnEnd, string>> = {
  'by-itself': 'finished by itself',
  stopped: 'stopped',
  fire: 'ended in a fire',
  unknown: 'end not seen',
};

export const FACE_WORDS: Readonly<Record<Face, string>> = {
  clean: 'clean',
  grey: 'grey, dry',
  black: 'black, soot',
  oily: 'oily',
  white: 'white, ash',
  cracked: 'cracked',
  melted: 'melted',
  plugged: 'plugged',
};

export const RESET_LABELS: Readonly<Record<Reset, string>> = {
  'adapt-delta-p': 'ΔP sensor zero learned',
  'reset-oil': 'Oil life reset',
  'reset-soot': 'Soot counter reset',
  'new-filter': 'New filter registered in the ECU',
  'learned-values': 'Learned values reset',
  'clear-codes': 'Codes cleared',
};

const SUBSTITUTED = { yes: 'it changes', no: 'no change', unclear: 'unclear' } as const;

export const DRIVABLE_WORDS = {
  drive: 'It may be driven',
  limited: 'It may be driven, limited',
  no: 'It may not be driven',
} as const;

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** The few words that stand at an entry's pin on the tape: what, and its figure. */
export function entryFigure(entry: Pick<Entry, 'body'>): string {
  const { body } = entry;
  switch (body.kind) {
    case 'complaint':
      return 'complaint';
    case 'code-scan':
      return body.codes.length === 0 ? 'no codes' : count(body.codes.length, 'code', 'codes');
    case 'reading': {
      const strongest = [...body.samples].sort((a, b) => b.rpm - a.rpm)[0];
      const at =
        strongest?.kind === 'hold' ? `${Math.round(strongest.rpm / 50) * 50}` : (strongest?.kind ?? '');
      return `${at}: ${strongest?.dpMbar === undefined ? '–' : Math.round(strongest.dpMbar)} mbar`;
    }
    case 'work':
      return body.dwellMin === undefined
        ? WORK_LABELS[body.work].toLowerCase()
        : `${WORK_LABELS[body.work].toLowerCase()}, dwell ${body.dwellMin} min`;
    case 'drive':
      return `drive ${body.distanceKm} km`;
    case 'part-state':
      return `${body.part.replaceAll('-', ' ')} ${body.state.replaceAll('-', ' ')}`;
    case 'check':
      return `check: ${own<string>(CHECK_LABELS, body.check) ?? body.check}`;
    case 'cause':
      return `cause ${body.state.replace('-', ' ')}`;
    case 'substitution':
      return `known-good ${body.part.replaceAll('-', ' ')}: ${SUBSTITUTED[body.changed]}`;
    case 'part-changed':
      return `${body.what} changed${body.where === 'elsewhere' ? ' elsewhere' : ''}`;
    case 'temporary-repair':
      return 'temporary repair';
    case 'drivable':
      return DRIVABLE_WORDS[body.verdict].toLowerCase();
    case 'treatment-chosen':
      return `chosen: ${TREATMENT_LABELS[body.treatment].toLowerCase()}`;
    case 'clock-started':
      return `${CLOCK_LABELS[body.clock].toLowerCase()} ${body.minutes} min`;
    case 'clock-ended':
      return 'timer ended';
    case 'made-ready':
      return `ready for: ${TREATMENT_LABELS[body.treatment].toLowerCase()}`;
    case 'burn-reading':
      return body.egt3C === undefined
        ? 'read during the regeneration'
        : `${Math.round(body.egt3C)} °C before the filter`;
    case 'burn-ended':
      return `burn ${BURN_END_WORDS[body.how]}, ${Math.round(body.minutes)} min`;
    case 'part-off':
      return `off: ${body.what}`;
    case 'part-back':
      return 'a part refitted';
    case 'fastener-signed':
      return `fastener ${body.number}: ${body.torqueNm} N·m`;
    case 'part-broke':
      return `broke: ${body.what}`;
    case 'filter-off':
      return body.massKg === undefined
        ? `filter ${body.when} the clean, looked at`
        : `filter ${body.when} the clean: ${body.massKg} kg`;
    case 'reset': {
      const { before, after } = body;
      const counted = before.sootG === undefined ? '' : `, ${before.sootG} → ${after?.sootG ?? '?'} g`;
      return `${RESET_LABELS[body.reset].toLowerCase()}${counted}`;
    }
    case 'settled':
      return 'settled';
    case 'choice-offered':
      return `${count(body.options.length, 'offer', 'offers')} to the customer`;
    case 'choice-made':
      return 'customer’s choice';
    case 'family-note':
      return 'noted for the engine family';
    case 'follow-up':
      return `to do: ${body.what}`;
    case 'follow-up-done':
      return 'follow-up done';
    case 'photo':
      return 'photo';
    case 'note':
      return 'note';
    case 'sign-off':
      return 'signed off';
    case 'caution-acknowledged':
      return 'caution read';
    case 'withdrawn':
      return 'withdrawn';
  }
}
