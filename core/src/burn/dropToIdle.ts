import { ProfileReader, type BurnScenario, type InletPoint } from './scenario.ts';

/** The exhaust of an engine that has dropped to idle. */
export interface IdleExhaust {
  readonly kgPerS: number;
  readonly oxygenPercent: number;
  readonly inletC: number;
}

/** Air of an idling diesel per litre of displacement: 800 rpm, three quarters filled. */
const IDLE_KG_PER_S_L = 0.006;

/** Idle of an engine of this size, without load and throttle. */
export const idleExhaust = (displacementL: number): IdleExhaust => ({
  kgPerS: IDLE_KG_PER_S_L * displacementL,
  oxygenPercent: 18,
  inletC: 200,
});

/** The foot leaves the pedal in a second or two; what stands before the filter gives its heat away over minutes. */
const FALL_S = 2;
const LINE_COOLS_S = 150;
const AFTER_S = 420;

/** The scenario in which the engine drops to idle at a moment of it, and stays there. */
export function withDropToIdle(scenario: BurnScenario, atS: number, idle: IdleExhaust): BurnScenario {
  const { celsius, kgPerS, oxygen, no2 } = new ProfileReader(scenario.profile).read(atS);
  const at = (afterS: number, inletC: number): InletPoint => ({
    atS: atS + afterS,
    inletC,
    exhaustKgPerS: Math.min(idle.kgPerS, kgPerS),
    oxygenPercent: Math.max(idle.oxygenPercent, oxygen * 100),
    no2Ppm: no2 * 1e6,
  });
  return {
    ...scenario,
    profile: [
      ...scenario.profile.filter((point) => point.atS < atS),
      { atS, inletC: celsius, exhaustKgPerS: kgPerS, oxygenPercent: oxygen * 100, no2Ppm: no2 * 1e6 },
      at(FALL_S, celsius),
      at(LINE_COOLS_S, Math.min(celsius, idle.inletC + 0.25 * (celsius - idle.inletC))),
      at(AFTER_S, Math.min(celsius, idle.inletC)),
    ],
    endS: atS + AFTER_S,
  };
}
