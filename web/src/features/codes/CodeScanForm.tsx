import * as wording from '@white-ember/core/words/screens/codes';
import { useState } from 'react';
import type { BodyOf } from '@white-ember/core/ledger';
import { CorrectingNotice } from '../../job/CorrectingNotice.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { useCorrecting } from '../../job/useCorrecting.ts';
import { useTypedForm } from '../../job/useTypedForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { SCAN_WORDS } from './ScanList.tsx';
import { SortedCodes } from './SortedCodes.tsx';
import { asTyped, codesIn, type ScannedCode } from './typedCodes.ts';

type When = BodyOf<'code-scan'>['when'];

const EMPTY = { text: '' };

export function CodeScanForm({
  open,
  choices,
  title,
  onDone,
}: {
  open: OpenJob;
  /** When the scan may have been made, the usual one first. */
  choices: readonly [When, ...When[]];
  title: string;
  onDone?: () => void;
}) {
  const addEntry = useAddEntry(open.job.id);
  const correcting = useCorrecting(open, 'code-scan', (entry) => choices.includes(entry.body.when));
  const [chosen, setChosen] = useState<When>();
  const when = correcting?.entry.body.when ?? chosen ?? choices[0];
  const { form, done, supersedes } = useTypedForm({
    draft: `codes ${choices[0]} ${open.job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: (body) => ({ text: asTyped(body.codes) }),
  });
  const [problem, setProblem] = useState<string>();
  const store = async (codes: readonly ScannedCode[], byCustomer = false): Promise<void> => {
    const wrong = await addEntry(
      {
        kind: 'code-scan',
        when,
        codes: [...codes],
        ...(byCustomer ? { reportedBy: 'customer' as const } : {}),
      },
      supersedes,
    );
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (wrong) return;
    done();
    if (!correcting) onDone?.();
  };
  const typed = codesIn(form.watch('text'));
  const submit = form.handleSubmit(async ({ text }) => {
    const { codes } = codesIn(text);
    if (codes.length === 0) setProblem(wording.typeTheCodesOrTickThatThere);
    else await store(codes);
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-3" noValidate>
      <CorrectingNotice correcting={correcting} />
      {choices.length > 1 ? (
        <label className="grid gap-1 max-w-64">
          <span className="font-head font-semibold">{wording.scanned}</span>
          <select
            className="input-box"
            value={when}
            disabled={correcting !== undefined}
            onChange={(event) => setChosen(event.target.value as When)}
          >
            {choices.map((one) => (
              <option key={one} value={one}>
                {SCAN_WORDS[one]}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      <Field label={title} hint={wording.asTheToolPrintsThemOrOne} error={problem}>
        <textarea className="input-box font-head" rows={4} {...form.register('text')} />
      </Field>
      {typed.codes.length > 0 ? (
        <div aria-live="polite" className="border-l-8 border-rule pl-3">
          <SortedCodes codes={typed.codes} />
          {typed.leftOver.length > 0 ? (
            <p className="text-[15px] mt-2">{wording.notReadAsCodesKeptAsThey(typed.leftOver.join('; '))}</p>
          ) : null}
        </div>
      ) : null}
      <div className="flex flex-wrap gap-3">
        <Button type="submit">{wording.saveTheCodes}</Button>
        <Button onClick={() => void store([])}>{wording.noCodesStored}</Button>
        {when === 'after-drive' ? (
          <Button onClick={() => void store([], true)}>{wording.customerReportsNoLampNoMessage}</Button>
        ) : null}
      </div>
    </form>
  );
}
