import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { pino } from 'pino';
import pg from 'pg';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { inject } from 'vitest';
import type { NewFluid, Role } from '@white-ember/core/contract';
import type { Config } from '../http/config.ts';
import { createApp } from '../main/createApp.ts';
import { createDataSource } from '../database/dataSource.ts';
import { MIGRATED } from './templates.ts';
import { TestClient } from './TestClient.ts';

export const PASSWORD = 'a long enough word';
/** As a lead sets it for somebody who then chooses their own. */
export const FIRST_PASSWORD = 'a word for the first day';

export interface TestApp {
  readonly address: string;
  readonly db: DataSource;
  readonly databaseUrl: string;
  readonly client: () => TestClient;
  readonly close: () => Promise<void>;
}

/** A database of its own in the throw-away cluster: migrated, or without any table. */
export async function freshDatabase({ migrated = false } = {}): Promise<string> {
  const name = `t_${uuidv7().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: inject('clusterUrl').replace('DATABASE', 'postgres') });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}${migrated ? ` TEMPLATE ${MIGRATED}` : ''}`);
  await admin.end();
  return inject('clusterUrl').replace('DATABASE', name);
}

/** The application on a database and a free port, in this process. */
export async function startTestApp(changes: Partial<Config> = {}, databaseUrl?: string): Promise<TestApp> {
  const url = databaseUrl ?? (await freshDatabase({ migrated: true }));
  const log = pino({ level: 'silent' });
  const db = await createDataSource(url, log).initialize();
  if (databaseUrl !== undefined) await db.runMigrations({ transaction: 'each' });
  const config: Config = {
    databaseUrl: url,
    host: '127.0.0.1',
    port: 0,
    demo: false,
    maxUploadBytes: 5 * 1024 * 1024,
    maxArchiveBytes: 64 * 1024 * 1024,
    requestsPerMinute: 100_000,
    signInTriesPer15Min: 1000,
    sessionIdleHours: 96,
    mailFrom: 'workshop@white-ember.invalid',
    logLevel: 'silent',
    uploadFolder: join(inject('scratchFolder'), 'uploads'),
    // Beside other tests a reader that stands back would wait for all of them.
    readerNiceness: 0,
    // Where it is not what is tested nobody waits for it.
    advises: false,
    programFolder: inject('programFolder'),
    ...changes,
  };
  const { app, close } = await createApp(db, config, log);
  const server: Server = createServer(app);
  // A test that works for a while and then asks again does not meet a connection that is just being closed.
  server.keepAliveTimeout = 600_000;
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    address,
    db,
    databaseUrl: url,
    client: () => new TestClient(address),
    close: async () => {
      await new Promise((resolve) => {
        server.close(resolve);
        server.closeAllConnections();
      });
      await close();
      await db.destroy();
    },
  };
}

export interface TestWorkshop {
  readonly lead: TestClient;
  readonly technician: TestClient;
  readonly viewer: TestClient;
  readonly ids: {
    readonly vehicle: string;
    readonly filter: string;
    readonly customer: string;
    readonly job: string;
  };
}

/** The first workshop by the first run; any other straight into the database, as one installation has one first run. */
export async function makeWorkshop(app: TestApp, name: string): Promise<TestWorkshop> {
  const mark = name.toLowerCase().replaceAll(' ', '-');
  const lead = app.client();
  const session = await lead.get<{ firstRun: boolean }>('/api/session');
  if (session.body.firstRun) {
    await lead.post('/api/first-run', {
      workshopId: uuidv7(),
      memberId: uuidv7(),
      workshopName: name,
      name: `Lead of ${name}`,
      signInName: `${mark}-lead`,
      password: PASSWORD,
    });
  } else {
    const { hashPassword } = await import('../people/passwords.ts');
    const workshopId = uuidv7();
    await app.db.query('INSERT INTO workshop (id, name) VALUES ($1, $2)', [workshopId, name]);
    await app.db.query(
      `INSERT INTO member (id, workshop_id, name, sign_in_name, password_hash, role, content_hash) VALUES ($1, $2, $3, $4, $5, 'lead', '')`,
      [uuidv7(), workshopId, `Lead of ${name}`, `${mark}-lead`, await hashPassword(PASSWORD)],
    );
    await lead.signIn(`${mark}-lead`, PASSWORD);
  }
  const add = async (role: Role): Promise<TestClient> => {
    const signInName = `${mark}-${role}`;
    await lead.post('/api/members', {
      id: uuidv7(),
      name: `${role} of ${name}`,
      signInName,
      password: FIRST_PASSWORD,
      role,
    });
    const client = app.client();
    await client.signIn(signInName, FIRST_PASSWORD);
    await client.put('/api/account/password', { current: FIRST_PASSWORD, password: PASSWORD });
    return client;
  };
  const technician = await add('technician');
  const viewer = await add('viewer');
  const ids = { vehicle: uuidv7(), filter: uuidv7(), customer: uuidv7(), job: uuidv7() };
  await technician.post('/api/customers', { id: ids.customer, name: `Customer of ${name}` });
  await technician.post('/api/filters', {
    id: ids.filter,
    name: `Filter of ${name}`,
    diameterMm: 154,
    lengthMm: 155,
    cpsi: 200,
    wallMm: 0.305,
    material: 'silicon-carbide',
    basis: 'measured',
  });
  await technician.post('/api/vehicles', {
    id: ids.vehicle,
    plate: `${mark.slice(0, 8).toUpperCase()} 1`,
    model: 'Tarn 2.0 van',
    family: 'Tarn 2.0',
    displacementL: 2,
    filterModelId: ids.filter,
    customerId: ids.customer,
    fitted: ['engine', 'filter', 'dp-sensor'],
  });
  await technician.post('/api/jobs', {
    id: ids.job,
    vehicleId: ids.vehicle,
    openedAt: new Date().toISOString(),
  });
  return { lead, technician, viewer, ids };
}

export const entry = (body: object, more: object = {}): { id: string; deviceTime: string; body: object } => ({
  id: uuidv7(),
  deviceTime: new Date().toISOString(),
  body,
  ...more,
});

/** A fluid for the shelf, as the API takes it. */
export const madeFluid = (id: string, name = `Wash ${id}`): NewFluid => ({
  id,
  name,
  kind: 'soak',
  waterParts: 1,
  filterUpToC: 45,
  coatedFilters: true,
  laterBricks: true,
  dwellMin: 30,
  burstS: 5,
  lineUpToBar: 9,
  countedL: 10,
  countedAt: '2026-05-11T06:00:00.000Z',
});
