import { spawn } from 'node:child_process'
import { constants, setPriority } from 'node:os'
import type { Readable, Writable } from 'node:stream'
import type { DayAsked, DayReckoned } from './reckonDay.ts'

/** Reckons a day in a process of its own, as it would hold up every tablet for seconds. */
export function reckonByChild(asked: DayAsked): Promise<DayReckoned | null> {
  const [, program = ''] = process.argv
  const child = spawn(process.execPath, [...process.execArgv, program, '--reckon-day'], {
    stdio: ['pipe', 'pipe', 'inherit'],
  })
  yieldTo(child.pid)
  return new Promise((resolve, reject) => {
    const pieces: Buffer[] = []
    child.stdout.on('data', (piece: Buffer) => pieces.push(piece))
    child.on('error', reject)
    child.on('close', (code) => {
      if (code !== 0) return reject(new Error(`the plan of the day ended with ${code}`))
      resolve(JSON.parse(Buffer.concat(pieces).toString('utf8')) as DayReckoned | null)
    })
    child.stdin.on('error', reject)
    child.stdin.end(JSON.stringify(asked))
  })
}

/** Whoever works at a tablet goes first. Where a system does not let it, or it has ended already, it stays as it is. */
function yieldTo(pid: number | undefined): void {
  try {
    if (pid !== undefined) setPriority(pid, constants.priority.PRIORITY_LOW)
  } catch {}
}

/**
 * The other end of it: a day comes in, its plan goes out.
 * Gives the exit code: 1 where the server ended meanwhile, as half a day comes then or nobody takes the answer.
 */
export async function answerReckoning(
  reckon: (asked: DayAsked) => DayReckoned | null,
  { input, output }: { input: Readable; output: Writable },
): Promise<0 | 1> {
  const pieces: Buffer[] = []
  for await (const piece of input) pieces.push(piece as Buffer)
  const asked = wholeDay(Buffer.concat(pieces).toString('utf8'))
  if (asked === null) return 1
  return new Promise((resolve) => {
    output.once('error', () => resolve(1))
    output.write(JSON.stringify(reckon(asked)), (error) => resolve(error ? 1 : 0))
  })
}

/** Null where the server ended while it asked: what came is half a day, and nobody waits for an answer. */
function wholeDay(text: string): DayAsked | null {
  try {
    return JSON.parse(text) as DayAsked
  } catch {
    return null
  }
}
