import { spawnSync, type SpawnSyncReturns } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, expect } from 'vitest';

const root = resolve(import.meta.dirname, '../../..');

/** The real command line, called in a folder of its own that goes when the tests of the file are over. */
export function useCommandLine() {
  const folder = mkdtempSync(join(tmpdir(), 'white-ember-cli-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  const call = (...args: string[]): Pick<SpawnSyncReturns<string>, 'status' | 'stdout' | 'stderr'> => {
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
    sample: (name: string): string => join(root, 'samples', name),
    /** Strict JSON alone on stdout: no NaN, no line before or after. */
    json: <T>(...args: string[]): T => {
      const { status, stdout, stderr } = call(...args, '--json');
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
