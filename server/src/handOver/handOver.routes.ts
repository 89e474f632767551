import { z } from 'zod';
import type { DataSource } from 'typeorm';
import {
  handOverSchema,
  mailSchema,
  newMailSchema,
  newShareSchema,
  reportChoiceSchema,
  reportWords,
  sharedReportSchema,
  shareSchema,
  type NewMail,
  type ReportChoice,
} from '@white-ember/core/report';
import { idSchema } from '@white-ember/core/ledger';
import { languageSchema, say } from '@white-ember/core/words';
import type { Config } from '../http/config.ts';
import { conflict, notFound, Refusal } from '../http/problem.ts';
import { memberRoute, publicRoute, type Route } from '../http/route.ts';
import { contentHash } from '../http/once.ts';
import type { Member } from '../database/entities/member.entity.ts';
import type { FileReaders } from '../reading/fileReaders.ts';
import { sendPhoto } from '../photos/photo.service.ts';
import { pdfOf, photosOf, readJobReport } from '../report/jobReport.ts';
import { sendReportPdf } from '../report/report.routes.ts';
import { heldOff, makeShare, openShare, presentMail, presentShare, shareSecret } from './handOver.service.ts';
import { putIntoOutbox, type Letter } from './outbox.ts';
import { MailEntity, ShareEntity, type MailRow, type ShareRow } from '../database/entities/share.entity.ts';

const jobParams = z.object({ id: idSchema });
/** Whoever opens a link may have it in another language than it was sent in. */
const sharedQuery = z.object({ language: languageSchema.optional() });
const inLanguage = (
  choice: ReportChoice,
  { language = choice.language }: z.infer<typeof sharedQuery>,
): ReportChoice => (language === undefined ? choice : { ...choice, language });
const tokenSchema = z.string().max(100);

/**
 * A report goes out by mail: with the PDF, and a link that shows what is known later. Stored and in the outbox, or
 * neither; sent once however often it is asked for.
 */
async function sendMail(
  db: DataSource,
  readers: FileReaders,
  config: Config,
  member: Member,
  jobId: string,
  { to, message, ...wanted }: NewMail,
  origin: string,
): Promise<{ mail: MailRow; share: ShareRow }> {
  const folder = config.outboxFolder;
  if (folder === undefined)
    throw new Refusal(
      409,
      say('refusals.this-installation-sends-no-mail'),
      say('refusals.set-white-ember-outbox-or-pass'),
    );
  const { workshopId } = member;
  const hash = contentHash({ to, message, wanted });
  const now = new Date();
  return db.transaction(async (manager) => {
    const share = await makeShare(manager, member, jobId, wanted, now);
    const known = await manager.findOneBy(MailEntity, { id: wanted.id });
    if (known) {
      if (known.contentHash !== hash)
        throw new Refusal(
          409,
          say('refusals.this-clashes-with-what-is-stored'),
          say('refusals.this-id-is-already-in-use'),
        );
      return { mail: known, share };
    }
    const { report, fileName } = await readJobReport(db, workshopId, jobId, share.choice);
    const words = reportWords(share.choice);
    const pdf = await pdfOf(db, readers, workshopId, report, words);
    pdf.end();
    const { path, expiresAt } = presentShare(share, await shareSecret(db), now);
    const mail: MailRow = {
      id: wanted.id,
      workshopId,
      jobId,
      recipient: to,
      sentAt: now,
      sentBy: member.name,
      contentHash: hash,
    };
    await manager.insert(MailEntity, mail);
    const letter: Letter = {
      id: wanted.id,
      from: { name: report.workshop, address: config.mailFrom },
      to,
      subject: words.say(say('report.letter-subject', { title: report.title, about: report.about[0] })),
      text: [
        ...(message ? [message, ''] : []),
        report.headline,
        '',
        words.say(say('report.letter-attached', { until: expiresAt })),
        `${origin}${path}`,
        '',
        member.name,
        report.workshop,
      ].join('\n'),
      pdf: { name: fileName, content: pdf },
      date: now,
    };
    await putIntoOutbox(folder, letter).catch((error: unknown) => {
      throw new Refusal(
        503,
        say('refusals.the-letter-could-not-be-put'),
        say('refusals.nothing-was-sent-and-no-link', {
          reason: (error as NodeJS.ErrnoException).code ?? 'unknown reason',
        }),
      );
    });
    return { mail, share };
  });
}

export const handOverRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/jobs/:id/hand-over',
    access: 'technician',
    summary: 'Links to the report of a job, mails that carried one, and what blocks new ones',
    params: jobParams,
    answer: handOverSchema,
    handle: async ({ params, db, workshopId }) => {
      const held = await heldOff(db.manager, workshopId, params.id);
      const scope = { workshopId, jobId: params.id };
      const shares = await db.manager.find(ShareEntity, { where: scope, order: { madeAt: 'DESC' } });
      const mails = await db.manager.find(MailEntity, { where: scope, order: { sentAt: 'DESC' } });
      const secret = await shareSecret(db);
      const choices = new Map(shares.map(({ id, choice }) => [id, choice]));
      return {
        shares: shares.map((row) => presentShare(row, secret)),
        mails: mails.flatMap((row) => {
          const choice = choices.get(row.id);
          return choice ? [presentMail(row, choice)] : [];
        }),
        ...(held === undefined ? {} : { heldOff: held }),
      };
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/shares',
    access: 'technician',
    summary: 'Make a link that shows the report without signing in, for some days',
    params: jobParams,
    body: newShareSchema,
    answer: shareSchema,
    status: 201,
    handle: async ({ params, body, db, member }) =>
      presentShare(await makeShare(db.manager, member, params.id, body, new Date()), await shareSecret(db)),
  }),
  memberRoute({
    method: 'delete',
    path: '/api/shares/:id',
    access: 'technician',
    summary: 'Take a link back: from now on it shows nothing',
    params: jobParams,
    answer: shareSchema,
    handle: async ({ params, db, member, workshopId }) => {
      await db.manager.query(
        `UPDATE report_share SET revoked_at = now(), revoked_by = $3
          WHERE id = $1 AND workshop_id = $2 AND revoked_at IS NULL`,
        [params.id, workshopId, member.name],
      );
      const row = await db.manager.findOneBy(ShareEntity, { id: params.id, workshopId });
      if (!row) throw notFound(say('refusals.the-link'));
      return presentShare(row, await shareSecret(db));
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/mails',
    access: 'technician',
    summary: 'Send the report by mail, as PDF and by a link',
    params: jobParams,
    body: newMailSchema,
    answer: mailSchema,
    status: 201,
    handle: async ({ params, body, db, readers, config, member }) => {
      // Never by the address that a request came to: whoever sends one may choose it.
      if (config.publicUrl === undefined) throw conflict(say('refusals.this-installation-does-not-know-how'));
      const { mail, share } = await sendMail(db, readers, config, member, params.id, body, config.publicUrl);
      return presentMail(mail, share.choice);
    },
  }),
  publicRoute({
    method: 'get',
    path: '/api/shared/:token',
    summary: 'A report by its link',
    params: z.object({ token: tokenSchema }),
    query: sharedQuery,
    answer: sharedReportSchema,
    handle: async ({ params, query, db, res }) => {
      const share = await openShare(db, params.token);
      const choice = inLanguage(share.choice, query);
      const { report } = await readJobReport(db, share.workshopId, share.jobId, choice);
      // Who has it in another language has opened it already.
      if (query.language === undefined)
        await db.query('UPDATE report_share SET opened = opened + 1, last_opened_at = now() WHERE id = $1', [
          share.id,
        ]);
      res.set('x-robots-tag', 'noindex');
      return {
        report: { ...report },
        choice: reportChoiceSchema.parse(choice),
        expiresAt: share.expiresAt.toISOString(),
      };
    },
  }),
  publicRoute({
    method: 'get',
    path: '/api/shared/:token/report.pdf',
    summary: 'The PDF of a report by its link',
    params: z.object({ token: tokenSchema }),
    query: sharedQuery,
    handle: async ({ params, query, db, readers, res }) => {
      const share = await openShare(db, params.token);
      res.set('x-robots-tag', 'noindex');
      await sendReportPdf(db, readers, share, inLanguage(share.choice, query), res);
    },
  }),
  publicRoute({
    method: 'get',
    path: '/api/shared/:token/photos/:id',
    summary: 'A photo that a shared report shows',
    params: z.object({ token: tokenSchema, id: idSchema }),
    handle: async ({ params, db, readers, res }) => {
      const share = await openShare(db, params.token);
      const { report } = await readJobReport(db, share.workshopId, share.jobId, share.choice);
      // The job may hold more photos than its report shows.
      if (!photosOf(report).includes(params.id)) throw notFound(say('refusals.the-photo'));
      await sendPhoto(db, readers, { id: params.id, workshopId: share.workshopId }, 'full', res);
    },
  }),
];
