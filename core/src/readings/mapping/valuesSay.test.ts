import { spoken } from '../../words/index.ts';
import { describe, expect, it } from 'vitest';
import type { RawColumn, RawLog } from '../reader/rawLog.ts';
import { mapChannels as mapsInCodes, type ChannelMapping } from './mapChannels.ts';
import { type MappedChannel } from './candidates.ts';

const mapChannels = spoken(mapsInCodes);

/** Key on, idle, a hold, a snap, idle: rpm for each of 60 seconds. */
const RPM = Array.from({ length: 60 }, (_, i) =>
  i < 8 ? 0 : i < 20 ? 820 : i < 40 ? 2500 : i < 44 ? 3600 : 830,
);
const column = (name: string, unitText: string | undefined, values: readonly number[]): RawColumn => ({
  name,
  source: name,
  timeS: Float64Array.from(values, (_, i) => i),
  values: Float64Array.from(values),
  ...(unitText === undefined ? {} : { unitText }),
});
const byRpm = (at: (rpm: number) => number): number[] => RPM.map(at);
const SPEED = column('Engine speed', 'rpm', RPM);
const AIR = column(
  'Barometer',
  'mbar',
  byRpm(() => 1004),
);

const mapped = (...columns: RawColumn[]): ChannelMapping =>
  mapChannels({
    format: 'test',
    durationS: 59,
    columns: [SPEED, AIR, ...columns],
    facts: {},
    warnings: [],
  } satisfies RawLog);
const channelOf = (mapping: ChannelMapping, column_: string): MappedChannel | undefined =>
  mapping.channels.find(({ column: name }) => name === column_);

describe('values beside the heading', () => {
  it('make of a filter’s pressure that rests at the air the pressure before it, and of one that rests at nothing a difference', () => {
    const inlet = channelOf(
      mapped(
        column(
          'DPF pressure',
          'mbar',
          byRpm((rpm) => 1003 + rpm / 40),
        ),
      ),
      'DPF pressure',
    );
    expect(inlet).toMatchObject({ role: 'dpfInletPressure', gauge: false });
    const drop = channelOf(
      mapped(
        column(
          'DPF pressure',
          'mbar',
          byRpm((rpm) => rpm / 60),
        ),
      ),
      'DPF pressure',
    );
    expect(drop).toMatchObject({ role: 'dpfDeltaP' });
    expect(drop?.reason).toMatch(/with the engine off it shows nothing; it moves with engine speed/);
    const named = channelOf(
      mapped(
        column(
          'Particulate filter differential pressure',
          'mbar',
          byRpm((rpm) => 1003 + rpm / 40),
        ),
      ),
      'Particulate filter differential pressure',
    );
    // Said in full it is that, and wrong.
    expect(named?.role).toBe('dpfDeltaP');
    expect(named?.confidence).toBeLessThan(0.85);
    expect(named?.reason).toMatch(/never below 1003 mbar, which is the air itself/);
  });

  it('find the unit of a pressure that rests at an atmosphere', () => {
    for (const [name, role] of [
      ['MAP', 'manifoldPressure'],
      ['Exhaust back pressure', 'exhaustBackPressure'],
    ] as const) {
      expect(
        channelOf(
          mapped(
            column(
              name,
              undefined,
              byRpm((rpm) => 100 + rpm / 60),
            ),
          ),
          name,
        ),
      ).toMatchObject({
        role,
        unit: 'kPa',
        gauge: false,
      });
      expect(
        channelOf(
          mapped(
            column(
              name,
              undefined,
              byRpm((rpm) => 14.6 + rpm / 400),
            ),
          ),
          name,
        ),
      ).toMatchObject({ role, unit: 'psi', gauge: false });
    }
  });

  it('settle between two columns of one name: by the air, by what moves; and say so', () => {
    const boost = mapped(
      column(
        'Boost pressure 1',
        'mbar',
        byRpm((rpm) => 700 + rpm / 4),
      ),
      column(
        'Boost pressure 2',
        'mbar',
        byRpm((rpm) => 1003 + rpm / 5),
      ),
    );
    expect(boost.questions).toEqual([]);
    expect(channelOf(boost, 'Boost pressure 2')).toMatchObject({ role: 'manifoldPressure' });
    expect(channelOf(boost, 'Boost pressure 2')?.reason).toMatch(
      /“Boost pressure 1” is named alike: with the engine off it shows 700 mbar, the air 1004 mbar/,
    );
    const noise = byRpm((rpm) => rpm).map((_, i) => 20 + ((i * 7) % 5));
    const moving = mapped(
      column('DPF differential pressure A', 'mbar', noise),
      column(
        'DPF differential pressure B',
        'mbar',
        byRpm((rpm) => rpm / 70),
      ),
    );
    expect(channelOf(moving, 'DPF differential pressure B')).toMatchObject({ role: 'dpfDeltaP' });
    expect(moving.questions).toEqual([]);
  });

  it('ask where the values of both are as they should be', () => {
    const { questions, channels } = mapped(
      column(
        'Boost pressure 1',
        'mbar',
        byRpm((rpm) => 1001 + rpm / 6),
      ),
      column(
        'Boost pressure 2',
        'mbar',
        byRpm((rpm) => 1003 + rpm / 5),
      ),
    );
    expect(questions).toMatchObject([
      { role: 'manifoldPressure', columns: ['Boost pressure 1', 'Boost pressure 2'] },
    ]);
    expect(channels.some(({ role }) => role === 'manifoldPressure')).toBe(false);
  });

  it.each([
    ['Barometric pressure', 'mbar', byRpm((rpm) => 1000 + rpm / 4), /it moves with engine speed/],
    ['Mass air flow', 'g/s', byRpm(() => 12), /it does not move with engine speed/],
    ['Mass air flow', 'g/s', byRpm((rpm) => 20 + rpm / 60), /with the engine off it shows 20 g\/s/],
    ['EGT before DPF', '°C', RPM.map((_, i) => i % 2), /only 0 and 1, like a state/],
    ['Regeneration active', undefined, RPM.map((_, i) => i / 59), /a state has no values in between/],
    ['Distance since regeneration', 'km', RPM.map((_, i) => 300 + (i % 9)), /a distance does not fall/],
  ])('against “%s” in %s lower what is sure and say why', (name, unit, values, why) => {
    const alone = mapChannels({
      format: 'test',
      durationS: 59,
      columns: [SPEED, column(name, unit, values)],
      facts: {},
      warnings: [],
    });
    const channel = channelOf(alone, name);
    expect(channel?.reason).toMatch(why);
    expect(channel?.confidence).toBeLessThanOrEqual(0.83);
  });

  it('know which of two temperatures lies first on the way of the gas', () => {
    const hot = (k: number) => byRpm((rpm) => 60 + (rpm / 10) * k);
    const order = mapped(
      column('EGT 1', '°C', hot(0.6)),
      column('EGT 2', '°C', hot(1)),
      column('EGT 3', '°C', hot(0.9)),
      column('EGT 4', '°C', hot(0.7)),
    );
    expect(channelOf(order, 'EGT 1')?.reason).toMatch(
      /colder than EGT 2 \(before catalyst\), which lies after it/,
    );
    expect(channelOf(order, 'EGT 3')?.reason).not.toMatch(/which lies/);
    expect(channelOf(order, 'EGT 3')?.confidence).toBeGreaterThan(channelOf(order, 'EGT 1')?.confidence ?? 1);
    const two = mapped(
      column('EGT 1 left', '°C', hot(0.4)),
      column('EGT 1 right', '°C', hot(1.1)),
      column('EGT 2', '°C', hot(0.9)),
    );
    expect(two.questions).toEqual([]);
    expect(channelOf(two, 'EGT 1 right')).toMatchObject({ role: 'egt1' });
  });
});
