import type { Entry } from '../ledger/index.ts';

/** The stages of a job in the order of the work; they are the sections of the tape. */
export const STAGES = [
  'intake',
  'codes',
  'baseline',
  'checks',
  'decide',
  'treat',
  'prove',
  'hand-over',
] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_LABELS: Record<Stage, string> = {
  intake: 'Intake',
  codes: 'Codes',
  baseline: 'Baseline',
  checks: 'Checks',
  decide: 'Decide',
  treat: 'Treat',
  prove: 'Prove',
  'hand-over': 'Hand over',
};

/** The stage that an entry belongs to. Notes, photos and cautions belong to none: they stand where they were made. */
export function stageOf(entry: Pick<Entry, 'body'>): Stage | undefined {
  const { body } = entry;
  switch (body.kind) {
    case 'complaint':
      return 'intake';
    case 'part-changed':
      return body.where === 'elsewhere' ? 'intake' : 'treat';
    case 'code-scan':
      return body.when === 'before' || body.when === 'after-unplugging' ? 'codes' : 'prove';
    case 'reading':
      return body.purpose === 'before' ? 'baseline' : body.purpose === 'after' ? 'prove' : 'treat';
    case 'part-state':
    case 'check':
    case 'substitution':
      return 'checks';
    case 'cause':
    case 'choice-offered':
    case 'choice-made':
    case 'drivable':
    case 'treatment-chosen':
      return 'decide';
    case 'work':
    case 'temporary-repair':
    case 'clock-started':
    case 'clock-ended':
    case 'settled':
    case 'made-ready':
    case 'burn-reading':
    case 'burn-ended':
    case 'part-off':
    case 'part-back':
    case 'fastener-signed':
    case 'part-broke':
    case 'filter-off':
      return 'treat';
    case 'drive':
    case 'reset':
      return 'prove';
    case 'sign-off':
    case 'follow-up':
      return 'hand-over';
    case 'note':
    case 'photo':
    case 'family-note':
    case 'follow-up-done':
    case 'caution-acknowledged':
    case 'withdrawn':
      return undefined;
  }
}
