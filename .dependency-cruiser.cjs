/** Which folder may import which. Arrows point to core only; see docs/architecture.md. */
const core = '^packages/core/src/'
const layers = {
  schema: [],
  say: ['schema'],
  units: [],
  numerics: ['result', 'say'],
  result: ['say'],
  kernel: [],
  practice: ['say'],
  geometry: ['schema', 'kernel', 'numerics', 'units', 'result', 'say'],
  form: ['geometry', 'numerics', 'units', 'result', 'say'],
  lay: ['form', 'geometry', 'kernel', 'numerics', 'units', 'result', 'say'],
  align: ['lay', 'form', 'geometry', 'numerics', 'units', 'result', 'say'],
  mix: ['numerics', 'units', 'result', 'say'],
  light: ['numerics', 'units', 'result', 'say'],
  wait: ['practice', 'numerics', 'units', 'result', 'say'],
  heat: ['kernel', 'form', 'practice', 'numerics', 'units', 'result', 'say'],
  edges: ['lay', 'form', 'align', 'practice', 'geometry', 'numerics', 'units', 'result', 'say'],
  stock: ['align', 'lay', 'form', 'practice', 'geometry', 'numerics', 'units', 'result', 'say'],
  pieces: ['form', 'numerics', 'units', 'result', 'say', 'stock'],
  vehicle: ['geometry', 'units', 'result', 'say'],
  plan: [
    'schema',
    'pieces',
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
    'say',
  ],
  judge: ['plan', 'lay', 'geometry', 'practice', 'schema', 'result', 'say'],
  lastLook: ['judge', 'plan', 'geometry', 'practice', 'say'],
  memory: ['align', 'numerics', 'practice', 'say'],
  nest: ['geometry', 'numerics', 'units', 'result', 'say'],
  cutting: ['geometry', 'numerics', 'units', 'result', 'say'],
  order: ['numerics', 'result', 'say'],
  shopDay: ['order', 'plan', 'practice', 'schema', 'result', 'say'],
  handOver: ['plan', 'form', 'wait', 'practice', 'result', 'say'],
}

/** The server, floor by floor: a folder may import its own and any on a lower floor. */
const floors = [
  ['database'],
  ['reply'],
  ['who'],
  ['audit'],
  ['writes'],
  ['devices', 'photos', 'shop', 'models', 'news', 'backup', 'export'],
  ['shelf', 'signIn'],
  ['jobs'],
  ['fit'],
  ['forms', 'walkRound', 'kitCheck', 'corrections'],
  ['stock'],
  ['cuts'],
  ['bundle', 'blades', 'learned', 'memory', 'calendar', 'bay', 'jobList', 'opening', 'visits'],
  ['records', 'liquids', 'day', 'filmNeeds'],
  ['handOver', 'labels'],
  ['seed', 'network'],
  ['http'],
]
const server = '^apps/server/src/'
const serverRules = floors.flatMap((floor, i) =>
  floor.map((folder) => ({
    name: `server-${folder}`,
    comment: `apps/server/src/${folder} may import only floors below its own`,
    severity: 'error',
    from: { path: `${server}${folder}/`, pathNot: '\\.test\\.ts$' },
    to: {
      path: server,
      pathNot: [
        `${server}(${[folder, ...floors.slice(0, i).flat()].join('|')})/`,
        // The schema is the list of every folder's own tables.
        ...(['database', 'audit'].includes(folder) ? [`${server}[^/]+/table\\.ts$`] : []),
      ],
    },
  })),
)

const coreRules = Object.entries(layers).map(([folder, allowed]) => ({
  name: `core-${folder}`,
  comment: `core/${folder} may import only: ${allowed.join(', ') || 'nothing'}`,
  severity: 'error',
  from: { path: `${core}${folder}/`, pathNot: '\\.test\\.ts$|test(Forms|Parts|Contexts)\\.ts$' },
  to: { path: core, pathNot: `${core}(${[folder, ...allowed].join('|')})/` },
}))

module.exports = {
  forbidden: [
    ...coreRules,
    ...serverRules,
    {
      name: 'core-through-the-front-door',
      comment: 'another core folder is imported through its index, never deeper',
      severity: 'error',
      from: { path: `${core}([^/]+)/`, pathNot: '\\.test\\.ts$|test(Forms|Parts|Contexts)\\.ts$' },
      to: { path: core, pathNot: [`${core}$1/`, `${core}[^/]+/index\\.ts$`] },
    },
    {
      name: 'core-is-pure',
      comment: 'core knows no platform and no other package of ours',
      severity: 'error',
      from: { path: core, pathNot: '\\.test\\.ts$|test(Forms|Parts|Contexts)\\.ts$' },
      to: { path: '^(packages/(contract|formats|words)|apps)/' },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: core, pathNot: '\\.test\\.ts$|test(Forms|Parts|Contexts)\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'words-know-only-core',
      comment: 'words renders what core says; it knows no wire, no file and no screen',
      severity: 'error',
      from: { path: '^packages/words/src/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: `^packages/words/src/|${core}(say|units)/|node_modules/` },
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
      from: { path: '^apps/([^/]+)/', pathNot: '/src/testing/' },
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
