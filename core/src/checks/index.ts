export {
  figureText,
  type CheckCard,
  type CheckContext,
  type CheckId,
  type CheckValue,
  type CheckValues,
  type ChoiceField,
  type Field,
  type Figure,
  type Hold,
  type NumberField,
  type RowsField,
} from './card.ts';
export { CAUTIONS, type Caution, type CautionId } from './cautions.ts';
export { CHECK_CARDS, CHECK_IDS } from './cards/index.ts';
export type { CauseRef, FindingEntry } from './finding.ts';
export * from './grades.ts';
export { cardOf, judgeCheck, type CheckJudgement, type Question } from './judgeCheck.ts';
export { KIT_IDS, type KitId } from './kit.ts';
export { fitDecay, type Decay } from './measuring/decay.ts';
export { dilutionByLevel } from './measuring/oil.ts';
export { findPlateau, type Plateau } from './measuring/plateau.ts';
export { readLadder, type Ladder, type Rung } from './measuring/pumpLadder.ts';
export { sectionShares, SECTIONS, type Section } from './measuring/sections.ts';
export {
  meteredC,
  meterShows,
  ntcC,
  ntcOhm,
  platinumC,
  platinumOhm,
  THERMOMETER_KINDS,
  thermocoupleC,
  thermocoupleMv,
  USUAL_NTC,
  type ThermometerKind,
} from './measuring/thermometers.ts';
export { positionsByWarming } from './measuring/warmingOrder.ts';
