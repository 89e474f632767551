import * as wording from '@white-ember/core/words/screens/people';
import { useState } from 'react';
import type { Member } from '@white-ember/core/contract';
import { problemOf, useSignInMutation } from '../../data/api.ts';
import { sessionBegun } from '../../data/sessionEnd.ts';
import { useAppDispatch } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { sendWaiting } from '../../data/outbox.ts';

/** The session ended while somebody was at work: they sign in again where they are, and go on. */
export function SignInAgain({ member }: { member: Member }) {
  const dispatch = useAppDispatch();
  const [signIn, state] = useSignInMutation();
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const problem = state.error ? problemOf(state.error) : undefined;
  const wantsCode = member.secondFactor === true || problem?.fields?.['code'] !== undefined;
  const submit = async (): Promise<void> => {
    const signed = await signIn({ signInName: member.signInName, password, code: code || undefined });
    if (!signed.data) return;
    dispatch(sessionBegun());
    void dispatch(sendWaiting());
  };
  return (
    <Sheet
      open
      onOpenChange={(open) => (open ? undefined : dispatch(sessionBegun()))}
      title={wording.signInAgain}
    >
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <p>{wording.yourSessionHasEndedWhatYouTyped}</p>
        <Field label={wording.passwordOf(member.signInName)}>
          <input
            className="input-box"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
        {wantsCode ? (
          <Field label={wording.code} hint={wording.sixDigitsOfYourAuthenticatorOrA}>
            <input
              className="input-box"
              autoComplete="one-time-code"
              value={code}
              onChange={(event) => setCode(event.target.value)}
            />
          </Field>
        ) : null}
        <ProblemNotice problem={problem} />
        <Button type="submit" weight="main" disabled={state.isLoading || password === ''}>
          {wording.signIn}
        </Button>
        <Button
          weight="quiet"
          className="px-0! justify-self-start"
          onClick={() => window.location.assign('/')}
        >
          {wording.signInAsAnotherPerson}
        </Button>
      </form>
    </Sheet>
  );
}
