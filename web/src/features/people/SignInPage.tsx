import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/people';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { firstRunSchema, signInSchema, type Session } from '@white-ember/core/contract';
import { problemOf, useDemoSignInMutation, useFirstRunMutation, useSignInMutation } from '../../data/api.ts';
import { EmberMark } from '../../ui/EmberMark.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';

export function SignInPage({ session }: { session: Session }) {
  const demo = session.demo ?? [];
  const [settingUp, setSettingUp] = useState(session.firstRun && demo.length === 0);
  return (
    <main className="min-h-dvh grid lg:grid-cols-[1.1fr_1fr]">
      <section className="bg-tape text-tape-ink p-6 sm:p-10 flex flex-col justify-between gap-8">
        <p className="flex items-center gap-3 font-head font-semibold text-2xl">
          <EmberMark /> {common.whiteEmber}
        </p>
        <div>
          <h1 className="text-4xl sm:text-5xl leading-tight max-w-[16ch]">
            {wording.beforeCleanAfterProved}
          </h1>
          <p className="mt-4 max-w-[44ch] text-lg text-tape-ink2">
            {wording.judgesTheFiltersPressureAtItsFlow}
          </p>
        </div>
        <ClaimPicture />
      </section>
      <section className="p-6 sm:p-10 max-w-xl w-full mx-auto self-center">
        {demo.length > 0 && !settingUp ? <DemoSignIn people={demo} /> : null}
        {settingUp ? <FirstRun /> : <SignIn />}
        {session.firstRun && demo.length > 0 ? (
          <Button weight="quiet" className="mt-4 px-0" onClick={() => setSettingUp(!settingUp)}>
            {settingUp ? wording.backToSignIn : wording.setUpYourOwnWorkshop}
          </Button>
        ) : null}
      </section>
    </main>
  );
}

/** Two clouds and the fall between them: what the application is about, in one drawing. */
function ClaimPicture() {
  return (
    <svg viewBox="0 0 420 150" className="w-full max-w-lg max-lg:hidden" aria-hidden>
      <path d="M20 140 H400 M20 140 V10" stroke="currentColor" strokeWidth="2" />
      <path d="M20 140 C140 118 260 76 380 18" fill="none" stroke="#8cc3e2" strokeWidth="4" />
      <path d="M20 140 C160 134 280 122 380 104" fill="none" stroke="#ff8a4c" strokeWidth="4" />
      <path d="M316 52 V106 M309 97 L316 108 L323 97" fill="none" stroke="currentColor" strokeWidth="2.500" />
    </svg>
  );
}

function DemoSignIn({ people }: { people: NonNullable<Session['demo']> }) {
  const [signIn, state] = useDemoSignInMutation();
  return (
    <div className="mb-8">
      <h2 className="text-2xl mb-1">{wording.openTheDemoWorkshop}</h2>
      <p className="text-ink2 mb-3">{wording.oneTapAllDataAreMadeUp}</p>
      <div className="grid gap-2">
        {people.map((person) => (
          <Button
            key={person.signInName}
            weight={person.role === 'technician' ? 'main' : 'plain'}
            disabled={state.isLoading}
            onClick={() => void signIn({ signInName: person.signInName })}
          >
            {person.name}, {person.role}
          </Button>
        ))}
      </div>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
    </div>
  );
}

function SignIn() {
  const [signIn, state] = useSignInMutation();
  const form = useForm({
    resolver: zodResolver(signInSchema),
    defaultValues: { signInName: '', password: '', code: '' },
  });
  const { errors } = form.formState;
  // Asked for once name and password are right, of who set a second factor up.
  const wantsCode = problemOf(state.error).fields?.['code'] !== undefined;
  const [code, setCode] = useState(false);
  if (wantsCode && !code) setCode(true);
  return (
    <form
      onSubmit={(event) =>
        void form.handleSubmit((values) => signIn({ ...values, code: values.code || undefined }))(event)
      }
      className="grid gap-4"
      noValidate
    >
      <h2 className="text-2xl">{wording.signIn}</h2>
      <Field label={wording.signInName} error={errors.signInName?.message}>
        <input className="input-box" autoComplete="username" {...form.register('signInName')} />
      </Field>
      <Field label={wording.password} error={errors.password?.message}>
        <input
          className="input-box"
          type="password"
          autoComplete="current-password"
          {...form.register('password')}
        />
      </Field>
      {code ? (
        <Field
          label={wording.code}
          hint={wording.sixDigitsOfYourAuthenticatorOrA}
          error={errors.code?.message}
        >
          <input
            className="input-box"
            autoComplete="one-time-code"
            inputMode="text"
            autoFocus
            {...form.register('code')}
          />
        </Field>
      ) : null}
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <Button type="submit" disabled={state.isLoading}>
        {wording.signIn}
      </Button>
    </form>
  );
}

const firstRunForm = firstRunSchema.omit({ workshopId: true, memberId: true });

function FirstRun() {
  const [create, state] = useFirstRunMutation();
  const [ids] = useState(() => ({ workshopId: uuidv7(), memberId: uuidv7() }));
  const form = useForm<z.input<typeof firstRunForm>>({
    resolver: zodResolver(firstRunForm),
    defaultValues: { workshopName: '', name: '', signInName: '', password: '' },
  });
  const { errors } = form.formState;
  return (
    <form
      onSubmit={(event) => void form.handleSubmit((values) => create({ ...ids, ...values }))(event)}
      className="grid gap-4"
      noValidate
    >
      <h2 className="text-2xl">{wording.setUpYourWorkshop}</h2>
      <p className="text-ink2">{wording.youBecomeItsLeadYouAddThe}</p>
      <Field label={wording.workshop} error={errors.workshopName?.message}>
        <input className="input-box" {...form.register('workshopName')} />
      </Field>
      <Field label={wording.yourName} error={errors.name?.message}>
        <input className="input-box" autoComplete="name" {...form.register('name')} />
      </Field>
      <Field label={wording.signInName} error={errors.signInName?.message}>
        <input className="input-box" autoComplete="username" {...form.register('signInName')} />
      </Field>
      <Field label={wording.password} hint={wording.atLeast10Characters} error={errors.password?.message}>
        <input
          className="input-box"
          type="password"
          autoComplete="new-password"
          {...form.register('password')}
        />
      </Field>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <Button type="submit" weight="main" disabled={state.isLoading}>
        {wording.makeTheWorkshop}
      </Button>
    </form>
  );
}
