/** Imports go one way. Inside core a folder may import those before it in this list, never those after it. */
const CORE_ORDER = [
  'text',
  'quantities',
  'ledger',
  'limits',
  'filter',
  'burn',
  'readings',
  'checks',
  'codes',
  'diagnosis',
  'proof',
  'treatment',
  'outlook',
  'planning',
  'contract',
  'job',
  'report',
  'bench',
];

const TESTS = '\\.test\\.tsx?$|/testing/';

const oneWayInCore = CORE_ORDER.flatMap((folder, i) => {
  const later = CORE_ORDER.slice(i + 1);
  if (later.length === 0) return [];
  return [
    {
      name: `core-${folder}-imports-no-later-folder`,
      severity: 'error',
      from: { path: `^core/src/${folder}/`, pathNot: TESTS },
      to: { path: `^core/src/(${later.join('|')})/` },
    },
  ];
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src', pathNot: TESTS },
      to: { path: '^(bounded|cli|server|web|e2e)/|node_modules/(react|express|typeorm|pg)/' },
    },
    {
      name: 'core-uses-no-node',
      severity: 'error',
      from: { path: '^core/src', pathNot: TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'bounded-knows-no-work',
      severity: 'error',
      from: { path: '^bounded/src' },
      to: { path: '^(core|cli|server|web|e2e)/' },
    },
    {
      name: 'web-and-server-meet-only-in-core',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|cli|bounded)/' },
    },
    {
      name: 'server-knows-no-page',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(web|cli)/' },
    },
    {
      name: 'cli-needs-no-server',
      severity: 'error',
      from: { path: '^cli/src' },
      to: { path: '^(web|server)/' },
    },
    {
      name: 'libraries-are-declared',
      severity: 'error',
      // The launcher builds and the bench compares: their tools are never part of a running server.
      from: { path: '^(core|bounded|cli|server|web)/src', pathNot: `${TESTS}|^server/src/(launch|bench)/` },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
    { name: 'imports-resolve', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...oneWayInCore,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
