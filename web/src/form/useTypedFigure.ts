import { useState } from 'react';
import { unitLabel, type Unit } from '@white-ember/core/quantities';
import type { UnitChoice, UnitChoiceOf } from '@white-ember/core/words';
import { useAppSelector } from '../data/store.ts';
import { figure } from './kinds.ts';

export interface TypedFigure {
  readonly text: string;
  readonly type: (text: string) => void;
  /** Held as core holds it; NaN where it is no number, undefined where nothing stands there. */
  readonly value: number | undefined;
  readonly unit: string;
  /** Puts a value there, or what stood there at first. */
  readonly put: (value?: number) => void;
}

/** One figure by itself, outside of a form, in this person's unit. What was not touched stays exactly what it was. */
export function useTypedFigure(held: Unit, start?: number, of?: UnitChoiceOf): TypedFigure {
  const units = useAppSelector((state) => state.preferences.units);
  const kind = figure(held, of);
  const [typed, setTyped] = useState<{ readonly text: string; readonly in: UnitChoice } | undefined>();
  const [put, setPut] = useState<number | undefined>();
  const base = put ?? start;
  const value = typed === undefined ? base : (kind.read(typed.text, typed.in) as number | undefined);
  const sameUnit = typed !== undefined && kind.unit?.(typed.in) === kind.unit?.(units);
  return {
    text:
      typed !== undefined && (sameUnit || value === undefined || Number.isNaN(value))
        ? typed.text
        : String(kind.write(value, units)),
    type: (text) => setTyped({ text, in: units }),
    value,
    unit: unitLabel(kind.unit?.(units) ?? held),
    put: (next) => {
      setTyped(undefined);
      setPut(next);
    },
  };
}
