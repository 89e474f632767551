import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the library's defaults (19 MiB, 2 passes), as OWASP recommends. */
export const hashPassword = (password: string): Promise<string> => hash(password);

let decoy: Promise<string> | undefined;

/** Verifies against a decoy where the member is unknown, so that the answer takes as long either way. */
export async function verifyPassword(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hash('no such member');
  const matches = await verify(stored ?? (await decoy), password);
  return matches && stored !== undefined;
}
