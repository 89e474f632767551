import { TODAY } from './jobs/today.ts';
import { CARS } from './jobs/cars.ts';
import { HEAVY } from './jobs/heavy.ts';
import { TAXIS } from './jobs/taxis.ts';
import { VANS } from './jobs/vans.ts';
import type { DemoJob } from './steps.ts';

/** Fourteen months of a workshop: every kind of cause, every state that a job can be in. */
export const DEMO_JOBS: readonly DemoJob[] = [...TAXIS, ...VANS, ...CARS, ...HEAVY, ...TODAY];
