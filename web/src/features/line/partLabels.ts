import type { PartId } from '@white-ember/core/ledger';

export const PART_LABELS: Record<PartId, string> = {
  engine: 'Engine',
  turbine: 'Turbine',
  catalyst: 'Catalyst (DOC)',
  filter: 'Filter (DPF)',
  scr: 'SCR brick',
  silencer: 'Silencer',
  'dp-sensor': 'ΔP sensor',
  'high-pipe': 'High pipe',
  'low-pipe': 'Low pipe',
  'back-pressure-sensor': 'Back-pressure sensor',
  egt1: 'EGT 1, before turbine',
  egt2: 'EGT 2, before catalyst',
  egt3: 'EGT 3, before filter',
  egt4: 'EGT 4, after filter',
};
