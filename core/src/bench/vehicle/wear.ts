export type EgtNumber = 1 | 2 | 3 | 4;
export const EGT_NUMBERS = [1, 2, 3, 4] as const;

/** What is wrong with a sensor's reading; all of it apart from what it measures. */
export interface SensorWear {
  gain: number;
  /** In the unit of the sensor. */
  offset: number;
  /** Added when the sensor is cold (20 °C), gone when it is warm (80 °C). */
  coldOffset: number;
  /** Shows this whatever happens. */
  stuckAt: number | undefined;
  /** The circuit is open: the computer sees the end of the scale. */
  open: boolean;
  /** Times the sensor's own time constant. */
  slower: number;
}

export const sound = (): SensorWear => ({
  gain: 1,
  offset: 0,
  coldOffset: 0,
  stuckAt: undefined,
  open: false,
  slower: 1,
});

/** What wear and faults have made of the vehicle; a sound one has these as {@link newWear} gives them. */
export interface Wear {
  /** Share of the intake air that gets in behind the MAF sensor. */
  unmeteredShare: number;
  /** Hole after the compressor as a share of what the engine breathes at 100 mbar of boost. */
  chargeLeak: number;
  /** Share of the turbine's work that reaches the compressor, of a sound one. */
  turboEfficiency: number;
  /** Vanes stand here (0 open … 1 shut) whatever is asked. */
  vanesStuckAt: number | undefined;
  /** The EGR valve does not shut below this. */
  egrOpenAtLeast: number;
  /** How much of the EGR cooler's duty is lost, 0–1. */
  egrCoolerFouled: number;
  /** Share of fuel that is injected beyond what is asked, badly mixed. */
  overFuelling: number;
  /** Share of the dosed fuel that arrives in the exhaust. */
  dosingOpen: number;
  glowPlugsDead: number;
  glowRelayDead: boolean;
  /** How far the thermostat stands open when it should be shut, 0–1. */
  thermostatOpen: number;
  /** Oil that reaches the exhaust, g/s at rated flow. */
  oilIntoExhaustGPerS: number;
  /** Share of the gas that goes through cracks. */
  filterBypass: number;
  /** Times the flow resistance of a sound brick or pipe. */
  catalystResistance: number;
  downstreamResistance: number;
  /** Openness of the pipes to the sensors, 1 open … 0 shut. */
  highPipeOpen: number;
  lowPipeOpen: number;
  backPressurePipeOpen: number;
  manifoldPipeOpen: number;
  /** Share of the pressure lost at a split or a missing hose, 0–1. */
  highHoseLeak: number;
  backPressurePipeLeak: number;
  hosesCrossed: boolean;
  deltaP: SensorWear;
  backPressure: SensorWear;
  manifold: SensorWear;
  airMeter: SensorWear;
  egt: [SensorWear, SensorWear, SensorWear, SensorWear];
  /** What the 5 V supply of the sensors really is. */
  supplyV: number;
  /** Resistance of the sensors' common ground, Ω. */
  groundOhm: number;
}

export const newWear = (): Wear => ({
  unmeteredShare: 0,
  chargeLeak: 0,
  turboEfficiency: 1,
  vanesStuckAt: undefined,
  egrOpenAtLeast: 0,
  egrCoolerFouled: 0,
  overFuelling: 0,
  dosingOpen: 1,
  glowPlugsDead: 0,
  glowRelayDead: false,
  thermostatOpen: 0,
  oilIntoExhaustGPerS: 0,
  filterBypass: 0,
  catalystResistance: 1,
  downstreamResistance: 1,
  highPipeOpen: 1,
  lowPipeOpen: 1,
  backPressurePipeOpen: 1,
  manifoldPipeOpen: 1,
  highHoseLeak: 0,
  backPressurePipeLeak: 0,
  hosesCrossed: false,
  deltaP: sound(),
  backPressure: sound(),
  manifold: sound(),
  airMeter: sound(),
  egt: [sound(), sound(), sound(), sound()],
  supplyV: 5,
  groundOhm: 0,
});
