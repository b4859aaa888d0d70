import { dot2, nearestOnOutline, subtract, unit } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'
import { edgeAt } from '../fingerForecast.ts'
import type { FilmHandling } from '../handling/filmHandling.ts'
import type { Pull } from '../stretchPlan.ts'
import type { Rehearsal } from './orderTypes.ts'

const leastStretch = 0.004

/**
 * The pulls of a rehearsal as a stretch plan: those that lie next to the same edge and go the same way are one pull, as hard
 * as the hardest of them. Their order is that of the work.
 */
export function pullsOfRehearsal(
  surface: PartSurface,
  { steps }: Pick<Rehearsal, 'steps'>,
  film: FilmHandling,
): (Pull & { readonly steps: readonly number[] })[] {
  const pulls: (Omit<Pull, 'letter'> & { steps: number[] })[] = []
  steps.forEach((step, i) => {
    const { pull } = step
    if (pull === null || pull.stretch < leastStretch) return
    const edge = edgeAt(surface, pull.at)
    const { point } = nearestOnOutline(surface.outline.polygon, pull.at)
    const outward = unit(subtract(point, pull.at))
    const across = dot2(pull.direction, outward)
    const way = Math.abs(across) > 0.6 ? 'towards' : 'along'
    const sign = way === 'towards' && across < 0 ? -1 : 1
    const areaMm2 = surface.figures.areaMm2 * (step.laidShare - (steps[i - 1]?.laidShare ?? 0))
    const same = pulls.find((p) => p.edge === edge && p.way === way)
    const percent = 100 * pull.stretch
    if (same !== undefined && same.percent >= percent) {
      pulls[pulls.indexOf(same)] = { ...same, areaMm2: same.areaMm2 + areaMm2, steps: [...same.steps, step.number] }
      return
    }
    const found = {
      edge,
      at: pull.at,
      direction: [sign * pull.direction[0], sign * pull.direction[1]] as const,
      way,
      percent,
      areaMm2: areaMm2 + (same?.areaMm2 ?? 0),
      heat: pull.heat,
      glueLineRisk: pull.stretch > film.glueLineStretch,
      steps: [...(same?.steps ?? []), step.number],
    } as const
    if (same === undefined) pulls.push({ ...found, steps: [...found.steps] })
    else pulls[pulls.indexOf(same)] = { ...found, steps: [...found.steps] }
  })
  return pulls.slice(0, 26).map((pull, i) => ({ ...pull, letter: String.fromCharCode(65 + i) }))
}
