import { METRIC } from '@white-ember/core/words';
import { createRequire } from 'node:module';
import { inflateSync } from 'node:zlib';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Job, Photo, Problem } from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { madeReading, PROVEN_PATH } from '@white-ember/core/testing';
import { readJobReport } from './jobReport.ts';
import { printableText } from './printableText.ts';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

/** Four points of orange. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91JpzAAAAEElEQVR4nGM4ESUCRAwQCgAkxgTZE5SDrAAAAABJRU5ErkJggg==',
  'base64',
);
/** Its picture does not unpack: what a card that was pulled out leaves behind. */
const BROKEN = Buffer.concat([PNG.subarray(0, 45), Buffer.from([1, 2, 3]), PNG.subarray(48)]);

let app: TestApp;
let workshop: TestWorkshop;
let jobId: string;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
  jobId = uuidv7();
  await workshop.technician.post<Job>('/api/jobs', {
    id: jobId,
    vehicleId: workshop.ids.vehicle,
    openedAt: '2026-03-02T08:00:00.000Z',
  });
  const upload = async (): Promise<Photo> =>
    (await workshop.technician.upload<Photo>(`/api/jobs/${jobId}/photos`, { name: 'face.png', bytes: PNG }))
      .body;
  const [photo, broken] = [await upload(), await upload()];
  // As an earlier version kept one that is cut off.
  await app.db.query('UPDATE photo SET cleaned = false WHERE id = $1', [broken.id]);
  await app.db.query('DELETE FROM photo_copy WHERE photo_id = $1', [broken.id]);
  await app.db.query(
    'UPDATE blob_chunk SET bytes = $2 WHERE blob_id = (SELECT blob_id FROM photo WHERE id = $1)',
    [broken.id, BROKEN],
  );
  const story: EntryBody[] = [
    { kind: 'complaint', text: 'Lamp on, told to buy a filter', distanceKm: 142_300 },
    { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
    madeReading('before', { sootG: 35 }),
    { kind: 'work', work: 'chemical-clean', what: 'One fill', fluid: 'Fenwash D', fluidL: 1.2 },
    madeReading('after', { sootG: 3 }),
    ...PROVEN_PATH,
    { kind: 'photo', photo: photo.id, caption: 'Inlet face' },
    { kind: 'photo', photo: broken.id, caption: 'Cut off' },
    { kind: 'reset', reset: 'reset-soot', source: 'hand', before: { sootG: 36 }, after: { sootG: 0 } },
    { kind: 'drive', distanceKm: 14, powerLimitGone: true, reportedBy: 'technician' },
    { kind: 'code-scan', when: 'after-drive', codes: [] },
  ];
  for (const body of story) await workshop.technician.post(`/api/jobs/${jobId}/entries`, entry(body));
});
afterAll(() => app.close());

const workshopOf = async (): Promise<{ id: string }> => {
  const { body } = await workshop.viewer.get<{ workshop: { id: string } }>('/api/session');
  return body.workshop;
};

async function pdfOf(query: string): Promise<{ readonly bytes: Buffer; readonly headers: Headers }> {
  const answer = await fetch(`${app.address}/api/jobs/${jobId}/report.pdf?${query}`, {
    headers: { cookie: workshop.viewer.cookie },
  });
  expect(answer.status).toBe(200);
  return { bytes: Buffer.from(await answer.arrayBuffer()), headers: answer.headers };
}

/** What the pages draw, unpacked. */
function drawn(pdf: Buffer): string {
  const text = pdf.toString('latin1');
  return [...text.matchAll(/\/FlateDecode\s*>>\s*stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .flatMap(([, packed]) => {
      try {
        return [inflateSync(Buffer.from(packed ?? '', 'latin1')).toString('latin1')];
      } catch {
        return [];
      }
    })
    .join('\n');
}

describe('the report as PDF', () => {
  it.each(['technical', 'plain'])(
    'for %s readers has two A4 pages at most, text and vectors',
    async (version) => {
      const { bytes, headers } = await pdfOf(`version=${version}&pressure=kPa&timeZone=Europe/London`);
      expect(headers.get('content-type')).toBe('application/pdf');
      expect(headers.get('content-disposition')).toMatch(new RegExp(`-job-\\d+-${version}\\.pdf`));
      const text = bytes.toString('latin1');
      expect(text.startsWith('%PDF-1.')).toBe(true);
      expect((text.match(/\/Type \/Page\b(?!s)/g) ?? []).length).toBeLessThanOrEqual(2);
      expect(text).toMatch(/\/MediaBox \[0 0 595\.28 841\.89\]/);
      // Text that can be selected says which letters its glyphs are; the only picture is the photo, the chart is drawn.
      expect(text).toContain('/ToUnicode');
      expect((text.match(/\/Subtype \/Image/g) ?? []).length).toBe(1);
      const operators = drawn(bytes);
      expect((operators.match(/[\d.]+ [\d.]+ l\b/g) ?? []).length).toBeGreaterThan(100);
      expect(operators).toMatch(/BT\b[\s\S]*\bTJ\b/);
    },
  );

  it('refuses what it does not know, by its name', async () => {
    const answer = await workshop.viewer.get<Problem>(
      `/api/jobs/${jobId}/report.pdf?version=glossy&pressure=torr&timeZone=Nowhere`,
    );
    expect(answer.status).toBe(400);
    expect(Object.keys(answer.body.fields ?? {}).sort()).toEqual(['pressure', 'timeZone', 'version']);
  });

  it('of a job without a reading is a report all the same', async () => {
    const bare = uuidv7();
    await workshop.technician.post('/api/jobs', {
      id: bare,
      vehicleId: workshop.ids.vehicle,
      openedAt: '2026-03-02T08:00:00.000Z',
    });
    const answer = await workshop.viewer.get<string>(`/api/jobs/${bare}/report.pdf`);
    expect(answer.status).toBe(200);
    expect(answer.body.startsWith('%PDF')).toBe(true);
  });
});

describe('the words of the PDF', () => {
  it('are printed in signs that its font has', async () => {
    const require = createRequire(import.meta.url);
    const { create } = require('@foliojs-fork/fontkit') as {
      create: (bytes: Buffer) => { hasGlyphForCodePoint: (sign: number) => boolean };
    };
    const fonts = require('pdfmake/build/vfs_fonts.js') as Record<string, string>;
    const font = create(Buffer.from(fonts['Roboto-Regular.ttf'] ?? '', 'base64'));
    const { body: job } = await workshop.viewer.get<Job>(`/api/jobs/${jobId}`);
    const choice = METRIC;
    const { outlook } = (await workshop.viewer.get<VehicleOutlook>(`/api/vehicles/${job.vehicle.id}/outlook`))
      .body;
    expect(outlook.known).toBe(true);
    for (const version of ['technical', 'plain'] as const) {
      const { report } = await readJobReport(app.db, (await workshopOf()).id, jobId, { ...choice, version });
      const told = JSON.stringify(report);
      if (version === 'technical') expect(told).toMatch(/36\.0 g → 0\.0 g/);
      const lacking = [...new Set(JSON.stringify(printableText(report)))].filter(
        (sign) => !font.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0),
      );
      expect(lacking, version).toEqual([]);
    }
  });
});
