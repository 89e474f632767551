import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Member, Problem, Session } from '@white-ember/core/contract';
import { makeWorkshop, PASSWORD, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp({ signInTriesPer15Min: 5 });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

describe('first run', () => {
  it('makes the first lead, once', async () => {
    const again = app.client();
    await again.get('/api/session');
    const answer = await again.post<Problem>('/api/first-run', {
      workshopId: uuidv7(),
      memberId: uuidv7(),
      workshopName: 'Second',
      name: 'Second',
      signInName: 'second',
      password: PASSWORD,
    });
    expect(answer.status).toBe(409);
    expect(answer.body.title).toMatch(/already has people/);
  });
  it('offers no demo sign-in outside the demo', async () => {
    const client = app.client();
    const session = await client.get<Session>('/api/session');
    expect(session.body.demo).toBeUndefined();
    expect((await client.post('/api/session/demo', { signInName: 'tobin' })).status).toBe(403);
  });
});

describe('signing in', () => {
  it('keeps passwords as argon2id hashes only', async () => {
    const rows = await app.db.query<{ password_hash: string }[]>('SELECT password_hash FROM member');
    for (const { password_hash } of rows) expect(password_hash).toMatch(/^\$argon2id\$/);
    expect(JSON.stringify((await workshop.lead.get('/api/members')).body)).not.toMatch(/argon2|password/i);
  });
  it('takes the name in any case, and gives a new session id', async () => {
    const client = app.client();
    await client.get('/api/session');
    const cookieBefore = client.cookie;
    const answer = await client.signIn('REEDMERE-Technician', PASSWORD);
    expect(answer.body.member?.role).toBe('technician');
    expect(client.cookie).not.toBe(cookieBefore);
  });
  it('sets a cookie that no script and no other site can use', async () => {
    const client = app.client();
    const answer = await client.signIn('reedmere-viewer', PASSWORD);
    const cookie = answer.headers.getSetCookie()[0] ?? '';
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    const overTls = await client.send('GET', '/api/session', undefined, { 'x-forwarded-proto': 'https' });
    expect(overTls.headers.getSetCookie().every((c) => c.includes('Secure'))).toBe(true);
  });
  it('gives the same answer for a wrong password and an unknown name', async () => {
    const wrong = await app.client().signIn('reedmere-lead', 'not the password');
    const unknown = await app.client().signIn('nobody-here', 'not the password');
    expect(wrong.status).toBe(401);
    expect(wrong.body).toEqual(unknown.body);
  });
  it('stops guessing after a few tries, and says how long to wait', async () => {
    const client = app.client();
    const answers = [];
    for (let i = 0; i < 6; i++) answers.push(await client.signIn('reedmere-viewer', `guess ${i}`));
    expect(answers.slice(0, 5).every(({ status }) => status === 401)).toBe(true);
    const last = answers.at(-1);
    expect(last?.status).toBe(429);
    expect((last?.body as unknown as Problem).detail).toMatch(/Wait \d+ min/);
    expect(Number(last?.headers.get('retry-after'))).toBeGreaterThan(0);
  });
  it('is known to every server process, and ends on signing out', async () => {
    const client = app.client();
    await client.signIn('reedmere-technician', PASSWORD);
    const other = await startTestApp({}, app.databaseUrl);
    const there = await fetch(`${other.address}/api/jobs`, { headers: { cookie: client.cookie } });
    expect(there.status).toBe(200);
    await other.close();
    expect((await client.delete('/api/session')).status).toBe(204);
    expect((await client.get('/api/jobs')).status).toBe(401);
  });
});

describe('writes', () => {
  it('are refused without the session’s token', async () => {
    const client = app.client();
    await client.signIn('reedmere-technician', PASSWORD);
    client.forgetToken();
    const answer = await client.post<Problem>('/api/customers', { id: uuidv7(), name: 'Forged' });
    expect(answer.status).toBe(403);
    expect(JSON.stringify((await client.get('/api/customers')).body)).not.toContain('Forged');
  });
  it('cannot take a sign-in name that another has, in any case', async () => {
    const answer = await workshop.lead.post<Problem>('/api/members', {
      id: uuidv7(),
      name: 'Twin',
      signInName: 'Reedmere-VIEWER',
      password: PASSWORD,
      role: 'viewer',
    });
    expect(answer.status).toBe(409);
    expect(answer.body.fields).toEqual({ signInName: 'is taken' });
  });
  it('add a person once however often they are sent', async () => {
    const body = {
      id: uuidv7(),
      name: 'Bracken Lisle',
      signInName: 'bracken',
      password: PASSWORD,
      role: 'viewer',
    };
    expect((await workshop.lead.post('/api/members', body)).status).toBe(201);
    expect((await workshop.lead.post('/api/members', body)).status).toBe(201);
    const { body: members } = await workshop.lead.get<Member[]>('/api/members');
    expect(members.filter((member) => member.signInName === 'bracken')).toHaveLength(1);
  });
  it('refuse short passwords, and HTML in a name, by field', async () => {
    const answer = await workshop.lead.post<Problem>('/api/members', {
      id: uuidv7(),
      name: '<img src=x onerror=alert(1)>',
      signInName: 'html',
      password: 'short',
      role: 'viewer',
    });
    expect(answer.status).toBe(400);
    expect(answer.headers.get('content-type')).toMatch(/problem\+json/);
    expect(Object.keys(answer.body.fields ?? {})).toEqual(['name', 'password']);
  });
});

it('limits requests by address', async () => {
  const limited = await startTestApp({ requestsPerMinute: 5 });
  const client = limited.client();
  const statuses = [];
  for (let i = 0; i < 7; i++) statuses.push((await client.get('/api/health')).status);
  expect(statuses).toEqual([200, 200, 200, 200, 200, 429, 429]);
  await limited.close();
});
