import * as wording from '@white-ember/core/words/screens/report';
import * as common from '@white-ember/core/words/screens/common';
import { reportWords, type ReportChoice } from '@white-ember/core/report';
import { useEffect, useState } from 'react';
import { say, type Language } from '@white-ember/core/words';
import { LanguageSelect } from '../../ui/LanguageSelect.tsx';
import { useParams } from 'react-router';
import { problemOf, useSharedReportQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { ReportSheet } from './ReportSheet.tsx';

/** A report by its link, for whoever was given it: the sheet, its PDF, and how long the link is open. */
export function SharedReportPage() {
  const { token = '' } = useParams();
  const [language, setLanguage] = useState<Language>();
  const shared = useSharedReportQuery({ token, language });
  const title = shared.data?.report.title;
  useEffect(() => {
    if (title !== undefined) document.title = title;
  }, [title]);
  if (shared.isLoading && !shared.data)
    return <p className="p-8 font-head text-xl">{wording.openingTheReport}</p>;
  if (!shared.data) {
    const problem = problemOf(shared.error);
    return (
      <main className="p-8 max-w-xl">
        <h1 className="text-3xl mb-2">{problem.title}</h1>
        <p className="mb-4 text-lg">{problem.detail}</p>
        {problem.status === 404 ? null : (
          <Button weight="main" onClick={() => void shared.refetch()}>
            {common.tryAgain}
          </Button>
        )}
      </main>
    );
  }
  const { report, choice, expiresAt } = shared.data;
  const words = reportWords(choice);
  const told = choice.language ?? 'en';
  const at = `/api/shared/${encodeURIComponent(token)}`;
  return (
    <main
      lang={told}
      className="bg-card text-ink max-w-[210mm] w-full mx-auto p-5 sm:p-8 print:p-0 grid gap-5 print:gap-3.5"
    >
      <SharedActions at={at} told={told} choice={choice} setLanguage={setLanguage} expiresAt={expiresAt} />
      <ReportSheet report={report} words={words} photoAt={(id) => `${at}/photos/${id}`} />
    </main>
  );
}

/** What a customer may do with the report: another language, the file. */
function SharedActions({
  at,
  told,
  choice,
  setLanguage,
  expiresAt,
}: {
  at: string;
  told: Language;
  choice: ReportChoice;
  setLanguage: (value: Language | undefined) => void;
  expiresAt: string;
}) {
  const words = reportWords(choice);
  return (
    <div className="no-print flex gap-3 flex-wrap items-center">
      <a
        href={`${at}/report.pdf?${new URLSearchParams({ language: told }).toString()}`}
        target="_blank"
        rel="noopener"
        className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-flex items-center"
      >
        {wording.pdf}
      </a>
      <Button onClick={() => window.print()}>{words.name('report', 'print')}</Button>
      {choice.version === 'plain' ? (
        <LanguageSelect
          aria-label={wording.languageSprache}
          className="input-box w-auto! min-h-14"
          value={told}
          onChange={setLanguage}
        />
      ) : null}
      <p className="text-ink2">{words.say(say('report.link-open-until', { at: expiresAt }))}</p>
    </div>
  );
}
