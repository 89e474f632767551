export { LIMIT_DEFINITIONS, LIMIT_IDS, type LimitDefinition, type LimitId } from './definitions.ts';
export { DEFAULT_LIMITS, resolveLimits, type LimitOverrides, type Limits } from './profile.ts';
export { limitOverridesSchema } from './overrides.ts';
