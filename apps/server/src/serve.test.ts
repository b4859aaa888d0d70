import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { lockFolder } from './database/lockFolder.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-serve-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** A server of its own in that folder, from its sources; ready once it says where it is found. */
async function started(port: number) {
  // No process between it and the test, which would give up on it where the machine is busy.
  const child = spawn(process.execPath, ['--import', 'tsx', at('./main.ts')], {
    cwd: at('../../..'),
    env: { ...process.env, PORT: String(port), TRUELAY_DATA: folder, TRUELAY_LOG: 'warn' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const ended = new Promise<number | null>((resolve) => child.on('exit', (code) => resolve(code)))
  await new Promise<void>((resolve, reject) => {
    const hear = (chunk: Buffer) => {
      said += chunk
      if (said.includes(`:${port}`)) resolve()
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    void ended.then(() => reject(new Error(`ended before it was ready: ${said}`)))
  })
  return { child, ended }
}

describe('a server that is told to stop', () => {
  test.each([
    ['SIGINT', 47391],
    ['SIGTERM', 47392],
  ] as const)('%s: it ends by itself, well, and leaves its folder free for the next', async (signal, port) => {
    const first = await started(port)
    expect((await fetch(`http://127.0.0.1:${port}/api/who`)).status).toBeLessThan(500)
    first.child.kill(signal)
    expect(await first.ended).toBe(0)
    const next = await lockFolder(folder)
    next.release()
  })
})
