import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = join(import.meta.dirname, '../../../samples');

export const sampleBytes = (file: string): Uint8Array => readFileSync(join(FOLDER, file));

export interface ExpectedLog {
  readonly file: string;
  readonly engine: { readonly displacementL: number };
  readonly expectedChannels: Readonly<Record<string, string>>;
  readonly expectedUnits: Readonly<Record<string, string>>;
  readonly gaugeRoles: readonly string[];
  readonly quantumMbar: number;
  readonly windows: readonly {
    readonly kind: string;
    readonly startS: number;
    readonly endS: number;
    readonly rpmMean: number;
    readonly dpMeanMbar: number;
  }[];
  readonly findings: readonly { readonly id: string }[];
  readonly mustNotReport: readonly string[];
}

export interface PressureDropCase {
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly cpsi: number;
  readonly wallMm: number;
  readonly exhaustKgPerS: number;
  readonly temperatureC: number;
  readonly outletPressurePa: number;
  readonly sootG: number;
  readonly expectMbar: number;
  readonly parts: {
    readonly wall: number;
    readonly cake: number;
    readonly channel: number;
    readonly inertial: number;
  };
}

const json = (file: string): unknown => JSON.parse(Buffer.from(sampleBytes(file)).toString('utf8'));

export const EXPECTED_LOGS = json('expected.json') as readonly ExpectedLog[];
export const PRESSURE_DROP_CASES = json('pressure-drop-cases.json') as readonly PressureDropCase[];
