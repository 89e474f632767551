import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { inEnglish } from '@white-ember/core/words';
import { readConfig, urlFromPg } from './config.ts';
import { invalidInput } from './problem.ts';

const DATABASE_URL = 'postgres://a@127.0.0.1:5432/b';

describe('settings', () => {
  it('have values that serve without any', () => {
    expect(readConfig({ DATABASE_URL })).toEqual({
      databaseUrl: DATABASE_URL,
      host: '127.0.0.1',
      port: 4730,
      demo: false,
      maxUploadBytes: 256 * 1024 * 1024,
      maxArchiveBytes: 8192 * 1024 * 1024,
      requestsPerMinute: 3000,
      signInTriesPer15Min: 10,
      sessionIdleHours: 96,
      readerNiceness: 10,
      advises: true,
      logLevel: 'warn',
      mailFrom: 'workshop@white-ember.invalid',
      uploadFolder: join(tmpdir(), 'white-ember-uploads'),
      programFolder: import.meta.dirname,
    });
  });
  it('come from the environment', () => {
    const config = readConfig({
      DATABASE_URL,
      WHITE_EMBER_PORT: '8080',
      WHITE_EMBER_HOST: '0.0.0.0',
      WHITE_EMBER_DEMO: '1',
      WHITE_EMBER_MAX_UPLOAD_MB: '2',
      WHITE_EMBER_WEB: '/srv/pages',
    });
    expect(config).toMatchObject({
      port: 8080,
      host: '0.0.0.0',
      demo: true,
      maxUploadBytes: 2_097_152,
      webFolder: '/srv/pages',
    });
  });
  it('are refused by name when they cannot be', () => {
    expect(() => readConfig({})).toThrow(/No database is named/);
    expect(() => readConfig({ DATABASE_URL, WHITE_EMBER_PORT: 'many' })).toThrow(
      'WHITE_EMBER_PORT must be a number above 0 (it is "many").',
    );
    expect(() => readConfig({ DATABASE_URL, WHITE_EMBER_MAX_UPLOAD_MB: '-1' })).toThrow(
      /WHITE_EMBER_MAX_UPLOAD_MB/,
    );
  });
  it('take PostgreSQL’s own variables, with what is awkward in a password', () => {
    expect(urlFromPg({})).toBeUndefined();
    expect(urlFromPg({ PGDATABASE: 'ember' })).toBe('postgres://127.0.0.1:5432/ember');
    const url = new URL(
      urlFromPg({ PGHOST: 'db', PGPORT: '6000', PGUSER: 'me', PGPASSWORD: 'p@ss/w:rd', PGDATABASE: 'x' }) ??
        '',
    );
    expect([url.hostname, url.port, decodeURIComponent(url.password), url.pathname]).toEqual([
      'db',
      '6000',
      'p@ss/w:rd',
      '/x',
    ]);
  });
});

it('a refusal names each faulty field once, with its first fault', () => {
  const schema = z.object({
    rpm: z.number('a number').min(0, 'at least 0'),
    rows: z.array(z.object({ dp: z.number('a number') })),
  });
  const { error } = schema.safeParse({ rpm: -5, rows: [{ dp: 1 }, { dp: 'x' }] });
  const refusal = invalidInput(error as z.ZodError, 'body');
  expect(refusal.fields).toEqual({ rpm: 'at least 0', 'rows.1.dp': 'a number' });
  expect(inEnglish(refusal.detail ?? '')).toBe('rpm: at least 0');
  expect(invalidInput(schema.safeParse(7).error as z.ZodError, 'body').fields).toHaveProperty('body');
});
