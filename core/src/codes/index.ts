export { namedFault } from './namedFaults.ts';
export { CODE_ROLES, type CodeMeaning, type CodeRole } from './codeLine.ts';
export { GENERIC, PARAMETERS } from './codeTable.ts';
export { codeMeaning, type Certainty, type KnownCode } from './meaning.ts';
export { NOTATIONS, readCode, type Notation, type ReadCode } from './readCode.ts';
export { isActive, readCodeList, sameCode, type CodeList, type ListedCode } from './readList.ts';
export {
  CODE_GROUPS,
  compareScans,
  holdingOff,
  sortCodes,
  type CodeGroup,
  type ScanChange,
  type SortedCode,
} from './sortCodes.ts';
