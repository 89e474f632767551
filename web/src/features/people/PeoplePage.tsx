import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/people';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { newMemberSchema, newPasswordSchema, ROLES, type Member } from '@white-ember/core/contract';
import {
  problemOf,
  useAddMemberMutation,
  useChangeMemberMutation,
  useMembersQuery,
  useRemoveMemberMutation,
  useSessionQuery,
  useSetPasswordMutation,
} from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { WorkshopChoices } from './WorkshopChoices.tsx';
import { WorkshopData } from './WorkshopData.tsx';

const formSchema = newMemberSchema.omit({ id: true });
const EMPTY = { name: '', signInName: '', password: '', role: 'technician' as const };

/** Who belongs to the workshop; a lead adds people here. */
export function PeoplePage() {
  const members = useMembersQuery();
  const session = useSessionQuery();
  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-8 md:grid-cols-2">
      <section>
        <h1 className="text-3xl mb-3">{common.peopleAndData}</h1>
        {members.error ? <ProblemNotice problem={problemOf(members.error)} /> : null}
        <ul className="divide-y-2 divide-rule border-y-2 border-ink">
          {(members.data ?? []).map((member) => (
            <Person key={member.id} member={member} own={member.id === session.data?.member?.id} />
          ))}
        </ul>
        <WorkshopChoices />
        <WorkshopData />
      </section>
      <AddPerson />
    </main>
  );
}

function AddPerson() {
  const [add, state] = useAddMemberMutation();
  const form = useForm<z.input<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: EMPTY,
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    const added = await add({ id: uuidv7(), ...values });
    if (added.data) form.reset(EMPTY);
  });
  const box = { className: 'input-box' };
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-4 content-start" noValidate>
      <h2 className="text-2xl">{wording.addAPerson}</h2>
      <Field label={common.name} error={errors.name?.message}>
        <input {...box} {...form.register('name')} />
      </Field>
      <Field label={wording.signInName} error={errors.signInName?.message}>
        <input {...box} autoComplete="off" {...form.register('signInName')} />
      </Field>
      <Field
        label={wording.firstPassword}
        hint={wording.atLeast10Characters}
        error={errors.password?.message}
      >
        <input {...box} type="password" autoComplete="new-password" {...form.register('password')} />
      </Field>
      <Field label={wording.role} hint={wording.aViewerReadsATechnicianWorksOn}>
        <select {...box} {...form.register('role')}>
          {ROLES.map((role) => (
            <option key={role}>{role}</option>
          ))}
        </select>
      </Field>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <Button type="submit" weight="main" disabled={state.isLoading}>
        {wording.addThePerson}
      </Button>
    </form>
  );
}

const stateOf = ({ suspended, maySignIn, mustChangePassword, signInName, secondFactor }: Member): string =>
  suspended
    ? 'suspended'
    : !maySignIn
      ? wording.cannotSignInYet
      : wording.signsInAsWithSignInName(
          signInName,
          secondFactor ? wording.withACode : '',
          mustChangePassword ? wording.passwordToBeChosen : '',
        );

/** Somebody of the workshop, with what a lead may do about them. */
function Person({ member, own }: { member: Member; own: boolean }) {
  const [change, changed] = useChangeMemberMutation();
  const [leaving, setLeaving] = useState(false);
  return (
    <li className="py-3 grid gap-2">
      <div className="flex justify-between gap-4">
        <span>
          <span className="font-head font-semibold text-lg">{member.name}</span>
          <span className="block text-sm text-ink2">{stateOf(member)}</span>
        </span>
        {own ? (
          <span>{wording.you(member.role)}</span>
        ) : (
          <label>
            <span className="sr-only">{wording.roleOf(member.name)}</span>
            <select
              className="input-box"
              value={member.role}
              disabled={changed.isLoading}
              onChange={(event) => void change({ id: member.id, role: event.target.value as Member['role'] })}
            >
              {ROLES.map((role) => (
                <option key={role}>{role}</option>
              ))}
            </select>
          </label>
        )}
      </div>
      {changed.error ? <ProblemNotice problem={problemOf(changed.error)} /> : null}
      {own ? null : (
        <div className="flex flex-wrap gap-x-5">
          <NewPassword member={member} />
          <Button
            weight="quiet"
            className="px-0!"
            disabled={changed.isLoading}
            onClick={() => void change({ id: member.id, suspended: !member.suspended })}
          >
            {member.suspended ? wording.reinstate : wording.suspend}
            <span className="sr-only"> {member.name}</span>
          </Button>
          <Button weight="quiet" className="px-0!" onClick={() => setLeaving(true)}>
            {wording.remove}
            <span className="sr-only"> {member.name}</span>
          </Button>
        </div>
      )}
      <RemovePerson member={member} open={leaving} onOpenChange={setLeaving} />
    </li>
  );
}

/** Said once more, as it cannot be undone: a new person would be another one. */
function RemovePerson({
  member,
  open,
  onOpenChange,
}: {
  member: Member;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const [remove, state] = useRemoveMemberMutation();
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={wording.removeWithName(member.name)}>
      <div className="grid gap-4">
        <p>{wording.theyAreSignedOutAndCanNo}</p>
        {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
        <Button
          weight="main"
          disabled={state.isLoading}
          onClick={() =>
            void remove(member.id)
              .unwrap()
              .then(() => onOpenChange(false))
              .catch(() => undefined)
          }
        >
          {wording.removeWithName(member.name)}
        </Button>
      </div>
    </Sheet>
  );
}

/** A lead sets a new password: for who forgot theirs, and who came with an archive and has none. */
function NewPassword({ member }: { member: Member }) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  const [wrong, setWrong] = useState<string>();
  const [store, state] = useSetPasswordMutation();
  const submit = async (): Promise<void> => {
    const parsed = newPasswordSchema.safeParse(password);
    setWrong(parsed.error?.issues[0]?.message);
    if (!parsed.success) return;
    const stored = await store({ id: member.id, password });
    if (!stored.data) return;
    setPassword('');
    setOpen(false);
  };
  return (
    <>
      <Button weight="quiet" className="px-0!" onClick={() => setOpen(true)}>
        {member.maySignIn ? wording.newPassword : wording.setAPassword}
        <span className="sr-only"> {wording.forIt(member.name)}</span>
      </Button>
      <Sheet open={open} onOpenChange={setOpen} title={wording.newPasswordFor(member.name)}>
        <form
          className="grid gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
          }}
        >
          <Field label={wording.password} hint={wording.atLeast10Characters} error={wrong}>
            <input
              className="input-box"
              type="password"
              autoComplete="new-password"
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          <p className="text-sm text-ink2">{wording.theyChooseTheirOwnWithItThey}</p>
          {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
          <Button type="submit" weight="main" disabled={state.isLoading}>
            {wording.setThePassword}
          </Button>
        </form>
      </Sheet>
    </>
  );
}
