import { readBundle } from '@truelay/formats/bundle'
import { readDxf } from '@truelay/formats/dxf'
import { type PatternOptions, patternFromDrawing } from '@truelay/formats/pattern'
import { readScan, type ScanKind } from '@truelay/formats/scan'
import { readSvg } from '@truelay/formats/svg'
import { expose } from 'comlink'

/** Carries messages; the files are read by the formats. */
const formatsWorker = {
  /** A pattern from the text of an SVG or DXF file. */
  pattern(kind: 'svg' | 'dxf', text: string, options: PatternOptions) {
    const drawing = kind === 'svg' ? readSvg(text) : readDxf(text)
    return drawing.ok ? patternFromDrawing(drawing.value, options) : drawing
  },
  bundle: (bytes: Uint8Array) => readBundle(bytes),
  scan: (kind: ScanKind, bytes: Uint8Array, toMm: number) => readScan(kind, bytes, toMm),
}

export type FormatsWorker = typeof formatsWorker
expose(formatsWorker)
