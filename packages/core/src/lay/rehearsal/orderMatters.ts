import type { PartSurface } from '../../form/index.ts'
import { boundsOf } from '../../geometry/index.ts'
import type { Rehearsal } from './orderTypes.ts'
import { type OrderPractice, orderDefaults } from './schools.ts'

/** Schools that differ by less than this share lie close together. */
const closeTogether = 0.35

/** Whether a part is shorter than a length, by the longer side of its box. */
export function isSmallPart({ outline }: Pick<PartSurface, 'outline'>, smallMm: number): boolean {
  const { min, max } = boundsOf(outline.polygon)
  return Math.max(max[0] - min[0], max[1] - min[1]) < smallMm
}

/**
 * Whether it changes much in which order a part is laid: on a large part always, on a small one where the best school is
 * clearly better than one in the middle.
 *
 * @param schools least trouble first
 */
export function orderMatters(
  surface: Pick<PartSurface, 'outline'>,
  schools: readonly Rehearsal[],
  { smallMm }: Pick<OrderPractice, 'smallMm'> = orderDefaults,
): boolean {
  if (!isSmallPart(surface, smallMm)) return true
  const [best, middle] = [schools[0], schools[Math.floor(schools.length / 2)]]
  if (best === undefined || middle === undefined) return true
  return middle.figures.trouble - best.figures.trouble > closeTogether * middle.figures.trouble
}
