import * as wording from '@white-ember/core/words/screens/codes';
import { compareScans } from '@white-ember/core/codes';
import type { BodyOf, EntryOf } from '@white-ember/core/ledger';
import { SortedCodes } from './SortedCodes.tsx';

export const SCAN_WORDS: Readonly<Record<BodyOf<'code-scan'>['when'], string>> = {
  before: wording.beforeTheWork,
  'after-unplugging': wording.afterUnplugging,
  'after-clear': wording.afterClearing,
  'after-drive': wording.afterTheDrive,
};

const named = (word: string, codes: readonly string[]): string[] =>
  codes.length === 0 ? [] : [`${word}: ${codes.join(', ')}`];

/** Scans in their order, the last one in full, each set against the one before it. */
export function ScanList({ scans }: { scans: readonly EntryOf<'code-scan'>[] }) {
  if (scans.length === 0) return null;
  return (
    <ol className="grid gap-4">
      {scans.map((scan, i) => {
        const before = scans[i - 1];
        const change = before ? compareScans(before.body.codes, scan.body.codes) : undefined;
        const { codes, when, reportedBy } = scan.body;
        return (
          <li key={scan.id}>
            <p className="text-sm text-ink2">
              {SCAN_WORDS[when]}
              {reportedBy === 'customer' ? wording.reportedByTheCustomer : ''}
            </p>
            {codes.length === 0 ? (
              <p className="figure-text text-lg">
                {reportedBy === 'customer' ? wording.noLampNoMessage : wording.noCodes}
              </p>
            ) : i === scans.length - 1 ? (
              <SortedCodes codes={codes} />
            ) : (
              <p className="figure-text text-lg">{codes.map(({ code }) => code).join(', ')}</p>
            )}
            {change ? (
              <p className="text-[15px] mt-1">
                {[
                  ...named(wording.gone, change.gone),
                  ...named(wording.stillThere, change.stayed),
                  ...named(wording.newCodes, change.came),
                ].join(' · ') || wording.asBefore}
              </p>
            ) : null}
          </li>
        );
      })}
    </ol>
  );
}
