import type { PartId, SingleUse } from '@white-ember/core/ledger';

/** What usually has to come off on the way to a filter: one tap fills the form. */
export interface UsualPart {
  readonly what: string;
  readonly part?: PartId;
  readonly singleUse?: readonly { readonly what: SingleUse; readonly count: number }[];
  readonly connectors?: readonly string[];
  readonly safetyCritical?: boolean;
  readonly helper?: boolean;
}

export const USUAL_PARTS: readonly UsualPart[] = [
  { what: 'Heat shield' },
  { what: 'ΔP hoses', part: 'dp-sensor' },
  { what: 'EGT before the filter', part: 'egt3', connectors: ['EGT 3'] },
  { what: 'EGT after the filter', part: 'egt4', connectors: ['EGT 4'] },
  { what: 'Front pipe', singleUse: [{ what: 'seal', count: 1 }] },
  { what: 'Rear pipe', singleUse: [{ what: 'seal', count: 1 }] },
  { what: 'Band clamp', singleUse: [{ what: 'clamp', count: 1 }] },
  { what: 'Bracket' },
  { what: 'Cross-member', safetyCritical: true, helper: true },
  { what: 'Engine mount', safetyCritical: true },
  { what: 'Drive shaft', safetyCritical: true, singleUse: [{ what: 'nut', count: 1 }] },
  { what: 'Steering column joint', safetyCritical: true, singleUse: [{ what: 'bolt', count: 1 }] },
  { what: 'Filter', part: 'filter', helper: true },
];
