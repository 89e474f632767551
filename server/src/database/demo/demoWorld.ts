import type { PartId } from '@white-ember/core/ledger';
import type { NewVehicle } from '@white-ember/core/contract';
import type { FilterGeometry, FilterMaterial } from '@white-ember/core/filter';

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
} as const;

interface DemoFilter extends FilterGeometry {
  readonly name: string;
  readonly material: FilterMaterial;
  readonly basis: 'measured' | 'assumed';
}

export const DEMO_FILTERS = {
  tarn: {
    name: 'Tarn 2.0, first fitting',
    diameterMm: 154,
    lengthMm: 155,
    cpsi: 200,
    wallMm: 0.305,
    material: 'silicon-carbide',
    basis: 'measured',
  },
  corrin: {
    name: 'Corrin 1.5, close-coupled',
    diameterMm: 139,
    lengthMm: 145,
    cpsi: 300,
    wallMm: 0.254,
    material: 'silicon-carbide',
    basis: 'assumed',
  },
  harrow: {
    name: 'Harrow 3.0',
    diameterMm: 176,
    lengthMm: 180,
    cpsi: 200,
    wallMm: 0.305,
    material: 'cordierite',
    basis: 'measured',
  },
  orrin: {
    name: 'Orrin 12.8, twin can, one brick',
    diameterMm: 305,
    lengthMm: 305,
    cpsi: 200,
    wallMm: 0.305,
    material: 'cordierite',
    basis: 'assumed',
  },
} as const satisfies Record<string, DemoFilter>;

const CAR: PartId[] = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'silencer',
  'dp-sensor',
  'high-pipe',
  'low-pipe',
  'egt1',
  'egt3',
  'egt4',
];
const VAN: PartId[] = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'scr',
  'silencer',
  'dp-sensor',
  'high-pipe',
  'low-pipe',
  'back-pressure-sensor',
  'egt1',
  'egt2',
  'egt3',
  'egt4',
];

type DemoVehicle = Omit<NewVehicle, 'id' | 'filterModelId' | 'customerId'> & {
  readonly filter?: keyof typeof DEMO_FILTERS;
  readonly customer: keyof typeof DEMO_CUSTOMERS;
};

export const DEMO_VEHICLES = {
  bakeryVan: {
    plate: 'KE 417 QR',
    model: 'Tarn 2.0 van',
    family: 'Tarn 2.0',
    displacementL: 2.0,
    filter: 'tarn',
    customer: 'bakery',
    fitted: VAN,
  },
  taxi12: {
    plate: 'FL 012 TX',
    model: 'Corrin 1.5 saloon',
    family: 'Corrin 1.5',
    displacementL: 1.5,
    filter: 'corrin',
    customer: 'taxis',
    fitted: CAR,
  },
  taxi07: {
    plate: 'FL 007 TX',
    model: 'Corrin 1.5 saloon',
    family: 'Corrin 1.5',
    displacementL: 1.5,
    filter: 'corrin',
    customer: 'taxis',
    fitted: CAR,
  },
  estate: {
    plate: 'HW 52 NB',
    model: 'Harrow 3.0 estate',
    family: 'Harrow 3.0',
    displacementL: 3.0,
    filter: 'harrow',
    customer: 'private',
    fitted: VAN.filter((p) => p !== 'egt2'),
  },
  parcelVan: {
    plate: 'QP 308 LM',
    model: 'Tarn 2.0 long van',
    family: 'Tarn 2.0',
    displacementL: 2.0,
    filter: 'tarn',
    customer: 'parcels',
    fitted: VAN,
    note: '312 000 km, never had the filter off.',
  },
  carter: {
    plate: 'BC 91 HV',
    model: 'Orrin 12.8 tractor',
    family: 'Orrin 12.8',
    displacementL: 12.8,
    filter: 'orrin',
    customer: 'carters',
    fitted: VAN,
  },
  hatch: {
    plate: 'MF 66 PL',
    model: 'Pell 1.6 hatch',
    family: 'Pell 1.6',
    displacementL: 1.6,
    customer: 'private',
    fitted: CAR,
  },
} as const satisfies Record<string, DemoVehicle>;
