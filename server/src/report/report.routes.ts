import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';
import type { DataSource } from 'typeorm';
import { z } from 'zod';
import { reportChoiceSchema, reportWords, type ReportChoice } from '@white-ember/core/report';
import { idSchema } from '@white-ember/core/ledger';
import { memberRoute, type Route } from '../http/route.ts';
import type { FileReaders } from '../reading/fileReaders.ts';
import { pdfOf, readJobReport } from './jobReport.ts';

/** Sends the PDF of a job’s report. */
export async function sendReportPdf(
  db: DataSource,
  readers: FileReaders,
  place: { readonly workshopId: string; readonly jobId: string },
  choice: ReportChoice,
  res: Response,
): Promise<void> {
  const { report, fileName } = await readJobReport(db, place.workshopId, place.jobId, choice);
  const pdf = await pdfOf(db, readers, place.workshopId, report, reportWords(choice));
  res.type('application/pdf');
  res.set('content-disposition', `inline; filename="${fileName}"`);
  pdf.end();
  await pipeline(pdf, res);
}

export const reportRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/jobs/:id/report.pdf',
    access: 'viewer',
    summary: 'The report of a job as PDF, for the next technician or for the customer',
    params: z.object({ id: idSchema }),
    query: reportChoiceSchema,
    handle: ({ params, query, db, readers, workshopId, res }) =>
      sendReportPdf(db, readers, { workshopId, jobId: params.id }, query, res),
  }),
];
