import { inWords } from '@white-ember/core/words';
import { useAppSelector } from '../data/store.ts';
import { useWordsIn } from '../data/words.ts';
import { CAUTIONS, type CautionId } from '@white-ember/core/checks';
import { Button } from './Button.tsx';
import { LearnLink } from './LearnLink.tsx';

/**
 * A caution at the step that can hurt: a bold rule and the word. In full until it is acknowledged for the act by the
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
  const language = useAppSelector((state) => state.preferences.language);
  const words = useWordsIn(language);
  const caution = inWords(CAUTIONS[id], words);
  const title = (
    <>
      <span className="tracking-widest uppercase">{words.name('cautions', 'caution')}</span> · {caution.title}
    </>
  );
  if (acknowledged) {
    return (
      <details lang={language} className="border-t-4 border-ink bg-card px-3">
        <summary className="font-head font-semibold min-h-10 content-center">
          {title}{' '}
          <span className="text-sm text-ink2 font-medium">
            · {words.name('cautions', 'read-for-this-step')}
          </span>
        </summary>
        <p className="text-[15px] pb-2">{caution.text}</p>
        <LearnLink what="cautions" id={id} />
      </details>
    );
  }
  return (
    <section
      lang={language}
      aria-label={`${words.name('cautions', 'caution')}: ${caution.title}`}
      className="border-t-8 border-ink bg-card p-3 flex flex-wrap gap-x-6 gap-y-2 items-center"
    >
      <div className="grow basis-72">
        <p className="font-head font-semibold">{title}</p>
        <p className="text-[15px] leading-snug">{caution.text}</p>
        <LearnLink what="cautions" id={id} />
      </div>
      {onAcknowledge ? (
        <Button onClick={onAcknowledge}>{words.name('cautions', 'i-have-read-this')}</Button>
      ) : null}
    </section>
  );
}
