import * as wording from '@white-ember/core/words/screens/live';
import { spokenNow } from '../../data/words.ts';
import { useState } from 'react';
import { fromBase, toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { typedNumber } from '../../ui/format.ts';
import { HANDS_ON } from './handActs.ts';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';

const PUMPED_MBAR = 200;

/** Work by hand at the simulated vehicle: what a person would do with plug, pump, cable and spanner. */
export function HandsOn({ session, state }: { session: LiveSession; state: LiveState }) {
  const unit = useAppSelector((app) => app.preferences.units.pressure);
  const [choice, setChoice] = useState('0/0');
  const [pumped, setPumped] = useState(() => String(fromBase(PUMPED_MBAR, unit)));
  const [group, index] = choice.split('/').map(Number) as [number, number];
  const act = HANDS_ON[group]?.acts[index];
  const value = typedNumber(pumped);
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold text-xl min-h-12 content-center px-3">
        {wording.atTheVehicleByHand}
      </summary>
      <form
        className="grid gap-2 p-3 pt-0"
        onSubmit={(event) => {
          event.preventDefault();
          if (act && (!act.asksMbar || value !== undefined))
            void session.perform(act.act(toBase(value ?? 0, unit)));
        }}
      >
        <ActChoice choice={choice} setChoice={setChoice} />
        {act?.asksMbar ? (
          <label className="grid gap-1">
            <span className="font-head font-semibold">{wording.pressureOfThePump(unitLabel(unit))}</span>
            <input
              className="input-box"
              inputMode="decimal"
              value={pumped}
              onChange={(event) => setPumped(event.target.value)}
            />
          </label>
        ) : null}
        <Button type="submit">{wording.doIt}</Button>
        <p role="status" className="min-h-6">
          {state.handsOn
            ? `${state.handsOn.done ? '' : wording.notDone}${spokenNow(state.handsOn.text)}`
            : ''}
        </p>
      </form>
    </details>
  );
}

/** What is done to the vehicle. */
function ActChoice({ choice, setChoice }: { choice: string; setChoice: (value: string) => void }) {
  return (
    <label className="grid gap-1">
      <span className="sr-only">{wording.whatToDo}</span>
      <select className="input-box" value={choice} onChange={(event) => setChoice(event.target.value)}>
        {HANDS_ON.map(({ at, acts }, i) => (
          <optgroup key={at} label={at}>
            {acts.map(({ label }, k) => (
              <option key={label} value={`${i}/${k}`}>
                {label}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </label>
  );
}
