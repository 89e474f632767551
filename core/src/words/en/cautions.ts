import type { Words } from '../words.ts';

export const cautions = {
  caution: 'Caution',
  'read-for-this-step': 'read for this step',
  'i-have-read-this': 'I have read this',
  'engine-running': 'Engine running',
  'neutral-or-park-brake': (_: undefined, w: Words) =>
    `Neutral or park, brake on, wheels chocked. Outdoors or with extraction: carbon monoxide. Clear of belts and fans, clear of the tailpipe: gas and filter pass ${w.temperature(600)} in a regeneration. Watch the coolant on long holds.`,
  'cleaning-fluid': 'Cleaning fluid',
  'filter-cold-to-the-touch': (_: undefined, w: Words) =>
    `Filter cold to the touch, under ${w.span(w.temperature(40), w.temperature(50))}, unless the fluid’s sheet allows warm. Gloves and goggles, the product’s safety sheet at hand. No household acids, no flammable solvent into a hot or running exhaust. Check the sheet for coated filters. Collect all run-off: it is hazardous waste.`,
  'not-on-an-over-full':
    'Not on an over-full filter, one of unknown load, or with oil in the exhaust. Outdoors, no dry grass or fuel near, extinguisher at hand, never alone with it. To abort: stop the dosing and keep the flow up until the bed cools. Never drop to idle. The vehicle maker’s data come first.',
  'compressed-air': 'Compressed air',
  'goggles-sensor-off-before-you':
    'Goggles. Sensor off before you blow: never into a connected sensor, never towards skin. Soot and ash are harmful dust: mask, wet methods.',
  'hot-and-dusty-parts': 'Hot and dusty parts',
  'exhaust-parts-cold-before-you':
    'Exhaust parts cold before you loosen them. Jack stands, never a jack alone. Ash and soot dust: mask, wet methods.',
  'fuel-lines': 'Fuel lines',
  'no-open-flame-no-sparks':
    'No open flame, no sparks, no smoking near open fuel lines; never heat a fouled injector over a flame. Depressurise first: fuel under rail pressure cuts skin. Catch what runs out.',
  'hand-at-the-engine': 'Hand at the engine',
  'engine-off-and-key-out':
    'Engine off and key out before a hand is at turbo, fan or belt. Let hot parts cool. Wait after switching off: fans start by themselves.',
  'sensor-under-the-pump': 'Sensor under the pump',
  'engine-off-hose-off':
    'Engine off, hose off the sensor. Never above full scale, never compressed air: both destroy the sensor.',
} as const;
