import type { BenchFamily } from '../families.ts';

/** What a person at the vehicle does. */
export interface Controls {
  ignition: 'off' | 'on';
  /** Key held in the start position. */
  starter: boolean;
  /** Pedal, 0–1. */
  pedal: number;
  /** 0 is neutral. */
  gear: number;
  brake: number;
  /** Slope of the road, m/m. */
  grade: number;
}

export const atRest = (): Controls => ({
  ignition: 'off',
  starter: false,
  pedal: 0,
  gear: 0,
  brake: 1,
  grade: 0,
});

/** What the ECU sets, followed by the plant through its actuators. */
export interface Commands {
  /** Main fuel wanted, mg per litre of displacement and working cycle. */
  fuelMgPerLCycle: number;
  /** Fuel into the exhaust for a regeneration, g/s. */
  dosingGPerS: number;
  /** 0 open … 1 shut. */
  vanes: number;
  /** 0 shut … 1 open. */
  egr: number;
  /** Intake throttled, to heat the exhaust in a regeneration, 0–1. */
  throttle: number;
  glow: boolean;
}

export const CATALYST_CELLS = 3;
export const FILTER_CELLS = 5;

/**
 * The vehicle as it truly is, in base units. It is written in place every step; numbers alone, so that a copy is a
 * copy and a long run allocates nothing.
 */
export interface Plant {
  timeS: number;
  /** Time with the engine running, by which faults come on. */
  runningS: number;
  barometerMbar: number;
  ambientC: number;
  engine: {
    running: boolean;
    rpm: number;
    crankingS: number;
    /** Burnt in the cylinders, g/s. */
    fuelGPerS: number;
    /** Torque of the gas on the crank and what turning it costs, N·m. */
    indicatedNm: number;
    frictionNm: number;
    loadNm: number;
    /** Heat into coolant and oil, W. */
    coolantW: number;
    oilW: number;
    /** Soot leaving the engine, g/s. */
    sootGPerS: number;
    /** Unburnt fuel of a misfire or an over-fuelling injector, g/s. */
    airToFuel: number;
  };
  air: {
    /** Absolute, mbar. */
    manifoldMbar: number;
    manifoldC: number;
    /** Past the MAF sensor. */
    meteredGPerS: number;
    unmeteredGPerS: number;
    /** Through the compressor. */
    compressorGPerS: number;
    leakGPerS: number;
    /** Fresh air into the cylinders. */
    cylinderGPerS: number;
    egrGPerS: number;
    egrShare: number;
    vanes: number;
    egr: number;
    throttle: number;
    /** Turbine work that reaches the compressor, lagged by the rotor, W. */
    turboW: number;
    compressorC: number;
  };
  exhaust: {
    gPerS: number;
    /** Gas out of the ports, and at each EGT position, °C. */
    portC: number;
    gasC: [number, number, number, number];
    tailC: number;
    /** Solid temperatures. */
    manifoldSolidC: number;
    turbineSolidC: number;
    pipeSolidC: number;
    catalystC: Float64Array;
    filterC: Float64Array;
    turbineW: number;
    /** Heat given to the surroundings by the whole line, W. */
    lossW: number;
    /** Heat of reactions in the line, W. */
    reactionW: number;
    /** Absolute pressures, mbar. */
    beforeTurbineMbar: number;
    afterTurbineMbar: number;
    beforeFilterMbar: number;
    afterFilterMbar: number;
    /** Share of oxygen, and of NO2 before the filter, by volume. */
    oxygen: number;
    no2: number;
    /** Fuel dosed, and what of it leaves unburnt as white smoke, g/s. */
    dosedGPerS: number;
    slipGPerS: number;
  };
  filter: {
    /** Soot in each slice from the inlet on, g. */
    sootG: Float64Array;
    ashG: number;
    /** Cleaning fluid and water that stand in the channels, g. */
    wetG: number;
    /** Soot that cleaning fluid has loosened and that flow will carry off, g. */
    loosenedG: number;
    /** Share of the channels that are shut by damage or deposits that do not burn. */
    shutShare: number;
    /** Melted by heat, 0–1. */
    melted: number;
    deltaPMbar: number;
    /** What oxygen and NO2 burn off, and what passes, g/s. */
    burntGPerS: number;
    passedGPerS: number;
    peakC: number;
    oilG: number;
  };
  /** Pressures at the sensors' ends of the pipes, mbar above the air outside; absolute for the manifold's. */
  pipes: { high: number; low: number; backPressure: number; manifold: number };
  /** What the EGT tips have reached, °C. */
  egtC: [number, number, number, number];
  coolantC: number;
  oilC: number;
  oil: { litres: number; fuelG: number; kmSinceChange: number };
  battery: { volts: number; charge: number };
  fuelL: number;
  road: { kmPerH: number; km: number };
  glowS: number;
}

export interface PlantStart {
  readonly ambientC: number;
  readonly barometerMbar: number;
  /** Engine and exhaust at this; ambient after a night. */
  readonly engineC: number;
  readonly sootG: number;
  readonly ashG: number;
  readonly fuelL: number;
  readonly oilFuelG: number;
  readonly kmSinceOil: number;
}

/** A vehicle that stands with the ignition off. */
export function standingPlant(family: BenchFamily, start: PlantStart): Plant {
  const { ambientC, barometerMbar, engineC } = start;
  const exhaustC = ambientC + 1.1 * (engineC - ambientC);
  return {
    timeS: 0,
    runningS: 0,
    barometerMbar,
    ambientC,
    engine: {
      running: false,
      rpm: 0,
      crankingS: 0,
      fuelGPerS: 0,
      indicatedNm: 0,
      frictionNm: 0,
      loadNm: 0,
      coolantW: 0,
      oilW: 0,
      sootGPerS: 0,
      airToFuel: 0,
    },
    air: {
      manifoldMbar: barometerMbar,
      manifoldC: ambientC + 0.25 * (engineC - ambientC),
      meteredGPerS: 0,
      unmeteredGPerS: 0,
      compressorGPerS: 0,
      leakGPerS: 0,
      cylinderGPerS: 0,
      egrGPerS: 0,
      egrShare: 0,
      vanes: 0.5,
      egr: 0,
      throttle: 0,
      turboW: 0,
      compressorC: ambientC,
    },
    exhaust: {
      gPerS: 0,
      portC: exhaustC,
      gasC: [exhaustC, exhaustC, exhaustC, exhaustC],
      tailC: exhaustC,
      manifoldSolidC: exhaustC,
      turbineSolidC: exhaustC,
      pipeSolidC: exhaustC,
      catalystC: new Float64Array(CATALYST_CELLS).fill(exhaustC),
      filterC: new Float64Array(FILTER_CELLS).fill(exhaustC),
      turbineW: 0,
      lossW: 0,
      reactionW: 0,
      beforeTurbineMbar: barometerMbar,
      afterTurbineMbar: barometerMbar,
      beforeFilterMbar: barometerMbar,
      afterFilterMbar: barometerMbar,
      oxygen: 0.209,
      no2: 0,
      dosedGPerS: 0,
      slipGPerS: 0,
    },
    filter: {
      sootG: new Float64Array(FILTER_CELLS).fill(start.sootG / FILTER_CELLS),
      ashG: start.ashG,
      wetG: 0,
      loosenedG: 0,
      shutShare: 0,
      melted: 0,
      deltaPMbar: 0,
      burntGPerS: 0,
      passedGPerS: 0,
      peakC: exhaustC,
      oilG: 0,
    },
    pipes: { high: 0, low: 0, backPressure: 0, manifold: barometerMbar },
    egtC: [exhaustC, exhaustC, exhaustC, exhaustC],
    coolantC: engineC,
    oilC: engineC,
    oil: { litres: family.oilL, fuelG: start.oilFuelG, kmSinceChange: start.kmSinceOil },
    battery: { volts: 12.5, charge: 0.9 },
    fuelL: start.fuelL,
    road: { kmPerH: 0, km: 0 },
    glowS: 0,
  };
}

export const totalSootG = ({ sootG }: Plant['filter']): number => sootG.reduce((sum, m) => sum + m, 0);
