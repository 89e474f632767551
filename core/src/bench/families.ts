import type { FilterGeometry, FilterMaterial } from '../filter/index.ts';
import type { EgtNumber } from './vehicle/wear.ts';

/** What the engine and its exhaust line are built of. Made up; sizes and figures are those of engines of that kind. */
export interface BenchFamily {
  readonly name: string;
  readonly kind: 'car' | 'van' | 'truck';
  readonly displacementL: number;
  readonly cylinders: number;
  readonly idleRpm: number;
  /** Governed speed without load. */
  readonly governedRpm: number;
  /** Crankshaft, flywheel and what turns with it, kg·m². */
  readonly inertiaKgM2: number;
  /** Volumetric efficiency at middle speed. */
  readonly volumetricEfficiency: number;
  /** Highest boost that the computer asks for, mbar above the barometer. */
  readonly boostMbar: number;
  readonly vehicleMassKg: number;
  /** Drag area c_w·A, m². */
  readonly dragAreaM2: number;
  /** Road speed at 1000 rpm in each gear, km/h. */
  readonly kmPerHAt1000: readonly number[];
  readonly filter: FilterGeometry & { readonly material: FilterMaterial };
  readonly catalystL: number;
  /** Whether the filter carries a wash-coat that helps soot to burn. */
  readonly coated: boolean;
  /** How fuel comes into the exhaust for a regeneration. */
  readonly dosing: 'late-injection' | 'line-injector';
  readonly egts: readonly EgtNumber[];
  readonly backPressureSensor: boolean;
  readonly downstreamBrick: boolean;
  /** End of the ΔP sensor's scale, mbar. */
  readonly dpFullScaleMbar: number;
  /** A sensor that cannot show less than nothing. */
  readonly dpClipsAtZero: boolean;
  /** Whether the low side is piped to behind the filter or open to the air. */
  readonly dpLowSide: 'pipe' | 'open';
  /** Which bricks lie between the two taps. */
  readonly dpTaps: 'filter' | 'catalyst-and-filter';
  readonly egtKind: 'platinum' | 'ntc' | 'thermocouple';
  readonly thermostatC: number;
  readonly oilL: number;
  readonly tankL: number;
  /** Soot per litre of filter at which the computer wants a regeneration, and at which it refuses one. */
  readonly regenStartGPerL: number;
  readonly regenRefuseGPerL: number;
  readonly regenTargetC: number;
  /** What the soot counter begins at after a reset, g: some computers do not begin at 0. */
  readonly resetSootG: number;
  /** How its computer names and scales its channels. */
  readonly tongue: 'plain' | 'short' | 'kilopascal' | 'heavy';
}

const CAR_GEARS = [8, 15, 24, 34, 44, 53] as const;
const VAN_GEARS = [7, 13, 21, 30, 39, 47] as const;
const TRUCK_GEARS = [4, 8, 14, 22, 32, 45, 58] as const;

const CAR = {
  kind: 'car',
  cylinders: 4,
  governedRpm: 4800,
  volumetricEfficiency: 0.87,
  boostMbar: 1350,
  dragAreaM2: 0.68,
  kmPerHAt1000: CAR_GEARS,
  coated: true,
  dosing: 'late-injection',
  egts: [1, 2, 3, 4],
  backPressureSensor: true,
  downstreamBrick: false,
  dpFullScaleMbar: 1000,
  dpClipsAtZero: false,
  dpLowSide: 'pipe',
  dpTaps: 'filter',
  egtKind: 'platinum',
  thermostatC: 86,
  tankL: 52,
  regenStartGPerL: 5,
  regenRefuseGPerL: 14,
  regenTargetC: 625,
  resetSootG: 0,
  tongue: 'plain',
} as const satisfies Partial<BenchFamily>;

const VAN = {
  ...CAR,
  kind: 'van',
  dragAreaM2: 1.5,
  kmPerHAt1000: VAN_GEARS,
  downstreamBrick: true,
  tankL: 80,
} as const satisfies Partial<BenchFamily>;

const TRUCK = {
  ...VAN,
  kind: 'truck',
  cylinders: 6,
  dragAreaM2: 5.6,
  kmPerHAt1000: TRUCK_GEARS,
  egtKind: 'thermocouple',
  dosing: 'line-injector',
  dpFullScaleMbar: 500,
  thermostatC: 84,
  regenStartGPerL: 4,
  regenRefuseGPerL: 9,
  regenTargetC: 575,
  tongue: 'heavy',
} as const satisfies Partial<BenchFamily>;

const SILICON = { cpsi: 200, wallMm: 0.305, material: 'silicon-carbide' } as const;
const FINE = { cpsi: 300, wallMm: 0.254, material: 'silicon-carbide' } as const;
const CORDIERITE = { cpsi: 200, wallMm: 0.305, material: 'cordierite' } as const;

/** The engine families of the bench: the demo workshop's own among them. */
export const BENCH_FAMILIES: readonly BenchFamily[] = [
  {
    ...CAR,
    name: 'Corrin 1.5',
    displacementL: 1.5,
    idleRpm: 845,
    inertiaKgM2: 0.24,
    vehicleMassKg: 1380,
    filter: { diameterMm: 139, lengthMm: 145, ...FINE },
    catalystL: 1,
    egts: [1, 3, 4],
    backPressureSensor: false,
    oilL: 4.4,
  },
  {
    ...CAR,
    name: 'Pell 1.6',
    displacementL: 1.6,
    idleRpm: 830,
    inertiaKgM2: 0.26,
    vehicleMassKg: 1450,
    filter: { diameterMm: 143.8, lengthMm: 140, ...SILICON },
    catalystL: 1.1,
    egts: [1, 3, 4],
    dpClipsAtZero: true,
    dosing: 'line-injector',
    oilL: 4.6,
    tongue: 'short',
  },
  {
    ...CAR,
    name: 'Sallow 1.7',
    resetSootG: 2,
    displacementL: 1.7,
    idleRpm: 800,
    inertiaKgM2: 0.27,
    vehicleMassKg: 1520,
    filter: { diameterMm: 143.8, lengthMm: 152.4, ...FINE },
    catalystL: 1.2,
    dpTaps: 'catalyst-and-filter',
    egtKind: 'ntc',
    oilL: 5.1,
    tongue: 'kilopascal',
  },
  {
    ...VAN,
    name: 'Tarn 2.0',
    displacementL: 2,
    idleRpm: 815,
    inertiaKgM2: 0.32,
    vehicleMassKg: 2300,
    filter: { diameterMm: 154, lengthMm: 155, ...SILICON },
    catalystL: 1.5,
    oilL: 6.2,
  },
  {
    ...VAN,
    name: 'Tarn 2.2',
    displacementL: 2.2,
    idleRpm: 790,
    inertiaKgM2: 0.36,
    vehicleMassKg: 2650,
    filter: { diameterMm: 163, lengthMm: 160, ...SILICON },
    catalystL: 1.7,
    dosing: 'line-injector',
    oilL: 6.8,
    tongue: 'short',
  },
  {
    ...CAR,
    name: 'Maren 2.0',
    displacementL: 2,
    idleRpm: 820,
    inertiaKgM2: 0.3,
    vehicleMassKg: 1640,
    boostMbar: 1550,
    filter: { diameterMm: 158, lengthMm: 148, ...FINE },
    catalystL: 1.4,
    dpLowSide: 'open',
    egtKind: 'ntc',
    oilL: 5.2,
    tongue: 'kilopascal',
  },
  {
    ...VAN,
    name: 'Brindle 2.5',
    displacementL: 2.5,
    idleRpm: 760,
    governedRpm: 4400,
    inertiaKgM2: 0.44,
    vehicleMassKg: 2250,
    dragAreaM2: 1.2,
    filter: { diameterMm: 165, lengthMm: 178, ...CORDIERITE },
    catalystL: 1.9,
    egtKind: 'thermocouple',
    oilL: 7.4,
  },
  {
    ...CAR,
    name: 'Harrow 3.0',
    displacementL: 3,
    cylinders: 6,
    idleRpm: 740,
    inertiaKgM2: 0.5,
    vehicleMassKg: 2050,
    boostMbar: 1600,
    filter: { diameterMm: 176, lengthMm: 180, ...CORDIERITE },
    catalystL: 2.4,
    downstreamBrick: true,
    egts: [1, 3, 4],
    oilL: 8.1,
    tankL: 75,
  },
  {
    ...TRUCK,
    name: 'Ostler 4.6',
    displacementL: 4.6,
    cylinders: 4,
    idleRpm: 680,
    governedRpm: 3100,
    inertiaKgM2: 1,
    volumetricEfficiency: 0.88,
    boostMbar: 1300,
    vehicleMassKg: 7500,
    filter: { diameterMm: 228, lengthMm: 254, ...CORDIERITE },
    catalystL: 4.5,
    oilL: 14,
    tankL: 120,
  },
  {
    ...TRUCK,
    name: 'Larch 8.9',
    displacementL: 8.9,
    idleRpm: 640,
    governedRpm: 2600,
    inertiaKgM2: 2.2,
    volumetricEfficiency: 0.89,
    boostMbar: 1400,
    vehicleMassKg: 17_000,
    filter: { diameterMm: 286, lengthMm: 305, ...CORDIERITE },
    catalystL: 9,
    oilL: 28,
    tankL: 300,
  },
  {
    ...TRUCK,
    name: 'Orrin 12.8',
    displacementL: 12.8,
    idleRpm: 620,
    governedRpm: 2400,
    inertiaKgM2: 3.4,
    volumetricEfficiency: 0.9,
    boostMbar: 1500,
    vehicleMassKg: 36_000,
    filter: { diameterMm: 305, lengthMm: 305, ...CORDIERITE },
    catalystL: 13,
    oilL: 38,
    tankL: 600,
  },
];

export const benchFamily = (name: string): BenchFamily | undefined =>
  BENCH_FAMILIES.find((family) => family.name === name);
