import { CHANNEL_ROLES, ROLE_IDS, type ChannelRole, type ChannelRoleDefinition } from './channelRoles.ts';

/**
 * Lower case, accents and special letters folded, joined words taken apart, punctuation to single spaces: the form that
 * the name patterns expect.
 */
export function foldName(name: string): string {
  return name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ł', 'l')
    .replaceAll('ø', 'o')
    .replaceAll('Δ', 'delta ')
    .replaceAll('δ', 'delta ')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim();
}

const FOLDED_IDS: ReadonlyMap<string, ChannelRole> = new Map(ROLE_IDS.map((role) => [foldName(role), role]));

/** How well a heading names a role: 0 is the role's own id or the best pattern, greater is weaker, −1 is not at all. */
export function nameRank(folded: string, role: ChannelRole): number {
  if (FOLDED_IDS.get(folded) === role) return 0;
  const definition: ChannelRoleDefinition = CHANNEL_ROLES[role];
  if (definition.not?.test(folded)) return -1;
  return definition.names.findIndex((pattern) => pattern.test(folded));
}

/** Whether a heading names any role. */
export function namesRole(name: string): boolean {
  const folded = foldName(name);
  return folded !== '' && ROLE_IDS.some((role) => nameRank(folded, role) >= 0);
}
