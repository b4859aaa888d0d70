import { readBundle } from '@truelay/formats/bundle'
import { type PatternOptions, readPattern } from '@truelay/formats/pattern'
import { readScan, type ScanKind } from '@truelay/formats/scan'
import { expose } from 'comlink'

/** Carries messages; the files are read by the formats. */
const formatsWorker = {
  pattern: (kind: 'svg' | 'dxf', bytes: Uint8Array, options: PatternOptions) => readPattern(kind, bytes, options),
  bundle: (bytes: Uint8Array) => readBundle(bytes),
  scan: (kind: ScanKind, bytes: Uint8Array, toMm: number) => readScan(kind, bytes, toMm),
}

export type FormatsWorker = typeof formatsWorker
expose(formatsWorker)
