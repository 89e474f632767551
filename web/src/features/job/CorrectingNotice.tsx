import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';

/** Says that a form corrects an earlier entry, and lets it be. */
export function CorrectingNotice({
  correcting,
}: {
  correcting: { readonly entry: { readonly deviceTime: string }; readonly leave: () => void } | undefined;
}) {
  if (!correcting) return null;
  const at = new Date(correcting.entry.deviceTime).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
  });
  return (
    <Notice title={`Correcting the entry of ${at}`}>
      Your entry replaces it at its time; the original stays in the history.{' '}
      <Button weight="quiet" className="px-0" onClick={correcting.leave}>
        Cancel
      </Button>
    </Notice>
  );
}
