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
    <Notice title={`Correcting the entry of ${at}`}>
      Your entry replaces it at its time; the original stays in the history.{' '}
      <Button weight="quiet" className="px-0" onClick={correcting.leave}>
        Cancel
      </Button>
    </Notice>
  );
}
