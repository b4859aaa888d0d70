/** Which folder may import which. Arrows point to core only; see docs/architecture.md. */
const core = '^packages/core/src/'
const layers = {
  units: [],
  result: [],
  numerics: ['result'],
  practice: [],
  geometry: ['numerics', 'units', 'result'],
  form: ['geometry', 'numerics', 'units', 'result'],
  lay: ['form', 'geometry', 'numerics', 'units', 'result'],
  align: ['lay', 'form', 'geometry', 'numerics', 'units', 'result'],
  mix: ['numerics', 'units', 'result'],
  light: ['numerics', 'units', 'result'],
  wait: ['practice', 'numerics', 'units', 'result'],
  heat: ['form', 'practice', 'numerics', 'units', 'result'],
  edges: ['lay', 'form', 'align', 'practice', 'geometry', 'numerics', 'units', 'result'],
  stock: ['align', 'lay', 'form', 'practice', 'geometry', 'numerics', 'units', 'result'],
  pieces: ['units', 'result'],
  vehicle: ['geometry', 'units', 'result'],
  plan: [
    'stock',
    'lay',
    'form',
    'align',
    'mix',
    'light',
    'wait',
    'heat',
    'edges',
    'practice',
    'geometry',
    'numerics',
    'units',
    'result',
  ],
}

const coreRules = Object.entries(layers).map(([folder, allowed]) => ({
  name: `core-${folder}`,
  comment: `core/${folder} may import only: ${allowed.join(', ') || 'nothing'}`,
  severity: 'error',
  from: { path: `${core}${folder}/`, pathNot: '\\.test\\.ts$|test(Forms|Parts)\\.ts$' },
  to: { path: core, pathNot: `${core}(${[folder, ...allowed].join('|')})/` },
}))

module.exports = {
  forbidden: [
    ...coreRules,
    {
      name: 'core-through-the-front-door',
      comment: 'another core folder is imported through its index, never deeper',
      severity: 'error',
      from: { path: `${core}([^/]+)/`, pathNot: '\\.test\\.ts$|test(Forms|Parts)\\.ts$' },
      to: { path: core, pathNot: [`${core}$1/`, `${core}[^/]+/index\\.ts$`] },
    },
    {
      name: 'core-is-pure',
      comment: 'core knows no platform and no other package of ours',
      severity: 'error',
      from: { path: core, pathNot: '\\.test\\.ts$' },
      to: { path: '^(packages/(contract|formats)|apps)/' },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: core, pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'packages-know-no-apps',
      severity: 'error',
      from: { path: '^packages/' },
      to: { path: '^apps/' },
    },
    {
      name: 'contract-imports-core-and-zod',
      severity: 'error',
      from: { path: '^packages/contract/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^packages/(contract|core)/|node_modules/(zod|vitest|fast-check)/' },
    },
    {
      name: 'apps-do-not-reach-into-each-other',
      severity: 'error',
      from: { path: '^apps/([^/]+)/' },
      to: { path: '^apps/', pathNot: '^apps/$1/' },
    },
    {
      name: 'web-ui-has-no-domain',
      severity: 'error',
      from: { path: '^apps/web/src/ui/' },
      to: { path: '^apps/web/src/(?!ui/)' },
    },
    {
      name: 'web-drawings-take-plain-values',
      severity: 'error',
      from: { path: '^apps/web/src/drawings/' },
      to: { path: '^apps/web/src/(?!ui/|drawings/)|^packages/contract/' },
    },
    {
      name: 'web-remote-knows-no-screens',
      severity: 'error',
      from: { path: '^apps/web/src/(remote|bench|workers|store)/' },
      to: { path: '^apps/web/src/(screens|app|drawings|ui)/' },
    },
    {
      name: 'web-screens-know-no-app',
      severity: 'error',
      from: { path: '^apps/web/src/screens/' },
      to: { path: '^apps/web/src/app/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
}
