import type { Vec2 } from '@truelay/core/geometry'
import type { Cut } from './cutFile.ts'

/** Steps of a plotter to the millimetre. */
export const stepsPerMm = 40

const at = ([x, y]: Vec2) => `${Math.round(x * stepsPerMm)},${Math.round(y * stepsPerMm)}`

/** A cut as HPGL: one tool, lines in the order of cutting, no speed and no pressure: those are set at the machine. The roll's end is fed out last. */
export function hpglOfCut({ lengthMm, lines }: Cut): string {
  const cuts = lines.flatMap(({ line: [first, ...rest] }) =>
    first === undefined || rest.length === 0 ? [] : [`PU${at(first)};`, `PD${rest.map(at).join(',')};`],
  )
  return ['IN;', 'PA;', 'SP1;', ...cuts, `PU${at([lengthMm, 0])};`, 'SP0;', ''].join('\n')
}
