import { useState } from 'react';
import type { BodyOf } from '@white-ember/core/ledger';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import type { OpenJob } from '../job/useJob.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';

/** One code a line or separated by commas; kept as typed. */
const codesIn = (text: string): { code: string }[] =>
  text
    .split(/[\n,;]+/)
    .map((code) => code.trim())
    .filter((code) => code !== '')
    .map((code) => ({ code }));

const EMPTY = { text: '' };

export function CodeScanForm({
  open,
  when,
  title,
}: {
  open: OpenJob;
  when: BodyOf<'code-scan'>['when'];
  title: string;
}) {
  const addEntry = useAddEntry(open.job.id);
  const correcting = useCorrecting(open, 'code-scan', (entry) => entry.body.when === when);
  const { form, done, supersedes } = useEntryForm({
    draft: `codes ${when} ${open.job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: (body) => ({ text: body.codes.map((code) => code.code).join('\n') }),
  });
  const [problem, setProblem] = useState<string>();
  const store = async (codes: { code: string }[]): Promise<void> => {
    const wrong = await addEntry({ kind: 'code-scan', when, codes }, supersedes);
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) done();
  };
  const submit = form.handleSubmit(async ({ text }) => {
    const codes = codesIn(text);
    if (codes.length === 0) setProblem('Enter the codes, or say that there are none');
    else await store(codes);
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-3" noValidate>
      <CorrectingNotice correcting={correcting} />
      <Field label={title} hint="One a line, or with commas; any notation" error={problem}>
        <textarea className="input-box font-head" rows={2} {...form.register('text')} />
      </Field>
      <div className="flex flex-wrap gap-3">
        <Button type="submit">Enter the codes</Button>
        <Button onClick={() => void store([])}>No codes stored</Button>
      </div>
    </form>
  );
}
