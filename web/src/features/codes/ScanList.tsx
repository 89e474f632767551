import type { EntryOf } from '@white-ember/core/ledger';

const WHEN = {
  before: 'Before the work',
  'after-clear': 'After clearing',
  'after-drive': 'After the drive',
} as const;

export function ScanList({ scans }: { scans: readonly EntryOf<'code-scan'>[] }) {
  if (scans.length === 0) return null;
  return (
    <ul className="border-t-2 border-ink">
      {scans.map((scan) => (
        <li key={scan.id} className="border-b-2 border-rule py-2">
          <p className="text-sm text-ink2">{WHEN[scan.body.when]}</p>
          <p className="figure-text text-lg">
            {scan.body.codes.length === 0 ? 'no codes' : scan.body.codes.map((code) => code.code).join(', ')}
          </p>
        </li>
      ))}
    </ul>
  );
}
