import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bay, jobBundle, type PartId, partPlan, partQuestionOf } from '@truelay/contract'
import { anyDay, climb, type PartPlan } from '@truelay/core/plan'
import { seededRandom } from '@truelay/core/numerics'
import { SoakServer } from './soakServer.ts'
import { SoakTablet } from './soakTablet.ts'

/**
 * `./truelay soak [MINUTES] [TABLETS]`: tablets that fit, listen and ask, on a year of a busy shop.
 * `./truelay soak kills [TIMES]`: a server that is killed at random while tablets fit, and started again.
 */
const [first = '10', second] = process.argv.slice(2)
const say = (words: string) => process.stdout.write(`${words}\n`)
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
const chance = seededRandom(Number(process.env.TRUELAY_SOAK_SEED ?? 11))
const folder = mkdtempSync(join(tmpdir(), 'truelay-soak-'))

async function get(server: SoakServer, path: string): Promise<unknown> {
  return (await fetch(`${server.url}${path}`)).json()
}

/** A plan of the demo shop, and parts that nobody has begun. */
async function material(server: SoakServer, howMany: number): Promise<{ plan: PartPlan; partIds: PartId[] }> {
  const { jobs } = bay.parse(await get(server, '/api/bay'))
  const bundle = jobBundle.parse(await get(server, '/api/jobs/0412'))
  const [part] = bundle.parts
  const question = part === undefined ? null : partQuestionOf(bundle, part)
  const climbed = question === null ? null : climb(question, anyDay, { triangles: 300 })
  if (climbed?.ok !== true) throw new Error('the bonnet of the demo shop cannot be planned')
  const waiting = jobs.flatMap(({ parts }) => parts.filter((p) => p.state === 'waiting').map((p) => p.partId))
  return { plan: partPlan.parse(climbed.value.plan), partIds: waiting.slice(0, howMany) }
}

const share = (all: readonly number[], q: number) =>
  [...all].sort((a, b) => a - b)[Math.floor(q * (all.length - 1))] ?? 0

async function judge(tablets: readonly SoakTablet[], server: SoakServer): Promise<number> {
  const all = await Promise.all(tablets.map((tablet) => tablet.faults()))
  const sum = (key: 'lost' | 'doubled' | 'outOfOrder') => all.reduce((n, f) => n + f[key], 0)
  const confirmed = tablets.reduce((n, t) => n + t.confirmed.length, 0)
  const errors = tablets.flatMap((t) => t.errors)
  const bench = (await get(server, '/api/liquids')) as { batches: { id: string }[] }
  const bottles = new Set(bench.batches.map((b) => b.id))
  const half = tablets.reduce((n, t) => n + t.missingBottles(bottles), 0)
  say(
    `${confirmed} confirmed events: ${sum('lost')} lost, ${sum('doubled')} doubled, ${sum('outOfOrder')} out of order, ${half} bottles without their event's write`,
  )
  say(`${errors.length} errors of tablets, ${server.faults.length} faults told by the server`)
  for (const line of [...errors, ...server.faults].slice(0, 10)) say(`  ${line}`)
  return sum('lost') + sum('doubled') + sum('outOfOrder') + half + errors.length + server.faults.length
}

async function soak(minutes: number, howMany: number): Promise<number> {
  const year = process.env.TRUELAY_YEAR ?? 'data/demo-year'
  if (existsSync(join(year, 'truelay.sqlite'))) cpSync(year, folder, { recursive: true })
  const server = new SoakServer(folder, ['--demo', '--year'])
  await server.start()
  const { plan, partIds } = await material(server, howMany)
  const tablets = partIds.map((id) => new SoakTablet(() => server.url, id, plan))
  const stop = new AbortController()
  for (const tablet of tablets) {
    await tablet.open()
    void tablet.listen(stop.signal)
  }
  server.times.clear()
  const end = Date.now() + 60_000 * minutes
  const memory: number[] = []
  const watch = setInterval(() => memory.push(server.memoryMb()), 5000)
  await Promise.all(
    tablets.map(async (tablet) => {
      while (Date.now() < end) {
        await pause(2000 + 6000 * chance())
        tablet.press(chance())
        await tablet.send()
      }
      await tablet.settle()
    }),
  )
  clearInterval(watch)
  stop.abort()
  say(`${tablets.length} tablets for ${minutes} minutes`)
  for (const [what, times] of server.times)
    if (times.length > 50)
      say(`  ${what}: ${times.length} times, median ${share(times, 0.5)} ms, 99 % within ${share(times, 0.99)} ms`)
  const third = Math.max(1, Math.floor(memory.length / 3))
  const mean = (all: readonly number[]) => Math.round(all.reduce((a, b) => a + b, 0) / Math.max(1, all.length))
  say(`  memory: first third ${mean(memory.slice(0, third))} MB, last third ${mean(memory.slice(-third))} MB`)
  const faults = await judge(tablets, server)
  await server.end('SIGTERM')
  return faults
}

async function kills(times: number): Promise<number> {
  const server = new SoakServer(folder)
  await server.start()
  const { plan, partIds } = await material(server, 8)
  const tablets = partIds.map((id) => new SoakTablet(() => server.url, id, plan))
  for (const tablet of tablets) await tablet.open()
  let done = false
  const work = tablets.map(async (tablet) => {
    while (!done) {
      tablet.press(chance())
      if (!(await tablet.send())) await pause(20)
      else await pause(5 * chance())
    }
    await tablet.settle()
  })
  for (let n = 0; n < times; n++) {
    await pause(50 + 400 * chance())
    await server.end('SIGKILL')
    await server.start()
  }
  done = true
  await Promise.all(work)
  say(`${times} kills at random while ${tablets.length} tablets fitted`)
  const faults = await judge(tablets, server)
  await server.end('SIGTERM')
  return faults
}

const faults = first === 'kills' ? await kills(Number(second ?? 200)) : await soak(Number(first), Number(second ?? 50))
rmSync(folder, { recursive: true, force: true })
process.exit(faults > 0 ? 1 : 0)
