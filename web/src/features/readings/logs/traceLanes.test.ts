import { METRIC, type UnitChoice } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import type { ChannelRole } from '@white-ember/core/readings';
import type { LogColumn } from '../../../workers/logWorker.ts';
import {
  clockText,
  firstColumns,
  laneEnds,
  lanesOf,
  movedView,
  shownValue,
  viewAround,
} from './traceLanes.ts';

const UNITS: UnitChoice = {
  ...METRIC,
  pressure: 'kPa',
  temperature: 'degF',
  massFlow: 'kgPerH',
};

const column = (name: string, unit: string, role?: ChannelRole): LogColumn =>
  ({ name, unit, ...(role === undefined ? {} : { role }) }) as LogColumn;

const RPM = column('n', 'rpm', 'engineSpeed');
const DELTA = column('dp', 'mbar', 'dpfDeltaP');
const MAP = column('map', 'mbar', 'manifoldPressure');
const EBP = column('ebp', 'mbar', 'exhaustBackPressure');
const EGT = column('t3', '°C', 'egt3');
const OWN = column('Tank pressure', 'mbar');

describe('lanes', () => {
  it('holds what shares a unit in one lane, and ΔP apart from absolute pressures', () => {
    expect(
      lanesOf([DELTA, MAP, RPM, EBP], UNITS).map((lane) => lane.columns.map(({ name }) => name)),
    ).toEqual([['dp'], ['map', 'ebp'], ['n']]);
  });

  it('names a lane by the unit that the person reads', () => {
    expect(lanesOf([MAP, EGT], UNITS).map(({ unitLabel }) => unitLabel)).toEqual(['kPa', '°F']);
    expect(lanesOf([column('word', '')], UNITS)[0]?.unitLabel).toBe('as read');
  });

  it('shows a channel in the person’s unit and a column that is none as the file has it', () => {
    expect(shownValue(DELTA, UNITS)(50)).toBeCloseTo(5, 9);
    expect(shownValue(EGT, UNITS)(100)).toBeCloseTo(212, 9);
    expect(shownValue(OWN, UNITS)(50)).toBe(50);
  });

  it('begins with the channels that tell most, or with the first columns where it knows none', () => {
    expect(firstColumns([OWN, EGT, DELTA, RPM])).toEqual(['n', 'dp', 't3']);
    expect(firstColumns([OWN, column('x', '')])).toEqual(['Tank pressure', 'x']);
  });
});

describe('the scale of a lane', () => {
  it('holds all its lines with some room, and keeps a still line in the middle', () => {
    expect(laneEnds([[{ y: 0 }, { y: 100 }], [{ y: 50 }]])).toEqual([-8, 108]);
    expect(laneEnds([[{ y: 1000 }, { y: 1000 }]])).toEqual([990, 1010]);
    expect(laneEnds([[{ y: 0 }]])).toEqual([-0.5, 0.5]);
    expect(laneEnds([[], [{ y: Number.NaN }]])).toBeUndefined();
  });
});

describe('the view on a log', () => {
  it('gives a stretch room and stays inside the log', () => {
    expect(viewAround(100, 200, 600)).toEqual({ fromS: 70, toS: 230 });
    expect(viewAround(2, 4, 600)).toEqual({ fromS: 0, toS: 9 });
    expect(viewAround(590, 600, 600).toS).toBe(600);
  });

  it('zooms about the middle, to 2 s at the least and the whole log at the most', () => {
    expect(movedView({ fromS: 100, toS: 200 }, 600, { zoom: 0.5 })).toEqual({ fromS: 125, toS: 175 });
    expect(movedView({ fromS: 100, toS: 102 }, 600, { zoom: 0.5 })).toEqual({ fromS: 100, toS: 102 });
    expect(movedView({ fromS: 100, toS: 500 }, 600, { zoom: 9 })).toEqual({ fromS: 0, toS: 600 });
  });

  it('moves by a share of its width and stops at the ends', () => {
    expect(movedView({ fromS: 100, toS: 200 }, 600, { by: 0.5 })).toEqual({ fromS: 150, toS: 250 });
    expect(movedView({ fromS: 0, toS: 100 }, 600, { by: -0.5 })).toEqual({ fromS: 0, toS: 100 });
    expect(movedView({ fromS: 550, toS: 600 }, 600, { by: 3 })).toEqual({ fromS: 550, toS: 600 });
  });

  it('reads a moment as minutes and seconds', () => {
    expect(clockText(75)).toBe('1:15');
    expect(clockText(75.25, true)).toBe('1:15.3');
    expect(clockText(-3)).toBe('0:00');
  });
});
