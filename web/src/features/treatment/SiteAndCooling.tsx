import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { say } from '@white-ember/core/words';
import { coolingMinutes, type Readiness } from '@white-ember/core/treatment';
import { Button } from '../../ui/Button.tsx';
import { FigureField, TextField } from '../../form/FieldForm.tsx';
import { figure, text } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import { askToNotify } from '../clocks/bell.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

/** What can be waited for before fluid goes in: a filter that cools, another site. Each is a task with its clock. */
export function SiteAndCooling({
  open,
  readiness,
  upToC,
}: {
  open: OpenJob;
  readiness: Readiness;
  /** Hottest filter that the fluid may go into. */
  upToC: number;
}) {
  const running = new Set(
    open.derived.clocks.filter(({ endedMs }) => endedMs === undefined).map(({ clock }) => clock),
  );
  const filterC = readiness.entry?.body.answers['filterC'];
  const hot = readiness.held.some(({ id }) => id === 'filter-hot') && typeof filterC === 'number';
  const elsewhere = readiness.held.some(({ id }) => id === 'site-unsafe');
  return (
    <>
      {hot && !running.has('cooling') ? <Cooling open={open} fromC={filterC} upToC={upToC} /> : null}
      {elsewhere && !running.has('site') ? <OtherSite open={open} /> : null}
      {running.has('cooling') || running.has('site') ? (
        <p className="border-l-8 border-steel pl-3">
          {wording.whenTheTimerRingsAnswerAgain(
            running.has('cooling') ? wording.cooling : '',
            running.has('site') ? wording.atAnotherSite : '',
          )}
        </p>
      ) : null}
    </>
  );
}

function Cooling({ open, fromC, upToC }: { open: OpenJob; fromC: number; upToC: number }) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const minutes = Math.max(1, Math.ceil(coolingMinutes(fromC, upToC, open.limits)));
  return (
    <p className="flex flex-wrap gap-3 items-center border-l-8 border-steel bg-card p-3">
      <span className="grow">
        {wording.fromToAParkedFilterTakesAbout(words.temperature(fromC), words.temperature(upToC))}{' '}
        <b className="figure-text">{common.min(minutes)}</b>
        {wording.twoThirdsOfItsHeatAreGone(open.limits.filterCoolsMin)}
      </span>
      <Button
        onClick={() => {
          askToNotify();
          void addEntry({
            kind: 'clock-started',
            clock: 'cooling',
            minutes,
            what: say('job.filter-cools', { fromC, toC: upToC }),
            next: say('job.measure-then-dose'),
          });
        }}
      >
        {wording.letItCool}
      </Button>
    </p>
  );
}

const FIELDS: FieldsOf<'clock-started'> = { what: text(), minutes: figure('min') };

function OtherSite({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'clock-started', FIELDS, {
    draft: 'other site',
    start: { minutes: open.limits.clockSiteMin },
    fixed: { clock: 'site', next: wording.checkTheSiteThenDose },
  });
  return (
    <EntryForm
      of={form}
      className="grid sm:grid-cols-[1fr_8rem_auto] gap-3 items-end border-l-8 border-steel bg-card p-3"
    >
      <TextField name="what" label={wording.anotherSite} hint={wording.whereSmokeIsNoNuisance} />
      <FigureField name="minutes" label={wording.thereIn} />
      <Button type="submit" onClick={askToNotify}>
        {wording.changeTheSite}
      </Button>
    </EntryForm>
  );
}
