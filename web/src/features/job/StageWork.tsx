import type { JobState, Stage } from '@white-ember/core/job';
import type { PartId } from '@white-ember/core/ledger';
import { ChecksPanel } from '../checks/ChecksPanel.tsx';
import { CodesPanel } from '../codes/CodesPanel.tsx';
import { ProvePanel } from '../proof/ProvePanel.tsx';
import { ReadingPanel } from '../readings/ReadingPanel.tsx';
import { HandOverPanel } from '../report/HandOverPanel.tsx';
import { DecidePanel } from '../treatment/DecidePanel.tsx';
import { TreatPanel } from '../treatment/TreatPanel.tsx';
import { IntakePanel } from '../intake/IntakePanel.tsx';
import { StateNow, useStateNow } from './StateNow.tsx';
import type { StageProps } from '../../job/stageProps.ts';

/** What is done at each stage of a job; what the job is in the middle of stands first. */
export function StageWork({ stage, part, ...props }: StageProps & Of) {
  const { open, canEnter } = props;
  const state = useStateNow(open);
  // A dwell of the clean has its own first screen in the clean.
  const inClean =
    state?.is === 'waiting' &&
    state.clock.clock === 'dwell' &&
    open.derived.treatment?.body.treatment === 'chemical';
  const first =
    state?.stage === stage && !inClean && !open.sealed && open.at === undefined ? state : undefined;
  return (
    <>
      {first ? <StateNow open={open} state={first} canEnter={canEnter} /> : null}
      <Work {...props} stage={stage} part={part} first={first} />
    </>
  );
}

interface Of {
  readonly stage: Stage;
  readonly part: PartId | undefined;
}

function Work({ stage, part, first, ...props }: StageProps & Of & { first: JobState | undefined }) {
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
      return <DecidePanel {...props} first={first} />;
    case 'treat':
      return <TreatPanel {...props} first={first} />;
    case 'prove':
      return <ProvePanel {...props} />;
    case 'hand-over':
      return <HandOverPanel {...props} />;
  }
}
