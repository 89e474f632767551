import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useAddEntry } from '../job/useAddEntry.ts';

const EMPTY = { text: '' };

/** A remark for the record, at any stage and also after the sign-off. */
export function NoteForm({ jobId }: { jobId: string }) {
  const addEntry = useAddEntry(jobId);
  const { form, done } = useDraftForm(`note ${jobId}`, EMPTY);
  const [problem, setProblem] = useState<string>();
  const submit = form.handleSubmit(async (values) => {
    const wrong = await addEntry({ kind: 'note', text: values.text });
    setProblem(wrong?.['text']);
    if (!wrong) done(values);
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-2">
      <Field label="Note for the record" error={problem}>
        <textarea className="input-box" rows={2} {...form.register('text')} />
      </Field>
      <Button type="submit">Add note</Button>
    </form>
  );
}
