import { createServer, type Server } from 'node:http';

/** What whoever asks is told while the server is being started again. */
export interface StandIn {
  readonly close: () => Promise<void>;
}

const escaped = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign,
  );

const page = (why: string, seconds: number): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="refresh" content="${seconds}"><title>White Ember is starting again</title>
<style>body{font:1.2rem/1.5 system-ui,sans-serif;background:#f4f0ea;color:#211e1b;margin:10vh auto;max-width:34rem;padding:0 1rem}</style>
</head><body><h1>White Ember is starting again</h1><p>${escaped(why)}</p>
<p>The next try is in ${seconds} s. This page looks again by itself. What was entered is stored.</p></body></html>`;

/**
 * Stands in for a server that stopped, so that people read what is wrong instead of nothing. Devices that send entries are
 * told to keep them (503). Says nothing where the address is taken by something else.
 */
export function standIn(
  host: string,
  port: number,
  why: string,
  waitMs: number,
): Promise<StandIn | undefined> {
  const seconds = Math.max(1, Math.ceil(waitMs / 1000));
  const server: Server = createServer((req, res) => {
    res.setHeader('retry-after', String(seconds));
    res.setHeader('cache-control', 'no-store');
    res.statusCode = 503;
    if (req.url?.startsWith('/api')) {
      res.setHeader('content-type', 'application/problem+json');
      res.end(
        JSON.stringify({
          type: 'about:blank',
          title: 'The server is starting again',
          status: 503,
          detail: `${why} Nothing was stored. It is kept on this device and sent again.`,
        }),
      );
    } else {
      res.setHeader('content-type', 'text/html; charset=utf-8');
      res.end(page(why, seconds));
    }
  });
  return new Promise((resolve) => {
    server.once('error', () => resolve(undefined));
    server.listen(port, host, () =>
      resolve({
        close: () =>
          new Promise((closed) => {
            server.close(() => closed());
            server.closeAllConnections();
          }),
      }),
    );
  });
}
