import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../testing/testApp.ts';

let app: TestApp;
let pages: string;
beforeAll(async () => {
  pages = mkdtempSync(join(tmpdir(), 'white-ember-pages-'));
  mkdirSync(join(pages, 'assets'));
  writeFileSync(join(pages, 'index.html'), '<!doctype html><title>White Ember</title>');
  writeFileSync(join(pages, 'assets/main-abc123.js'), 'export {};');
  writeFileSync(join(pages, 'assets/main-abc123.js.br'), brotliCompressSync('export {};'));
  writeFileSync(join(pages, 'assets/main-abc123.js.gz'), gzipSync('export {};'));
  app = await startTestApp({ webFolder: pages });
});
afterAll(async () => {
  await app.close();
  rmSync(pages, { recursive: true, force: true });
});

describe('what the server sends beside its answers', () => {
  it('lets pages run only their own scripts, in no frame of another', async () => {
    const { headers } = await fetch(`${app.address}/jobs`);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toMatch(/default-src 'self'/);
    expect(policy).toMatch(/script-src 'self'(;|$)/);
    expect(policy).toMatch(/frame-ancestors 'self'/);
    expect(policy).not.toMatch(/upgrade-insecure-requests/);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('keeps hashed files for ever, the page never, and answers of the API nowhere', async () => {
    const cache = async (path: string): Promise<string | null> =>
      (await fetch(app.address + path)).headers.get('cache-control');
    expect(await cache('/assets/main-abc123.js')).toMatch(/max-age=31536000, immutable/);
    expect(await cache('/jobs/anything')).toBe('no-cache');
    expect(await cache('/api/session')).toBe('no-store');
  });

  it('gives pages as the build has packed them, to whom can unpack them', async () => {
    const script = async (encodings: string): Promise<[string | null, string | null, string]> => {
      const answer = await fetch(`${app.address}/assets/main-abc123.js`, {
        headers: { 'accept-encoding': encodings },
      });
      const { headers } = answer;
      return [headers.get('content-encoding'), headers.get('content-type'), await answer.text()];
    };
    const type = expect.stringMatching(/^text\/javascript/) as string;
    expect(await script('gzip, br')).toEqual(['br', type, 'export {};']);
    expect(await script('gzip')).toEqual(['gzip', type, 'export {};']);
    expect(await script('identity')).toEqual([null, type, 'export {};']);
  });

  it('gives every deep link the page, and no file from outside its folder', async () => {
    expect(
      await (await fetch(`${app.address}/jobs/0197a000-0000-7000-8000-000000000001/report`)).text(),
    ).toMatch(/White Ember/);
    const outside = await (await fetch(`${app.address}/..%2f..%2f..%2fetc%2fpasswd`)).text();
    expect(outside).not.toMatch(/root:/);
  });

  it('answers when the database does, and says so when it is asked with a broken body', async () => {
    expect(await (await fetch(`${app.address}/api/health`)).json()).toEqual({ ok: true });
    const broken = await fetch(`${app.address}/api/session`, {
      method: 'POST',
      body: '{',
      headers: { 'content-type': 'application/json' },
    });
    expect(broken.status).toBe(400);
    expect(broken.headers.get('content-type')).toMatch(/problem\+json/);
    expect(JSON.stringify(await broken.json())).not.toMatch(/node_modules|at .*\.ts/);
  });
});
