import * as wording from '@white-ember/core/words/screens/people';
import * as common from '@white-ember/core/words/screens/common';
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
export function ChangePassword({ current = wording.yourPassword }: { current?: string }) {
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
    toast(wording.passwordChangedOtherDevicesAre);
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
        label={wording.newPassword}
        hint={wording.atLeast10CharactersFourUnrelated}
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
        {wording.changeThePassword}
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
        <EmberMark /> {common.whiteEmber}
      </p>
      <h1 className="text-3xl">{wording.chooseYourOwnPassword(member.name)}</h1>
      <p className="text-ink2">{wording.yourPresentOneWasSetByA}</p>
      <ChangePassword current={wording.thePasswordThatYouWereGiven} />
      <Button weight="quiet" className="px-0 justify-self-start" onClick={() => void signOut()}>
        {common.signOut}
      </Button>
    </main>
  );
}
