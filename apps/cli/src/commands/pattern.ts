import { practiceWith } from '@truelay/core/practice'
import { readPattern } from '@truelay/formats/pattern'
import { BadInput, numberOption, readBytes, valueOrBadInput } from '../input.ts'

/** `pattern FILE.svg|FILE.dxf [--mm-per-unit N]` */
export function pattern(file: string | undefined, options: Readonly<Record<string, string | undefined>>) {
  const kind = file?.toLowerCase().match(/\.(svg|dxf)$/)?.[1] as 'svg' | 'dxf' | undefined
  if (file !== undefined && kind === undefined)
    throw new BadInput(`${file}: neither an SVG nor a DXF; export the drawing as one of them`)
  const bytes = readBytes(file)
  const { patternGap, patternThin } = practiceWith()
  const given = options['mm-per-unit']
  const reading = valueOrBadInput(
    readPattern(kind ?? 'svg', bytes, {
      name: 'piece',
      gapMm: patternGap,
      thinMm: patternThin,
      ...(given === undefined ? {} : { mmPerUnit: numberOption(given, 'mm-per-unit', 1, 1e-6, 1e6) }),
    }),
  )
  const { pattern: piece, areaMm2, widthMm, heightMm, mmPerUnit, unitStated, understood, mended, layers } = reading
  return {
    areaMm2,
    widthMm,
    heightMm,
    cutOuts: piece.cutOuts.length,
    marks: piece.marks.length,
    mmPerUnit,
    unitStated,
    understood,
    mended,
    layers,
  }
}
