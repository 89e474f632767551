import type { BenchFamily } from './families.ts';
import type { Fault, FaultId } from './faults.ts';
import type { EgtNumber } from './vehicle/wear.ts';

/** How a baseline was driven, as far as it decides what can be seen. */
export interface Drill {
  /** The engine had stood overnight. */
  readonly cold: boolean;
  /** With a loaded pull on the road. */
  readonly pull: boolean;
}

/** What a fault disturbs: those of one group hide each other's signs. */
type Group = 'filter' | 'deltaP' | 'backPressure' | 'manifold' | 'air' | 'wiring' | 'coolant' | FaultId;

const GROUPS: Partial<Record<FaultId, Group>> = {
  'soot-loaded': 'filter',
  'ash-full': 'filter',
  'filter-cracked': 'filter',
  'short-trips': 'filter',
  'soot-counter-reset': 'filter',
  'counter-not-reset': 'filter',
  'dp-sensor-failed': 'deltaP',
  'dp-sensor-wrong': 'deltaP',
  'high-pipe-blocked': 'deltaP',
  'low-pipe-blocked': 'deltaP',
  'dp-hose-off': 'deltaP',
  'dp-hoses-crossed': 'deltaP',
  'back-pressure-sensor-failed': 'backPressure',
  'back-pressure-pipe-blocked': 'backPressure',
  'manifold-sensor-failed': 'manifold',
  'intake-leak': 'air',
  'charge-leak': 'air',
  'air-meter-failed': 'air',
  'turbocharger-worn': 'air',
  'vanes-stuck': 'air',
  'egr-stuck-open': 'air',
  'egr-cooler-fouled': 'air',
  'sensor-wiring': 'wiring',
  'thermostat-stuck-open': 'coolant',
};
export const groupOf = (id: FaultId): Group => GROUPS[id] ?? id;

/** Whose faults take away what a fault of this group would show in a log. */
const MASKED_BY: Partial<Record<Group, readonly Group[]>> = {
  filter: ['deltaP', 'wiring', 'air'],
  // A cracked filter leaves the sensor nothing to be slow with.
  deltaP: ['wiring', 'filter'],
  backPressure: ['wiring'],
  manifold: ['wiring'],
  air: ['manifold', 'wiring'],
};

type Signs = (
  of: { readonly severity: number; readonly form: string | undefined },
  family: BenchFamily,
  drill: Drill,
) => readonly string[];

/** A log of a baseline shows nothing that points to it. */
const nothing: Signs = () => [];

/** With other bricks or the tail between the taps a share of the clean filter says little. */
const tapsOnFilter = ({ dpTaps, dpLowSide }: BenchFamily): boolean =>
  dpTaps === 'filter' && dpLowSide === 'pipe';

const egt =
  (number: EgtNumber): Signs =>
  ({ severity, form }, { egts }, { cold }) => {
    if (!egts.includes(number)) return [];
    if (form === 'stuck') return severity >= 0.5 ? [`egt${number}-stuck`] : [];
    if (form === 'reads-high-cold') return cold && severity >= 0.7 ? [`egt${number}-cold-mismatch`] : [];
    return [`egt${number}-open`];
  };

const when = (holds: boolean, ...ids: string[]): readonly string[] => (holds ? ids : []);

const SIGNS: Readonly<Record<FaultId, Signs>> = {
  'soot-loaded': ({ severity }) => when(severity >= 0.9, 'dp-high-hold', 'soot-high'),
  'ash-full': nothing,
  'filter-cracked': ({ severity }, family) =>
    when(severity >= 0.8 && tapsOnFilter(family), 'dp-low-for-flow'),
  'catalyst-restricted': nothing,
  'downstream-restricted': nothing,
  'dp-sensor-failed': ({ severity, form }, family) => {
    if (form === 'stuck') return ['dp-stuck-high'];
    if (form === 'zero-off') return when(severity >= 0.6, 'dp-zero-offset');
    if (form === 'low') return when(severity >= 0.9 && tapsOnFilter(family), 'dp-low-for-flow');
    return ['dp-no-response'];
  },
  'dp-sensor-wrong': nothing,
  'high-pipe-blocked': ({ severity }, { dpLowSide, dpClipsAtZero, downstreamBrick, kind }) => {
    // Shut, it leaves the pressure behind the filter alone at the sensor, against its direction.
    if (severity >= 0.985)
      return dpLowSide === 'open' || dpClipsAtZero
        ? ['dp-no-response']
        : when(downstreamBrick, 'dp-reversed');
    return when(severity >= 0.84 && severity <= 0.9 && kind !== 'truck', 'dp-slow-response');
  },
  'low-pipe-blocked': nothing,
  'dp-hose-off': nothing,
  'dp-hoses-crossed': (_, { dpClipsAtZero, kind }) =>
    dpClipsAtZero ? ['dp-no-response'] : when(kind !== 'truck', 'dp-reversed'),
  'back-pressure-sensor-failed': ({ severity, form }, { backPressureSensor }) =>
    form === 'off'
      ? when(backPressureSensor && severity >= 0.6, 'ebp-key-on-mismatch')
      : when(backPressureSensor, 'ebp-no-response'),
  'back-pressure-pipe-blocked': ({ severity, form }, { backPressureSensor }, { pull }) => {
    if (!backPressureSensor) return [];
    if (form === 'broken')
      return pull ? when(severity >= 0.75, 'ebp-low-for-boost') : when(severity >= 0.97, 'ebp-no-response');
    return severity >= 0.985
      ? ['ebp-no-response']
      : when(severity >= 0.8 && severity <= 0.9, 'ebp-slow-decay');
  },
  'manifold-sensor-failed': ({ severity, form }) => {
    if (form === 'off') return when(severity >= 0.6, 'map-key-on-mismatch');
    if (form === 'slow') return when(severity >= 0.7, 'map-slow-decay');
    return ['map-no-response'];
  },
  'egt1-failed': egt(1),
  'egt2-failed': egt(2),
  'egt3-failed': egt(3),
  'egt4-failed': egt(4),
  'sensor-wiring': ({ severity }) => when(severity >= 0.7, 'map-key-on-mismatch'),
  'intake-leak': ({ severity }) => when(severity >= 0.7, 'maf-low-for-speed'),
  'charge-leak': ({ severity }) => when(severity >= 0.75, 'maf-high-for-speed'),
  'air-meter-failed': ({ severity, form }) =>
    when(severity >= 0.6, form === 'high' ? 'maf-high-for-speed' : 'maf-low-for-speed'),
  'turbocharger-worn': nothing,
  'vanes-stuck': nothing,
  'egr-stuck-open': nothing,
  'egr-cooler-fouled': nothing,
  'injector-over-fuelling': nothing,
  'dosing-injector-blocked': nothing,
  'glow-plugs-failed': nothing,
  'oil-counter': nothing,
  'thermostat-stuck-open': ({ severity }, _, { cold }) =>
    when(cold && severity >= 0.9, 'coolant-below-regen-temperature'),
  'oil-in-exhaust': nothing,
  'short-trips': nothing,
  'soot-counter-reset': nothing,
  'counter-not-reset': nothing,
  'fuel-low': nothing,
};

/** The findings that one fault alone must give in a log of a guided baseline; none where a log cannot show it. */
export const signatureOf = (
  { id, severity, form }: Fault,
  family: BenchFamily,
  drill: Drill,
): readonly string[] => SIGNS[id]({ severity, form }, family, drill);

/** What a set of faults together must show: each its own signs, less those that another of them hides. */
export function requiredFindings(faults: readonly Fault[], family: BenchFamily, drill: Drill): string[] {
  const groups = new Set(faults.map(({ id }) => groupOf(id)));
  return [
    ...new Set(
      faults
        .filter(({ id }) => !(MASKED_BY[groupOf(id)] ?? []).some((group) => groups.has(group)))
        .flatMap((fault) => signatureOf(fault, family, drill)),
    ),
  ];
}
