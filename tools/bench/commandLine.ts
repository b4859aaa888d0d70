import { execFileSync } from 'node:child_process'
import { performance } from 'node:perf_hooks'
import type { Section } from './section.ts'

const runs = 15
/** Two layers of tint before a lamp. */
const question = JSON.stringify({ lampCandela: 20_000, layers: [{ transmission: 0.8 }, { transmission: 0.5 }] })

export const commandLineSection: Section = {
  title: 'A question on the command line, ms of wall (least and median of fifteen, each a new process)',
  measure(say) {
    say('| command | least | median |')
    say('|---|--:|--:|')
    for (const [told, given] of [
      ['`node -e 0`, Node alone', ['-e', '0']],
      ['`cli light`', ['apps/cli/dist/main.js', 'light', '-']],
    ] as const) {
      const [least = 0, median = 0] = wall(given)
      say(`| ${told} | ${least.toFixed(0)} | ${median.toFixed(0)} |`)
    }
    say('')
    say(
      'Without `NODE_EXTRA_CA_CERTS`, as `./truelay cli` starts it: where that is set, Node reads certificates first.',
    )
  },
}

/** What `./truelay cli` hands on. */
const { NODE_EXTRA_CA_CERTS: _, ...env } = process.env

function wall(given: readonly string[]): [number, number] {
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    execFileSync(process.execPath, given, { input: question, stdio: ['pipe', 'ignore', 'inherit'], env })
    return performance.now() - began
  }).sort((a, b) => a - b)
  return [times[0] ?? 0, times[Math.floor(runs / 2)] ?? 0]
}
