/**
 * How many small changes to the code its own tests notice: `./truelay mutate [ROOM] [COUNT]`. A room is a folder: core/heat,
 * contract, formats, server/jobs. So many mutants are drawn by chance (the same every time), each is run against the tests of its room, and
 * those that live are listed with their place: either a test is missing, or the change changes nothing.
 */
import { spawn } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { seededRandom } from '@truelay/core/numerics'
import { type Mutant, mutantsOf } from './mutants.ts'

const folderOf = (room: string) =>
  [
    `packages/core/src/${room.replace(/^core\//, '')}`,
    `packages/${room}/src`,
    `apps/${room.replace(/^([^/]+)\/?/, '$1/src/')}`,
  ].find((folder) => existsSync(folder))

/** Runs the tests of a folder, with a mutant or as they are; whether all pass, and how long that takes. */
function runTests(folder: string, mutant: Mutant | null, mostMs: number): Promise<{ passed: boolean; ms: number }> {
  const began = performance.now()
  const env = { ...process.env, NO_COLOR: '1', ...(mutant === null ? {} : { MUTANT: JSON.stringify(mutant) }) }
  const child = spawn(
    'node_modules/.bin/vitest',
    ['run', '--config', 'tools/testing/mutants.config.ts', '--root', '.', '--bail', '1', folder],
    { stdio: 'ignore', env, detached: true },
  )
  return new Promise((resolve) => {
    // A mutant may never end; its whole group goes.
    const stop = setTimeout(() => child.pid !== undefined && process.kill(-child.pid, 'SIGKILL'), mostMs)
    child.once('exit', (code) => {
      clearTimeout(stop)
      resolve({ passed: code === 0, ms: performance.now() - began })
    })
  })
}

const [room = 'core/mix', count = '12'] = process.argv.slice(2)
const folder = folderOf(room)
if (folder === undefined) {
  process.stderr.write(`There is no room "${room}": name one as core/heat, contract, formats or server/jobs.\n`)
  process.exit(2)
}
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .map((file) => join(folder, file))
  .filter((file) => file.endsWith('.ts'))
  .filter((file) => !/\.test\.ts$|\/test[A-Z]\w*\.ts$|\/testing\/|index\.ts$|\.generated\.ts$/.test(file))
const tests = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.test.ts'))
if (tests.length === 0) {
  process.stderr.write(`${room} has no tests of its own: what uses it tests it.\n`)
  process.exit(2)
}
const all = files.sort().flatMap((file) => mutantsOf(file, readFileSync(file, 'utf8')))
const chance = seededRandom(1)
const drawn = Array.from({ length: Math.min(Number(count), all.length) }, () =>
  all.splice(Math.floor(chance() * all.length), 1),
).flat()
const plain = await runTests(folder, null, 600_000)
if (!plain.passed) {
  process.stderr.write(`The tests of ${room} do not pass as they are: mend that first.\n`)
  process.exit(1)
}
let noticed = 0
for (const mutant of drawn) {
  const mostMs = 30_000 + 5 * plain.ms
  // The tests beside it are asked first: most of what is noticed is noticed there, and at once.
  const beside = dirname(mutant.file)
  const near = beside !== folder && readdirSync(beside).some((file) => file.endsWith('.test.ts'))
  const passed =
    (!near || (await runTests(beside, mutant, mostMs)).passed) && (await runTests(folder, mutant, mostMs)).passed
  if (!passed) noticed++
  else
    process.stdout.write(
      `lives: ${mutant.file}:${mutant.line}: ${mutant.from.slice(0, 60)} -> ${mutant.to.slice(0, 60)}\n`,
    )
}
const share = drawn.length === 0 ? 'none to draw' : `${Math.round((100 * noticed) / drawn.length)} %`
process.stdout.write(`${room}: ${noticed} of ${drawn.length} noticed (${share})\n`)
