import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { frame, FrameReader, runBounded, type Limits } from './index.ts';

const folder = mkdtempSync(join(tmpdir(), 'white-ember-bounded-'));
afterAll(() => rmSync(folder, { recursive: true }));

const MEGABYTE = 1024 * 1024;
const LIMITS: Limits = { memoryBytes: 250 * MEGABYTE, timeMs: 20_000 };

async function* bytesOf(...texts: string[]): AsyncGenerator<Uint8Array> {
  for (const text of texts) yield Buffer.from(text);
}

/** What a program of these lines gives, and how it ended. */
async function run(
  lines: string,
  limits = LIMITS,
  input = bytesOf(''),
): Promise<{ pieces: string[]; outrun: string | undefined }> {
  const program = join(folder, `p${Math.random()}.mjs`);
  writeFileSync(program, lines);
  const { frames, outrun } = runBounded(program, [], limits, input);
  const pieces: string[] = [];
  for await (const piece of frames) pieces.push(piece.toString());
  return { pieces, outrun: outrun() };
}

const GIVE = `const give = (text) => { const b = Buffer.from(text); const n = Buffer.alloc(4); n.writeUInt32LE(b.length); process.stdout.write(Buffer.concat([n, b])); };`;

describe('a program within limits', () => {
  it('gives its pieces, whole, whatever it reads', async () => {
    const echo = `${GIVE} const all = []; for await (const c of process.stdin) all.push(c); give(Buffer.concat(all).toString().toUpperCase()); give('end');`;
    expect(await run(echo, LIMITS, bytesOf('soot ', 'load'))).toEqual({
      pieces: ['SOOT LOAD', 'end'],
      outrun: undefined,
    });
  });

  it('is ended when its time is over', async () => {
    const began = performance.now();
    const { outrun } = await run('for (;;);', { ...LIMITS, timeMs: 700 });
    expect(outrun).toBe('time');
    expect(performance.now() - began).toBeLessThan(20_000);
  });

  it.each([
    ['buffers', 'const a = []; for (;;) a.push(new Uint8Array(8e6).fill(1));'],
    ['objects', 'const a = []; for (;;) a.push({ a: [1, 2, a.length] });'],
    [
      'text',
      'let a = "x"; const b = []; for (;;) { a += a.slice(0, 1e6) + b.length; b.push(a + "y"); if (a.length > 3e8) a = "x"; }',
    ],
  ])('is refused memory beyond its limit: %s', async (_what, lines) => {
    expect((await run(lines, { ...LIMITS, timeMs: 60_000 })).outrun).toBe('memory');
  });

  it.each([
    ['ends with a status', 'process.exit(4)'],
    ['rejects where nobody looks', 'Promise.reject(new Error("x")); setTimeout(() => {}, 100000);'],
    ['leaves a piece half given', `const n = Buffer.alloc(4); n.writeUInt32LE(9); process.stdout.write(n);`],
    ['is killed', 'process.kill(process.pid, "SIGKILL"); setTimeout(() => {}, 100000);'],
  ])('is told as stopped where it %s', async (_what, lines) => {
    expect((await run(lines)).outrun).toBe('stopped');
  });

  it('passes on what fails in the source of its bytes: that is no fault of the file', async () => {
    async function* failing(): AsyncGenerator<Uint8Array> {
      yield Buffer.from('a');
      await Promise.resolve();
      throw new Error('the database went away');
    }
    await expect(run('for await (const _ of process.stdin); ', LIMITS, failing())).rejects.toThrow(
      'the database went away',
    );
  });
});

describe('pieces with their length before them', () => {
  it('come together again however they are cut', () => {
    const bytes = Buffer.concat(['one', '', 'three'].map((text) => frame(Buffer.from(text))));
    for (let size = 1; size < bytes.length; size++) {
      const reader = new FrameReader();
      const pieces: string[] = [];
      for (let at = 0; at < bytes.length; at += size)
        for (const piece of reader.push(bytes.subarray(at, at + size))) pieces.push(piece.toString());
      expect(pieces).toEqual(['one', '', 'three']);
      expect(reader.empty).toBe(true);
    }
  });

  it('that claim to be longer than any of ours are refused', () => {
    const claim = Buffer.alloc(4);
    claim.writeUInt32LE(0xffff_ffff);
    expect(() => [...new FrameReader().push(claim)]).toThrow('too long');
  });
});
