import type { Stage } from '@white-ember/core/job';
import type { PartId } from '@white-ember/core/ledger';
import { ChecksPanel } from '../checks/ChecksPanel.tsx';
import { CodesPanel } from '../codes/CodesPanel.tsx';
import { ProvePanel } from '../proof/ProvePanel.tsx';
import { ReadingPanel } from '../readings/ReadingPanel.tsx';
import { HandOverPanel } from '../report/HandOverPanel.tsx';
import { DecidePanel } from '../treatment/DecidePanel.tsx';
import { TreatPanel } from '../treatment/TreatPanel.tsx';
import { IntakePanel } from '../intake/IntakePanel.tsx';
import type { StageProps } from '../../job/stageProps.ts';

/** What is done at each stage of a job. */
export function StageWork({
  stage,
  part,
  ...props
}: StageProps & { stage: Stage; part: PartId | undefined }) {
  switch (stage) {
    case 'intake':
      return <IntakePanel {...props} />;
    case 'codes':
      return <CodesPanel {...props} />;
    case 'baseline':
      return <ReadingPanel {...props} purpose="before" />;
    case 'checks':
      return <ChecksPanel {...props} part={part} />;
    case 'decide':
      return <DecidePanel {...props} />;
    case 'treat':
      return <TreatPanel {...props} />;
    case 'prove':
      return <ProvePanel {...props} />;
    case 'hand-over':
      return <HandOverPanel {...props} />;
  }
}
