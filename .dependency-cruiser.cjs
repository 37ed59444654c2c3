/** The arrows of the house: the core knows nobody, rooms never reach upwards. */
const coreOrder = ['language', 'meaning', 'draft', 'listing', 'criteria', 'study', 'outline'];
const above = [
  'research',
  'pictures',
  'proofreading',
  'writing',
  'talk',
  'reuse',
  'site',
  'scoring',
  'formats',
  'blog',
  'audit',
  'performance',
];
const upward = coreOrder.map((room, at) => ({
  name: `core-${room}-looks-down-only`,
  severity: 'error',
  from: { path: `^src/core/${room}/`, pathNot: '\\.test(-data)?\\.ts$' },
  to: { path: `^src/core/(${[...coreOrder.slice(at + 1), ...above].join('|')})/` },
}));
/** Rooms of the web application, the lowest first: each may use those below it, and none above. */
const webOrder = ['data', 'workers', 'state', 'screens', 'app'];
const webUpward = webOrder.slice(0, -1).map((room, at) => ({
  name: `web-${room}-looks-down-only`,
  severity: 'error',
  from: { path: `^src/web/${room}/`, pathNot: '\\.test(-data)?\\.tsx?$' },
  to: { path: `^src/web/(${webOrder.slice(at + 1).join('|')})/` },
}));
module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-knows-nobody',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: '^src/(web|server|cli|demo)/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test(-data)?\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-knows-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|dexie|express|@tiptap)/' },
    },
    ...upward,
    ...webUpward,
    {
      name: 'services-know-no-room-above',
      severity: 'error',
      from: { path: '^src/web/services/' },
      to: { path: '^src/web/(data|workers|state|screens|app|ui)/' },
    },
    {
      name: 'cli-stands-alone',
      severity: 'error',
      from: { path: '^src/cli/' },
      // The safe way to the network is one, whoever takes it.
      to: { path: '^src/(web|server)/', pathNot: '^src/server/fetch/network-reader\\.ts$' },
    },
    {
      name: 'server-stands-alone',
      severity: 'error',
      from: { path: '^src/server/' },
      to: { path: '^src/(web|cli)/' },
    },
    {
      name: 'web-stands-alone',
      severity: 'error',
      from: { path: '^src/web/' },
      to: { path: '^src/(server|cli|demo)/' },
    },
    {
      name: 'ui-knows-no-data',
      severity: 'error',
      from: { path: '^src/web/ui/' },
      to: { path: '^src/web/(data|state|screens|services|workers|app)/' },
    },
    {
      name: 'screens-do-not-import-each-other',
      severity: 'error',
      from: { path: '^src/web/screens/([^/]+)/' },
      to: { path: '^src/web/screens/', pathNot: '^src/web/screens/$1/' },
    },
    {
      name: 'not-to-tests',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$' },
      to: { path: '\\.test\\.tsx?$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json'] },
  },
};
