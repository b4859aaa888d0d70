/**
 * Runs the checks, then unit, server and browser tests, and adds up what the runners themselves report: `./truelay test`.
 * With names it runs only the test files whose path holds one of them, without the checks: `./truelay test wait fit.spec`.
 */
import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'

const reports = '.reports'
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })
const run = (program, args, env = {}) =>
  spawnSync(`node_modules/.bin/${program}`, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1

const names = process.argv.slice(2)
const checkStatus =
  names.length > 0 ? 0 : (spawnSync(process.execPath, ['tools/check.mjs'], { stdio: 'inherit' }).status ?? 1)
const unitStatus = run('vitest', [
  'run',
  '--passWithNoTests',
  ...names,
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${reports}/unit.json`,
])
const browserStatus = run(
  'playwright',
  ['test', '--pass-with-no-tests', '--config', 'e2e/playwright.config.ts', ...names],
  {
    PLAYWRIGHT_JSON_OUTPUT_NAME: `${process.cwd()}/${reports}/browser.json`,
  },
)

const unit = JSON.parse(readFileSync(`${reports}/unit.json`, 'utf8'))
const { stats } = JSON.parse(readFileSync(`${reports}/browser.json`, 'utf8'))
const passed = unit.numPassedTests + stats.expected + stats.flaky
let failed = unit.numFailedTests + stats.unexpected
if (checkStatus !== 0) {
  process.stdout.write('./truelay check failed; it counts as one failure\n')
  failed++
}
if (stats.flaky > 0) process.stdout.write(`${stats.flaky} browser tests passed only at the second try\n`)
// A runner that stopped before its tests could fail still has failed.
if (failed === 0 && (unitStatus !== 0 || browserStatus !== 0)) failed++
process.stdout.write(`\n${passed} passed, ${failed} failed\n`)
process.exitCode = failed === 0 ? 0 : 1
