import type { Stage } from '@white-ember/core/job';
import type { PartId } from '@white-ember/core/ledger';
import type { OpenJob } from './useJob.ts';

/** What every stage of a job works with. */
export interface StageProps {
  readonly open: OpenJob;
  readonly canEnter: boolean;
  /** What was to be done here is done: on to the step that is next now. */
  readonly onLead: () => void;
  readonly onStage: (stage: Stage, part?: PartId) => void;
}
