import type { Piece } from '@truelay/contract'
import { boundsOf } from '@truelay/core/geometry'
import { figure, length, name, say, type Sentence } from '@truelay/core/say'
import type { PatternReading } from '@truelay/formats/pattern'

const units = [
  [1, say`millimetres`],
  [10, say`centimetres`],
  [25.4, say`inches`],
  [25.4 / 96, say`pixels`],
] as const
/** Pieces of the same part differ by no more, share. */
const alike = 0.12

/** Whether the size is that of the piece which the shelf has for this part; a wrong unit shows at once. */
export function sizeWords(reading: Pick<PatternReading, 'widthMm' | 'heightMm' | 'mmPerUnit'>, known: Piece): Sentence {
  const { min, max } = boundsOf(known.pattern.outline)
  const wanted = Math.hypot(max[0] - min[0], max[1] - min[1])
  const ratio = Math.hypot(reading.widthMm, reading.heightMm) / wanted
  if (Math.abs(ratio - 1) < alike) return say`About the size of ${name(known.name)} on the shelf.`
  const unit = units.find(([mm]) => Math.abs((ratio * mm) / reading.mmPerUnit - 1) < alike)
  if (unit !== undefined)
    return say`This part wants about ${length(wanted, 0)} across: the drawing seems to be in ${unit[1]}.`
  return say`The piece of this part on the shelf is ${figure(1 / ratio, 2)} times as large.`
}
