import { reportWords } from '@white-ember/core/report';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { problemOf, useSharedReportQuery } from '../../app/api.ts';
import { Button } from '../../ui/Button.tsx';
import { ReportSheet } from './ReportSheet.tsx';

/** A report by its link, for whoever was given it: the sheet, its PDF, and how long the link is open. */
export function SharedReportPage() {
  const { token = '' } = useParams();
  const shared = useSharedReportQuery(token);
  const title = shared.data?.report.title;
  useEffect(() => {
    if (title !== undefined) document.title = title;
  }, [title]);
  if (shared.isLoading) return <p className="p-8 font-head text-xl">Opening the report …</p>;
  if (!shared.data) {
    const problem = problemOf(shared.error);
    return (
      <main className="p-8 max-w-xl">
        <h1 className="text-3xl mb-2">{problem.title}</h1>
        <p className="mb-4 text-lg">{problem.detail}</p>
        {problem.status === 404 ? null : (
          <Button weight="main" onClick={() => void shared.refetch()}>
            Try again
          </Button>
        )}
      </main>
    );
  }
  const { report, choice, expiresAt } = shared.data;
  const words = reportWords(choice);
  const at = `/api/shared/${encodeURIComponent(token)}`;
  return (
    <main className="bg-card text-ink max-w-[210mm] w-full mx-auto p-5 sm:p-8 print:p-0 grid gap-5 print:gap-3.5">
      <div className="no-print flex gap-3 flex-wrap items-center">
        <a
          href={`${at}/report.pdf`}
          target="_blank"
          rel="noopener"
          className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-flex items-center"
        >
          PDF
        </a>
        <Button onClick={() => window.print()}>Print</Button>
        <p className="text-ink2">This link is open until {words.shortDate(expiresAt)}.</p>
      </div>
      <ReportSheet report={report} told={words} photoAt={(id) => `${at}/photos/${id}`} />
    </main>
  );
}
