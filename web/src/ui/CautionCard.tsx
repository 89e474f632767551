import { CAUTIONS, type CautionId } from '@white-ember/core/job';
import { Button } from './Button.tsx';

/** A caution at the step that can hurt: a bold rule and the word. Read at any time; acknowledged once per act and person. */
export function CautionCard({
  id,
  acknowledged,
  onAcknowledge,
}: {
  id: CautionId;
  acknowledged: boolean;
  onAcknowledge?: () => void;
}) {
  const caution = CAUTIONS[id];
  return (
    <section aria-label={`Caution: ${caution.title}`} className="border-t-8 border-ink bg-card p-3">
      <p className="font-head font-semibold">
        <span className="tracking-widest">CAUTION</span> · {caution.title}
      </p>
      <p className="text-[15px] mt-1">{caution.text}</p>
      {acknowledged ? (
        <p className="text-sm text-ink2 mt-1">✓ Read and acknowledged for this act.</p>
      ) : onAcknowledge ? (
        <Button className="mt-2" onClick={onAcknowledge}>
          I have read this
        </Button>
      ) : null}
    </section>
  );
}
