import 'reflect-metadata';
import { createServer } from 'node:http';
import { pino } from 'pino';
import { createApp } from './createApp.ts';
import { readConfig } from '../http/config.ts';
import { createDataSource } from '../database/dataSource.ts';

/** The server process: stateless beside PostgreSQL. Prints `ready PORT` for whoever started it. */
const config = readConfig(process.env);
const log = pino({ level: config.logLevel }, pino.destination(2));
// What a library rejects beside the request that asked for it is no reason to end everybody's work.
process.on('unhandledRejection', (error) => log.error({ err: error }, 'a rejection that nobody caught'));
process.on('uncaughtException', (error) => {
  log.fatal({ err: error }, 'a fault that nobody caught');
  process.exit(70);
});
const db = await createDataSource(config.databaseUrl, log).initialize();
const { app, close } = await createApp(db, config, log);
const server = createServer(app);
// Large files may take long over a weak network: what stalls is ended by the application.
server.requestTimeout = 0;
server.headersTimeout = 30_000;
server.listen(config.port, config.host, () => {
  const address = server.address();
  process.stdout.write(`ready ${typeof address === 'object' && address ? address.port : config.port}\n`);
});
server.on('error', (error) => {
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
});

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  server.close();
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 3000).unref();
  await close().catch(() => undefined);
  await db.destroy().catch(() => undefined);
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
if (process.env['WHITE_EMBER_STOP_WITH_STARTER'] === '1') {
  process.stdin.resume();
  process.stdin.once('end', () => void stop());
}
