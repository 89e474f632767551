import type { Intake } from '@white-ember/core/diagnosis';
import type { BodyOf, UsePattern } from '@white-ember/core/ledger';
import { fromBase, toBase, type Unit } from '@white-ember/core/quantities';
import { typedNumber } from '../../ui/format.ts';

export const LAMPS: readonly (readonly [id: string, label: string])[] = [
  ['filter', 'Filter lamp'],
  ['engine', 'Engine lamp'],
  ['glow', 'Glow lamp flashes'],
  ['oil', 'Oil or service'],
  ['exhaust-fluid', 'Exhaust fluid'],
];

/** The intake as it is typed. */
export interface TypedIntake {
  readonly text: string;
  readonly distance: string;
  readonly power: '' | 'yes' | 'no';
  readonly use: '' | UsePattern;
  readonly seen: Record<string, boolean>;
  readonly lamps: string[];
  readonly serviced: string;
  readonly oilChanged: string;
  readonly oil: string;
  readonly regenEvery: string;
  readonly kit: string[];
  readonly toolVehicle: string;
  readonly toolL: string;
}

const KIT_KEY = 'white-ember kit';

/** What was on the van last time: it seldom changes from job to job. */
export function usualKit(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KIT_KEY) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((id): id is string => typeof id === 'string' && id !== 'cold-engine')
      : [];
  } catch {
    return [];
  }
}
export const keepKit = (kit: readonly string[]): void => localStorage.setItem(KIT_KEY, JSON.stringify(kit));

const asTyped = (km: number | undefined, unit: Unit): string =>
  km === undefined ? '' : String(Math.round(fromBase(km, unit)));

export const typedIntake = (intake: Intake, text: string, unit: Unit): TypedIntake => ({
  text,
  distance: asTyped(intake.distanceKm, unit),
  power: intake.powerLimited === undefined ? '' : intake.powerLimited ? 'yes' : 'no',
  use: intake.use ?? '',
  seen: intake.seen ?? {},
  lamps: intake.lamps ?? [],
  serviced: asTyped(intake.servicedKm, unit),
  oilChanged: asTyped(intake.oilChangedKm, unit),
  oil: intake.oilSpecification ?? '',
  regenEvery: asTyped(intake.regenEveryKm, unit),
  kit: intake.kit ?? usualKit(),
  toolVehicle: intake.toolSaw?.vehicle ?? '',
  toolL: intake.toolSaw?.displacementL === undefined ? '' : String(intake.toolSaw.displacementL),
});

/** What was typed as a body of the ledger; what is no number stays none, so that the ledger's own words refuse it. */
export function intakeBody(typed: TypedIntake, unit: Unit): BodyOf<'complaint'> {
  const km = (text: string): number | undefined => {
    const value = typedNumber(text);
    return value === undefined || Number.isNaN(value) ? value : toBase(value, unit);
  };
  const [distanceKm, servicedKm, oilChangedKm, regenEveryKm] = [
    typed.distance,
    typed.serviced,
    typed.oilChanged,
    typed.regenEvery,
  ].map(km);
  const litres = typedNumber(typed.toolL);
  return {
    kind: 'complaint',
    text: typed.text,
    ...(distanceKm === undefined ? {} : { distanceKm }),
    ...(typed.power === '' ? {} : { powerLimited: typed.power === 'yes' }),
    ...(typed.use === '' ? {} : { use: typed.use }),
    ...(Object.keys(typed.seen).length === 0 ? {} : { seen: typed.seen }),
    ...(typed.lamps.length === 0 ? {} : { lamps: typed.lamps }),
    ...(servicedKm === undefined ? {} : { servicedKm }),
    ...(oilChangedKm === undefined ? {} : { oilChangedKm }),
    ...(regenEveryKm === undefined ? {} : { regenEveryKm }),
    ...(typed.oil === '' ? {} : { oilSpecification: typed.oil }),
    ...(typed.kit.length === 0 ? {} : { kit: typed.kit }),
    ...(typed.toolVehicle === ''
      ? {}
      : {
          toolSaw: { vehicle: typed.toolVehicle, ...(litres === undefined ? {} : { displacementL: litres }) },
        }),
  };
}
