export interface Caution {
  readonly id: string;
  readonly title: string;
  readonly text: string;
}

/** Stand at the step that can hurt and are acknowledged once per act and person. */
export const CAUTIONS = {
  'running-engine': {
    id: 'running-engine',
    title: 'Engine running',
    text: 'Neutral or park, brake on, wheels chocked. Outdoors or with extraction: carbon monoxide. Clear of belts and fans, clear of the tailpipe: gas and filter pass 600 °C in a regeneration. Watch the coolant on long holds.',
  },
  chemicals: {
    id: 'chemicals',
    title: 'Cleaning fluid',
    text: 'Filter cold to the touch, under 40–50 °C, unless the fluid’s sheet allows warm. Gloves and goggles, the product’s safety sheet at hand. No household acids, no flammable solvent into a hot or running exhaust. Check the sheet for coated filters. Collect all run-off: it is hazardous waste.',
  },
  burn: {
    id: 'burn',
    title: 'Regeneration',
    text: 'Not on an over-full filter, one of unknown load, or with oil in the exhaust. Outdoors, no dry grass or fuel near, extinguisher at hand, never alone with it. To abort: stop the dosing and keep the flow up until the bed cools. Never drop to idle. The vehicle maker’s data come first.',
  },
  air: {
    id: 'air',
    title: 'Compressed air',
    text: 'Goggles. Sensor off before you blow: never into a connected sensor, never towards skin. Soot and ash are harmful dust: mask, wet methods.',
  },
  hot: {
    id: 'hot',
    title: 'Hot and dusty parts',
    text: 'Exhaust parts cold before you loosen them. Jack stands, never a jack alone. Ash and soot dust: mask, wet methods.',
  },
  fuel: {
    id: 'fuel',
    title: 'Fuel lines',
    text: 'No open flame, no sparks, no smoking near open fuel lines; never heat a fouled injector over a flame. Depressurise first: fuel under rail pressure cuts skin. Catch what runs out.',
  },
  turning: {
    id: 'turning',
    title: 'Hand at the engine',
    text: 'Engine off and key out before a hand is at turbo, fan or belt. Let hot parts cool. Wait after switching off: fans start by themselves.',
  },
  sensor: {
    id: 'sensor',
    title: 'Sensor under the pump',
    text: 'Engine off, hose off the sensor. Never above full scale, never compressed air: both destroy the sensor.',
  },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;
