import * as wording from '@white-ember/core/words/screens/proof';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { FigureField, SaveButton, TickField } from '../../form/FieldForm.tsx';
import { either, figure, flag } from '../../form/kinds.ts';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';

const SHORTEST_KM = 0.1;
/** What the drive shows; everything else is shown standing. */
const BY_DRIVE: ReadonlySet<string> = new Set(['drive', 'egt', 'soot', 'no-codes', 'power-limit']);
const FIELDS: FieldsOf<'drive'> = {
  distanceKm: figure('km'),
  minutes: figure('min'),
  sootStartG: figure('g'),
  sootEndG: figure('g'),
  egtPeakC: figure('degC'),
  powerLimitGone: flag(true),
  reportedBy: either('customer', 'technician'),
};

/** Nothing but the drive and what comes with it is still to be shown. */
const isDue = ({ derived }: OpenJob): boolean =>
  derived.evidence.every(({ id, state }) => state === 'shown' || BY_DRIVE.has(id));

/** What the drive after the work showed. */
export function DriveForm({ open, main }: { open: OpenJob; main: boolean }) {
  const words = useWords();
  const form = useEntryForm(open, 'drive', FIELDS, { corrects: true, onSaved: () => setUnfolded(false) });
  const [unfolded, setUnfolded] = useState(form.correcting !== undefined || (main && isDue(open)));
  if (!unfolded)
    return (
      <Button weight={main ? 'main' : 'plain'} onClick={() => setUnfolded(true)}>
        {wording.saveTheDriveCheck}
      </Button>
    );
  return (
    <EntryForm of={form} className="grid gap-3 border-2 border-ink p-3">
      <p className="text-sm text-ink2">{wording.readingsOnTheRoadNeedTwoPeople}</p>
      <div className="grid grid-cols-2 gap-3">
        <FigureField
          name="distanceKm"
          label={common.distance}
          hint={common.atLeast(words.distance(SHORTEST_KM, 1))}
        />
        <FigureField name="minutes" label={common.time} />
        <FigureField name="sootStartG" label={wording.sootCounterAtTheStart} />
        <FigureField name="sootEndG" label={wording.sootCounterAtTheEnd} />
        <FigureField
          name="egtPeakC"
          label={wording.highestBeforeTheFilter}
          hint={wording.onAPullByTheScanTool}
        />
      </div>
      <TickField name="powerLimitGone" label={wording.fullPowerAvailable} />
      <TickField name="reportedBy" label={wording.reportedByTheCustomer} />
      <SaveButton main>{wording.saveTheDrive}</SaveButton>
    </EntryForm>
  );
}
