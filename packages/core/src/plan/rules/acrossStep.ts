import { atStart, length, list, paragraph, percent, say, temperature } from '../../say/index.ts'
import { scale, subtract, unit } from '../../geometry/index.ts'
import type { PlanContext } from '../planContext.ts'
import { holdAt } from './pullStep.ts'
import { heated } from './heatOf.ts'
import { type StepDraft, wholePart } from './rule.ts'

/** The end of a lamp where nothing stretches: two corners and a hinge, from which one pull goes over the bulge. */
export function innerCornersStep(c: PlanContext): StepDraft {
  const corners = c.anchors.slice(0, 2)
  return {
    id: 'inner-corners',
    phase: 'lay',
    headline: say`Two corners first, at the flat end`,
    detail: say`${atStart(say`${list(corners.map((a) => a.label))}`)}: just over the edge at both. Hold the rest over the lamp: does it reach all the way? Then press ${length(c.practice.hingeWidth)} down as a hinge; all else stays free.`,
    why: say`Nothing stretches at this end: from here one pull goes over the bulge.`,
    minutes: c.practice.takesTwoCorners,
    tools: ['felt squeegee', 'dry gloves'],
    references: corners.map(({ number }) => ({ kind: 'anchor', number })),
    laidUpTo: corners.length,
    within: [
      {
        since: 'peel',
        mostMinutes: c.practice.mostPeelToLayDry,
        says: say`the adhesive has gathered dust: look it over against a light`,
      },
    ],
    picture: wholePart('floating', [
      ...corners.map(({ number, at }) => ({ kind: 'anchor' as const, number, at })),
      ...corners.map(({ at }) => ({ kind: 'zone' as const, at, radiusMm: 0.5 * c.practice.hingeWidth })),
    ]),
  }
}

/** The one pull: how far, and where the hands hold. */
export function acrossStep(c: PlanContext, across: NonNullable<PlanContext['across']>): StepDraft {
  const heat = heated(c, 'soften')
  const ends = [c.toFlat(across.from), c.toFlat(across.to)] as const
  const way = unit(subtract(ends[1], ends[0]))
  // The hands are on the bleed, beyond the part.
  const [from, to] = [holdAt(c, ends[0], scale(way, -1)), holdAt(c, ends[1], way)]
  const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const
  const further = length(across.mm, 0)
  return {
    id: 'pull-across',
    phase: 'lay',
    headline: say`One pull across: ${further}`,
    detail: paragraph(
      say`Warm the whole bulge, broad and moving, ${temperature(c.practice.heatSoften)}. A hand on the bleed at each end, ${further} longer (${percent(across.percent, 1)}), a little past it; it takes back ${percent(100 * c.film.handling.recovery)} of that when it is let go cold.`,
      say`Cool two seconds, then lay a line from hand to hand through the middle.`,
    ),
    why: say`Drawn once from end to end it lies over the bulge; many small pulls leave many small lines.`,
    minutes: c.practice.takesPullAcross,
    ...heat,
    tools: [...heat.tools, 'infra-red thermometer', 'felt squeegee'],
    references: c.pulls.map(({ letter }) => ({ kind: 'pull', letter })),
    picture: wholePart('floating', [
      { kind: 'pull', from: middle, to: from, text: say`${further}` },
      { kind: 'pull', from: middle, to },
      { kind: 'hand', at: from },
      { kind: 'hand', at: to },
    ]),
  }
}
