export {
  CATALYSTS,
  kineticsOf,
  oxygenRate,
  rateAtK,
  type Arrhenius,
  type Catalyst,
  type Kinetics,
} from './kinetics.ts';
export { bedLimits, bedOf, EXHAUST_HEAT_J_PER_KG_K, type Bed } from './bed.ts';
export {
  burnScenarioSchema,
  inletPointSchema,
  MOST_SOOT_G_PER_L,
  type BurnScenario,
  type InletPoint,
} from './scenario.ts';
export { checkScenario, DEFAULT_CELLS, simulateBurn } from './burnModel.ts';
export type { BurnAssumptions, BurnOptions, BurnRun, EnergyBalance } from './burnRun.ts';
export { plannedBurn, type BurnPlan } from './plannedBurn.ts';
export { idleExhaust, withDropToIdle, type IdleExhaust } from './dropToIdle.ts';
export { worstDropPeak, worstDropToIdle, type WorstDrop } from './worstDrop.ts';
export { safeSootLimit, type SafeSoot } from './safeSoot.ts';
export {
  burnBatch,
  doubtsText,
  SOOT_DOUBT_SHARE,
  USUAL_DOUBTS,
  type BurnBatch,
  type BurnDoubts,
  type Spread,
} from './burnBatch.ts';
export { judgeBurn, type BurnVerdict, type JudgedBurn } from './burnVerdict.ts';
export type { BurnSeries } from './burnSeries.ts';
