/** The table "who may import whom" of ARCHITECTURE.md, as lint rules. */
const core = {
  base: [],
  ids: [],
  content: ['base'],
  container: ['base'],
  fonts: ['base'],
  document: ['base', 'content', 'ids'],
  charts: ['base', 'content'],
  deck: ['base', 'content', 'charts', 'theme', 'ids'],
  readers: ['base', 'content', 'container', 'document', 'ids'],
  structure: ['base', 'content', 'document', 'ids'],
  mapping: ['base', 'content', 'document', 'structure', 'deck', 'shorten', 'ids'],
  shorten: ['base', 'content', 'deck'],
  starter: ['base'],
  edits: ['base', 'content', 'charts', 'theme', 'document', 'structure', 'deck', 'ids'],
  theme: ['base', 'content'],
  library: ['theme'],
  template: ['base', 'content', 'container', 'readers', 'fonts', 'theme'],
  layout: ['base', 'content', 'charts', 'fonts', 'theme', 'deck', 'shorten', 'ids'],
  scene: ['base', 'content', 'charts', 'fonts', 'theme', 'layout', 'deck', 'ids'],
  sheets: ['base', 'theme', 'scene'],
  checks: [
    'base',
    'content',
    'deck',
    'document',
    'structure',
    'edits',
    'theme',
    'layout',
    'presentable',
    'shorten',
    'ids',
  ],
  presentable: ['base', 'content', 'fonts', 'theme', 'layout', 'deck', 'ids'],
  writers: ['base', 'content', 'container', 'charts', 'deck', 'document', 'fonts', 'theme', 'scene', 'ids'],
};
const folderRules = Object.entries(core).map(([folder, may]) => ({
  name: `core-${folder}`,
  severity: 'error',
  from: { path: `^packages/core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^packages/core/src/', pathNot: [folder, ...may].map((f) => `^packages/core/src/${f}/`) },
}));
const formats = (stage) => ({
  name: `${stage}-formats-apart`,
  severity: 'error',
  from: { path: `^packages/core/src/${stage}/([^/]+)/`, pathNot: '\\.test\\.ts$' },
  // No formats but what several share: HTML elements as blocks, OpenDocument, slides, packages.
  to: {
    path: `^packages/core/src/${stage}/[^/]+/`,
    pathNot: [`^packages/core/src/${stage}/$1/`, `^packages/core/src/${stage}/(markup|odf|slides|opc)/`],
  },
});
const layers = (pkg, order) =>
  order.map((folder, at) => ({
    name: `${pkg}-${folder}`,
    severity: 'error',
    from: { path: `^packages/${pkg}/src/${folder}/`, pathNot: '\\.test\\.ts$' },
    to: {
      path: order
        .slice(0, at)
        .map((f) => `^packages/${pkg}/src/${f}/`)
        .concat('^$'),
    },
  }));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    ...folderRules,
    formats('readers'),
    formats('writers'),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '(\\.test\\.ts$|/src/test/)' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-imports-no-package-of-ours',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '\\.test\\.ts$|^packages/core/src/test/' },
      to: { path: '^packages/(?!core/)' },
    },
    {
      name: 'contract-imports-core-only',
      severity: 'error',
      from: { path: '^packages/contract/src/' },
      to: { path: '^packages/(?!core/|contract/)' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^packages/server/' },
      to: { path: '^packages/web/' },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^packages/web/' },
      to: { path: '^packages/server/' },
    },
    ...layers('server', ['http', 'services', 'jobs', 'db', 'config']),
    ...layers('web', ['app', 'present', 'stations', 'canvas', 'ui', 'state', 'api', 'worker', 'words']),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules/\\.)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
