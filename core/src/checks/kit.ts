/** What a technician has along; a check without its kit is not proposed first. */
export const KIT_IDS = [
  'scan-tool',
  'multimeter',
  'hand-pump',
  'known-good-sensor',
  'smoke-generator',
  'gauge',
  'spanners',
  'contact-thermometer',
  'cold-engine',
] as const;

export type KitId = (typeof KIT_IDS)[number];
