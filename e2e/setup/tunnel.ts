import { createServer, connect, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';

export interface Tunnel {
  readonly address: string;
  /** Bytes that went through towards the server. */
  readonly carried: () => number;
  readonly close: () => Promise<void>;
}

/**
 * A way to a server that breaks once: as soon as so many bytes of the page are through, every connection is cut and none is
 * taken for a while, as for a van that drives into a tunnel.
 */
export async function openTunnel(
  address: string,
  { breakAfterBytes, darkMs }: { readonly breakAfterBytes: number; readonly darkMs: number },
): Promise<Tunnel> {
  const target = Number(new URL(address).port);
  const sockets = new Set<Socket>();
  let carried = 0;
  let darkUntil: number | undefined;
  const server = createServer((near) => {
    if (darkUntil !== undefined && Date.now() < darkUntil) {
      near.destroy();
      return;
    }
    const far = connect(target, '127.0.0.1');
    for (const [one, other] of [
      [near, far],
      [far, near],
    ] as const) {
      sockets.add(one);
      one.on('error', () => other.destroy());
      one.on('close', () => {
        sockets.delete(one);
        other.destroy();
      });
    }
    far.pipe(near);
    near.on('data', (bytes) => {
      carried += bytes.length;
      if (!far.write(bytes)) {
        near.pause();
        far.once('drain', () => near.resume());
      }
      if (darkUntil === undefined && carried > breakAfterBytes) {
        darkUntil = Date.now() + darkMs;
        for (const socket of sockets) socket.destroy();
      }
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    carried: () => carried,
    close: () =>
      new Promise((resolve) => {
        for (const socket of sockets) socket.destroy();
        server.close(() => resolve());
      }),
  };
}
