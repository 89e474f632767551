import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { passwordChangeSchema, type Member } from '@white-ember/core/contract';
import { problemOf, useChangePasswordMutation, useSignOutMutation } from '../../data/api.ts';
import { EmberMark } from '../../ui/EmberMark.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';

/** The old password, then the new one. */
export function ChangePassword({ current = 'Your password' }: { current?: string }) {
  const [change, state] = useChangePasswordMutation();
  const form = useForm({
    resolver: zodResolver(passwordChangeSchema),
    defaultValues: { current: '', password: '' },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    const changed = await change(values);
    if (!changed.data) return;
    form.reset();
    toast('Password changed. Other devices are signed out.');
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-4" noValidate>
      <Field label={current} error={errors.current?.message}>
        <input
          className="input-box"
          type="password"
          autoComplete="current-password"
          {...form.register('current')}
        />
      </Field>
      <Field
        label="New password"
        hint="At least 10 characters. Four unrelated words are easy to remember and hard to guess."
        error={errors.password?.message}
      >
        <input
          className="input-box"
          type="password"
          autoComplete="new-password"
          {...form.register('password')}
        />
      </Field>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <Button type="submit" weight="main" disabled={state.isLoading}>
        Change the password
      </Button>
    </form>
  );
}

/** Before anything else: a password that somebody else set is exchanged for one of one's own. */
export function FirstPassword({ member }: { member: Member }) {
  const [signOut] = useSignOutMutation();
  return (
    <main className="p-6 sm:p-10 max-w-xl w-full mx-auto grid gap-4 content-start">
      <p className="flex items-center gap-3 font-head font-semibold text-2xl">
        <EmberMark /> White Ember
      </p>
      <h1 className="text-3xl">Choose your own password, {member.name}</h1>
      <p className="text-ink2">Your present one was set by a lead, who knows it.</p>
      <ChangePassword current="The password that you were given" />
      <Button weight="quiet" className="px-0 justify-self-start" onClick={() => void signOut()}>
        Sign out
      </Button>
    </main>
  );
}
