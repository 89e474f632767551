import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Photo, Problem } from '@white-ember/core/contract';
import type { HandOver, Mail, Share, SharedReport } from '@white-ember/core/report';
import { madeReading } from '@white-ember/core/testing';
import { madePhoto } from '../testing/madePhoto.ts';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';
import { idOfToken, shareToken } from './shareToken.ts';

const PNG = await madePhoto();
const outbox = mkdtempSync(join(tmpdir(), 'white-ember-outbox-'));

let app: TestApp;
let mine: TestWorkshop;
let theirs: TestWorkshop;
let shown: string;
let kept: string;
beforeAll(async () => {
  app = await startTestApp({ outboxFolder: outbox, publicUrl: 'https://reports.reedmere.invalid' });
  mine = await makeWorkshop(app, 'Reedmere');
  theirs = await makeWorkshop(app, 'Otherford');
  const photo = async (name: string): Promise<string> =>
    (await mine.technician.upload<Photo>(`/api/jobs/${mine.ids.job}/photos`, { name, bytes: PNG })).body.id;
  [shown, kept] = [await photo('a.png'), await photo('b.png')];
  for (const body of [
    { kind: 'complaint', text: 'Lamp on', distanceKm: 142_300 },
    madeReading('before', { sootG: 30 }),
    { kind: 'photo', photo: shown, caption: 'Inlet face' },
  ])
    await mine.technician.post(`/api/jobs/${mine.ids.job}/entries`, entry(body));
});
afterAll(async () => {
  await app.close();
  rmSync(outbox, { recursive: true });
});

const wanted = (changes: object = {}): object => ({
  id: uuidv7(),
  version: 'plain',
  pressure: 'kPa',
  days: 30,
  ...changes,
});
const jobPath = (rest: string): string => `/api/jobs/${mine.ids.job}/${rest}`;
const makeShare = async (changes: object = {}): Promise<Share> => {
  const answer = await mine.technician.post<Share>(jobPath('shares'), wanted(changes));
  expect(answer.status).toBe(201);
  return answer.body;
};

/** Everything that an address can show, as one text with its states. */
async function allBy(path: string): Promise<{ statuses: number[]; text: string }> {
  const visitor = app.client();
  const answers = await Promise.all(
    ['', '/report.pdf', `/photos/${shown}`].map((rest) => visitor.get(`/api${path}${rest}`)),
  );
  return {
    statuses: answers.map(({ status }) => status),
    text: JSON.stringify(answers.map(({ body }) => body)),
  };
}
const expectNothing = async (path: string): Promise<void> => {
  const { statuses, text } = await allBy(path);
  expect(statuses, path).toEqual([404, 404, 404]);
  expect(text).not.toMatch(/Reedmere|REEDMERE|Lamp on|expired|revoked/);
  expect(text).toContain('This link shows nothing');
};

describe('a link to a report', () => {
  it('shows the report, its PDF and its photos to whoever has it, and nothing beside them', async () => {
    const share = await makeShare();
    const visitor = app.client();
    const { status, body, headers } = await visitor.get<SharedReport>(`/api${share.path}`);
    expect(status).toBe(200);
    expect(headers.get('x-robots-tag')).toBe('noindex');
    expect(body.report).toMatchObject({ version: 'plain', workshop: 'Reedmere' });
    expect(body.choice.pressure).toBe('kPa');
    const pdf = await visitor.get<string>(`/api${share.path}/report.pdf`);
    expect(pdf.body.startsWith('%PDF')).toBe(true);
    expect((await visitor.get(`/api${share.path}/photos/${shown}`)).status).toBe(200);
    expect((await visitor.get(`/api${share.path}/photos/${kept}`)).status).toBe(404);
    expect((await visitor.get(jobPath('hand-over'))).status).toBe(401);
    const { body: after } = await mine.technician.get<HandOver>(jobPath('hand-over'));
    expect(after.shares.find(({ id }) => id === share.id)).toMatchObject({
      state: 'open',
      opened: 1,
      path: share.path,
    });
  });

  it('is told in the language it was made in, or in the one its reader chooses', async () => {
    const share = await makeShare({ language: 'de' });
    const visitor = app.client();
    const told = await visitor.get<SharedReport>(`/api${share.path}`);
    expect(told.body.report.sections.map(({ title }) => title)).toContain('Was gemacht wurde');
    expect(told.body.choice.language).toBe('de');
    const english = await visitor.get<SharedReport>(`/api${share.path}?language=en`);
    expect(english.body.report.sections.map(({ title }) => title)).toContain('What was done');
    const pdf = await visitor.get<string>(`/api${share.path}/report.pdf?language=en`);
    expect(pdf.status).toBe(200);
    expect((await visitor.get(`/api${share.path}?language=xx`)).status).toBe(400);
  });

  it('is for the days that were asked for, and for no others', async () => {
    const { madeAt, expiresAt } = await makeShare({ days: 7 });
    expect(Date.parse(expiresAt) - Date.parse(madeAt)).toBe(7 * 86_400_000);
    const { status, body } = await mine.technician.post<Problem>(jobPath('shares'), wanted({ days: 4000 }));
    expect(status).toBe(400);
    expect(body.fields).toHaveProperty('days');
  });

  it('is made once however often it is asked for; the same id for something else is refused', async () => {
    const request = wanted();
    const first = await mine.technician.post<Share>(jobPath('shares'), request);
    expect(await mine.technician.post(jobPath('shares'), request)).toMatchObject({ body: first.body });
    const other = await mine.technician.post(jobPath('shares'), { ...request, version: 'technical' });
    expect(other.status).toBe(409);
  });

  it('cannot be guessed: whatever is changed in it, or made up, shows nothing', async () => {
    const { path, id } = await makeShare();
    const token = path.split('/').at(-1) as string;
    for (let at = 0; at < token.length; at += 5) {
      const other = token[at] === 'A' ? 'B' : 'A';
      await expectNothing(`/shared/${token.slice(0, at)}${other}${token.slice(at + 1)}`);
    }
    for (const made of [
      id,
      shareToken(id, 'a secret of somebody else'),
      shareToken(uuidv7(), 'a secret of somebody else'),
      token.slice(0, -1),
      `${token}A`,
      `${token}=`,
      `%20${token}`,
      '..%2f..%2fsession',
      'A'.repeat(46),
    ])
      await expectNothing(`/shared/${made}`);
    expect((await allBy(path)).statuses).toEqual([200, 200, 200]);
  });

  it('shows nothing once its days are over', async () => {
    const { path, id } = await makeShare();
    await app.db.query(`UPDATE report_share SET expires_at = now() - interval '1 second' WHERE id = $1`, [
      id,
    ]);
    await expectNothing(path);
    const { body } = await mine.technician.get<HandOver>(jobPath('hand-over'));
    expect(body.shares.find((share) => share.id === id)?.state).toBe('expired');
  });

  it('shows nothing once it was taken back, and says by whom to those inside', async () => {
    const { path, id } = await makeShare();
    expect((await mine.viewer.delete(`/api/shares/${id}`)).status).toBe(403);
    expect((await allBy(path)).statuses).toEqual([200, 200, 200]);
    const { body } = await mine.technician.delete(`/api/shares/${id}`);
    expect(body).toMatchObject({ state: 'revoked', revokedBy: 'technician of Reedmere' });
    await expectNothing(path);
  });

  it('is of its workshop: another one cannot make, see, take back or mail it', async () => {
    const { path, id } = await makeShare();
    for (const answer of [
      await theirs.lead.get(jobPath('hand-over')),
      await theirs.lead.post(jobPath('shares'), wanted()),
      await theirs.lead.post(jobPath('mails'), wanted({ to: 'wren@otherford.invalid' })),
      await theirs.lead.delete(`/api/shares/${id}`),
    ]) {
      expect(answer.status).toBe(404);
      expect(JSON.stringify(answer.body)).not.toMatch(/Reedmere/);
    }
    expect((await allBy(path)).statuses).toEqual([200, 200, 200]);
    // Nor is there a way to another workshop's photo through one's own link.
    const own = await theirs.technician.post<Share>(`/api/jobs/${theirs.ids.job}/shares`, wanted());
    expect((await app.client().get(`/api${own.body.path}/photos/${shown}`)).status).toBe(404);
  });

  it('is read back by the secret that made it only', () => {
    const id = uuidv7();
    expect(idOfToken(shareToken(id, 'one'), 'one')).toBe(id);
    expect(idOfToken(shareToken(id, 'one'), 'two')).toBeUndefined();
  });
});

describe('a letter', () => {
  const letterOf = (id: string): string => readFileSync(join(outbox, `${id}.eml`), 'utf8');

  it('lies in the outbox with the link and the PDF, once however often it is sent', async () => {
    const request = wanted({
      to: 'wren@reed-barges.invalid',
      message: 'As said on the phone.\nBcc: x@y.invalid',
    }) as {
      id: string;
    };
    const first = await mine.technician.post<Mail>(jobPath('mails'), request);
    expect(first.status).toBe(201);
    expect(first.body).toMatchObject({ to: 'wren@reed-barges.invalid', sentBy: 'technician of Reedmere' });
    expect((await mine.technician.post<Mail>(jobPath('mails'), request)).body).toEqual(first.body);
    expect(readdirSync(outbox).filter((name) => name.includes(request.id))).toEqual([`${request.id}.eml`]);

    const letter = letterOf(request.id);
    const head = letter.slice(0, letter.indexOf('\r\n\r\n'));
    expect(head).toMatch(/^From: Reedmere <workshop@white-ember\.invalid>\r$/m);
    expect(head).toMatch(/^To: wren@reed-barges\.invalid\r$/m);
    expect(head).not.toMatch(/^Bcc/m);
    const { body } = await mine.technician.get<HandOver>(jobPath('hand-over'));
    const share = body.shares.find(({ id }) => id === request.id) as Share;
    // Long lines are folded for the way by “=” at their end.
    expect(letter.replace(/=\r\n/g, '')).toContain(`https://reports.reedmere.invalid${share.path}`);
    const packed = /Content-Type: application\/pdf[\s\S]*?\r\n\r\n([\s\S]*?)\r\n--/.exec(letter)?.[1] ?? '';
    const pdf = Buffer.from(packed, 'base64').toString('latin1');
    expect(pdf.startsWith('%PDF-1.')).toBe(true);
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
    expect(body.mails).toContainEqual(first.body);
  });

  it('is refused with what is wrong, and nothing is stored', async () => {
    const before = await mine.technician.get<HandOver>(jobPath('hand-over'));
    for (const to of ['', 'wren', 'wren@reed.invalid\nBcc: x@y.invalid', 'a@b.invalid, c@d.invalid']) {
      const { status, body } = await mine.technician.post<Problem>(jobPath('mails'), wanted({ to }));
      expect(status, to).toBe(400);
      expect(body.fields).toHaveProperty('to');
    }
    expect((await mine.technician.get<HandOver>(jobPath('hand-over'))).body).toEqual(before.body);
  });

  it('that cannot be put down leaves no link and no row behind', async () => {
    const blocked = join(outbox, 'a-file');
    writeFileSync(blocked, '');
    chmodSync(blocked, 0o400);
    const other = await startTestApp(
      { outboxFolder: blocked, publicUrl: 'https://reports.reedmere.invalid' },
      app.databaseUrl,
    );
    try {
      const client = other.client();
      await client.signIn('reedmere-technician', 'a long enough word');
      const before = await mine.technician.get<HandOver>(jobPath('hand-over'));
      const answer = await client.post<Problem>(jobPath('mails'), wanted({ to: 'wren@reed.invalid' }));
      expect(answer.status).toBe(503);
      expect(answer.body.detail).toMatch(/Nothing was sent and no link was made/);
      expect((await mine.technician.get<HandOver>(jobPath('hand-over'))).body).toEqual(before.body);
    } finally {
      await other.close();
    }
  });
});

describe('a workshop in which a lead signs off', () => {
  beforeAll(async () => {
    await mine.lead.put('/api/workshop', { signOffBy: 'lead' });
  });
  afterAll(() => mine.lead.put('/api/workshop', { signOffBy: 'technician' }));

  it('takes no sign-off of anybody else, and lets no report out before', async () => {
    const signOff = entry({ kind: 'sign-off', remains: 'Recheck after 200 km' });
    const refused = await mine.technician.post<Problem>(jobPath('entries'), signOff);
    expect(refused.status).toBe(403);
    expect(refused.body.title).toBe('In this workshop a lead signs off');
    const held = await mine.technician.post<Problem>(jobPath('shares'), wanted());
    expect(held.status).toBe(409);
    expect(held.body.detail).toMatch(/a lead signs a job off before its report leaves/);
    const mail = await mine.technician.post(jobPath('mails'), wanted({ to: 'wren@reed.invalid' }));
    expect(mail.status).toBe(409);
    expect((await mine.technician.get<HandOver>(jobPath('hand-over'))).body.heldOff).toBeDefined();

    expect((await mine.lead.post(jobPath('entries'), signOff)).status).toBe(201);
    expect((await mine.technician.get<HandOver>(jobPath('hand-over'))).body.heldOff).toBeUndefined();
    const { path } = await makeShare();
    expect((await allBy(path)).statuses.slice(0, 2)).toEqual([200, 200]);
    const back = entry({ kind: 'withdrawn', why: 'Reopened' }, { supersedes: signOff.id });
    expect((await mine.technician.post(jobPath('entries'), back)).status).toBe(403);
    expect((await mine.lead.post(jobPath('entries'), back)).status).toBe(201);
    // What may not leave is not shown by a link that is open either.
    await expectNothing(path);
  });

  it('is said by a lead, and by nobody else', async () => {
    expect((await mine.technician.put('/api/workshop', { signOffBy: 'technician' })).status).toBe(403);
    expect((await mine.lead.put<Problem>('/api/workshop', { signOffBy: 'anybody' })).status).toBe(400);
    const { body } = await theirs.technician.get<{ workshop: object }>('/api/session');
    expect(body.workshop).toMatchObject({ signOffBy: 'technician' });
  });
});
