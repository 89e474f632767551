import * as wording from '@white-ember/core/words/screens/line';
import type { FluidEntry } from '@white-ember/core/ledger';
import { LineText } from './LineText.tsx';
import { AXIS_Y, type Body } from './lineLayout.ts';

export const ENTRY_NAMES: Readonly<Record<FluidEntry, string>> = {
  'high-pipe': wording.byTheHighPipe,
  'sensor-port': wording.byTheSensorsPort,
  'before-turbine': wording.beforeTheTurbo,
};

/** Where on the line the fluid goes in. */
export function entryX(
  entry: FluidEntry,
  filter: Body,
  placed: readonly { readonly part: string; readonly x?: number | undefined }[],
  turbine: Body | undefined,
): number {
  if (entry === 'before-turbine') return turbine?.slotLeft ?? filter.slotLeft;
  if (entry === 'high-pipe') return filter.slotLeft + 18;
  return placed.find(({ part }) => part === 'egt3')?.x ?? filter.slotLeft;
}

/** An arrow into the line from below, with the word: fluid goes in here. */
export function FluidMark({ x, entry }: { x: number; entry: FluidEntry }) {
  return (
    <g role="img" aria-label={wording.fluidGoesIn(ENTRY_NAMES[entry])}>
      <path
        d={`M${x} ${AXIS_Y + 44} V${AXIS_Y + 14} m-6 9 l6 -9 l6 9`}
        fill="none"
        stroke="var(--ember)"
        strokeWidth={4}
      />
      <LineText x={x - 10} y={AXIS_Y + 42} anchor="end" weight={600} fill="var(--ember-text)">
        {wording.fluid}
      </LineText>
    </g>
  );
}
