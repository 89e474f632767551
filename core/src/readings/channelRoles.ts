import { GAS_CHANNEL_ROLES } from './gasChannelRoles.ts';
import { VEHICLE_CHANNEL_ROLES } from './vehicleChannelRoles.ts';

export type { ChannelRoleDefinition } from './channelRoleDefinition.ts';

/** Every role a channel can have, in the order in which they are shown. */
export const CHANNEL_ROLES = { ...GAS_CHANNEL_ROLES, ...VEHICLE_CHANNEL_ROLES };

export type ChannelRole = keyof typeof CHANNEL_ROLES;
export const ROLE_IDS = Object.keys(CHANNEL_ROLES) as ChannelRole[];
export const isChannelRole = (text: string): text is ChannelRole => Object.hasOwn(CHANNEL_ROLES, text);
