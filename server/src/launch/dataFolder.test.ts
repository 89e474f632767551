import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { LaunchError } from './debian.ts';
import { openCluster } from './cluster.ts';
import { defaultDataFolder, hold, holderOf, release, wasKilled } from './dataFolder.ts';
import { freePort, isFree } from './ports.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'white-ember-data-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('a data folder', () => {
  it('is one for each clone, and the same for the same clone', () => {
    expect(defaultDataFolder('/srv/a')).toBe(defaultDataFolder('/srv/a/'));
    expect(defaultDataFolder('/srv/a')).not.toBe(defaultDataFolder('/srv/b'));
  });
  it('is held by nobody after a start was killed, and by nobody after one that ended', () => {
    expect(wasKilled(folder)).toBe(false);
    writeFileSync(join(folder, 'running.json'), JSON.stringify({ pid: 999_999_9, address: 'http://x' }));
    expect(holderOf(folder)).toBeUndefined();
    expect(wasKilled(folder)).toBe(true);
    hold(folder, 'http://127.0.0.1:4730');
    release(folder);
    expect(wasKilled(folder)).toBe(false);
  });
  it('is not held by a process that only has the same number', () => {
    writeFileSync(join(folder, 'running.json'), JSON.stringify({ pid: process.ppid, address: 'http://x' }));
    expect(holderOf(folder)).toBeUndefined();
  });
  it('is not taken to be held by what cannot be read', () => {
    writeFileSync(join(folder, 'running.json'), '{');
    expect(holderOf(folder)).toBeUndefined();
  });
  it('that holds something else is left alone, and said so', async () => {
    const cluster = join(folder, 'cluster');
    writeFileSync(cluster, 'somebody’s own file');
    await expect(openCluster(folder)).rejects.toThrow(LaunchError);
  });
});

describe('ports', () => {
  it('skip what is taken', async () => {
    const from = await freePort(47_100);
    const taken = createServer();
    await new Promise<void>((resolve) => taken.listen(from, '127.0.0.1', resolve));
    expect(await isFree(from, '127.0.0.1')).toBe(false);
    expect(await freePort(from)).toBeGreaterThan(from);
    await new Promise((resolve) => taken.close(resolve));
    expect(await isFree(from, '127.0.0.1')).toBe(true);
  });
});
