import { useSpoken } from '../app/words.ts';
import { CAUTIONS, type CautionId } from '@white-ember/core/checks';
import { Button } from './Button.tsx';

/**
 * A caution at the step that can hurt: a bold rule and the word. In full until it is acknowledged, once per act and
 * person; then a line that opens again, so that it never stands in the way of a reading.
 */
export function CautionCard({
  id,
  acknowledged,
  onAcknowledge,
}: {
  id: CautionId;
  acknowledged: boolean;
  onAcknowledge?: () => void;
}) {
  const caution = useSpoken(CAUTIONS[id]);
  const title = (
    <>
      <span className="tracking-widest">CAUTION</span> · {caution.title}
    </>
  );
  if (acknowledged) {
    return (
      <details className="border-t-4 border-ink bg-card px-3">
        <summary className="font-head font-semibold min-h-10 content-center">
          {title} <span className="text-sm text-ink2 font-medium">· read for this step</span>
        </summary>
        <p className="text-[15px] pb-2">{caution.text}</p>
      </details>
    );
  }
  return (
    <section
      aria-label={`Caution: ${caution.title}`}
      className="border-t-8 border-ink bg-card p-3 flex flex-wrap gap-x-6 gap-y-2 items-center"
    >
      <div className="grow basis-72">
        <p className="font-head font-semibold">{title}</p>
        <p className="text-[15px] leading-snug">{caution.text}</p>
      </div>
      {onAcknowledge ? <Button onClick={onAcknowledge}>I have read this</Button> : null}
    </section>
  );
}
