import type { ReactNode } from 'react';
import type { EntryKind } from '@white-ember/core/ledger';
import { FieldForm } from '../form/FieldForm.tsx';
import { CorrectingNotice } from './CorrectingNotice.tsx';
import type { EntryForm as Its } from './useEntryForm.ts';

/** The form of an entry with its fields, and with what it corrects. */
export function EntryForm<K extends EntryKind>({
  of,
  label,
  className,
  children,
}: {
  of: Its<K>;
  label?: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <FieldForm
      of={of}
      onSave={() => void of.save()}
      {...(label === undefined ? {} : { label })}
      {...(className === undefined ? {} : { className })}
    >
      {of.correcting ? (
        <div className="col-span-full">
          <CorrectingNotice correcting={of.correcting} />
        </div>
      ) : null}
      {children}
    </FieldForm>
  );
}
