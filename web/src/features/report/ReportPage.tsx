import * as wording from '@white-ember/core/words/screens/report';
import * as common from '@white-ember/core/words/screens/common';
import { type Job } from '@white-ember/core/contract';
import { useMemo, useState } from 'react';
import type { Language } from '@white-ember/core/words';
import { useAppSelector } from '../../data/store.ts';
import { useWordsIn } from '../../data/words.ts';
import { LanguageSelect } from '../../ui/LanguageSelect.tsx';
import { Link, useParams, useSearchParams } from 'react-router';
import { REPORT_VERSIONS, reportOf, type ReportVersion } from '@white-ember/core/report';
import { useSessionQuery, useVehicleOutlookQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { WithJob } from '../../job/WithJob.tsx';
import { ReportSheet } from './ReportSheet.tsx';
import { useAdvice } from './useAdvice.ts';
import { VERSION_LABELS } from './SendReport.tsx';

/** What the customer and the next technician take away: two A4 pages, as page, on paper and as PDF. */
export function ReportPage() {
  const { jobId = '' } = useParams();
  return (
    <WithJob jobId={jobId} opening={wording.openingTheReport}>
      {(open) => <JobReport open={open} />}
    </WithJob>
  );
}

const OUTLINED =
  'font-head font-semibold min-h-14 px-4 border-2 border-ink rounded-sm inline-flex items-center';

function JobReport({ open }: { open: OpenJob }) {
  const { job, vehicle, inCodes, limits } = open;
  const advice = useAdvice(open);
  const session = useSessionQuery();
  const { data: told } = useVehicleOutlookQuery(vehicle.id);
  const [params, setParams] = useSearchParams();
  const version = REPORT_VERSIONS.find((one) => one === params.get('version')) ?? 'technical';
  const preferred = useAppSelector((state) => state.preferences.language);
  const [chosen, setLanguage] = useState<Language>(preferred);
  const language = version === 'plain' ? chosen : 'en';
  const words = useWordsIn(language);
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const report = useMemo(
    () =>
      reportOf(
        {
          derived: inCodes,
          job,
          vehicle,
          limits,
          told: job.seal?.told ?? told,
          limitsProfile: job.limitsProfile,
          workshop: job.seal?.workshop ?? session.data?.workshop?.name ?? '',
          advice,
        },
        version,
        words,
      ),
    [inCodes, job, vehicle, limits, told, session.data, words, version, advice],
  );
  const pdf = new URLSearchParams({
    version,
    language,
    ...words.units,
    locale: words.locale,
    timeZone,
  });
  return (
    <main className="bg-card text-ink max-w-[210mm] w-full mx-auto p-5 sm:p-8 print:p-0 grid gap-5 print:gap-3.5">
      <ReportActions
        job={job}
        pdf={pdf}
        version={version}
        setParams={setParams}
        chosen={chosen}
        setLanguage={setLanguage}
      />
      <div lang={language} className="contents">
        <ReportSheet report={report} words={words} />
      </div>
    </main>
  );
}

/** Version, language, file. */
function ReportActions({
  job,
  pdf,
  version,
  setParams,
  chosen,
  setLanguage,
}: {
  job: Job;
  pdf: URLSearchParams;
  version: ReportVersion;
  setParams: ReturnType<typeof useSearchParams>[1];
  chosen: Language;
  setLanguage: (value: 'en' | 'de') => void;
}) {
  return (
    <div className="no-print flex gap-3 flex-wrap">
      <a
        href={`/api/jobs/${job.id}/report.pdf?${pdf.toString()}`}
        target="_blank"
        rel="noopener"
        className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-flex items-center"
      >
        {wording.pdf}
      </a>
      <Button onClick={() => window.print()}>{wording.print}</Button>
      {REPORT_VERSIONS.toReversed().map((one) => (
        <Button
          key={one}
          aria-pressed={one === version}
          className={one === version ? 'bg-ink! text-card!' : ''}
          onClick={() => setParams({ version: one }, { replace: true })}
        >
          {VERSION_LABELS[one]}
        </Button>
      ))}
      {version === 'plain' ? (
        <LanguageSelect
          aria-label={wording.language}
          className="input-box w-auto! min-h-14"
          value={chosen}
          onChange={setLanguage}
        />
      ) : null}
      <Link to={`/jobs/${job.id}`} className={OUTLINED}>
        {common.backToTheJob}
      </Link>
    </div>
  );
}
