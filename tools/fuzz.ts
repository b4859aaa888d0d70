import { DemoServer } from '../apps/server/src/testing/demoServer.ts'
import { fuzzRequests } from '../apps/server/src/testing/fuzzRequests.ts'
import { fuzzReaders } from '../packages/formats/src/testing/fuzzReaders.ts'

/** `./truelay fuzz MINUTES`: hostile files for half of the time, odd requests for the other half. Ends with 1 where anything was found. */
const minutes = Number(process.argv[2] ?? 2)
if (!(minutes > 0 && minutes <= 1440)) {
  process.stderr.write(`fuzz ${process.argv[2]}: name the minutes, from 1 to 1440\n`)
  process.exit(2)
}
const seed = Number(process.env.TRUELAY_FUZZ_SEED ?? Date.now() % 1e9)
const say = (words: string) => process.stdout.write(`${words}\n`)
say(`seed ${seed}`)

const { read, bad: badFiles } = await fuzzReaders(30 * minutes, seed)
for (const [kind, { all, taken, slowestMs }] of Object.entries(read))
  say(`${kind}: ${all} files, ${taken} read, ${all - taken} refused, slowest ${Math.round(slowestMs)} ms`)
for (const { kind, why, file } of badFiles) say(`BAD ${kind} ${file}: ${why.split('\n')[0]}`)

const demo = await new DemoServer().start()
const end = Date.now() + 30_000 * minutes
const statuses: Record<number, number> = {}
let asked = 0
let memory: readonly [number, number] = [0, 0]
const badRequests: unknown[] = []
while (Date.now() < end) {
  const part = await fuzzRequests(demo, 4000, seed + asked)
  for (const [status, many] of Object.entries(part.statuses))
    statuses[Number(status)] = (statuses[Number(status)] ?? 0) + many
  badRequests.push(...part.bad)
  memory = [memory[0] === 0 ? part.memoryMb[1] : memory[0], part.memoryMb[1]]
  asked += part.asked
}
await demo.end()
say(`requests: ${asked}, answered ${JSON.stringify(statuses)}, memory ${memory[0]} -> ${memory[1]} MB`)
for (const bad of badRequests.slice(0, 20)) say(`BAD ${JSON.stringify(bad).slice(0, 1000)}`)
process.exit(badFiles.length + badRequests.length > 0 ? 1 : 0)
