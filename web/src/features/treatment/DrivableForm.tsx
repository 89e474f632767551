import * as wording from '@white-ember/core/words/screens/treatment';
import { canonicalJson } from '@white-ember/core/ledger';
import { joined, type Said } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, optionalText, text } from '../../form/kinds.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Say } from '../../ui/Say.tsx';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useAddEntry, type AddEntry } from '../../job/useAddEntry.ts';
import { useEntryForm, type FieldsOf, type EntryForm as OfEntry } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'drivable'> = {
  verdict: choice('limited'),
  why: text(),
  limits: optionalText(),
  until: optionalText(),
};

/** May it be driven until then: yes, limited or no, with the reason. */
export function DrivableForm({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const form = useEntryForm(open, 'drivable', FIELDS);
  const { drivable } = open.derived;
  const proposed = useJudgement(open)?.drive;
  const reasons = joined(proposed?.reasons ?? [], '; ');
  const isSame =
    drivable?.body.verdict === proposed?.verdict &&
    canonicalJson(drivable?.body.why) === canonicalJson(reasons);
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">{wording.mayItBeDrivenUntilThen}</h3>
      {drivable ? (
        <Notice
          title={words.name('drivable', drivable.body.verdict)}
          tone={drivable.body.verdict === 'no' ? 'alarm' : 'plain'}
        >
          {[
            words.say(drivable.body.why),
            drivable.body.limits,
            drivable.body.until ? wording.until(drivable.body.until) : '',
          ]
            .filter((text) => text)
            .join(' · ')}
        </Notice>
      ) : null}
      {canEnter && proposed && !isSame ? (
        <Proposal proposed={proposed} addEntry={addEntry} reasons={reasons} />
      ) : null}
      {canEnter ? <DrivableFields form={form} /> : null}
    </section>
  );
}

/** Another answer than the proposed one. */
function DrivableFields({ form }: { form: OfEntry<'drivable'> }) {
  return (
    <EntryForm of={form} className="grid sm:grid-cols-2 gap-3">
      <ChoiceField
        name="verdict"
        label={wording.itMayBe}
        options={[
          ['drive', 'driven'],
          ['limited', wording.drivenLimited],
          ['no', wording.notDriven],
        ]}
      />
      <TextField name="until" label={wording.untilTitle} />
      <TextField name="why" label={wording.because} className="sm:col-span-2" />
      <TextField
        name="limits"
        label={wording.limitedTo}
        className="sm:col-span-2"
        hint={wording.speedLoadDistance}
      />
      <SaveButton className="sm:col-span-2">{wording.enterIt}</SaveButton>
    </EntryForm>
  );
}

/** What is proposed, and why. */
function Proposal({
  proposed,
  addEntry,
  reasons,
}: {
  proposed: { readonly verdict: 'drive' | 'limited' | 'no'; readonly reasons: readonly string[] };
  addEntry: AddEntry;
  reasons: Said;
}) {
  const words = useWords();
  return (
    <div className="border-l-8 border-ink bg-card p-3 grid gap-2">
      <p className="font-head font-semibold text-lg">
        {wording.proposed(words.name('drivable', proposed.verdict).toLowerCase())}
      </p>
      <ul className="list-disc pl-5">
        {proposed.reasons.map((reason, i) => (
          <li key={i}>
            <Say it={reason} />
          </li>
        ))}
      </ul>
      <Button
        className="justify-self-start"
        onClick={() => void addEntry({ kind: 'drivable', verdict: proposed.verdict, why: reasons })}
      >
        {wording.recordThis}
      </Button>
    </div>
  );
}
