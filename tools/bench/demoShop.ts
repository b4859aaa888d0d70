import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'

/** A demo shop from a built state in an empty data folder, for as long as the work takes. */
export async function withDemoShop<T>(work: (url: string, startedMs: number) => Promise<T>): Promise<T> {
  const data = mkdtempSync(join(tmpdir(), 'truelay-bench-'))
  const url = 'http://localhost:4689'
  const began = performance.now()
  const server = spawn(process.execPath, ['apps/server/dist/main.js', '--demo'], {
    env: { ...process.env, PORT: '4689', TRUELAY_DATA: data, TRUELAY_LOG: 'error' },
    stdio: 'ignore',
  })
  try {
    while (!(await fetch(`${url}/api/bay`).catch(() => null))?.ok) {
      if (performance.now() - began > 20_000) throw new Error('the server did not start')
      await new Promise((resolve) => setTimeout(resolve, 20))
    }
    return await work(url, performance.now() - began)
  } finally {
    server.kill()
    rmSync(data, { recursive: true, force: true })
  }
}
