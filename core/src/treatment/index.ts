export {
  commandInterlocks,
  PRESSURE_PATH,
  type Interlock,
  type InterlockFacts,
  type LinkCommand,
} from './interlocks.ts';
export { mostSoot, sootByPressure, sootRoom, type KnownFilter, type SootLoad } from './sootLoad.ts';
