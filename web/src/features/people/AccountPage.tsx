import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/people';
import { useWords } from '../../data/words.ts';
import { problemOf, useRevokeSessionMutation, useSessionQuery, useSignedInQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { ChangePassword } from './ChangePassword.tsx';
import { SecondFactor } from './SecondFactor.tsx';

/** The own account: password, where one is signed in, second factor. */
export function AccountPage() {
  const member = useSessionQuery().data?.member;
  if (!member) return null;
  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-8 md:grid-cols-2 content-start">
      <div className="grid gap-8 content-start">
        <section>
          <h1 className="text-3xl">{common.yourAccount}</h1>
          <p className="text-ink2 mb-3">{wording.signsInAs(member.name, member.role, member.signInName)}</p>
          <h2 className="text-2xl mb-3">{wording.password}</h2>
          <ChangePassword />
        </section>
      </div>
      <div className="grid gap-8 content-start">
        <Sessions />
        <SecondFactor member={member} />
      </div>
    </main>
  );
}

/** Where the person is signed in; any of them can be ended. */
function Sessions() {
  const words = useWords();
  const sessions = useSignedInQuery();
  const [revoke, state] = useRevokeSessionMutation();
  return (
    <section aria-label={wording.sessions}>
      <h2 className="text-2xl mb-3">{wording.whereYouAreSignedIn}</h2>
      {sessions.error ? <ProblemNotice problem={problemOf(sessions.error)} /> : null}
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <ul className="divide-y-2 divide-rule border-y-2 border-ink">
        {(sessions.data ?? []).map(({ id, device, signedInAt, lastSeenAt, current }) => (
          <li key={id} className="py-2 flex justify-between items-center gap-4">
            <span>
              <span className="font-head font-semibold">{device}</span>
              <span className="block text-sm text-ink2">
                {wording.sinceLastUsed(
                  signedInAt === '' ? common.notKnown : words.moment(signedInAt),
                  lastSeenAt === '' ? common.notKnown : words.moment(lastSeenAt),
                )}
              </span>
            </span>
            {current ? (
              <span className="text-sm">{wording.thisOne}</span>
            ) : (
              <Button disabled={state.isLoading} onClick={() => void revoke(id)}>
                {common.revoke}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="text-sm text-ink2 mt-2">{wording.anUnusedSessionEndsByItselfAfter}</p>
    </section>
  );
}
