import { readBundle } from '../bundle/index.ts'
import { stripJpeg } from '../jpeg/index.ts'
import { readPattern } from '../pattern/index.ts'
import type { FileResult } from '../result/index.ts'
import { readScan } from '../scan/index.ts'

const options = { name: 'piece', gapMm: 0.5, thinMm: 0.01 }

/** Every reader of files that come from outside, as the app uses it. */
export const readers = {
  svg: (bytes) => readPattern('svg', bytes, options),
  dxf: (bytes) => readPattern('dxf', bytes, options),
  obj: (bytes) => readScan('obj', bytes, 1),
  stl: (bytes) => readScan('stl', bytes, 1),
  ply: (bytes) => readScan('ply', bytes, 1),
  bundle: (bytes) => readBundle(bytes),
  jpeg: (bytes) => stripJpeg(bytes),
} satisfies Record<string, (bytes: Uint8Array) => FileResult<unknown>>

export type ReaderName = keyof typeof readers
export const readerNames = Object.keys(readers) as ReaderName[]
