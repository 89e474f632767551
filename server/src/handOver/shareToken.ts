import { createHmac, timingSafeEqual } from 'node:crypto';
import { parse, stringify } from 'uuid';

/** 18 bytes: at a million guesses a second the sun goes out first. */
const MARK_BYTES = 18;
const ID_BYTES = 16;

const markOf = (id: Uint8Array, secret: string): Buffer =>
  createHmac('sha256', secret).update('report link').update(id).digest().subarray(0, MARK_BYTES);

/**
 * What stands in the address of a shared report: the id of the link and a mark that only this installation can make.
 * Nothing of it is stored, so that it can be shown again to those who may share, and read from no table.
 */
export function shareToken(id: string, secret: string): string {
  const bytes = parse(id);
  return Buffer.concat([bytes, markOf(bytes, secret)]).toString('base64url');
}

/** The id of the link that a token was made for; undefined for anything that this installation did not make. */
export function idOfToken(token: string, secret: string): string | undefined {
  const bytes = Buffer.from(token, 'base64url');
  // Another spelling of the same bytes is not what was given away.
  if (bytes.length !== ID_BYTES + MARK_BYTES || bytes.toString('base64url') !== token) return undefined;
  const id = new Uint8Array(bytes.subarray(0, ID_BYTES));
  if (!timingSafeEqual(bytes.subarray(ID_BYTES), markOf(id, secret))) return undefined;
  try {
    return stringify(id);
  } catch {
    return undefined;
  }
}
