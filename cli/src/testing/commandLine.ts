import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, expect, vi } from 'vitest';
import { run } from '../run.ts';

const root = resolve(import.meta.dirname, '../../..');

export interface Called {
  readonly status: number | null;
  readonly stdout: string;
  readonly stderr: string;
}

/**
 * The command line, called in a folder of its own that goes when the tests of the file are over: within this process, which is what
 * `bin/white-ember` does once its limits are set, or as the program itself.
 */
export function useCommandLine() {
  const folder = mkdtempSync(join(tmpdir(), 'white-ember-cli-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  const call = async (...args: string[]): Promise<Called> => {
    const said = { stdout: '', stderr: '' };
    const hear = (to: 'stdout' | 'stderr') =>
      vi.spyOn(process[to], 'write').mockImplementation((piece) => {
        said[to] += typeof piece === 'string' ? piece : Buffer.from(piece).toString();
        return true;
      });
    const before = process.cwd();
    const heard = [hear('stdout'), hear('stderr')];
    try {
      process.chdir(folder);
      return { status: await run(args), ...said };
    } finally {
      for (const spy of heard) spy.mockRestore();
      process.chdir(before);
    }
  };

  const program = (...args: string[]): Called => {
    const { status, stdout, stderr } = spawnSync(join(root, 'bin/white-ember'), args, {
      encoding: 'utf8',
      cwd: folder,
    });
    return { status, stdout, stderr };
  };

  return {
    root,
    folder,
    call,
    program,
    sample: (name: string): string => join(root, 'samples', name),
    /** Strict JSON alone on stdout: no NaN, no line before or after. */
    json: async <T>(...args: string[]): Promise<T> => {
      const { status, stdout, stderr } = await call(...args, '--json');
      expect(stderr).toBe('');
      expect(status).toBe(0);
      return JSON.parse(stdout) as T;
    },
    /** A file with this in it, as text or as JSON. */
    file: (name: string, content: unknown): string => {
      const path = join(folder, name);
      writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
      return path;
    },
  };
}
