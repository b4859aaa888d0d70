import { createHash } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import fc from 'fast-check'
import { type HostileFile, hostileFile } from './hostileFiles.ts'
import { type ReaderName, readerNames } from './readAny.ts'

export interface Fuzzed {
  /** Files that were read, by reader: how many in all, and how many of them were taken. */
  readonly read: Readonly<Record<ReaderName, { all: number; taken: number; slowestMs: number }>>
  /** Files with which a reader threw, did not end, or filled memory; each is kept for a closer look. */
  readonly bad: readonly { readonly kind: ReaderName; readonly why: string; readonly file: string }[]
}

/** Three times as long as the app waits for a reader: longer over a file of a few MB is taken for endless, on a machine that is held up too. */
const mostMs = 60_000
const memoryMb = 768

interface Outcome {
  readonly ms: number
  readonly ok: boolean
  readonly fault: string | null
}

/** A thread that reads files, one at a time; one that does not come to an end is ended with it. */
class Reader {
  private worker: Worker | null = null
  private heard: (outcome: Outcome) => void = () => {}

  async read({ kind, bytes }: HostileFile): Promise<Outcome> {
    const worker = this.worker ?? (await this.start())
    const outcome = await new Promise<Outcome>((resolve) => {
      const timer = setTimeout(() => resolve({ ms: mostMs, ok: false, fault: 'it does not end' }), mostMs)
      this.heard = (told) => {
        clearTimeout(timer)
        resolve(told)
      }
      worker.postMessage({ kind, bytes })
    })
    if (outcome.fault !== null) await this.end()
    return outcome
  }

  private async start(): Promise<Worker> {
    const worker = new Worker(new URL('./readInThread.mjs', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: memoryMb },
      stdout: true,
      stderr: true,
    })
    this.worker = worker
    await new Promise((resolve) => worker.once('message', resolve))
    worker.on('message', (outcome: Outcome) => this.heard(outcome))
    worker.on('error', (error) => this.heard({ ms: 0, ok: false, fault: `the thread died: ${error}` }))
    return worker
  }

  async end(): Promise<void> {
    await this.worker?.terminate()
    this.worker = null
  }
}

/** Reads hostile files of every kind for some seconds. */
export async function fuzzReaders(seconds: number, seed: number): Promise<Fuzzed> {
  const read = Object.fromEntries(readerNames.map((kind) => [kind, { all: 0, taken: 0, slowestMs: 0 }])) as Record<
    ReaderName,
    { all: number; taken: number; slowestMs: number }
  >
  const bad: Fuzzed['bad'][number][] = []
  const end = Date.now() + 1000 * seconds
  const reader = new Reader()
  for (let round = 0; Date.now() < end; round++) {
    const kind = readerNames[round % readerNames.length] ?? 'svg'
    for (const hostile of fc.sample(hostileFile(kind), { numRuns: 20, seed: seed + round })) {
      const { ms, ok, fault } = await reader.read(hostile)
      const so = read[kind]
      so.all++
      if (ok) so.taken++
      so.slowestMs = Math.max(so.slowestMs, ms)
      if (fault === null) continue
      const name = createHash('sha256').update(hostile.bytes).digest('hex').slice(0, 12)
      const file = join(tmpdir(), `hostile-${name}.${kind}`)
      writeFileSync(file, hostile.bytes)
      bad.push({ kind, why: fault, file })
    }
  }
  await reader.end()
  return { read, bad }
}
