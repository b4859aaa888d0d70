import { textOfDrawing } from '../drawing/index.ts'
import { readDxf } from '../dxf/index.ts'
import { readSvg } from '../svg/index.ts'
import { type PatternOptions, type PatternResult, patternFromDrawing } from './patternFromDrawing.ts'

/** A pattern from the bytes of a drawing. */
export function readPattern(kind: 'svg' | 'dxf', bytes: Uint8Array, options: PatternOptions): PatternResult {
  const text = textOfDrawing(kind, bytes)
  const drawing = kind === 'svg' ? readSvg(text) : readDxf(text)
  return drawing.ok ? patternFromDrawing(drawing.value, options) : { ...drawing, layers: [] }
}
