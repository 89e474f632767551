import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/intake';
import { entriesOfKind } from '@white-ember/core/ledger';
import type { StageProps } from '../../job/stageProps.ts';
import { Photos } from '../photos/Photos.tsx';
import { FamilyBook } from '../notebook/FamilyBook.tsx';
import { IntakeForm } from './IntakeForm.tsx';
import { PartsBefore } from './PartsBefore.tsx';
import { VehicleHistory } from './VehicleHistory.tsx';

/** What is known when the vehicle comes in: its history, the customer's words, what is seen, what others did to it. */
export function IntakePanel({ open, canEnter, onLead }: StageProps) {
  const known = entriesOfKind(open.derived.entries, 'complaint').filter(({ body }) => body.text !== '');
  return (
    <div className="grid gap-6 xl:grid-cols-[1.4fr_1fr]">
      <section className="grid gap-5 content-start min-w-0">
        <h2 className="text-2xl">{common.intake}</h2>
        {known.map((entry) => (
          <blockquote key={entry.id} className="border-l-8 border-ink pl-4">
            <p className="text-lg">{entry.body.text}</p>
            <p className="text-sm text-ink2">
              {entry.authorName}
              {entry.body.powerLimited ? wording.powerIsLimitedWithin : ''}
            </p>
          </blockquote>
        ))}
        {canEnter ? <IntakeForm open={open} onDone={onLead} /> : null}
      </section>
      <section className="grid gap-5 content-start min-w-0">
        <VehicleHistory open={open} />
        <FamilyBook open={open} />
        <PartsBefore open={open} canEnter={canEnter} />
        <Photos open={open} canEnter={canEnter} />
      </section>
    </div>
  );
}
