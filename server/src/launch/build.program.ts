import { join } from 'node:path';
import { buildServer } from './build.ts';

await buildServer(join(import.meta.dirname, '../../..'));
