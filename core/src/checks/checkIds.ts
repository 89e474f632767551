/** Every check that the application knows, by the names that codes, diagnosis and screens use. */
export const CHECK_LABELS = {
  'dp-zero': 'Zero of the ΔP sensor with the engine off',
  'dp-electrical': 'ΔP sensor: supply, ground, signal',
  'dp-ladder': 'ΔP sensor: pump ladder',
  'dp-swap': 'ΔP sensor against a known-good one',
  hoses: 'Hoses of the ΔP sensor: which, whole, tight',
  'pipe-response': 'Pipes: how fast the value falls after release',
  'pipe-pump': 'Pipes: hand pump, does it hold',
  'absolute-agree': 'Absolute sensors against the barometer',
  'sensor-compare': 'Old and new sensor side by side, hot and cold',
  'egt-position': 'EGT: which one does the code mean',
  'egt-cold-soak': 'EGT: all alike after a cold soak',
  'egt-resistance': 'EGT: resistance or voltage at its plug',
  'intake-smoke': 'Intake and charge pipes: smoke and look',
  'air-mass': 'Air mass against speed–density',
  turbo: 'Turbocharger: shaft and oil',
  'vane-sweep': 'Turbine vanes: commanded sweep',
  egr: 'Recirculation: valve, position, cooler',
  'dosing-injector': 'Fuel into the exhaust: injector and passage',
  glow: 'Glow plugs and their relay',
  oil: 'Oil: level, fuel in it, counter, specification',
  thermostat: 'Thermostat: coolant on a hold',
  gauge: 'Back-pressure by gauge',
  sections: 'Line open at its joints: which section is restricted',
  'filter-look': 'Faces of the filter: soot, oil, ash, cracks',
  counter: 'Soot counter against the pressure',
  'fuel-level': 'Fuel in the tank',
  supply: 'Battery and the 5 V of the sensors',
  injectors: 'Injectors: leak-off and smoke',
} as const;

export type CheckId = keyof typeof CHECK_LABELS;
export const CHECK_IDS = Object.keys(CHECK_LABELS) as CheckId[];
