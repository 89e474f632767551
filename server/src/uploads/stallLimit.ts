import type { RequestHandler } from 'express';

/** A body of which nothing comes for so long is given up; how long it takes as a whole does not matter. */
const STALL_MS = 30_000;
const LOOK_EVERY_MS = 5000;

/** Ends requests whose body stalls, such as those of a phone that went into a tunnel, or of somebody who holds connections. */
export const stallLimit: RequestHandler = (req, res, next) => {
  let seen = req.socket.bytesRead;
  let stalledMs = 0;
  const timer = setInterval(() => {
    if (req.complete || res.writableEnded) {
      clearInterval(timer);
      return;
    }
    stalledMs = req.socket.bytesRead > seen ? 0 : stalledMs + LOOK_EVERY_MS;
    seen = req.socket.bytesRead;
    if (stalledMs >= STALL_MS) {
      clearInterval(timer);
      req.destroy(new Error('the upload stalled'));
    }
  }, LOOK_EVERY_MS);
  timer.unref();
  res.once('close', () => clearInterval(timer));
  next();
};
