import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
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
  { what: wording.heatShield },
  { what: wording.deltapHoses, part: 'dp-sensor' },
  { what: wording.egtBeforeTheFilter, part: 'egt3', connectors: [common.egt3] },
  { what: wording.egtAfterTheFilter, part: 'egt4', connectors: [common.egt4] },
  { what: wording.frontPipe, singleUse: [{ what: 'seal', count: 1 }] },
  { what: wording.rearPipe, singleUse: [{ what: 'seal', count: 1 }] },
  { what: wording.bandClamp, singleUse: [{ what: 'clamp', count: 1 }] },
  { what: wording.bracket },
  { what: wording.crossMember, safetyCritical: true, helper: true },
  { what: wording.engineMount, safetyCritical: true },
  { what: wording.driveShaft, safetyCritical: true, singleUse: [{ what: 'nut', count: 1 }] },
  { what: wording.steeringColumnJoint, safetyCritical: true, singleUse: [{ what: 'bolt', count: 1 }] },
  { what: common.filter, part: 'filter', helper: true },
];
