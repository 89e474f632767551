export { CHECK_IDS, CHECK_LABELS, type CheckId } from './checkIds.ts';
