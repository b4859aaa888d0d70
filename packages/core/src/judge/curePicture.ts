import { boundsOf, lerp, nearestOnOutline, scale, subtract, unit, add, type Vec2 } from '../geometry/index.ts'
import type { PictureMark, PlanDrawing, StepPicture } from '../plan/index.ts'
import type { CureStepId } from './cureStepIds.ts'

/** So much of the part's longer side is shown to each side of the place. */
const nearShare = 0.24
const zoneShare = 0.06

/** The place on the part with what the hand does there; the whole part with its edge where the place is not known closer. */
export function curePicture(
  drawing: PlanDrawing,
  place: { readonly at: Vec2 | null; readonly edge: string | null },
  steps: readonly CureStepId[],
): StepPicture {
  const { min, max } = boundsOf(drawing.part)
  const size = Math.max(max[0] - min[0], max[1] - min[1])
  const line = drawing.edges.find(({ name }) => name === place.edge)?.line
  const at = place.at ?? line?.[Math.floor(line.length / 2)] ?? null
  if (at === null) return { film: 'laid', marks: [] }
  const marks: PictureMark[] = [{ kind: 'zone', at, radiusMm: zoneShare * size }]
  if (place.edge !== null) marks.unshift({ kind: 'edge', edge: place.edge })
  const rim = nearestOnOutline(drawing.part, at)
  const inward = unit(subtract(lerp(min, max, 0.5), rim.point))
  if (steps.includes('pull out'))
    marks.push({ kind: 'pull', from: at, to: add(rim.point, scale(inward, -0.12 * size)) })
  else if (steps.includes('firm pass') || steps.includes('press dry'))
    marks.push({ kind: 'stroke', from: add(rim.point, scale(inward, 0.2 * size)), to: rim.point })
  return { film: 'laid', middle: at, radiusMm: nearShare * size, marks }
}
