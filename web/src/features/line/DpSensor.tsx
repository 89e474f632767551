import * as wording from '@white-ember/core/words/screens/line';
import { useWords } from '../../data/words.ts';
import { type KeyboardEvent, type ReactNode } from 'react';
import { type PartId, type PartState } from '@white-ember/core/ledger';
import { StateShape } from '../../ui/StateMark.tsx';
import { AXIS_Y, type Body } from './lineLayout.ts';
import { LineText } from './LineText.tsx';

/** A part that can be tapped or reached by keyboard, with its name and state for a screen reader. */
export function Part({
  label,
  selected,
  onSelect,
  children,
}: {
  label: string;
  selected: boolean;
  onSelect: () => void;
  children: ReactNode;
}) {
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    onSelect();
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={selected}
      onClick={onSelect}
      onKeyDown={onKey}
    >
      {children}
    </g>
  );
}

/** The area that a gloved finger hits. */
export const Hit = (box: { x: number; y: number; width: number; height: number }) => (
  <rect {...box} fill="transparent" />
);

export function DpSensor({
  filter,
  high,
  low,
  state,
  value,
  selected,
  onPart,
}: {
  filter: Body;
  high: PartState | undefined;
  low: PartState | undefined;
  state: PartState;
  value: string;
  selected: PartId | undefined;
  onPart: (part: PartId) => void;
}) {
  const middle = (filter.left + filter.right) / 2;
  const wide = 104;
  const left = middle - wide / 2;
  const right = middle + wide / 2;
  const highX = filter.left + 14;
  const lowX = filter.right - 14;
  const top = AXIS_Y - 24;
  return (
    <g>
      {high ? (
        <HighPipe high={high} selected={selected} onPart={onPart} highX={highX} left={left} top={top} />
      ) : null}
      {low ? (
        <LowPipe low={low} selected={selected} onPart={onPart} right={right} lowX={lowX} top={top} />
      ) : null}
      <SensorBox
        value={value}
        state={state}
        selected={selected}
        onPart={onPart}
        left={left}
        wide={wide}
        middle={middle}
      />
    </g>
  );
}

/** The sensor itself with what it reads. */
function SensorBox({
  value,
  state,
  selected,
  onPart,
  left,
  wide,
  middle,
}: {
  value: string;
  state: PartState;
  selected: PartId | undefined;
  onPart: (part: PartId) => void;
  left: number;
  wide: 104;
  middle: number;
}) {
  const words = useWords();
  return (
    <Part
      label={wording.deltapDifferentialPressureSensor(value, words.name('partStates', state))}
      selected={selected === 'dp-sensor'}
      onSelect={() => onPart('dp-sensor')}
    >
      <SensorFrame left={left} wide={wide} />
      <g transform={`translate(${left + 20} 20) scale(0.8)`} color="var(--ink)">
        <StateShape state={state} />
      </g>
      <LineText x={middle + 6} y={25} anchor="middle" fill="var(--steel)" size={13}>
        {wording.deltap}
      </LineText>{' '}
      <LineText x={middle} y={47} anchor="middle" weight={600} size={19} fill="var(--steel)">
        {value}
      </LineText>
    </Part>
  );
}

/** The box that stands for the sensor. */
function SensorFrame({ left, wide }: { left: number; wide: 104 }) {
  return (
    <rect
      x={left}
      y={6}
      width={wide}
      height={50}
      fill="var(--card)"
      stroke="var(--steel)"
      strokeWidth={2.5}
      rx={3}
    />
  );
}

/** From behind the filter up to the sensor. */
function LowPipe({
  low,
  selected,
  onPart,
  right,
  lowX,
  top,
}: {
  low: PartState;
  selected: PartId | undefined;
  onPart: (part: PartId) => void;
  right: number;
  lowX: number;
  top: number;
}) {
  const words = useWords();
  return (
    <Part
      label={wording.lowPipe(words.name('partStates', low))}
      selected={selected === 'low-pipe'}
      onSelect={() => onPart('low-pipe')}
    >
      <Hit x={right} y={10} width={lowX - right + 14} height={62} />
      <path d={`M${lowX} ${top} V30 H${right}`} fill="none" stroke="var(--steel)" strokeWidth={3} />
      {low === 'proven-clear' ? (
        <path d={`M${right + 4} 18 L${lowX + 8} 62`} stroke="var(--ink)" strokeWidth={2} />
      ) : null}
      <g transform={`translate(${lowX} 52) scale(0.8)`} color="var(--ink)">
        <circle r={11} fill="var(--card)" />
        <StateShape state={low} />
      </g>
      <LineText x={lowX - 12} y={22} anchor="end" fill="var(--ink2)" size={13}>
        {wording.low}
      </LineText>
    </Part>
  );
}

/** From before the filter up to the sensor. */
function HighPipe({
  high,
  selected,
  onPart,
  highX,
  left,
  top,
}: {
  high: PartState;
  selected: PartId | undefined;
  onPart: (part: PartId) => void;
  highX: number;
  left: number;
  top: number;
}) {
  const words = useWords();
  return (
    <Part
      label={wording.highPipe(words.name('partStates', high))}
      selected={selected === 'high-pipe'}
      onSelect={() => onPart('high-pipe')}
    >
      <Hit x={highX - 14} y={10} width={left - highX + 14} height={62} />
      <path d={`M${highX} ${top} V30 H${left}`} fill="none" stroke="var(--steel)" strokeWidth={5} />
      {high === 'proven-clear' ? (
        <path d={`M${highX - 8} 62 L${left - 4} 18`} stroke="var(--ink)" strokeWidth={2} />
      ) : null}
      <g transform={`translate(${highX} 52) scale(0.8)`} color="var(--ink)">
        <circle r={11} fill="var(--card)" />
        <StateShape state={high} />
      </g>
      <LineText x={highX + 12} y={22} fill="var(--ink2)" size={13}>
        {wording.high}
      </LineText>
    </Part>
  );
}
