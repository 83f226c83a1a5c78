/** Arrows point down only: web -> contract -> core, server -> contract -> core; inside core, along the flow of the data. */
const coreOrder = [
  'units',
  'moves',
  'line',
  'body',
  'teach',
  'sound',
  'calls',
  'rounds',
  'plan',
  'run',
  'home',
  'strikes',
  'standIns',
  'speed',
  'progress',
  'formats',
];

/** A core folder may import the folders before it, never one after it. */
const coreFlow = coreOrder.slice(0, -1).map((folder, position) => ({
  name: `core-${folder}-looks-back-only`,
  severity: 'error',
  from: { path: `^packages/core/src/${folder}/` },
  to: {
    path: coreOrder.slice(position + 1).map((later) => `^packages/core/src/${later}/`),
  },
}));

/** The pages: what stands later in the list may use what stands before it. */
const webOrder = ['ui', 'workers', 'server', 'sync', 'strip', 'floor', 'rooms', 'home', 'app'];

const webFlow = webOrder.slice(0, -1).map((folder, position) => ({
  name: `web-${folder}-looks-back-only`,
  severity: 'error',
  from: { path: `^apps/web/src/${folder}/` },
  to: { path: webOrder.slice(position + 1).map((later) => `^apps/web/src/${later}/`) },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      comment: 'The computation imports nothing but itself and a library of statistics: no Node, no DOM.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^packages/core/src|node_modules/simple-statistics/' },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^packages/contract/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^apps/' },
    },
    {
      name: 'web-does-not-know-server',
      severity: 'error',
      from: { path: '^apps/web' },
      to: { path: '^apps/server' },
    },
    {
      name: 'server-does-not-know-web',
      severity: 'error',
      from: { path: '^apps/server' },
      to: { path: '^apps/web' },
    },
    { name: 'nothing-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...coreFlow,
    ...webFlow,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|dist-home|\\.build)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
