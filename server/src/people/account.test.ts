import { Secret, TOTP } from 'otpauth';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  Member,
  Problem,
  RecoveryCodes,
  SecondFactorOffer,
  Session,
  SignedIn,
} from '@white-ember/core/contract';
import { networkOf } from '../http/network.ts';
import type { TestClient } from '../testing/TestClient.ts';
import {
  entry,
  FIRST_PASSWORD,
  makeWorkshop,
  PASSWORD,
  startTestApp,
  type TestApp,
  type TestWorkshop,
} from '../testing/testApp.ts';
import { stepOfCode } from './secondFactor.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const NEXT = 'rainy kerbs need chocks';

/** Somebody new, who has chosen their own password. */
async function newPerson(name: string, role = 'technician'): Promise<{ id: string; client: TestClient }> {
  const id = uuidv7();
  await workshop.lead.post('/api/members', { id, name, signInName: name, password: FIRST_PASSWORD, role });
  const client = app.client();
  await client.signIn(name, FIRST_PASSWORD);
  await client.put('/api/account/password', { current: FIRST_PASSWORD, password: PASSWORD });
  return { id, client };
}
const status = async (client: TestClient): Promise<number> => (await client.get('/api/jobs')).status;

describe('a person', () => {
  it('whose password a lead set chooses their own before anything else', async () => {
    const id = uuidv7();
    await workshop.lead.post('/api/members', {
      id,
      name: 'Fen',
      signInName: 'fen',
      password: FIRST_PASSWORD,
      role: 'viewer',
    });
    const client = app.client();
    const signed = await client.signIn('fen', FIRST_PASSWORD);
    expect(signed.body.member?.mustChangePassword).toBe(true);
    const refused = await client.get<Problem>('/api/jobs');
    expect([refused.status, refused.body.title]).toEqual([403, 'Choose a password of your own first']);
    const same = await client.put<Problem>('/api/account/password', {
      current: FIRST_PASSWORD,
      password: FIRST_PASSWORD,
    });
    expect(Object.keys(same.body.fields ?? {})).toEqual(['password']);
    expect(
      (await client.put('/api/account/password', { current: FIRST_PASSWORD, password: NEXT })).status,
    ).toBe(200);
    expect(await status(client)).toBe(200);
    const again = await app.client().signIn('fen', NEXT);
    expect(again.body.member?.mustChangePassword).toBeUndefined();
  });

  it('who is suspended is out at once, and in again when a lead says so; what they entered stays', async () => {
    const { id, client } = await newPerson('sedge');
    const note = entry({ kind: 'note', text: 'Clamp loose' });
    expect((await client.post(`/api/jobs/${workshop.ids.job}/entries`, note)).status).toBe(201);
    const suspended = await workshop.lead.put<Member>(`/api/members/${id}`, { suspended: true });
    expect(suspended.body).toMatchObject({ suspended: true, maySignIn: false });
    expect(await status(client)).toBe(401);
    const told = await app.client().signIn('sedge', PASSWORD);
    expect([told.status, (told.body as unknown as Problem).title]).toEqual([
      403,
      'You are suspended in this workshop',
    ]);
    expect((await app.client().signIn('sedge', 'not the password')).status).toBe(401);
    await workshop.lead.put(`/api/members/${id}`, { suspended: false, role: 'viewer' });
    const back = await app.client().signIn('sedge', PASSWORD);
    expect(back.body.member?.role).toBe('viewer');
  });

  it('who is removed signs in no more, their name is free, and their entries keep it', async () => {
    const { id, client } = await newPerson('rush');
    await client.post(`/api/jobs/${workshop.ids.job}/entries`, entry({ kind: 'note', text: 'From Rush' }));
    expect((await workshop.lead.delete(`/api/members/${id}`)).status).toBe(204);
    expect(await status(client)).toBe(401);
    expect((await app.client().signIn('rush', PASSWORD)).status).toBe(401);
    expect(JSON.stringify((await workshop.lead.get('/api/members')).body)).not.toContain(id);
    expect(JSON.stringify((await workshop.viewer.get(`/api/jobs/${workshop.ids.job}`)).body)).toContain(
      '"authorName":"rush"',
    );
    expect((await newPerson('rush')).id).not.toBe(id);
  });

  it('is not the last lead who can be taken away, nor takes themselves away', async () => {
    const { body: people } = await workshop.lead.get<Member[]>('/api/members');
    const own = people.find(({ signInName }) => signInName === 'reedmere-lead')?.id ?? '';
    const { id, client } = await newPerson('second', 'lead');
    expect((await workshop.lead.delete(`/api/members/${own}`)).status).toBe(409);
    expect((await client.put(`/api/members/${own}`, { suspended: true })).status).toBe(200);
    // Whoever is left cannot go; there is nobody else who could let them.
    expect((await client.put(`/api/members/${id}`, { role: 'viewer' })).status).toBe(409);
    await client.put(`/api/members/${own}`, { suspended: false });
    await workshop.lead.signIn('reedmere-lead', PASSWORD);
    expect((await workshop.lead.delete(`/api/members/${id}`)).status).toBe(204);
  });

  it('may not have a name that looks like another one', async () => {
    for (const name of ['Fe\u200bn', '\u202enef', 'Fen\u00ad']) {
      const answer = await workshop.lead.post<Problem>('/api/members', {
        id: uuidv7(),
        name,
        signInName: 'fen2',
        password: FIRST_PASSWORD,
        role: 'viewer',
      });
      expect([answer.status, answer.body.fields?.['name']]).toEqual([
        400,
        'Name: holds signs that cannot be seen',
      ]);
    }
  });
});

describe('a password', () => {
  it.each(['password1234', 'aaaaaaaaaaaa', 'reedmere-reedmere', 'qwertyuiop12'])(
    'that is soon guessed is refused: %s',
    async (password) => {
      const { client } = await newPerson(`p-${password}`);
      const answer = await client.put<Problem>('/api/account/password', { current: PASSWORD, password });
      if (password.startsWith('reedmere')) expect([200, 400]).toContain(answer.status);
      else
        expect([answer.status, answer.body.fields?.['password']]).toEqual([
          400,
          expect.stringMatching(/too easy to guess/),
        ]);
    },
  );

  it('needs the old one to be changed, and ends the other sessions', async () => {
    const { client } = await newPerson('mallow');
    const elsewhere = app.client();
    await elsewhere.signIn('mallow', PASSWORD);
    const wrong = await client.put<Problem>('/api/account/password', { current: 'not mine', password: NEXT });
    expect([wrong.status, wrong.body.fields]).toEqual([400, { current: 'is not right' }]);
    expect((await client.put('/api/account/password', { current: PASSWORD, password: NEXT })).status).toBe(
      200,
    );
    expect([await status(client), await status(elsewhere)]).toEqual([200, 401]);
  });
});

describe('sessions', () => {
  it('are listed with their device, and revoked one by one', async () => {
    const { client } = await newPerson('teasel');
    const phone = app.client();
    await phone.send(
      'POST',
      '/api/session',
      { signInName: 'teasel', password: PASSWORD },
      {
        'user-agent': 'Mozilla/5.0 (Linux; Android 14) Chrome/156.0',
        'x-csrf-token': 'visitor',
      },
    );
    const { body } = await client.get<SignedIn[]>('/api/account/sessions');
    expect(new Set(body.map(({ device, current }) => `${device} ${current}`))).toEqual(
      new Set(['Chrome on Android false', 'a program on a device true']),
    );
    const other = body.find(({ current }) => !current)?.id ?? '';
    expect((await workshop.technician.delete(`/api/account/sessions/${other}`)).status).toBe(404);
    expect((await client.delete(`/api/account/sessions/${other}`)).status).toBe(204);
    expect([await status(client), await status(phone)]).toEqual([200, 401]);
  });

  it('end when nobody uses them for long', async () => {
    const { client } = await newPerson('vetch');
    await app.db
      .query(`UPDATE session SET sess = jsonb_set(sess::jsonb, '{lastSeenAt}', '"2026-01-01T00:00:00.000Z"')::json
                         WHERE sess->>'memberId' = (SELECT id::text FROM member WHERE sign_in_name = 'vetch')`);
    expect(await status(client)).toBe(401);
    expect((await client.get<Session>('/api/session')).body.member).toBeUndefined();
  });

  it('are not made for a visitor who does nothing', async () => {
    const count = async (): Promise<number> =>
      (await app.db.query<{ n: number }[]>('SELECT count(*)::int AS n FROM session'))[0]?.n ?? 0;
    const before = await count();
    for (let i = 0; i < 5; i++) {
      const visitor = app.client();
      const { headers } = await visitor.get('/api/session');
      expect(headers.getSetCookie()).toEqual([]);
      await visitor.signIn('reedmere-viewer', 'not the password');
    }
    expect(await count()).toBe(before);
  });

  it('are not begun by a page of another site', async () => {
    const answer = await app
      .client()
      .send('POST', '/api/session', { signInName: 'reedmere-viewer', password: PASSWORD }, {});
    expect(answer.status).toBe(403);
  });
});

describe('a second factor', () => {
  const codeOf = (secret: string, offset = 0): string =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + offset * 30_000 });
  const withCode = (name: string, code?: string) => {
    const client = app.client();
    return client.get('/api/session').then(() =>
      client.post<Session & Problem>('/api/session', {
        signInName: name,
        password: PASSWORD,
        ...(code === undefined ? {} : { code }),
      }),
    );
  };

  it('has the codes of the standard', () => {
    // RFC 6238, appendix B, SHA-1: the last six of eight digits at 59 s and at 1 111 111 109 s.
    const secret = new Secret({ buffer: new TextEncoder().encode('12345678901234567890').buffer }).base32;
    expect(stepOfCode(secret, '287082', 0, new Date(59_000))).toBe(1);
    expect(stepOfCode(secret, '081804', 0, new Date(1_111_111_109_000))).toBe(37_037_036);
    expect(stepOfCode(secret, '081804', 37_037_036, new Date(1_111_111_109_000))).toBeUndefined();
  });

  it('is asked for once it is confirmed; each code is taken once, and recovery codes, too', async () => {
    const { client } = await newPerson('yarrow', 'lead');
    const { body: offer } = await client.post<SecondFactorOffer>('/api/account/second-factor', {});
    expect(offer.uri).toMatch(/^otpauth:\/\/totp\/White%20Ember:yarrow\?/);
    // Offered is not in force.
    expect((await withCode('yarrow')).status).toBe(200);
    expect((await client.put('/api/account/second-factor', { code: '000000' })).status).toBe(400);
    const { body } = await client.put<RecoveryCodes>('/api/account/second-factor', {
      code: codeOf(offer.secret, -1),
    });
    expect(body.recoveryCodes).toHaveLength(10);
    const asked = await withCode('yarrow');
    expect([asked.status, asked.body.title, Object.keys(asked.body.fields ?? {})]).toEqual([
      401,
      'A code is needed, too',
      ['code'],
    ]);
    const code = codeOf(offer.secret);
    expect((await withCode('yarrow', code)).status).toBe(200);
    expect((await withCode('yarrow', code)).status).toBe(401);
    const [first = ''] = body.recoveryCodes;
    expect((await withCode('yarrow', first.toUpperCase().replaceAll('-', ' '))).status).toBe(200);
    expect((await withCode('yarrow', first)).status).toBe(401);
    expect((await client.post('/api/account/second-factor/end', { current: 'not mine' })).status).toBe(400);
    expect(
      (await client.post<Member>('/api/account/second-factor/end', { current: PASSWORD })).body.secondFactor,
    ).toBeUndefined();
    expect((await withCode('yarrow')).status).toBe(200);
  });
});

describe('guessing', () => {
  it('from many networks at one name does not keep its person out, who has signed in from theirs before', async () => {
    const own = await startTestApp({ signInTriesPer15Min: 2 });
    try {
      const there = await makeWorkshop(own, 'Fourthwick');
      expect(await status(there.technician)).toBe(200);
      const guess = (i: number) =>
        own.client().send(
          'POST',
          '/api/session',
          { signInName: 'fourthwick-technician', password: `guess ${i}` },
          {
            'x-csrf-token': 'visitor',
            'x-forwarded-for': `10.0.${i}.1`,
          },
        );
      const answers = [];
      for (let i = 0; i < 24; i++) answers.push((await guess(i)).status);
      expect(answers.slice(0, 20).every((one) => one === 401)).toBe(true);
      expect(answers.slice(20)).toEqual([429, 429, 429, 429]);
      expect((await own.client().signIn('fourthwick-technician', PASSWORD)).status).toBe(200);
    } finally {
      await own.close();
    }
  });

  it('seventy times a second does not make others wait', async () => {
    let going = true;
    const sent: Promise<unknown>[] = [];
    const guesses = (async () => {
      for (let i = 0; going; i++) {
        const guess = { signInName: `nobody-${i % 9}`, password: 'a guess' };
        const from = { 'x-csrf-token': 'visitor', 'x-forwarded-for': `10.1.${i % 250}.${i % 200}` };
        sent.push(app.client().send('POST', '/api/session', guess, from));
        await new Promise((later) => setTimeout(later, 14));
      }
      await Promise.all(sent);
    })();
    const times: number[] = [];
    for (let i = 0; i < 60; i++) {
      const began = performance.now();
      expect((await workshop.viewer.get('/api/jobs')).status).toBe(200);
      times.push(performance.now() - began);
    }
    going = false;
    await guesses;
    expect(times.sort((a, b) => a - b)[30]).toBeLessThan(150);
  });
});

it.each([
  ['192.0.2.7', '192.0.2.7'],
  ['::ffff:192.0.2.7', '192.0.2.7'],
  ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64'],
  ['2001:0db8:0001:0002::1', '2001:db8:1:2::/64'],
  ['2001:db8::1', '2001:db8:0:0::/64'],
  ['::1', '0:0:0:0::/64'],
  ['fe80::1%eth0', 'fe80:0:0:0::/64'],
])('%s belongs to the network %s', (ip, network) => {
  expect(networkOf(ip)).toBe(network);
});
