import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the library's defaults (19 MiB, 2 passes), as OWASP recommends. */
export const hashPassword = (password: string): Promise<string> => hash(password);

let decoy: Promise<string> | undefined;

/** Verifies against a decoy where the member is unknown, so that the answer takes as long either way. */
export async function verifyPassword(stored: string | undefined, password: string): Promise<boolean> {
  decoy ??= hash('no such member');
  // Who came with an archive has none until a lead sets one.
  const known = stored !== undefined && stored !== '';
  const matches = await verify(known ? stored : await decoy, password);
  return matches && known;
}
