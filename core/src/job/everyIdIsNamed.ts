import type { CheckId, KitId } from '../checks/index.ts';
import type { CauseFormId, CauseId, FindingId } from '../diagnosis/index.ts';
import type {
  BurnEnd,
  ClockKind,
  Face,
  PartId,
  PartState,
  Reset,
  Stage,
  Treatment,
  WorkType,
} from '../ledger/index.ts';
import type { Catalogue, Subject } from '../words/index.ts';

/** What has to have a name, by the subject that its names stand under. */
interface Named {
  readonly burnEnds: BurnEnd;
  readonly causes: CauseId;
  readonly causeForms: CauseFormId;
  readonly checkNames: CheckId;
  readonly clocks: ClockKind;
  readonly drivable: 'drive' | 'limited' | 'no';
  readonly faces: Face;
  readonly kit: KitId;
  readonly parts: PartId;
  readonly partStates: PartState;
  readonly resets: Reset;
  readonly shown: FindingId;
  readonly stages: Stage;
  readonly treatments: Treatment;
  readonly works: WorkType;
}

type Unnamed = {
  readonly [S in keyof Named & Subject]: Exclude<Named[S], keyof Catalogue[S]>;
}[keyof Named & Subject];

/** An id without a name does not pass the type check: the catalogue itself knows nobody who speaks through it. */
export const EVERY_ID_IS_NAMED: [Unnamed] extends [never] ? true : Unnamed = true;
