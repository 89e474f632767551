import * as wording from '@white-ember/core/words/screens/job';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../data/words.ts';
import { Button } from '../ui/Button.tsx';
import { Notice } from '../ui/Notice.tsx';

/** Says that a form corrects an earlier entry, and lets it be. */
export function CorrectingNotice({
  correcting,
}: {
  correcting: { readonly entry: { readonly deviceTime: string }; readonly leave: () => void } | undefined;
}) {
  const words = useWords();
  if (!correcting) return null;
  const at = words.clock(correcting.entry.deviceTime);
  return (
    <Notice title={wording.correctingTheEntryOf(at)}>
      {wording.yourEntryReplacesItAtItsTime}{' '}
      <Button weight="quiet" className="px-0" onClick={correcting.leave}>
        {common.cancel}
      </Button>
    </Notice>
  );
}
