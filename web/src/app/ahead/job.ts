export { useJob as ahead } from '../../job/useJob.ts';
