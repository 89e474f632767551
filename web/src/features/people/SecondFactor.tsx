import * as wording from '@white-ember/core/words/screens/people';
import { useEffect, useState } from 'react';
import type { Member, SecondFactorOffer } from '@white-ember/core/contract';
import {
  problemOf,
  useConfirmSecondFactorMutation,
  useEndSecondFactorMutation,
  useOfferSecondFactorMutation,
} from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';

/** A code beside the password, for leads who want it. */
export function SecondFactor({ member }: { member: Member }) {
  const [codes, setCodes] = useState<readonly string[]>();
  if (member.role !== 'lead' && !member.secondFactor) return null;
  return (
    <section aria-label={wording.secondFactor}>
      <h2 className="text-2xl mb-3">{wording.secondFactor}</h2>
      {codes ? <RecoveryCodes codes={codes} onKept={() => setCodes(undefined)} /> : null}
      {member.secondFactor ? codes ? null : <End /> : <SetUp onSet={setCodes} />}
    </section>
  );
}

function SetUp({ onSet }: { onSet: (codes: readonly string[]) => void }) {
  const [offer, offered] = useOfferSecondFactorMutation();
  const [confirm, confirmed] = useConfirmSecondFactorMutation();
  const [code, setCode] = useState('');
  if (!offered.data)
    return (
      <div className="grid gap-3 justify-items-start">
        <p className="text-ink2">{wording.aCodeFromAnAuthenticatorOnYour}</p>
        {offered.error ? <ProblemNotice problem={problemOf(offered.error)} /> : null}
        <Button disabled={offered.isLoading} onClick={() => void offer()}>
          {wording.setItUp}
        </Button>
      </div>
    );
  const submit = async (): Promise<void> => {
    const answer = await confirm({ code });
    if (answer.data) onSet(answer.data.recoveryCodes);
  };
  return (
    <form
      className="grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <Offered offer={offered.data} />
      <Field label={wording.code} hint={wording.theSixDigitsThatTheAuthenticator}>
        <input
          className="input-box"
          inputMode="numeric"
          autoComplete="one-time-code"
          value={code}
          onChange={(event) => setCode(event.target.value)}
        />
      </Field>
      {confirmed.error ? <ProblemNotice problem={problemOf(confirmed.error)} /> : null}
      <Button type="submit" weight="main" disabled={confirmed.isLoading || code.trim() === ''}>
        {wording.confirm}
      </Button>
    </form>
  );
}

/** For the camera, and as letters for who has none. */
function Offered({ offer: { secret, uri } }: { offer: SecondFactorOffer }) {
  const [image, setImage] = useState<string>();
  useEffect(() => {
    let wanted = true;
    void import('qrcode')
      .then(({ default: { toDataURL } }) => toDataURL(uri, { margin: 2, width: 220 }))
      .then((url) => wanted && setImage(url));
    return () => {
      wanted = false;
    };
  }, [uri]);
  return (
    <div className="grid gap-2">
      <p>{wording.scanThisWithTheAuthenticatorOrType}</p>
      {image ? (
        <img src={image} alt={wording.theKeyAsAPictureForThe} width={220} height={220} className="bg-white" />
      ) : null}
      <p className="font-mono break-all">{secret.match(/.{1,4}/g)?.join(' ')}</p>
    </div>
  );
}

function RecoveryCodes({ codes, onKept }: { codes: readonly string[]; onKept: () => void }) {
  return (
    <Notice title={wording.writeTheseDownNowTheyAreNot}>
      <p>{wording.eachSignsYouInOnceIfThe}</p>
      <ul className="font-mono columns-1 sm:columns-2 my-2 text-ink">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button onClick={onKept}>{wording.iHaveWrittenThemDown}</Button>
    </Notice>
  );
}

function End() {
  const [end, state] = useEndSecondFactorMutation();
  const [current, setCurrent] = useState('');
  return (
    <form
      className="grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void end({ current });
      }}
    >
      <p className="text-ink2">{wording.aCodeIsRequiredAtSignIn}</p>
      <Field label={wording.password}>
        <input
          className="input-box"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(event) => setCurrent(event.target.value)}
        />
      </Field>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      <Button type="submit" className="justify-self-start" disabled={state.isLoading || current === ''}>
        {wording.endTheSecondFactor}
      </Button>
    </form>
  );
}
