import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Photo, Problem } from '@white-ember/core/contract';
import { madePhoto } from '../testing/madePhoto.ts';
import { makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp({ maxUploadBytes: 30 * 1024 * 1024 });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const upload = (bytes: Uint8Array, fields?: object) =>
  workshop.technician.upload<Photo & Problem>(
    `/api/jobs/${workshop.ids.job}/photos`,
    { name: 'a.jpg', bytes },
    fields,
  );
async function shown(
  id: string,
  query = '',
): Promise<{ status: number; bytes: Buffer; type: string | null }> {
  const answer = await fetch(`${app.address}/api/photos/${id}${query}`, {
    headers: { cookie: workshop.viewer.cookie },
  });
  return {
    status: answer.status,
    bytes: Buffer.from(await answer.arrayBuffer()),
    type: answer.headers.get('content-type'),
  };
}

describe('a photo', () => {
  it.each(['jpeg', 'png'] as const)(
    'is kept upright, without place and device, and not larger: %s',
    async (kind) => {
      const taken = await madePhoto({ width: 1200, height: 800, kind });
      const before = await sharp(taken).metadata();
      expect([before.orientation, before.exif !== undefined]).toEqual([6, true]);
      const { status, body } = await upload(taken);
      expect(status).toBe(201);
      const { bytes, type } = await shown(body.id);
      expect(type).toBe(body.mediaType);
      const after = await sharp(bytes).metadata();
      // A quarter turned: what was wide is high.
      expect([after.width, after.height, after.orientation, after.exif]).toEqual([
        800,
        1200,
        undefined,
        undefined,
      ]);
      expect(bytes.includes('Tarncam') || bytes.includes('GPS')).toBe(false);
      expect(bytes.length).toBeLessThan(taken.length);
      const { data } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
      expect(data.length).toBe(800 * 1200 * 3);
    },
  );

  it('comes small for lists', async () => {
    const { body } = await upload(await madePhoto({ width: 1200, height: 800 }));
    const thumb = await shown(body.id, '?size=thumb');
    const { width, height } = await sharp(thumb.bytes).metadata();
    expect([width, height]).toEqual([240, 360]);
    expect((await shown(body.id, '?size=poster')).status).toBe(400);
  });

  it('that was kept as it came is made anew before anybody sees it', async () => {
    const { body } = await upload(await madePhoto());
    const raw = await madePhoto({ width: 300, height: 200 });
    await app.db.query('DELETE FROM photo_copy WHERE photo_id = $1', [body.id]);
    await app.db.query(
      `UPDATE blob_chunk SET bytes = $2 WHERE blob_id = (SELECT blob_id FROM photo WHERE id = $1)`,
      [body.id, Buffer.from(raw)],
    );
    await app.db.query('UPDATE photo SET cleaned = false WHERE id = $1', [body.id]);
    const { bytes } = await shown(body.id);
    expect(bytes.includes('Tarncam')).toBe(false);
    expect((await sharp(bytes).metadata()).width).toBe(200);
  });

  it('that is damaged or none is refused, and nothing is kept; so is one of more points than there is room for', async () => {
    const count = async (): Promise<unknown> => app.db.query('SELECT count(*) FROM photo');
    const before = await count();
    const sound = await madePhoto({ width: 600, height: 400 });
    const bomb = await sharp({ create: { width: 12_000, height: 12_000, channels: 3, background: '#fff' } })
      .png()
      .toBuffer();
    for (const [bytes, why] of [
      [sound.slice(0, sound.length / 2), /damaged, or no picture/],
      [new Uint8Array([0xff, 0xd8, 0xff, 0xe0, ...new Uint8Array(5000)]), /damaged, or no picture/],
      [new Uint8Array(bomb), /more than 64 million points/],
    ] as const) {
      const { status, body } = await upload(bytes);
      expect([status, body.detail]).toEqual([422, expect.stringMatching(why)]);
    }
    expect(await count()).toEqual(before);
  });

  it('is kept once however often it is sent, and its id names no other', async () => {
    const bytes = await madePhoto({ seed: 3 });
    const { body } = await upload(bytes);
    const again = await upload(bytes, { id: body.id });
    expect([again.status, again.body.id]).toEqual([201, body.id]);
    expect((await upload(await madePhoto({ seed: 4 }), { id: body.id })).status).toBe(409);
  });
});
