export { entryBodySchema as ahead } from '@white-ember/core/ledger';
