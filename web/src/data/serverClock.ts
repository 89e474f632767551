const STORED_AS = 'white-ember clock offset';
/** Answers take their time on the way: a difference smaller than this is no difference. */
const SAME_MS = 1500;

/** By how much this device's clock is behind the server's, ms. Kept, so that it holds offline and after a reload. */
let behindMs = stored();

function stored(): number {
  try {
    return Number(localStorage.getItem(STORED_AS) ?? 0) || 0;
  } catch {
    // A browser that keeps nothing learns it anew from the next answer.
    return 0;
  }
}

/** What an answer says of the server's time, against this device's clock when it was asked for and when it came. */
export function learnServerTime(serverMs: number, askedMs: number, cameMs: number): void {
  const behind = serverMs - (askedMs + cameMs) / 2;
  // A slow answer says little: half of its way is doubt.
  if (!Number.isFinite(behind) || (cameMs - askedMs) / 2 > Math.max(SAME_MS, Math.abs(behind - behindMs)))
    return;
  const known = Math.abs(behind) <= SAME_MS ? 0 : Math.round(behind);
  if (Math.abs(known - behindMs) <= SAME_MS && known !== 0) return;
  behindMs = known;
  try {
    localStorage.setItem(STORED_AS, String(behindMs));
  } catch {
    // See above.
  }
}

/** The time by the server's clock, as well as it is known: entries and waits go by it, whatever this device thinks. */
export const serverNow = (): number => Date.now() + behindMs;

/** By how much this device is off, ms; 0 where it is not to be felt. */
export const clockIsBehindMs = (): number => behindMs;
