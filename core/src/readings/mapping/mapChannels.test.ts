import { inEnglish, spoken } from '../../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromBase, plainLabel, UNITS, type Unit } from '../../quantities/index.ts';
import type { RawColumn, RawLog } from '../reader/rawLog.ts';
import { CHANNEL_ROLES, ROLE_IDS, type ChannelRole, roleName } from '../channelRoles.ts';
import { foldHeading } from '../lexicon/index.ts';
import { mapChannels as mapsInCodes } from './mapChannels.ts';

const mapChannels = spoken(mapsInCodes);

const column = (name: string, unitText: string | undefined, values: readonly number[]): RawColumn => ({
  name,
  source: name,
  timeS: Float64Array.from(values, (_, i) => i),
  values: Float64Array.from(values),
  ...(unitText === undefined ? {} : { unitText }),
});

const logOf = (...columns: RawColumn[]): RawLog => ({
  format: 'test',
  durationS: 4,
  columns,
  facts: {},
  warnings: [],
});

/** Values in the base unit of a role that a real vehicle shows. */
const USUAL: Record<ChannelRole, readonly number[]> = {
  engineSpeed: [0, 820, 2500, 3000, 820],
  dpfDeltaP: [0, 3, 14, 21, 4],
  exhaustBackPressure: [1013, 1040, 1250, 1400, 1050],
  manifoldPressure: [1010, 1015, 1120, 1210, 1012],
  barometricPressure: [1009, 1009, 1010, 1009, 1009],
  massAirFlow: [0, 11, 41, 52, 12],
  egt1: [60, 180, 290, 330, 200],
  egt2: [55, 160, 260, 300, 190],
  egt3: [50, 140, 220, 260, 180],
  egt4: [45, 120, 190, 230, 170],
  coolantTemp: [80, 82, 84, 85, 84],
  intakeAirTemp: [25, 27, 30, 32, 28],
  ambientTemp: [18, 18, 18, 18, 18],
  oilTemp: [80, 84, 88, 92, 90],
  sootMass: [12, 12, 12, 12, 12],
  regenActive: [0, 0, 1, 1, 0],
  vehicleSpeed: [0, 0, 40, 70, 0],
  pedal: [0, 0, 30, 40, 0],
  dpfInletPressure: [1013, 1020, 1080, 1110, 1022],
  dpfOutletPressure: [1013, 1014, 1020, 1024, 1015],
  sootPercent: [62, 62, 63, 63, 63],
  ashMass: [31, 31, 31, 31, 31],
  ashPercent: [44, 44, 44, 44, 44],
  distanceSinceRegen: [312, 312, 313, 314, 314],
  fuelLevel: [55, 55, 54, 54, 54],
  oilDilution: [3, 3, 3, 3, 3],
  batteryVoltage: [12.4, 14.2, 14.3, 14.3, 14.2],
  egrPosition: [0, 30, 10, 5, 28],
  turboVanePosition: [80, 70, 45, 40, 72],
  fuelRate: [0, 0.8, 2.6, 3.4, 0.9],
  lambda: [2, 3.5, 3, 2.8, 3.4],
};

/** Headings as tools write them, in several tongues, with the role that a technician would give them. */
const HEADINGS: readonly (readonly [string, string | undefined, ChannelRole])[] = [
  ['Engine speed', 'rpm', 'engineSpeed'],
  ['RPM', 'rpm', 'engineSpeed'],
  ['Engine RPM', '1/min', 'engineSpeed'],
  ['Motordrehzahl', '1/min', 'engineSpeed'],
  ['Drehzahl', 'U/min', 'engineSpeed'],
  ['Régime moteur', 'tr/min', 'engineSpeed'],
  ['DPF differential pressure', 'hPa', 'dpfDeltaP'],
  ['DPF pressure drop', 'mbar', 'dpfDeltaP'],
  ['Particulate filter delta pressure', 'kPa', 'dpfDeltaP'],
  ['Differenzdruck Partikelfilter', 'hPa', 'dpfDeltaP'],
  ['Pression différentielle FAP', 'mbar', 'dpfDeltaP'],
  ['Exhaust back pressure', 'kPa', 'exhaustBackPressure'],
  ['Abgasgegendruck', 'hPa', 'exhaustBackPressure'],
  ['Contre-pression échappement', 'mbar', 'exhaustBackPressure'],
  ['Manifold absolute pressure', 'kPa', 'manifoldPressure'],
  ['MAP', 'kPa', 'manifoldPressure'],
  ['Ladedruck', 'hPa', 'manifoldPressure'],
  ['Barometric pressure', 'kPa', 'barometricPressure'],
  ['Umgebungsdruck', 'hPa', 'barometricPressure'],
  ['MAF', 'g/s', 'massAirFlow'],
  ['Mass air flow', 'kg/h', 'massAirFlow'],
  ['Luftmassenstrom', 'kg/h', 'massAirFlow'],
  ['EGT before turbo', '°C', 'egt1'],
  ['Exhaust gas temperature pre DOC', '°C', 'egt2'],
  ['EGT pre-DPF', 'degC', 'egt3'],
  ['Abgastemperatur vor Partikelfilter', '°C', 'egt3'],
  ['EGT post DPF', '°C', 'egt4'],
  ['Abgastemperatur nach Partikelfilter', '°C', 'egt4'],
  ['Engine coolant temperature', '°C', 'coolantTemp'],
  ['Kühlmitteltemperatur', '°C', 'coolantTemp'],
  ['Intake air temperature', '°C', 'intakeAirTemp'],
  ['Ansauglufttemperatur', '°C', 'intakeAirTemp'],
  ['Outside air temperature', '°C', 'ambientTemp'],
  ['Engine oil temperature', '°C', 'oilTemp'],
  ['DPF soot mass', 'g', 'sootMass'],
  ['Rußmasse', 'g', 'sootMass'],
  ['Regeneration status', undefined, 'regenActive'],
  ['Vehicle speed', 'km/h', 'vehicleSpeed'],
  ['Geschwindigkeit', 'km/h', 'vehicleSpeed'],
  ['Accelerator pedal position', '%', 'pedal'],
  ['Régimen del motor', 'rpm', 'engineSpeed'],
  ['Giri motore', 'giri/min', 'engineSpeed'],
  ['Prędkość obrotowa silnika', 'obr/min', 'engineSpeed'],
  ['Presión diferencial DPF', 'hPa', 'dpfDeltaP'],
  ['Pressione differenziale filtro antiparticolato', 'mbar', 'dpfDeltaP'],
  ['Ciśnienie różnicowe DPF', 'kPa', 'dpfDeltaP'],
  ['dpfDeltaP', 'mbar', 'dpfDeltaP'],
  ['DPF dP', 'psi', 'dpfDeltaP'],
  ['Pressure before DPF', 'kPa', 'dpfInletPressure'],
  ['Pressure after particulate filter', 'kPa', 'dpfOutletPressure'],
  ['Exhaust manifold pressure', 'kPa', 'exhaustBackPressure'],
  ['Contrapresión de escape', 'mbar', 'exhaustBackPressure'],
  ['Pressione gas di scarico', 'mbar', 'exhaustBackPressure'],
  ['Ciśnienie spalin przed turbiną', 'kPa', 'exhaustBackPressure'],
  ['Pression de suralimentation', 'mbar', 'manifoldPressure'],
  ['Presión de admisión', 'kPa', 'manifoldPressure'],
  ['Pressione di sovralimentazione', 'bar', 'manifoldPressure'],
  ['Ciśnienie doładowania', 'kPa', 'manifoldPressure'],
  ['Pression atmosphérique', 'hPa', 'barometricPressure'],
  ['Presión atmosférica', 'kPa', 'barometricPressure'],
  ['Pressione ambiente', 'mbar', 'barometricPressure'],
  ['Ciśnienie atmosferyczne', 'hPa', 'barometricPressure'],
  ['Débit d’air', 'kg/h', 'massAirFlow'],
  ['Flujo de masa de aire', 'g/s', 'massAirFlow'],
  ['Portata aria', 'kg/h', 'massAirFlow'],
  ['Przepływ powietrza', 'kg/h', 'massAirFlow'],
  ['Température échappement avant turbine', '°C', 'egt1'],
  ['Temperatura gases de escape antes de la turbina', '°C', 'egt1'],
  ['Temperatura gas di scarico prima del catalizzatore', '°C', 'egt2'],
  ['Temperatura spalin przed DPF', '°C', 'egt3'],
  ['EGT 1', '°F', 'egt1'],
  ['Exhaust gas temperature sensor 4', '°C', 'egt4'],
  ['DPF inlet temperature', '°C', 'egt3'],
  ['Température liquide de refroidissement', '°C', 'coolantTemp'],
  ['Temperatura refrigerante', '°C', 'coolantTemp'],
  ['Temperatura cieczy chłodzącej', '°C', 'coolantTemp'],
  ['Température air admission', '°C', 'intakeAirTemp'],
  ['Temperatura aria aspirata', '°C', 'intakeAirTemp'],
  ['Temperatura powietrza dolotowego', '°C', 'intakeAirTemp'],
  ['Température extérieure', '°C', 'ambientTemp'],
  ['Temperatura zewnętrzna', '°C', 'ambientTemp'],
  ['Öltemperatur', '°C', 'oilTemp'],
  ['Masse de suie', 'g', 'sootMass'],
  ['Masa de hollín', 'g', 'sootMass'],
  ['Masa sadzy', 'g', 'sootMass'],
  ['DPF soot load', '%', 'sootPercent'],
  ['Beladung Partikelfilter', '%', 'sootPercent'],
  ['Aschemasse', 'g', 'ashMass'],
  ['DPF ash load', '%', 'ashPercent'],
  ['Distance since last DPF regeneration', 'km', 'distanceSinceRegen'],
  ['Strecke seit Regeneration', 'km', 'distanceSinceRegen'],
  ['Rigenerazione in corso', undefined, 'regenActive'],
  ['Velocidad del vehículo', 'km/h', 'vehicleSpeed'],
  ['Fahrpedalstellung', '%', 'pedal'],
  ['Fuel level', '%', 'fuelLevel'],
  ['Oil dilution', '%', 'oilDilution'],
  ['Battery voltage', 'V', 'batteryVoltage'],
  ['EGR valve position', '%', 'egrPosition'],
  ['VGT position', '%', 'turboVanePosition'],
  ['Fuel rate', 'L/h', 'fuelRate'],
  ['Lambda', undefined, 'lambda'],
];

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

describe('a mapping', () => {
  const anyColumn = fc
    .tuple(
      fc.constantFrom(...HEADINGS),
      fc.array(fc.double({ min: -50, max: 4000, noNaN: true }), { minLength: 5, maxLength: 5 }),
    )
    .map(([[name, unit], values]) => column(name, unit, values));

  it('uses a column for one role, a role for one column, and loses none', () => {
    fc.assert(
      fc.property(fc.uniqueArray(anyColumn, { selector: (c) => c.name, maxLength: 20 }), (columns) => {
        const { channels, unmapped } = mapChannels(logOf(...columns));
        const sources = channels.map((channel) => channel.source);
        expect(new Set(sources).size).toBe(sources.length);
        expect(new Set(channels.map((channel) => channel.role)).size).toBe(channels.length);
        expect([...sources, ...unmapped].sort()).toEqual(columns.map((c) => c.name).sort());
        for (const { confidence } of channels) {
          expect(confidence).toBeGreaterThan(0);
          expect(confidence).toBeLessThanOrEqual(1);
        }
      }),
    );
  });

  it('does not depend on capitals, accents or punctuation', () => {
    expect(foldHeading('Pression  DIFFÉRENTIELLE (FAP)')).toBe('pression differentielle fap');
    expect(foldHeading('Rußmasse')).toBe('russmasse');
    expect(foldHeading('EGT_pre-DPF')).toBe('egt pre dpf');
  });

  it('lets a person leave a column out, and give its role to another', () => {
    const two = logOf(
      column('DPF differential pressure', 'mbar', [0, 3, 14, 21, 4]),
      column('Channel 9', 'mbar', [0, 4, 15, 22, 5]),
    );
    const corrected = mapChannels(two, { 'DPF differential pressure': '', 'Channel 9': 'dpfDeltaP' });
    expect(corrected.channels.map((channel) => channel.source)).toEqual(['Channel 9']);
    expect(corrected.unmapped).toEqual(['DPF differential pressure']);
  });

  it('takes what the workshop said before, where it fits, and lets a person overrule it', () => {
    const log = logOf(
      column('Kanal 7', 'mbar', [0, 3, 14, 21, 4]),
      column('Kanal 8', 'mbar', [0, 4, 15, 22, 5]),
      column('Kanal 9', '°C', [80, 81, 82, 83, 84]),
      column('__proto__', 'mbar', [1, 2, 3, 4, 5]),
    );
    const before = { 'Kanal 7': 'dpfDeltaP', 'Kanal 9': 'dpfDeltaP' };
    const mapped = mapChannels(log, {}, before);
    expect(mapped.channels).toMatchObject([
      { role: 'dpfDeltaP', column: 'Kanal 7', reason: 'as your workshop set it before' },
    ]);
    expect(mapped.warnings).toEqual([]);
    const overruled = mapChannels(log, { 'Kanal 8': 'dpfDeltaP' }, before);
    expect(overruled.channels).toMatchObject([{ column: 'Kanal 8', reason: 'set by hand' }]);
    const leftOut = mapChannels(log, { 'Kanal 7': '' }, before);
    expect(leftOut.channels).toEqual([]);
    expect(leftOut.without[0]).toMatchObject({ column: 'Kanal 7', why: 'your workshop left it out' });
    expect(mapChannels(log, {}, { 'Kanal 9': 'dpfDeltaP' })).toMatchObject({ channels: [], warnings: [] });
  });

  it('takes the one of two that moves, and asks where both do', () => {
    const two = (second: readonly number[]) =>
      mapChannels(
        logOf(
          column('DPF differential pressure 1', 'mbar', [0, 3, 14, 21, 4]),
          column('DPF differential pressure 2', 'mbar', second),
        ),
      );
    const still = two([0, 0, 0, 0, 0]);
    expect(still.channels).toMatchObject([{ role: 'dpfDeltaP', column: 'DPF differential pressure 1' }]);
    expect(still.channels[0]?.reason).toMatch(/the other column of that name does not move/);
    expect(still.questions).toEqual([]);
    expect(two([0, 9, 2, 30, 11]).questions).toMatchObject([{ role: 'dpfDeltaP' }]);
  });

  it('takes a channel whose values cannot be less surely, and says so', () => {
    const [dead] = mapChannels(
      logOf(column('DPF differential pressure', 'mbar', [5500, 5500, 5500, 5500, 5500])),
    ).channels;
    const [sound] = mapChannels(
      logOf(column('DPF differential pressure', 'mbar', [0, 3, 14, 21, 4])),
    ).channels;
    expect(dead?.confidence).toBeLessThan((sound?.confidence ?? 0) - 0.1);
    expect(dead?.reason).toMatch(/beyond what it can be/);
  });

  it('learns a word by what the workshop said of a heading, and takes it back where two disagree', () => {
    const log = logOf(
      column('Tlaakcheck DPF', 'mbar', [0, 3, 14, 21, 4]),
      column('TEMP. QUORBIN', '°C', [80, 82, 84, 85, 84]),
      column('quorbin niveau', '%', [1, 2, 3, 4, 5]),
    );
    const before = { 'Tlaakcheck roetfilter': 'dpfDeltaP', 'Quorbin temperatuur': 'coolantTemp' };
    expect(mapChannels(log).channels.map(({ role }) => role)).toEqual([]);
    const { channels } = mapChannels(log, {}, before);
    expect(channels.map(({ role, column: name }) => [role, name])).toEqual([
      ['dpfDeltaP', 'Tlaakcheck DPF'],
      ['coolantTemp', 'TEMP. QUORBIN'],
    ]);
    // A tool’s own name with a number teaches nothing.
    expect(
      mapChannels(logOf(column('Foobar 7', '°C', [80, 82, 84, 85, 84])), {}, { 'Foobar 12': 'egt3' })
        .channels,
    ).toEqual([]);
    const torn = { ...before, 'Quorbin temp': 'oilTemp' };
    expect(mapChannels(log, {}, torn).channels.map(({ role }) => role)).toEqual(['dpfDeltaP']);
  });

  it('knows a heading that was set right however it is written', () => {
    const log = logOf(column('KANAL_SIEBEN', 'mbar', [0, 3, 14, 21, 4]));
    expect(mapChannels(log, {}, { 'Kanal sieben': 'dpfDeltaP' }).channels).toMatchObject([
      { role: 'dpfDeltaP', reason: 'as your workshop set it before' },
    ]);
  });

  it('takes an unmarked unit from the others of its kind', () => {
    const imperial = mapChannels(
      logOf(
        column('Coolant temperature', undefined, [176, 180, 183, 185, 184]),
        column('EGT before DPF', undefined, [180, 420, 610, 640, 300]),
      ),
    );
    expect(imperial.channels.map(({ role, unit }) => [role, unit])).toEqual([
      ['egt3', 'degF'],
      ['coolantTemp', 'degF'],
    ]);
  });

  it('does not believe a stated unit in which the values cannot be, and says so', () => {
    const { channels } = mapChannels(
      logOf(column('Barometric pressure', 'bar', [1013, 1013, 1013, 1013, 1013])),
    );
    expect(channels[0]).toMatchObject({ unit: 'mbar' });
    expect(channels[0]?.reason).toMatch(/stated as bar, in which the values cannot be/);
  });

  it('knows a gauge column by name, by unit, or because it idles near zero', () => {
    const gauge = (name: string, unit: string, values: readonly number[]): boolean | undefined =>
      mapChannels(logOf(column(name, unit, values))).channels[0]?.gauge;
    expect(gauge('Boost pressure gauge', 'mbar', [0, 5, 120, 210, 4])).toBe(true);
    expect(gauge('Boost pressure', 'psig', [0, 0.1, 1.7, 3, 0.1])).toBe(true);
    expect(gauge('Boost pressure', 'mbar', [0, 5, 120, 210, 4])).toBe(true);
    expect(gauge('Boost pressure', 'mbar', [1010, 1015, 1120, 1210, 1012])).toBe(false);
    expect(gauge('Manifold absolute pressure', 'kPa', [10, 10, 10, 10, 10])).toBe(false);
  });
});

describe('our own names', () => {
  it('are recognised with their units, so that what the application writes it can read', () => {
    for (const role of ROLE_IDS) {
      const { unit } = CHANNEL_ROLES[role];
      const label = inEnglish(roleName(role));
      const read = column(
        label,
        role === 'lambda' || role === 'regenActive' ? '' : plainLabel(unit),
        USUAL[role],
      );
      expect(
        mapChannels(logOf(read)).channels.map((channel) => channel.role),
        label,
      ).toEqual([role]);
    }
  });
});
