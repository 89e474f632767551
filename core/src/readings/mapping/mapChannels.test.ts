import { describe, expect, it } from 'vitest';
import { fromBase, UNITS, type Unit } from '../../quantities/index.ts';
import { CHANNEL_ROLES, ROLE_IDS, type ChannelRole } from '../channelRoles.ts';
import { mapChannels, column, logOf, USUAL, HEADINGS } from './testing/madeColumns.ts';

const unitFor = (text: string | undefined, role: ChannelRole): Unit => {
  const spelled = Object.entries(UNITS).find(([, unit]) =>
    (unit.spellings as readonly string[]).includes((text ?? '').toLowerCase()),
  );
  return (spelled?.[0] as Unit | undefined) ?? CHANNEL_ROLES[role].unit;
};

describe('headings', () => {
  it.each(HEADINGS)('“%s” in %s is %s', (name, unitText, role) => {
    const unit = unitFor(unitText, role);
    const values = USUAL[role].map((value) =>
      CHANNEL_ROLES[role].quantity === 'fraction' ? value : fromBase(value, unit),
    );
    const { channels, unmapped } = mapChannels(logOf(column(name, unitText, values)));
    expect(unmapped).toEqual([]);
    expect(channels.map((channel) => channel.role)).toEqual([role]);
    expect(channels[0]?.confidence).toBeGreaterThan(0.5);
    expect(channels[0]?.reason).not.toBe('');
  });

  it('covers every role at least once', () => {
    expect(new Set(HEADINGS.map(([, , role]) => role))).toEqual(new Set(ROLE_IDS));
  });

  it.each([
    'Boost pressure setpoint',
    'Rail pressure',
    'Tyre pressure front left',
    'Fuel pressure',
    'Oil pressure',
    'Target engine speed',
    'Cabin fan',
    'EGR differential pressure',
    'Fuel filter differential pressure',
    'Turbo speed',
    'EGT 3 target',
    'Gearbox oil temperature',
    'Gear',
  ])('leaves “%s” alone', (name) => {
    const { channels, unmapped } = mapChannels(logOf(column(name, undefined, [1, 2, 3, 4, 5])));
    expect(channels).toEqual([]);
    expect(unmapped).toEqual([name]);
  });

  it('refuses a role whose unit is of another kind', () => {
    const { channels } = mapChannels(logOf(column('DPF differential pressure', '°C', [1, 2, 3, 4, 5])));
    expect(channels).toEqual([]);
  });

  it('refuses a role whose values cannot be', () => {
    const { channels } = mapChannels(
      logOf(column('Barometric pressure', undefined, [1e7, 1e7, 1e7, 1e7, 1e7])),
    );
    expect(channels).toEqual([]);
  });

  it('infers the unit that a number can only have', () => {
    const kPa = mapChannels(logOf(column('Barometric pressure', undefined, [101, 101, 101, 101, 101])));
    expect(kPa.channels[0]).toMatchObject({ unit: 'kPa' });
    expect(kPa.channels[0]?.reason).toMatch(/no unit stated; kPa fits the values/);
    expect(kPa.warnings.map((warning) => warning.code)).toEqual(['unit-inferred']);
  });
});
