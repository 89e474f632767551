import type { Catalyst } from '@white-ember/core/burn';
import { benchFamily, type BenchFamily } from '@white-ember/core/bench';
import type { NewFluid, NewVehicle } from '@white-ember/core/contract';
import type { FilterGeometry, FilterMaterial } from '@white-ember/core/filter';
import type { PartId } from '@white-ember/core/ledger';

/** The made-up workshop that ships with the application. Every name in it is invented. */
export const DEMO_WORKSHOP = 'Quillfeather Aftertreatment';
export const DEMO_PASSWORD = 'marlow-fen-demo';
export const DEMO_MEMBERS = [
  { name: 'Imke Vandersloot', signInName: 'imke', role: 'lead' },
  { name: 'Tobin Ashgrove', signInName: 'tobin', role: 'technician' },
  { name: 'Sorrel Pym', signInName: 'sorrel', role: 'viewer' },
] as const;

export const DEMO_CUSTOMERS = {
  bakery: { name: 'Ottoline’s Bakery', contact: 'Marlow Fen, Mill Lane' },
  taxis: { name: 'Fenline Taxis', contact: 'Marlow Fen, Station Yard' },
  carters: { name: 'Brackwater Carters', contact: 'Sedgeby Wharf' },
  private: { name: 'Hollis Winterbourne' },
  parcels: { name: 'Quickstile Parcels', contact: 'Fen Road depot' },
  council: { name: 'Sedgeby Parish Council', contact: 'Works yard, Dyke Road' },
  plumber: { name: 'Tamsin Oakridge, plumber', contact: 'Marlow Fen, Weir Cottages' },
  florist: { name: 'Petal & Thorn', contact: 'Marlow Fen, Market Place' },
  vets: { name: 'Fenside Vets', contact: 'Sedgeby, Old Maltings' },
  farm: { name: 'Coldharbour Farm', contact: 'Long Drove' },
  nurse: { name: 'Bettany Larkrise' },
  retired: { name: 'Ambrose Thistlewood' },
} as const;

interface DemoFilter extends FilterGeometry {
  readonly name: string;
  readonly material: FilterMaterial;
  readonly basis: 'measured' | 'assumed';
  readonly catalyst: Catalyst;
}

/** The engine family of the bench by its name. */
export function family(name: string): BenchFamily {
  const found = benchFamily(name);
  if (!found) throw new Error(`There is no bench family “${name}”`);
  return found;
}

/** The filter that a family carries on the bench, as the workshop has measured it or taken it for. */
const filterOf = (of: string, label: string, basis: DemoFilter['basis']): DemoFilter => ({
  name: `${of}${label}`,
  ...family(of).filter,
  catalyst: family(of).coated ? 'coated' : 'none',
  basis,
});

export const DEMO_FILTERS = {
  tarn: filterOf('Tarn 2.0', ', first fitting', 'measured'),
  tarn22: filterOf('Tarn 2.2', '', 'measured'),
  corrin: filterOf('Corrin 1.5', ', close-coupled', 'assumed'),
  maren: filterOf('Maren 2.0', '', 'assumed'),
  sallow: filterOf('Sallow 1.7', ', with its catalyst', 'assumed'),
  brindle: filterOf('Brindle 2.5', '', 'measured'),
  harrow: filterOf('Harrow 3.0', '', 'measured'),
  ostler: filterOf('Ostler 4.6', '', 'assumed'),
  larch: filterOf('Larch 8.9', '', 'measured'),
  orrin: filterOf('Orrin 12.8', ', twin can, one brick', 'assumed'),
} as const satisfies Record<string, DemoFilter>;

/** The parts that stand on the exhaust line of a family. */
function fittedOn(of: string): PartId[] {
  const { dpLowSide, backPressureSensor, downstreamBrick, egts } = family(of);
  return [
    'engine',
    'turbine',
    'catalyst',
    'filter',
    ...(downstreamBrick ? (['scr'] as const) : []),
    'silencer',
    'dp-sensor',
    'high-pipe',
    ...(dpLowSide === 'pipe' ? (['low-pipe'] as const) : []),
    ...(backPressureSensor ? (['back-pressure-sensor'] as const) : []),
    ...egts.map((number) => `egt${number}` as const),
  ];
}

export type DemoVehicle = Omit<NewVehicle, 'id' | 'filterModelId' | 'customerId'> & {
  readonly family: string;
  readonly displacementL: number;
  readonly filter: keyof typeof DEMO_FILTERS | undefined;
  readonly customer: keyof typeof DEMO_CUSTOMERS;
};

const vehicle = (
  plate: string,
  of: string,
  body: string,
  filter: DemoVehicle['filter'],
  customer: DemoVehicle['customer'],
  note?: string,
): DemoVehicle => ({
  plate,
  model: `${of} ${body}`,
  family: of,
  displacementL: family(of).displacementL,
  filter,
  customer,
  fitted: fittedOn(of),
  ...(note === undefined ? {} : { note }),
});

export const DEMO_VEHICLES = {
  bakeryVan: vehicle('KE 417 QR', 'Tarn 2.0', 'van', 'tarn', 'bakery'),
  taxi03: vehicle('FL 003 TX', 'Corrin 1.5', 'saloon', 'corrin', 'taxis'),
  taxi07: vehicle('FL 007 TX', 'Corrin 1.5', 'saloon', 'corrin', 'taxis'),
  taxi12: vehicle('FL 012 TX', 'Tarn 2.0', 'minibus', 'tarn', 'taxis'),
  taxi19: vehicle('FL 019 TX', 'Corrin 1.5', 'estate', 'corrin', 'taxis'),
  taxi23: vehicle('FL 023 TX', 'Maren 2.0', 'people carrier', 'maren', 'taxis'),
  estate: vehicle('HW 52 NB', 'Harrow 3.0', 'estate', 'harrow', 'private'),
  parcelVan: vehicle(
    'QP 308 LM',
    'Tarn 2.0',
    'long van',
    'tarn',
    'parcels',
    '312 000 km, never had the filter off.',
  ),
  parcel309: vehicle('QP 309 LM', 'Tarn 2.0', 'long van', 'tarn', 'parcels'),
  parcel311: vehicle('QP 311 LM', 'Tarn 2.2', 'long van', 'tarn22', 'parcels'),
  carter: vehicle('BC 91 HV', 'Orrin 12.8', 'tractor', 'orrin', 'carters'),
  carter44: vehicle('BC 44 HV', 'Larch 8.9', 'tipper', 'larch', 'carters'),
  sweeper: vehicle('SP 17 RC', 'Ostler 4.6', 'sweeper', 'ostler', 'council', 'Idles most of its day.'),
  plumberVan: vehicle('GT 73 WV', 'Brindle 2.5', 'van', 'brindle', 'plumber'),
  farmPickup: vehicle('RT 81 OD', 'Brindle 2.5', 'pick-up', 'brindle', 'farm'),
  floristVan: vehicle('LD 29 AE', 'Sallow 1.7', 'small van', 'sallow', 'florist', 'Rounds of 4 km.'),
  vetEstate: vehicle('VX 60 ME', 'Maren 2.0', 'estate', 'maren', 'vets'),
  hatch: vehicle('MF 66 PL', 'Pell 1.6', 'hatch', undefined, 'private'),
  nurseHatch: vehicle('NJ 15 KU', 'Pell 1.6', 'hatch', undefined, 'nurse'),
  oldSaloon: vehicle('DY 38 SO', 'Sallow 1.7', 'saloon', 'sallow', 'retired'),
} as const;
export type DemoVehicleKey = keyof typeof DEMO_VEHICLES;

export type DemoFluid = Omit<NewFluid, 'id' | 'countedAt'>;

/** Made-up fluids with made-up data sheets: to soak, to rinse, and one that not every line may get. */
export const DEMO_FLUIDS: Record<string, DemoFluid> = {
  fenwash: {
    name: 'Fenwash D',
    kind: 'soak',
    waterParts: 1,
    filterUpToC: 45,
    coatedFilters: true,
    laterBricks: true,
    dwellMin: 30,
    burstS: 5,
    lineUpToBar: 9,
    countedL: 8.5,
  },
  rinse: {
    name: 'Fenrinse',
    kind: 'rinse',
    waterParts: 4,
    filterUpToC: 80,
    coatedFilters: true,
    laterBricks: true,
    dwellMin: 5,
    burstS: 8,
    lineUpToBar: 6,
    countedL: 4,
  },
  strong: {
    name: 'Carbonloose 3',
    kind: 'soak',
    waterParts: 0,
    filterUpToC: 120,
    coatedFilters: true,
    laterBricks: false,
    dwellMin: 45,
    burstS: 4,
    lineUpToBar: 8,
    countedL: 0.6,
  },
};
