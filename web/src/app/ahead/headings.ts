export { CHANNEL_ROLES as ahead } from '@white-ember/core/readings';
