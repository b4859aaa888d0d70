import { readBundle } from '../bundle/index.ts'
import { readDxf } from '../dxf/index.ts'
import { stripJpeg } from '../jpeg/index.ts'
import { patternFromDrawing } from '../pattern/index.ts'
import type { FileResult } from '../result/index.ts'
import { readScan } from '../scan/index.ts'
import { readSvg } from '../svg/index.ts'

const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes)
const options = { name: 'piece', gapMm: 0.5, thinMm: 0.01 }

/** Every reader of files that come from outside, as the app uses it. */
export const readers = {
  svg(bytes) {
    const drawing = readSvg(text(bytes))
    return drawing.ok ? patternFromDrawing(drawing.value, options) : drawing
  },
  dxf(bytes) {
    const drawing = readDxf(text(bytes))
    return drawing.ok ? patternFromDrawing(drawing.value, options) : drawing
  },
  obj: (bytes) => readScan('obj', bytes, 1),
  stl: (bytes) => readScan('stl', bytes, 1),
  ply: (bytes) => readScan('ply', bytes, 1),
  bundle: (bytes) => readBundle(bytes),
  jpeg: (bytes) => stripJpeg(bytes),
} satisfies Record<string, (bytes: Uint8Array) => FileResult<unknown>>

export type ReaderName = keyof typeof readers
export const readerNames = Object.keys(readers) as ReaderName[]
