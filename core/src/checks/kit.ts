/** What a technician has along; a check without its kit is not proposed first. */
export const KIT = {
  'scan-tool': 'scan tool',
  multimeter: 'multimeter',
  'hand-pump': 'pressure and vacuum hand pump',
  'known-good-sensor': 'known-good sensor',
  'smoke-generator': 'smoke generator',
  gauge: 'back-pressure gauge with adapters',
  spanners: 'spanners and a way under the vehicle',
  'contact-thermometer': 'contact thermometer',
  'cold-engine': 'engine cold for 6 h or more',
} as const;

export type KitId = keyof typeof KIT;
export const KIT_IDS = Object.keys(KIT) as KitId[];
