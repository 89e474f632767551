import * as wording from '@white-ember/core/words/screens/codes';
import { Link } from 'react-router';
import { entriesOfKind } from '@white-ember/core/ledger';
import type { StageProps } from '../../job/stageProps.ts';
import { CodeScanForm } from './CodeScanForm.tsx';
import { ScanList } from './ScanList.tsx';

export function CodesPanel({ open, canEnter, onLead }: StageProps) {
  const scans = entriesOfKind(open.derived.entries, 'code-scan');
  return (
    <div className="max-w-2xl grid gap-5">
      <h2 className="text-2xl">{wording.codes}</h2>
      <p className="text-[15px]">
        {wording.aCodeNamesACircuitOrA}{' '}
        <Link to={`/jobs/${open.job.id}/live`} className="underline underline-offset-4">
          {wording.readThemFromTheVehicle}
        </Link>
      </p>
      <ScanList scans={scans} />
      {canEnter ? (
        <CodeScanForm
          key={scans.length === 0 ? 'first' : 'another'}
          open={open}
          choices={scans.length === 0 ? ['before'] : ['after-unplugging', 'before', 'after-clear']}
          onDone={onLead}
          title={scans.length === 0 ? wording.scanOfEveryModuleBeforeAnythingIs : wording.anotherScan}
        />
      ) : null}
    </div>
  );
}
