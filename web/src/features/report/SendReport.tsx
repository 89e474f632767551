import * as wording from '@white-ember/core/words/screens/report';
import * as common from '@white-ember/core/words/screens/common';
import type { Language, Measures } from '@white-ember/core/words';
import { useAppSelector } from '../../data/store.ts';
import { LanguageSelect } from '../../ui/LanguageSelect.tsx';
import { useWords } from '../../data/words.ts';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import {
  newMailSchema,
  REPORT_VERSIONS,
  reportChoiceSchema,
  SHARE_DAYS,
  type ReportChoice,
  type ReportVersion,
  type Share,
} from '@white-ember/core/report';
import {
  problemOf,
  useHandOverQuery,
  useMakeShareMutation,
  useRevokeShareMutation,
  useSendMailMutation,
} from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';

export const VERSION_LABELS: Readonly<Record<ReportVersion, string>> = {
  technical: wording.forTheNextTechnician,
  plain: wording.forTheCustomer,
};

const LETTER = { to: '', message: '' };
const letterSchema = newMailSchema.pick({ to: true }).extend({ message: z.string().max(2000) });

/** The report given away: a link that ends and can be taken back, or a letter with the PDF. */
export function SendReport({ jobId }: { jobId: string }) {
  const handOver = useHandOverQuery(jobId);
  const words = useWords();
  const [version, setVersion] = useState<ReportVersion>('plain');
  const [language, setLanguage] = useState<Language>(useAppSelector((state) => state.preferences.language));
  const [days, setDays] = useState<(typeof SHARE_DAYS)[number]>(30);
  const [makeShare, making] = useMakeShareMutation();
  const [sendMail, sending] = useSendMailMutation();
  const { form, done } = useDraftForm(`letter ${jobId}`, LETTER, LETTER, zodResolver(letterSchema));
  if (handOver.error) return <ProblemNotice problem={problemOf(handOver.error)} />;
  if (!handOver.data) return null;
  const { shares, mails, heldOff } = handOver.data;

  const choice = (): ReportChoice =>
    reportChoiceSchema.parse({
      version,
      ...(version === 'plain' ? { language } : {}),
      ...words.units,
      locale: words.locale,
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
  const send = form.handleSubmit(async ({ to, message }) => {
    const sent = await sendMail({
      jobId,
      id: uuidv7(),
      days,
      ...choice(),
      to,
      ...(message.trim() ? { message } : {}),
    });
    if (sent.data) done();
  });
  return (
    <section className="grid gap-4" aria-label={wording.shareTheReport}>
      <h3 className="text-xl border-b-2 border-ink">{wording.shareTheReport}</h3>
      {heldOff ? (
        <Notice title={common.notYet}>{heldOff}</Notice>
      ) : (
        <>
          <div className="flex flex-wrap gap-3">
            <div role="group" aria-label={wording.whichReport} className="flex flex-wrap gap-3">
              {REPORT_VERSIONS.map((one) => (
                <Button
                  key={one}
                  aria-pressed={one === version}
                  className={one === version ? 'bg-ink! text-card!' : ''}
                  onClick={() => setVersion(one)}
                >
                  {VERSION_LABELS[one]}
                </Button>
              ))}
            </div>
            {version === 'plain' ? (
              <label className="flex items-center gap-2">
                <span className="font-head font-semibold">{wording.language}</span>
                <LanguageSelect className="input-box w-auto!" value={language} onChange={setLanguage} />
              </label>
            ) : null}
            <label className="flex items-center gap-2">
              <span className="font-head font-semibold">{wording.linkOpenFor}</span>
              <select
                className="input-box w-auto!"
                value={days}
                onChange={(event) => setDays(SHARE_DAYS.find((d) => d === Number(event.target.value)) ?? 30)}
              >
                {SHARE_DAYS.map((d) => (
                  <option key={d} value={d}>
                    {common.days(d)}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <Button
            disabled={making.isLoading}
            onClick={() => void makeShare({ jobId, id: uuidv7(), days, ...choice() })}
          >
            {wording.makeALink}
          </Button>
          {making.error ? <ProblemNotice problem={problemOf(making.error)} /> : null}
          <form onSubmit={(event) => void send(event)} noValidate className="grid gap-3">
            <Field
              label={wording.sendItByMailTo}
              hint={wording.withThePdfAndALinkAs}
              error={form.formState.errors.to?.message}
            >
              <input className="input-box" type="email" autoComplete="off" {...form.register('to')} />
            </Field>
            <Field label={wording.message} error={form.formState.errors.message?.message}>
              <textarea className="input-box" rows={2} {...form.register('message')} />
            </Field>
            {sending.error ? <ProblemNotice problem={problemOf(sending.error)} /> : null}
            <Button type="submit" disabled={sending.isLoading}>
              {wording.sendTheReport}
            </Button>
          </form>
        </>
      )}
      {mails.length > 0 ? (
        <ul aria-label={wording.sentByMail} className="border-t border-rule">
          {mails.map((mail) => (
            <li key={mail.id} className="py-2 border-b border-rule">
              <b>{mail.to}</b>
              {wording.sentBy(
                VERSION_LABELS[mail.version].toLowerCase(),
                mail.sentBy,
                words.moment(mail.sentAt),
              )}
            </li>
          ))}
        </ul>
      ) : null}
      {shares.length > 0 ? (
        <ul aria-label={wording.links} className="border-t border-rule">
          {shares.map((share) => (
            <ShareLine key={share.id} share={share} />
          ))}
        </ul>
      ) : null}
    </section>
  );
}

const STATES: Readonly<Record<Share['state'], (share: Share, words: Measures) => string>> = {
  open: ({ expiresAt }, words) => wording.openUntil(words.shortDate(expiresAt)),
  expired: ({ expiresAt }, words) => wording.endedOn(words.shortDate(expiresAt)),
  revoked: ({ revokedBy }) => wording.revokedBy(revokedBy ?? wording.somebody),
};

function ShareLine({ share }: { share: Share }) {
  const words = useWords();
  const [revoke, revoking] = useRevokeShareMutation();
  const [copied, setCopied] = useState<boolean>();
  const address = `${window.location.origin}${share.path}`;
  const isOpen = share.state === 'open';
  const copy = (): Promise<void> =>
    navigator.clipboard.writeText(address).then(
      () => setCopied(true),
      () => setCopied(false),
    );
  return (
    <li className="py-2 border-b border-rule grid gap-2">
      <p className={isOpen ? '' : 'text-ink2'}>
        <b>{VERSION_LABELS[share.version]}</b>, {STATES[share.state](share, words)};{' '}
        {share.opened === 0
          ? wording.notOpenedYet
          : wording.openedLast(share.opened, words.moment(share.lastOpenedAt ?? share.madeAt))}
      </p>
      {isOpen ? (
        <>
          <input
            readOnly
            aria-label={wording.linkMade(words.moment(share.madeAt))}
            className="input-box text-sm"
            value={address}
            onFocus={(event) => event.target.select()}
          />
          <div className="flex flex-wrap gap-3 items-center">
            <Button onClick={() => void copy()}>{wording.copyTheLink}</Button>
            <Button weight="quiet" disabled={revoking.isLoading} onClick={() => void revoke(share.id)}>
              {common.revoke}
            </Button>
            <span role="status" className="text-sm">
              {copied === undefined
                ? ''
                : copied
                  ? wording.copied
                  : wording.thisBrowserCannotCopySelectItAbove}
            </span>
          </div>
        </>
      ) : null}
      {revoking.error ? <ProblemNotice problem={problemOf(revoking.error)} /> : null}
    </li>
  );
}
