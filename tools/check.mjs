/** Types, lint, import rules and the order of the layers: `./truelay check`. */
import { spawnSync } from 'node:child_process'

const projects = [
  'packages/core',
  'packages/contract',
  'packages/formats',
  'packages/words',
  'apps/server',
  'apps/standins',
  'apps/cli',
  'apps/web',
  'apps/web/sw',
  '.',
]
const steps = [
  ...projects.map((project) => ({ name: `types of ${project}`, command: ['tsc', '-p', project] })),
  { name: 'lint and format', command: ['biome', 'ci', '--colors=off', '.'] },
  { name: 'sentences are rendered, never glued', command: ['node', 'tools/unspoken.mjs'] },
  {
    name: 'import rules',
    command: ['depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'json', 'packages', 'apps'],
  },
]

let failed = 0
for (const { name, command } of steps) {
  const [program, ...args] = command
  const run = spawnSync(program === 'node' ? process.execPath : `node_modules/.bin/${program}`, args, {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
  const problem =
    program === 'depcruise' ? importProblem(run.stdout) : run.status === 0 ? null : `${run.stdout}${run.stderr}`
  if (problem !== null) failed++
  process.stdout.write(`${problem === null ? 'ok    ' : 'FAILED'} ${name}\n${problem ?? ''}`)
}
process.exitCode = failed === 0 ? 0 : 1

/** A run that looked at no module has checked nothing. */
function importProblem(json) {
  const { summary } = JSON.parse(json)
  if (summary.totalCruised === 0) return 'no module was looked at\n'
  if (summary.violations.length === 0) return null
  return summary.violations.map((v) => `${v.rule.name}: ${v.from} -> ${v.to}\n`).join('')
}
