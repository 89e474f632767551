import { fromBase, type Unit } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import { randomHeadings } from './logHeadings.ts';
import type { MadeLog } from './madeLog.ts';
import type { Dice } from './drills.ts';

const PRESSURES: readonly (readonly [Unit, string, number])[] = [
  ['mbar', 'mbar', 1],
  ['hPa', 'hPa', 1],
  ['kPa', 'kPa', 2],
  ['psi', 'psi', 3],
  ['mbar', 'mbar', 1],
  ['inHg', 'inHg', 3],
];

interface Writing {
  readonly unit: Unit;
  readonly text: string;
  readonly digits: number;
}

function writingOf(role: ChannelRole, pressure: Writing, fahrenheit: boolean, air: Writing): Writing {
  if (role === 'engineSpeed') return { unit: 'rpm', text: 'rpm', digits: 0 };
  if (role === 'massAirFlow') return air;
  if (role === 'sootMass') return { unit: 'g', text: 'g', digits: 1 };
  if (role === 'vehicleSpeed') return { unit: 'kmPerH', text: 'km/h', digits: 0 };
  if (/Pressure|DeltaP/.test(role)) return pressure;
  return fahrenheit ? { unit: 'degF', text: '°F', digits: 1 } : { unit: 'degC', text: '°C', digits: 1 };
}

export interface Written {
  readonly bytes: Uint8Array;
  readonly dialect: string;
}

const clockText = (seconds: number, comma: boolean): string => {
  const s = seconds % 86_400;
  const two = (n: number): string => String(Math.floor(n)).padStart(2, '0');
  return `${two(s / 3600)}:${two((s / 60) % 60)}:${(s % 60)
    .toFixed(3)
    .padStart(6, '0')
    .replace('.', comma ? ',' : '.')}`;
};

/** Writes a made log as one of many tools would: tongue, units, separators, layout, times, encoding, placeholders. */
export function writeLog(log: MadeLog, d: Dice): Written {
  const names = randomHeadings(d);
  const layout = d.pick(['wide', 'wide', 'wide', 'long', 'asynchronous', 'json'] as const);
  const comma = layout !== 'json' && d.chance(0.35);
  const delimiter = comma ? d.pick([';', '\t']) : d.pick([',', ';', '\t', '|']);
  const pressureChoice = d.pick(PRESSURES);
  const pressure = { unit: pressureChoice[0], text: pressureChoice[1], digits: pressureChoice[2] };
  const fahrenheit = pressure.unit === 'psi' || pressure.unit === 'inHg';
  const air: Writing = d.pick([
    { unit: 'gPerS', text: 'g/s', digits: 2 },
    { unit: 'kgPerH', text: 'kg/h', digits: 1 },
    ...(fahrenheit ? [{ unit: 'lbPerMin', text: 'lb/min', digits: 3 } as const] : []),
  ]);
  const roles = (Object.keys(log.channels) as ChannelRole[]).filter((role) => names[role] !== undefined);
  const writings = new Map(roles.map((role) => [role, writingOf(role, pressure, fahrenheit, air)]));
  const stepRows = d.pick([1, 2, 2, 4, 5]);
  const startS = d.pick([0, 8 * 3600 + 123.4, 86_400 - 60]);
  const number = (value: number, digits: number): string =>
    comma ? value.toFixed(digits).replace('.', ',') : value.toFixed(digits);
  const cell = (role: ChannelRole, row: number): string => {
    const writing = writings.get(role) as Writing;
    const value = fromBase((log.channels[role] as Float64Array)[row] as number, writing.unit);
    return number(value, writing.digits).replace(/^-0([.,]0+)?$/, '0$1');
  };
  const clocks = d.pick(['seconds', 'seconds', 'milliseconds', 'clock', 'iso', 'epoch'] as const);
  const time = (row: number): string => {
    const t = (log.timeS[row] as number) + (d.share() - 0.5) * 0.02;
    if (clocks === 'milliseconds') return (t * 1000 + 500).toFixed(0);
    if (clocks === 'clock') return clockText(startS + t + 0.1, comma);
    if (clocks === 'iso') return new Date(Date.UTC(2026, 2, 3, 9) + t * 1000).toISOString();
    return number((clocks === 'epoch' ? 1_772_500_000 : 0.1) + t, 3);
  };
  const timeName = {
    seconds: 'Time (s)',
    milliseconds: 'Time (ms)',
    clock: 'Zeit',
    iso: 'Timestamp',
    epoch: 'Timestamp',
  }[clocks];
  const rows = Array.from({ length: Math.floor(log.timeS.length / stepRows) }, (_, i) => i * stepRows);
  const dialect = `${layout}, ${clocks}, “${delimiter}”, ${pressure.text}`;

  if (layout === 'json') {
    const objects = rows.map((row) => {
      const object: Record<string, string | number> = { [timeName]: time(row) };
      for (const role of roles)
        object[`${names[role]} (${writings.get(role)?.text})`] = Number(cell(role, row));
      return object;
    });
    return { bytes: new TextEncoder().encode(JSON.stringify(objects)), dialect };
  }
  const lines: string[] = [];
  if (d.chance(0.3)) lines.push('Live data recording', `Vehicle${delimiter}made for a test`, '');
  if (layout === 'long') {
    lines.push([timeName, 'name', 'value', 'unit'].join(delimiter));
    for (const row of rows)
      for (const role of roles)
        if (!d.chance(0.05))
          lines.push([time(row), names[role], cell(role, row), writings.get(role)?.text].join(delimiter));
  } else {
    const unitRow = d.chance(0.3);
    const brackets = d.pick([
      ['(', ')'],
      ['[', ']'],
    ] as const);
    lines.push(
      [
        unitRow ? timeName.replace(/ \((?:m?s)\)/, '') : timeName,
        ...roles.map((role) =>
          unitRow ? names[role] : `${names[role]} ${brackets[0]}${writings.get(role)?.text}${brackets[1]}`,
        ),
      ].join(delimiter),
    );
    if (unitRow)
      lines.push(
        [
          { seconds: 's', milliseconds: 'ms', clock: '', iso: '', epoch: '' }[clocks],
          ...roles.map((role) => writings.get(role)?.text),
        ].join(delimiter),
      );
    const blank = d.pick(['', '', '---', 'N/A']);
    const holes = layout === 'asynchronous' ? 0.5 : 0.01;
    const from = d.pick([1, 2]);
    for (const row of layout === 'asynchronous'
      ? Array.from({ length: Math.floor(log.timeS.length / from) }, (_, i) => i * from)
      : rows) {
      lines.push(
        [time(row), ...roles.map((role) => (d.chance(holes) ? blank : cell(role, row)))].join(delimiter),
      );
    }
  }
  const text = `${lines.join(d.pick(['\n', '\r\n']))}\n`;
  return { bytes: encoded(text, d), dialect };
}

function encoded(text: string, d: Dice): Uint8Array {
  const kind = d.pick(['utf-8', 'utf-8', 'bom', 'utf-16', 'latin-1'] as const);
  if (kind === 'latin-1' && [...text].every((char) => char.charCodeAt(0) < 256))
    return Uint8Array.from(text, (char) => char.charCodeAt(0));
  if (kind === 'utf-16') {
    const bytes = new Uint8Array(2 * text.length + 2);
    bytes.set([0xff, 0xfe]);
    for (let i = 0; i < text.length; i++) {
      bytes[2 * i + 2] = text.charCodeAt(i) & 0xff;
      bytes[2 * i + 3] = text.charCodeAt(i) >> 8;
    }
    return bytes;
  }
  return new TextEncoder().encode(kind === 'bom' ? `\uFEFF${text}` : text);
}
