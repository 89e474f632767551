import * as wording from '@white-ember/core/words/screens/proof';
/** What holds a reset off, and what it would hide where it may be done. */
export function HeldOff({ held, warnings }: { held: readonly string[]; warnings: readonly string[] }) {
  return (
    <>
      {held.length > 0 ? (
        <div className="border-l-8 border-ember pl-3">
          <p className="font-head font-semibold">{wording.blocked}</p>
          <Sentences of={held} />
        </div>
      ) : null}
      {warnings.length > 0 ? (
        <div className="border-l-8 border-ink pl-3">
          <Sentences of={warnings} />
        </div>
      ) : null}
    </>
  );
}

const Sentences = ({ of }: { of: readonly string[] }) => (
  <ul className="text-[15px] leading-snug grid gap-1">
    {of.map((text) => (
      <li key={text}>{text}</li>
    ))}
  </ul>
);
