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
  'tempo',
  'plan',
  'run',
  'home',
  'strikes',
  'simulation',
  'speed',
  'progress',
  'formats',
];

const TEST = '\\.test\\.ts$';
const inCore = (folder) => `^packages/core/src/${folder}/`;

/** A core folder may import the folders before it, never one after it; tests may use the stand-ins of what they test. */
const coreFlow = coreOrder.flatMap((folder, position) => {
  const later = coreOrder.slice(position + 1);
  const rule = (name, from, to) =>
    to.length === 0 ? [] : [{ name, severity: 'error', from, to: { path: to.map(inCore) } }];
  return [
    ...rule(`core-${folder}-looks-back-only`, { path: inCore(folder), pathNot: TEST }, later),
    ...rule(
      `core-${folder}-tests-look-back-only`,
      { path: `${inCore(folder)}.*${TEST}` },
      later.filter((each) => each !== 'simulation'),
    ),
  ];
});

/** The pages: what stands later in the list may use what stands before it. */
const webOrder = [
  'ui',
  'workers',
  'strikeInputs',
  'server',
  'sync',
  'strip',
  'floor',
  'rooms',
  'home',
  'app',
];

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
      comment:
        'The computation imports nothing but itself, a library of statistics and a scheduler of repetition: no Node, no DOM.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^packages/core/src|node_modules/(simple-statistics|ts-fsrs)/' },
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
