/** A figure that is moved between two ends, with what it is now above it. */
export function Slide({
  label,
  shown,
  value,
  low,
  high,
  step,
  onValue,
}: {
  label: string;
  /** As it reads, with its unit. */
  shown: string;
  value: number;
  low: number;
  high: number;
  step: number;
  onValue: (value: number) => void;
}) {
  return (
    <label className="grid gap-1">
      <span className="flex justify-between items-baseline">
        <span className="font-head font-semibold">{label}</span>
        <span className="figure-text text-lg" aria-hidden>
          {shown}
        </span>
      </span>
      <input
        type="range"
        className="min-h-11 w-full accent-[var(--ember-button)]"
        min={low}
        max={Math.max(high, value)}
        step={step}
        value={value}
        aria-valuetext={shown}
        onChange={(event) => onValue(Number(event.target.value))}
      />
    </label>
  );
}
