import { createServer } from 'node:net';

const free = (port: number, host: string): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** The first free port from `from` on. */
export async function freePort(from: number, host = '127.0.0.1'): Promise<number> {
  for (let port = from; port < from + 200; port++) if (await free(port, host)) return port;
  throw new Error(`No free port between ${from} and ${from + 199}.`);
}

export const isFree = free;
