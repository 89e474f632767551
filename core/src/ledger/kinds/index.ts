import { burnEnded } from './burnEnded.ts';
import { burnReading } from './burnReading.ts';
import { cause } from './cause.ts';
import { cautionAcknowledged } from './cautionAcknowledged.ts';
import { check } from './check.ts';
import { choiceMade } from './choiceMade.ts';
import { choiceOffered } from './choiceOffered.ts';
import { clockEnded } from './clockEnded.ts';
import { clockStarted } from './clockStarted.ts';
import { codeScan } from './codeScan.ts';
import { complaint } from './complaint.ts';
import { drivable } from './drivable.ts';
import { drive } from './drive.ts';
import { familyNote } from './familyNote.ts';
import { fastenerSigned } from './fastenerSigned.ts';
import { filterOff } from './filterOff.ts';
import { followUp } from './followUp.ts';
import { followUpDone } from './followUpDone.ts';
import { madeReady } from './madeReady.ts';
import { note } from './note.ts';
import { partBack } from './partBack.ts';
import { partBroke } from './partBroke.ts';
import { partChanged } from './partChanged.ts';
import { partOff } from './partOff.ts';
import { partState } from './partState.ts';
import { photo } from './photo.ts';
import { reading } from './reading.ts';
import { reset } from './reset.ts';
import { settled } from './settled.ts';
import { signOff } from './signOff.ts';
import { substitution } from './substitution.ts';
import { temporaryRepair } from './temporaryRepair.ts';
import { treatmentChosen } from './treatmentChosen.ts';
import { withdrawn } from './withdrawn.ts';
import { work } from './work.ts';

/** Every kind of entry, by its name in the ledger. */
export const ENTRY_KINDS = {
  complaint,
  'code-scan': codeScan,
  reading,
  work,
  drive,
  'part-state': partState,
  'caution-acknowledged': cautionAcknowledged,
  check,
  cause,
  substitution,
  'part-changed': partChanged,
  'temporary-repair': temporaryRepair,
  drivable,
  settled,
  'treatment-chosen': treatmentChosen,
  'clock-started': clockStarted,
  'clock-ended': clockEnded,
  'made-ready': madeReady,
  'burn-reading': burnReading,
  'burn-ended': burnEnded,
  'part-off': partOff,
  'part-back': partBack,
  'fastener-signed': fastenerSigned,
  'part-broke': partBroke,
  'filter-off': filterOff,
  reset,
  'choice-offered': choiceOffered,
  'choice-made': choiceMade,
  'family-note': familyNote,
  photo,
  'follow-up': followUp,
  'follow-up-done': followUpDone,
  note,
  'sign-off': signOff,
  withdrawn,
} as const;
