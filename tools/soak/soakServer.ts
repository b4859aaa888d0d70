import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { createInterface } from 'node:readline'

/** The built server as a process of its own, on a folder that stays. */
export class SoakServer {
  private running: ChildProcess | null = null
  url = ''
  /** The server's own time over each request, ms, by method and kind of address. */
  readonly times = new Map<string, number[]>()
  /** Requests that it answered as its own fault. */
  readonly faults: string[] = []

  constructor(
    readonly folder: string,
    private readonly flags: readonly string[] = ['--demo'],
  ) {}

  async start(): Promise<void> {
    const port = await freePort()
    this.url = `http://127.0.0.1:${port}`
    const child = spawn(process.execPath, ['apps/server/dist/main.js', ...this.flags], {
      env: { ...process.env, PORT: String(port), TRUELAY_DATA: this.folder, TRUELAY_LOG: 'info' },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    this.running = child
    createInterface({ input: child.stderr }).on('line', (line) => this.note(line))
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (text: Buffer) => String(text).includes('ready') && resolve())
      child.once('exit', (code, signal) => reject(new Error(`the server ended before it was ready: ${code ?? signal}`)))
    })
  }

  private note(line: string): void {
    const told = parsed(line)
    if (told?.msg !== 'request') {
      if (told === null || (typeof told.level === 'number' && told.level >= 50)) this.faults.push(line.slice(0, 400))
      return
    }
    const key = `${told.method} ${String(told.path).replace(/\/(parts|jobs|batches|photos)\/[^/]+/, '/$1/…')}`
    const times = this.times.get(key) ?? []
    times.push(Number(told.ms))
    this.times.set(key, times)
  }

  /** Resident memory, MB. */
  memoryMb(): number {
    const pages = Number(readFileSync(`/proc/${this.running?.pid}/statm`, 'utf8').split(' ')[1])
    return Math.round((pages * 4096) / 1e6)
  }

  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.running
    if (child === null || child.exitCode !== null || child.signalCode !== null) return
    await new Promise((resolve) => {
      child.once('exit', resolve)
      child.kill(signal)
    })
  }
}

function parsed(line: string): Record<string, unknown> | null {
  try {
    return JSON.parse(line)
  } catch {
    return null
  }
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => resolve(typeof address === 'object' && address !== null ? address.port : 0))
    })
  })
