import { useState } from 'react';
import { DRIVABLE_WORDS } from '@white-ember/core/job';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

type Drivable = keyof typeof DRIVABLE_WORDS;
const EMPTY = { verdict: 'limited' as Drivable, why: '', limits: '', until: '' };

/** May it be driven until then: yes, limited or no, with the reason. */
export function DrivableForm({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`drivable ${open.job.id}`, EMPTY);
  const [problem, setProblem] = useState<string>();
  const { drivable } = open.derived;
  const proposed = useJudgement(open)?.drive;
  const reasons = proposed?.reasons.join('; ') ?? '';
  const isSame = drivable?.body.verdict === proposed?.verdict && drivable?.body.why === reasons;
  const record = async (): Promise<void> => {
    if (!proposed) return;
    const wrong = await addEntry({ kind: 'drivable', verdict: proposed.verdict, why: reasons });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
  };
  const submit = form.handleSubmit(async ({ verdict, why, limits, until }) => {
    const wrong = await addEntry({
      kind: 'drivable',
      verdict,
      why,
      ...(limits === '' ? {} : { limits }),
      ...(until === '' ? {} : { until }),
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) done();
  });
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">May it be driven until then?</h3>
      {drivable ? (
        <Notice
          title={DRIVABLE_WORDS[drivable.body.verdict]}
          tone={drivable.body.verdict === 'no' ? 'alarm' : 'plain'}
        >
          {[
            drivable.body.why,
            drivable.body.limits,
            drivable.body.until ? `until ${drivable.body.until}` : '',
          ]
            .filter((text) => text)
            .join(' · ')}
        </Notice>
      ) : null}
      {canEnter && proposed && !isSame ? (
        <div className="border-l-8 border-ink bg-card p-3 grid gap-2">
          <p className="font-head font-semibold text-lg">
            Proposed: {DRIVABLE_WORDS[proposed.verdict].toLowerCase()}
          </p>
          <ul className="list-disc pl-5">
            {proposed.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
          <Button className="justify-self-start" onClick={() => void record()}>
            Record this
          </Button>
        </div>
      ) : null}
      {canEnter ? (
        <form onSubmit={(event) => void submit(event)} className="grid sm:grid-cols-2 gap-3" noValidate>
          <Field label="It may be">
            <select className="input-box" {...form.register('verdict')}>
              <option value="drive">driven</option>
              <option value="limited">driven, limited</option>
              <option value="no">not driven</option>
            </select>
          </Field>
          <Field label="Until">
            <input className="input-box" {...form.register('until')} />
          </Field>
          <Field label="Because" className="sm:col-span-2" error={problem}>
            <input className="input-box" {...form.register('why')} />
          </Field>
          <Field label="Limited to" className="sm:col-span-2" hint="Speed, load, distance">
            <input className="input-box" {...form.register('limits')} />
          </Field>
          <Button type="submit" className="sm:col-span-2">
            Enter it
          </Button>
        </form>
      ) : null}
    </section>
  );
}
