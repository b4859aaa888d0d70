import type { EdgeCode, FormEdge } from '../form/index.ts'
import { angle, name, say, type Sentence } from '../say/index.ts'
import { readBehind } from './behind.ts'

/** From this turn on film that runs over a lip has nothing to lie on. */
const sharpLipDeg = 70

/** Why an edge, or an opening, cannot end so, whatever a hand can do; null where it can. A doubt is no refusal. */
export function endRefused(
  edge: Pick<FormEdge, 'label'> & Partial<Pick<FormEdge, 'lip' | 'behind'>>,
  code: EdgeCode,
): Sentence | null {
  const { lip } = edge
  const label = name(edge.label)
  if (code === 'lip-stop' && lip === undefined) return say`The ${label} has no lip to stop on: stop short there.`
  const passes = code === 'wrap' || code === 'tuck' || code === 'overlap'
  if (passes && lip !== undefined && lip.turnDeg >= sharpLipDeg)
    return say`The ${label} turns away by ${angle(lip.turnDeg)}: film past its crest lifts. Stop on the crest.`
  if (code === 'wrap' && readBehind(edge.behind).kind === 'nothing')
    return say`There is nothing behind the ${label} for a wrap to hold on to: end it clean at the edge.`
  return null
}
