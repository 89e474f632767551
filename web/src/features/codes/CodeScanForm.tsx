import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { BodyOf } from '@white-ember/core/ledger';
import { useAddEntry } from '../job/useAddEntry.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { dropDraft, readDraft, useDraft } from '../../ui/useDraft.ts';

/** One code a line or separated by commas; kept as typed. */
const codesIn = (text: string): { code: string }[] =>
  text
    .split(/[\n,;]+/)
    .map((code) => code.trim())
    .filter((code) => code !== '')
    .map((code) => ({ code }));

export function CodeScanForm({
  jobId,
  when,
  title,
}: {
  jobId: string;
  when: BodyOf<'code-scan'>['when'];
  title: string;
}) {
  const addEntry = useAddEntry(jobId);
  const draft = `codes ${when} ${jobId}`;
  const form = useForm({ defaultValues: readDraft(draft, { text: '' }) });
  useDraft(draft, form);
  const [problem, setProblem] = useState<string>();
  const store = async (codes: { code: string }[]): Promise<void> => {
    const wrong = await addEntry({ kind: 'code-scan', when, codes });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (wrong) return;
    form.reset({ text: '' });
    dropDraft(draft);
  };
  const submit = form.handleSubmit(async ({ text }) => {
    const codes = codesIn(text);
    if (codes.length === 0) setProblem('Enter the codes, or say that there are none');
    else await store(codes);
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-3" noValidate>
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
