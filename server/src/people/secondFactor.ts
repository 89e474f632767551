import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';

/** Time-based codes as authenticators make them (RFC 6238): six digits, thirty seconds, SHA-1. */
const SHAPE = { algorithm: 'SHA1', digits: 6, period: 30 } as const;
/** A phone whose clock is half a minute off still gives a code that is taken. */
const STEPS_OFF = 1;
const RECOVERY_CODES = 10;

const totpOf = (secret: string, label: string): TOTP =>
  new TOTP({ ...SHAPE, issuer: 'White Ember', label, secret: Secret.fromBase32(secret) });

export const newSecret = (): string => new Secret({ size: 20 }).base32;

export const uriOf = (secret: string, signInName: string): string => totpOf(secret, signInName).toString();

/** The step of a code that is right, later than the last one that was taken; nothing where it is not. */
export function stepOfCode(
  secret: string,
  code: string,
  lastStep: number,
  now = new Date(),
): number | undefined {
  const delta = totpOf(secret, '').validate({ token: code, timestamp: now.getTime(), window: STEPS_OFF });
  if (delta === null) return undefined;
  const step = Math.floor(now.getTime() / 1000 / SHAPE.period) + delta;
  return step > lastStep ? step : undefined;
}

const hashOf = (code: string): string =>
  createHash('sha256')
    .update(code.toLowerCase().replace(/[^0-9a-z]/g, ''))
    .digest('hex');

/** Codes for the day on which the phone is lost, and the hashes that are kept of them: each is 80 bits of chance. */
export function newRecoveryCodes(): { readonly codes: string[]; readonly hashes: string[] } {
  const codes = Array.from({ length: RECOVERY_CODES }, () =>
    (randomBytes(10).toString('hex').match(/.{5}/g) ?? []).join('-'),
  );
  return { codes, hashes: codes.map(hashOf) };
}

/** The hashes that are left when a recovery code is used; nothing where it is none of them. */
export function useRecoveryCode(hashes: readonly string[], code: string): string[] | undefined {
  const wanted = Buffer.from(hashOf(code), 'hex');
  const found = hashes.findIndex((hash) => timingSafeEqual(Buffer.from(hash, 'hex'), wanted));
  return found < 0 ? undefined : hashes.filter((_, i) => i !== found);
}
