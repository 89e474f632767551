import * as wording from '@white-ember/core/words/screens/line';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { useMemo } from 'react';
import type { Vehicle } from '@white-ember/core/contract';
import { type FluidEntry, type PartId, type PartState } from '@white-ember/core/ledger';
import { unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';
import { withUnit } from '../../ui/format.ts';
import { StateShape } from '../../ui/StateMark.tsx';
import { HEAT_HIGH_C, HEAT_LOW_C, heatColour } from './heat.ts';
import { AXIS_Y, layOut, LINE_HEIGHT, LINE_WIDTH, outline, type Body } from './lineLayout.ts';
import { entryX, FluidMark } from './FluidMark.tsx';
import { LineText } from './LineText.tsx';
import { DpSensor, Part, Hit } from './DpSensor.tsx';
import { BODY_NAMES, shortEgt, shownSample } from './lineParts.ts';

interface LineProps {
  readonly vehicle: Vehicle;
  readonly derived: OpenJob['derived'];
  readonly selected?: PartId | undefined;
  /** Where cleaning fluid is to go in. */
  readonly fluidEntry?: FluidEntry | undefined;
  readonly onPart: (part: PartId) => void;
}

/** The vehicle's own exhaust line: parts where they sit, each with its state by shape and word and its latest value. */
export function ExhaustLine({ vehicle, derived, selected, fluidEntry, onPart }: LineProps) {
  const words = useWords();
  const { pressure: pressureUnit, temperature: temperatureUnit } = useAppSelector(
    (state) => state.preferences.units,
  );
  const bodies = useMemo(() => layOut(vehicle.fitted), [vehicle.fitted]);
  const { sample, caption } = shownSample(derived);
  const has = (part: PartId): boolean => vehicle.fitted.includes(part);
  const body = (id: Body['id']): Body | undefined => bodies.find((b) => b.id === id);
  const stateOf = (part: PartId): PartState => derived.parts.get(part)?.state ?? 'not-looked-at';
  const filter = body('filter') as Body;

  const stations = [
    {
      part: 'egt1',
      x: body('turbine')?.slotLeft ?? body('engine')?.slotRight ?? 0,
      celsius: sample?.egt1C,
      side: 1,
    },
    { part: 'egt2', x: body('catalyst')?.slotLeft, celsius: sample?.egt2C, side: 1 },
    { part: 'egt3', x: filter.slotLeft, celsius: sample?.egt3C, side: body('catalyst') ? -1 : 1 },
    { part: 'egt4', x: filter.slotRight, celsius: sample?.egt4C, side: 1 },
  ] as const;
  const placed = stations.filter((s) => has(s.part) && s.x !== undefined);
  const known = placed
    .filter((s) => s.celsius !== undefined)
    .map((s) => ({ x: s.x as number, celsius: s.celsius as number }));

  return (
    <svg
      viewBox={`0 0 ${LINE_WIDTH} ${LINE_HEIGHT}`}
      className="w-full min-w-[940px] block"
      role="group"
      aria-label={wording.exhaustLineOf(vehicle.plate)}
    >
      <defs>
        <linearGradient id="gas" gradientUnits="userSpaceOnUse" x1={0} x2={LINE_WIDTH} y1={0} y2={0}>
          {known.map(({ x, celsius }) => (
            <stop key={x} offset={x / LINE_WIDTH} stopColor={heatColour(celsius)} />
          ))}
        </linearGradient>
      </defs>
      <path
        d={outline(bodies)}
        fill={known.length > 0 ? 'url(#gas)' : 'var(--rule)'}
        stroke="var(--ink)"
        strokeWidth={2.5}
        strokeLinejoin="round"
      />
      {bodies.map((b) => (
        <BodyPart
          key={b.id}
          body={b}
          selected={selected === b.id}
          state={b.id === 'tail' ? undefined : stateOf(b.id)}
          {...(b.id === 'tail' ? {} : { onSelect: () => onPart(b.id as PartId) })}
        />
      ))}
      {has('dp-sensor') ? (
        <DpSensor
          filter={filter}
          high={has('high-pipe') ? stateOf('high-pipe') : undefined}
          low={has('low-pipe') ? stateOf('low-pipe') : undefined}
          state={stateOf('dp-sensor')}
          value={sample ? withUnit(sample.dpMbar, pressureUnit) : wording.noYet(unitLabel(pressureUnit))}
          selected={selected}
          onPart={onPart}
        />
      ) : null}
      {has('back-pressure-sensor') ? (
        <BackPressure stateOf={stateOf} selected={selected} onPart={onPart} />
      ) : null}
      {placed.map(({ part, x, celsius, side }) => (
        <Part
          key={part}
          label={`${shortEgt(part)} ${celsius === undefined ? '–' : withUnit(celsius, temperatureUnit)}, ${words.name('parts', part).split(', ')[1] ?? ''}: ${words.name('partStates', stateOf(part))}`}
          selected={selected === part}
          onSelect={() => onPart(part)}
        >
          <Hit x={side > 0 ? (x as number) - 14 : (x as number) - 84} y={12} width={98} height={62} />
          <path d={`M${x as number} 40 V${AXIS_Y - 8}`} stroke="var(--ink)" strokeWidth={2} />
          <g transform={`translate(${x as number} 32)`} color="var(--ink)">
            <StateShape state={stateOf(part)} />
          </g>
          <LineText
            x={(x as number) + side * 13}
            y={27}
            anchor={side > 0 ? 'start' : 'end'}
            fill="var(--ink2)"
          >
            {shortEgt(part)}
          </LineText>{' '}
          <LineText
            x={(x as number) + side * 13}
            y={44}
            anchor={side > 0 ? 'start' : 'end'}
            weight={600}
            size={16}
          >
            {celsius === undefined ? '–' : withUnit(celsius, temperatureUnit)}
          </LineText>
        </Part>
      ))}
      {fluidEntry ? (
        <FluidMark x={entryX(fluidEntry, filter, placed, body('turbine'))} entry={fluidEntry} />
      ) : null}
      <HeatKey caption={caption} />
    </svg>
  );
}

/** The sensor before the turbine. */
function BackPressure({
  stateOf,
  selected,
  onPart,
}: {
  stateOf: (part: PartId) => PartState;
  selected: PartId | undefined;
  onPart: (part: PartId) => void;
}) {
  const words = useWords();
  return (
    <Part
      label={`P, ${words.name('parts', 'back-pressure-sensor').toLowerCase()}: ${words.name('partStates', stateOf('back-pressure-sensor'))}`}
      selected={selected === 'back-pressure-sensor'}
      onSelect={() => onPart('back-pressure-sensor')}
    >
      <Hit x={40} y={6} width={100} height={62} />
      <path d="M58 36 V70" stroke="var(--steel)" strokeWidth={3} />
      <rect
        x={42}
        y={12}
        width={32}
        height={24}
        fill="var(--card)"
        stroke="var(--steel)"
        strokeWidth={2.5}
        rx={2}
      />
      <LineText x={58} y={29} anchor="middle" weight={600} fill="var(--steel)">
        P
      </LineText>
      <g transform="translate(88 24) scale(0.85)" color="var(--ink)">
        <StateShape state={stateOf('back-pressure-sensor')} />
      </g>
    </Part>
  );
}

function BodyPart({
  body,
  state,
  selected,
  onSelect,
}: {
  body: Body;
  state: PartState | undefined;
  selected: boolean;
  onSelect?: () => void;
}) {
  const words = useWords();
  const middle = (body.left + body.right) / 2;
  const name = BODY_NAMES[body.id];
  const drawn = <BodyShape body={body} state={state} middle={middle} name={name} selected={selected} />;
  return onSelect && state ? (
    <Part label={`${name}: ${words.name('partStates', state)}`} selected={selected} onSelect={onSelect}>
      {drawn}
    </Part>
  ) : (
    <g>{drawn}</g>
  );
}

/** How a part that gas goes through is drawn. */
function BodyShape({
  body,
  state,
  middle,
  name,
  selected,
}: {
  body: Body;
  state: PartState | undefined;
  middle: number;
  name: string;
  selected: boolean;
}) {
  return (
    <>
      <Hit
        x={body.left}
        y={AXIS_Y - body.half}
        width={body.right - body.left}
        height={LINE_HEIGHT - AXIS_Y + body.half}
      />
      {body.id === 'filter' || body.id === 'catalyst' || body.id === 'scr' ? <Channels body={body} /> : null}
      {state === 'proven-clear' ? (
        <path
          d={`M${body.left} ${AXIS_Y - body.half - 6} L${body.right} ${AXIS_Y + body.half + 4}`}
          stroke="var(--ink)"
          strokeWidth={2.5}
        />
      ) : null}
      {state ? (
        <g
          transform={`translate(${middle - name.length * 3.7 - 13} ${LINE_HEIGHT - 18}) scale(0.85)`}
          color="var(--ink)"
        >
          <StateShape state={state} />
        </g>
      ) : null}
      <LineText x={middle} y={LINE_HEIGHT - 13} anchor="middle" weight={600} size={15}>
        {name}
      </LineText>
      {selected ? (
        <path d={`M${body.left} ${LINE_HEIGHT - 3} H${body.right}`} stroke="var(--ember)" strokeWidth={5} />
      ) : null}
    </>
  );
}

function Channels({ body }: { body: Body }) {
  const lines = body.id === 'filter' ? 6 : 4;
  const left = body.left + 30;
  const right = body.right - 30;
  return (
    <g stroke="var(--card)" strokeWidth={1.6} opacity={0.75}>
      {Array.from({ length: lines }, (_, i) => {
        const y = AXIS_Y - body.half * 0.62 + (i * body.half * 1.24) / (lines - 1);
        // Every second channel of a filter is closed at its end: that is what makes it a wall-flow filter.
        const short = body.id === 'filter' ? 16 : 0;
        return <path key={i} d={`M${left + (i % 2 ? short : 0)} ${y} H${right - (i % 2 ? 0 : short)}`} />;
      })}
    </g>
  );
}

function HeatKey({ caption }: { caption: string }) {
  const words = useWords();
  const x = LINE_WIDTH - 150;
  return (
    <g aria-hidden>
      <defs>
        <linearGradient id="heat-key">
          {[0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => (
            <stop
              key={share}
              offset={share}
              stopColor={heatColour(HEAT_LOW_C + share * (HEAT_HIGH_C - HEAT_LOW_C))}
            />
          ))}
        </linearGradient>
      </defs>
      <LineText x={x + 110} y={15} anchor="end" weight={600} size={15}>
        {caption}
      </LineText>
      <rect
        x={x}
        y={23}
        width={110}
        height={10}
        fill="url(#heat-key)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <LineText x={x} y={46} size={12} fill="var(--ink2)">
        {wording.gas(words.temperature(20))}
      </LineText>
      <LineText x={x + 110} y={46} size={12} anchor="end" fill="var(--ink2)">
        {words.temperature(700)}
      </LineText>
    </g>
  );
}
