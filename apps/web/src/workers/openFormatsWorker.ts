import type { TriangleMesh } from '@truelay/core/geometry'
import type { Bundle } from '@truelay/formats/bundle'
import type { PatternOptions, PatternResult } from '@truelay/formats/pattern'
import type { ScanKind } from '@truelay/formats/scan'
import type { FileResult } from '@truelay/formats/result'
import { say, seconds } from '@truelay/core/say'
import { wrap } from 'comlink'
import type { FormatsWorker } from './formats.worker.ts'

const patienceMs = 20_000
/** A scan of a whole bumper has a million triangles. */
const scanPatienceMs = 60_000
const tooLong = (patienceMs: number) => ({
  ok: false as const,
  failure: {
    code: 'FILE_TOO_SLOW',
    sentence: say`This file takes longer than ${seconds(patienceMs / 1000)} to read.`,
    fix: say`Export less of it.`,
  },
})

/** Reads one file in a worker of its own, which ends with it: a hostile file can only waste its own time. */
async function once<T>(
  work: (remote: ReturnType<typeof wrap<FormatsWorker>>) => Promise<FileResult<T>>,
  patience = patienceMs,
): Promise<FileResult<T>> {
  const worker = new Worker(new URL('./formats.worker.ts', import.meta.url), { type: 'module' })
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<FileResult<T>>((resolve) => {
    timer = setTimeout(() => resolve(tooLong(patience)), patience)
    worker.onerror = () => resolve(tooLong(patience))
  })
  try {
    return await Promise.race([work(wrap<FormatsWorker>(worker)), late])
  } finally {
    clearTimeout(timer)
    worker.terminate()
  }
}

export async function readPatternFile(
  kind: 'svg' | 'dxf',
  bytes: Uint8Array,
  options: PatternOptions,
): Promise<PatternResult> {
  const result = await once<PatternResult>(async (remote) => ({
    ok: true,
    value: await remote.pattern(kind, bytes, options),
  }))
  return result.ok ? result.value : { ...result, layers: [] }
}

export const readBundleFile = (bytes: Uint8Array) =>
  once<Bundle>((remote) => remote.bundle(bytes) as Promise<FileResult<Bundle>>)

export const readScanFile = (kind: ScanKind, bytes: Uint8Array, toMm: number) =>
  once<TriangleMesh>((remote) => remote.scan(kind, bytes, toMm) as Promise<FileResult<TriangleMesh>>, scanPatienceMs)
