import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/line';
import type { Vehicle } from '@white-ember/core/contract';
import {
  type FluidEntry,
  type PartId,
  type PartState,
  type SteadySample,
  steadySamplesOf,
} from '@white-ember/core/ledger';
import type { OpenJob } from '../../job/useJob.ts';

export const BODY_NAMES = {
  engine: common.engine,
  turbine: wording.turbine,
  catalyst: wording.catalyst,
  filter: common.filter,
  scr: wording.scrBrick,
  silencer: wording.silencer,
  tail: wording.tail,
} as const;

export const shortEgt = (part: PartId): string => part.toUpperCase().replace('EGT', 'EGT ');

/** The latest steady sample with the highest engine speed: what stands at the parts, and which reading it is of. */
export function shownSample(derived: OpenJob['derived']): { sample?: SteadySample; caption: string } {
  const entry = derived.after ?? derived.before;
  const sample = [...steadySamplesOf(entry?.body.samples ?? [])]
    .filter((s) => s.kind !== 'key-off')
    .sort((a, b) => b.rpm - a.rpm)[0];
  if (!entry || !sample) return { caption: wording.nothingReadYet };
  const at = sample.kind === 'idle' ? 'idle' : wording.holdAtRpm(Math.round(sample.rpm / 10) * 10);
  return { sample, caption: `${entry.body.purpose === 'after' ? common.afterTitle : common.before}, ${at}` };
}

/** One part of the line as the strip shows it, in the order of the gas. */
export interface StripPart {
  readonly part: PartId;
  readonly name: string;
  readonly state: PartState;
  /** Of the gas there, °C: read there, or at the sensor before. */
  readonly gasC: number | undefined;
  readonly reads?: { readonly celsius?: number | undefined; readonly dpMbar?: number | undefined };
}

const ORDER: readonly (readonly [PartId, string])[] = [
  ['engine', BODY_NAMES.engine],
  ['back-pressure-sensor', 'P'],
  ['egt1', common.egt1],
  ['turbine', BODY_NAMES.turbine],
  ['egt2', common.egt2],
  ['catalyst', BODY_NAMES.catalyst],
  ['egt3', common.egt3],
  ['high-pipe', wording.highPipeTitle],
  ['dp-sensor', 'ΔP'],
  ['filter', BODY_NAMES.filter],
  ['low-pipe', wording.lowPipeTitle],
  ['egt4', common.egt4],
  ['scr', BODY_NAMES.scr],
  ['silencer', BODY_NAMES.silencer],
];
const ALWAYS: ReadonlySet<PartId> = new Set(['engine', 'filter']);

/** Where fluid goes in, on the strip. */
export const FLUID_AT: Readonly<Record<FluidEntry, PartId>> = {
  'high-pipe': 'high-pipe',
  'sensor-port': 'egt3',
  'before-turbine': 'turbine',
};

/** What is fitted, from the engine on; the gas keeps its temperature until the next sensor. */
export function stripParts(vehicle: Vehicle, derived: OpenJob['derived']): StripPart[] {
  const { sample } = shownSample(derived);
  const read: Partial<Record<PartId, number | undefined>> = {
    egt1: sample?.egt1C,
    egt2: sample?.egt2C,
    egt3: sample?.egt3C,
    egt4: sample?.egt4C,
  };
  const shown = ORDER.filter(([part]) => ALWAYS.has(part) || vehicle.fitted.includes(part));
  let gasC = shown.map(([part]) => read[part]).find((celsius) => celsius !== undefined);
  return shown.map(([part, name]) => {
    const celsius = read[part];
    gasC = celsius ?? gasC;
    const state = derived.parts.get(part)?.state ?? 'not-looked-at';
    if (part.startsWith('egt')) return { part, name, state, gasC, reads: { celsius } };
    if (part === 'dp-sensor') return { part, name, state, gasC, reads: { dpMbar: sample?.dpMbar } };
    return { part, name, state, gasC };
  });
}
