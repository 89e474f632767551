import * as common from '@white-ember/core/words/screens/common';
/** Something that holds or is not said: a tap each way. */
export function Chip({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      className={`min-h-11 px-3 py-1 border-2 rounded-sm text-left leading-tight ${on ? 'border-ink bg-ink text-paper font-bold' : 'border-rule bg-card'}`}
      onClick={() => onChange(!on)}
    >
      {label}
    </button>
  );
}

const NEXT = new Map<boolean | undefined, boolean | undefined>([
  [undefined, true],
  [true, false],
  [false, undefined],
]);

/** Yes, asked and no, or not asked: by shape and word, in three taps. */
export function ThreeWayChip({
  label,
  state,
  onChange,
}: {
  label: string;
  state: boolean | undefined;
  onChange: (state: boolean | undefined) => void;
}) {
  const look =
    state === true
      ? 'border-ink bg-ink text-paper font-bold'
      : state === false
        ? 'border-ink bg-paper'
        : 'border-rule bg-card';
  const said = state === undefined ? common.notAsked : state ? 'yes' : 'no';
  return (
    <button
      type="button"
      aria-label={`${label}: ${said}`}
      className={`min-h-11 px-3 py-1 border-2 rounded-sm text-left leading-tight ${look}`}
      onClick={() => onChange(NEXT.get(state))}
    >
      {state === false ? <s>{label}</s> : label}
      {state === false ? <span className="font-bold"> {common.no}</span> : null}
    </button>
  );
}
