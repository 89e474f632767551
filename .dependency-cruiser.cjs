/** Imports go one way: a room may import those before it in its list, never those after it. */
const CORE = [
  'text',
  'quantities',
  'words',
  'fields',
  'filter',
  'limits',
  'burn',
  'ledger',
  'readings',
  'checks',
  'link',
  'codes',
  'proof',
  'outlook',
  'contract',
  'diagnosis',
  'guide',
  'treatment',
  'job',
  'report',
  // The simulated vehicle: no judgement knows of it.
  'bench',
  'learn',
];

/** From what every request needs, to what puts all of it together. */
const SERVER = [
  'database',
  'reading',
  'http',
  'judging',
  'uploads',
  'blobs',
  'logs',
  'outlook',
  'jobs',
  'archive',
  'ledger',
  'people',
  'customers|filters|fleet|fluids|limits|notebook|photos|tasks|vehicles',
  'report',
  'handOver',
  'main',
  'demo|launch|benchmark',
];

/** From what is kept and drawn, over what a job needs, to the pages and their frame. */
const WEB = ['data', 'ui', 'form', 'job', 'workers', 'features', 'app'];

const TESTS = '\\.test\\.tsx?$|/testing/';

/** @type {(home: string, order: readonly string[]) => object[]} */
const oneWayIn = (home, order) =>
  order.flatMap((room, i) => {
    const later = order.slice(i + 1);
    if (later.length === 0) return [];
    return [
      {
        name: `${home}-${room}-imports-no-later-room`,
        severity: 'error',
        from: { path: `^${home}/src/(${room})/`, pathNot: TESTS },
        to: { path: `^${home}/src/(${later.join('|')})/`, pathNot: TESTS },
      },
    ];
  });

/**
 * What the list leaves out would be behind no wall.
 * @type {(home: string, order: readonly string[]) => object}
 */
const inNoRoom = (home, order) => ({
  name: `${home}-has-rooms-only`,
  severity: 'error',
  from: {},
  to: { path: `^${home}/src/[^/]+/`, pathNot: `^${home}/src/(${order.join('|')}|testing)/` },
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
      from: {
        path: '^(core|bounded|cli|server|web)/src',
        pathNot: `${TESTS}|^server/src/(launch|benchmark)/`,
      },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
    { name: 'imports-resolve', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...oneWayIn('core', CORE),
    inNoRoom('core', CORE),
    ...oneWayIn('server', SERVER),
    inNoRoom('server', SERVER),
    ...oneWayIn('web', WEB),
    inNoRoom('web', WEB),
    {
      name: 'a-feature-is-no-frame',
      severity: 'error',
      from: { path: '^web/src/features/(?!job/)', pathNot: TESTS },
      to: { path: '^web/src/features/job/' },
    },
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
