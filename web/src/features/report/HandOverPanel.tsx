import * as wording from '@white-ember/core/words/screens/report';
import { useState } from 'react';
import { useSessionQuery } from '../../data/api.ts';
import { Link } from 'react-router';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { FamilyNoteForm } from '../notebook/FamilyBook.tsx';
import type { StageProps } from '../../job/stageProps.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { FollowUps } from '../tasks/FollowUps.tsx';
import { SendReport } from './SendReport.tsx';

const EMPTY = { remains: '' };

export function HandOverPanel({ open, canEnter }: StageProps) {
  const { derived, job } = open;
  const { data: session } = useSessionQuery();
  const role = session?.member?.role ?? 'viewer';
  const maySignOff = role === 'lead' || session?.workshop?.signOffBy !== 'lead';
  const addEntry = useAddEntry(job.id);
  const { form, done } = useDraftForm(`remains ${job.id}`, EMPTY);
  const [problem, setProblem] = useState<string>();
  const notShown = derived.evidence.filter((item) => item.state !== 'shown');
  const submit = form.handleSubmit(async ({ remains }) => {
    const wrong = await addEntry({
      kind: 'sign-off',
      ...(remains.trim() ? { remains } : {}),
      ...(job.limitsProfile ? { limitsProfileId: job.limitsProfile.id } : {}),
    });
    setProblem(wrong?.['remains']);
    if (!wrong) done();
  });
  return (
    <div className="max-w-2xl grid gap-5">
      <h2 className="text-2xl">{wording.handOver}</h2>
      <p className="text-xl font-head font-semibold">{derived.headline}</p>
      <Link
        to={`/jobs/${job.id}/report`}
        className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-flex items-center justify-center"
      >
        {wording.openTheReport}
      </Link>
      {derived.signedOff ? (
        <>
          <Notice title={wording.signedOffBy(derived.signedOff.authorName)}>
            {derived.signedOff.body.remains ?? wording.nothingRemains}
          </Notice>
          {canEnter && maySignOff ? (
            <Button
              onClick={() =>
                void addEntry({ kind: 'withdrawn', why: wording.reopened }, derived.signedOff?.id)
              }
            >
              {wording.withdrawTheSignOff}
            </Button>
          ) : null}
        </>
      ) : canEnter ? (
        <form onSubmit={(event) => void submit(event)} className="grid gap-4" noValidate>
          {notShown.length > 0 ? (
            <Notice title={wording.stillOpenIfSignedOffNow}>
              <ul className="list-disc pl-5">
                {notShown.map((item) => (
                  <li key={item.id}>{item.text}</li>
                ))}
              </ul>
            </Notice>
          ) : null}
          {derived.open.length > 0 ? (
            <Notice title={wording.stillOpenOnThisJob}>
              <ul className="list-disc pl-5">
                {derived.open.map(({ entry, text, waitsFor }) => (
                  <li key={entry.id}>
                    {text}
                    {waitsFor ? wording.waitsFor(waitsFor) : ''}
                  </li>
                ))}
              </ul>
            </Notice>
          ) : null}
          {maySignOff ? null : (
            <Notice title={wording.aLeadSignsOffInThisWorkshop}>{wording.leaveTheJobOpenAndTellA}</Notice>
          )}
          {maySignOff ? (
            <>
              <Field label={wording.whatRemainsForTheCustomer} error={problem}>
                <textarea className="input-box" rows={3} {...form.register('remains')} />
              </Field>
              <Button type="submit">
                {notShown.length > 0 ? wording.signOffWithThisOpen : wording.signOff}
              </Button>
            </>
          ) : null}
        </form>
      ) : null}
      <FollowUps open={open} canEnter={canEnter} />
      {role === 'viewer' ? null : <SendReport jobId={job.id} />}
      {canEnter ? (
        <section className="grid gap-3">
          <h3 className="text-xl border-b-2 border-ink">{wording.whatWasLearned}</h3>
          <FamilyNoteForm open={open} />
        </section>
      ) : null}
    </div>
  );
}
