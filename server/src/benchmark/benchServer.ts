import { rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { ChildProcess } from 'node:child_process';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { createDataSource } from '../database/dataSource.ts';
import { buildServer } from '../launch/build.ts';
import { ensureDatabase, openCluster } from '../launch/cluster.ts';
import { defaultDataFolder } from '../launch/dataFolder.ts';
import { freePort } from '../launch/ports.ts';
import { startServer, stopServer } from '../launch/serverProcess.ts';
import { TestClient } from '../testing/TestClient.ts';

const PASSWORD = 'only for this measurement';

/** The built application in a process of its own, on a database that is thrown away, with one workshop and its lead. */
export interface BenchServer {
  readonly db: DataSource;
  readonly url: string;
  readonly address: string;
  readonly client: TestClient;
  readonly child: ChildProcess;
  readonly workshopId: string;
  readonly memberId: string;
}

export async function withBenchServer<T>(
  root: string,
  name: string,
  work: (server: BenchServer) => Promise<T>,
  settings: Record<string, string> = {},
): Promise<T> {
  const folder = join(dirname(defaultDataFolder(root)), `bench-${name}-${process.pid}`);
  const cluster = await openCluster(folder);
  try {
    const url = await ensureDatabase(cluster, 'bench');
    const db = await createDataSource(url).initialize();
    await db.runMigrations({ transaction: 'each' });
    const port = await freePort(5900);
    const { child } = await startServer(await buildServer(root), {
      DATABASE_URL: url,
      WHITE_EMBER_PORT: String(port),
      WHITE_EMBER_REQUESTS_PER_MINUTE: '1000000',
      ...settings,
    });
    try {
      const address = `http://127.0.0.1:${port}`;
      const client = new TestClient(address);
      await client.get('/api/session');
      const [workshopId, memberId] = [uuidv7(), uuidv7()];
      await client.post('/api/first-run', {
        workshopId,
        memberId,
        workshopName: 'Bench',
        name: 'Bench',
        signInName: 'bench',
        password: PASSWORD,
      });
      return await work({ db, url, address, client, child, workshopId, memberId });
    } finally {
      await stopServer(child);
      await db.destroy();
    }
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
