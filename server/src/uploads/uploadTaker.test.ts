import { mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { Log } from '@white-ember/core/contract';
import { sampleBytes } from '@white-ember/core/testing';
import { makeWorkshop, startTestApp } from '../testing/testApp.ts';

const folder = mkdtempSync(join(tmpdir(), 'white-ember-uploads-'));
afterAll(() => rmSync(folder, { recursive: true }));

describe('the folder of uploads', () => {
  it('holds nothing once a file is stored, and is swept of what was left behind long ago', async () => {
    writeFileSync(join(folder, 'left'), 'x');
    utimesSync(join(folder, 'left'), new Date('2026-01-01'), new Date('2026-01-01'));
    writeFileSync(join(folder, 'new'), 'x');
    const app = await startTestApp({ uploadFolder: folder });
    try {
      const workshop = await makeWorkshop(app, 'Reedmere');
      const { status } = await workshop.technician.upload<Log>(`/api/jobs/${workshop.ids.job}/logs`, {
        name: 'a.csv',
        bytes: sampleBytes('sample1-healthy.csv'),
      });
      expect(status).toBe(201);
      await expect.poll(() => readdirSync(folder)).toEqual(['new']);
    } finally {
      await app.close();
    }
  });

  it('is asked for room before a file is taken: what does not fit is refused with what is missing', async () => {
    const app = await startTestApp({ maxUploadBytes: 1e15, uploadFolder: folder });
    try {
      const workshop = await makeWorkshop(app, 'Reedmere');
      const answer = await new Promise<{ status: number; text: string }>((resolve, reject) => {
        const req = request(
          `${app.address}/api/jobs/${workshop.ids.job}/logs`,
          {
            method: 'POST',
            headers: {
              cookie: workshop.technician.cookie,
              'x-csrf-token': workshop.technician.token,
              'content-type': 'multipart/form-data; boundary=x',
              'content-length': String(9e14),
            },
          },
          (res) => {
            let text = '';
            res.on('data', (piece: Buffer) => (text += piece.toString()));
            res.on('end', () => {
              resolve({ status: res.statusCode ?? 0, text });
              req.destroy();
            });
          },
        );
        req.on('error', reject);
        req.write('--x\r\n');
      });
      expect(answer.status).toBe(507);
      expect(answer.text).toMatch(/\d+ MB are missing for this file/);
    } finally {
      await app.close();
    }
  });
});
