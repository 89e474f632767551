import type { CautionId } from '../checks/index.ts';
import type { WorkType } from '../ledger/index.ts';

/** The caution that stands before each kind of work. */
export const CAUTION_FOR_WORK: Record<WorkType, CautionId | undefined> = {
  'chemical-clean': 'chemicals',
  'drive-regeneration': 'burn',
  'standing-regeneration': 'burn',
  'off-vehicle-clean': 'hot',
  'filter-exchanged': 'hot',
  'pipe-cleared': 'air',
  'sensor-replaced': 'hot',
  'cause-repaired': undefined,
  'oil-changed': undefined,
  other: undefined,
};
