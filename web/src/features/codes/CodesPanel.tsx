import { entriesOfKind } from '@white-ember/core/ledger';
import type { StageProps } from '../job/StageWork.tsx';
import { CodeScanForm } from './CodeScanForm.tsx';
import { ScanList } from './ScanList.tsx';

export function CodesPanel({ open, canEnter }: StageProps) {
  const scans = entriesOfKind(open.derived.entries, 'code-scan');
  return (
    <div className="max-w-2xl grid gap-5">
      <h2 className="text-2xl">Codes</h2>
      <ScanList scans={scans} />
      {canEnter ? <CodeScanForm open={open} when="before" title="Scan before anything is cleared" /> : null}
    </div>
  );
}
