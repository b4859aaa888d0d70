import { boundsOf, centroid, distance } from '../../geometry/index.ts'
import { stretchInto } from '../../lay/index.ts'
import { length, list, name, paragraph, percent, say } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import { heated } from './heatOf.ts'
import { barsHeat, isLens, isTrim, isWet, type PlanRule, type StepDraft, wholePart } from './rule.ts'

type Raised = NonNullable<PlanContext['form']['raised']>[number]

const raisedOf = (c: PlanContext): readonly Raised[] => c.form.raised ?? []

const widthOf = ({ outline }: Raised) => {
  const { min, max } = boundsOf(outline)
  return Math.min(max[0] - min[0], max[1] - min[1])
}

/** How much longer the way over something raised is than the way past it, as a share. */
const stretchOver = (raised: Raised) =>
  stretchInto({ widthMm: widthOf(raised), depthMm: raised.heightMm, wallDeg: raised.wallDeg })

/** Raised places of dry trim take their film first, while there is some to take. */
export const raisedFirstRule: PlanRule = {
  name: 'raised places of trim before its flats',
  when: (c) => isTrim(c) && raisedOf(c).length > 0,
  steps: (c) => {
    const heat = isWet(c) || barsHeat(c) ? null : heated(c, 'soften')
    return [
      {
        id: 'raised',
        phase: 'lay',
        headline: say`Raised places first, flats last`,
        detail: paragraph(
          say`Down on the top of each, then along its walls with the thin tool; the flat on both sides stays off until they lie.`,
          say`More film than the flat: ${list(raisedOf(c).map((r) => say`${name(r.name)} ${length(stretchOver(r) * widthOf(r), 1)}`))}.`,
        ),
        why: say`What stands up takes the most film: it takes it while there is some.`,
        minutes: raisedOf(c).length * c.practice.takesRaised,
        ...heat,
        tools: [...(heat?.tools ?? []), 'thin tool', 'felt squeegee'],
        picture: wholePart(
          'floating',
          raisedOf(c).map((r) => zoneOf(c, r)),
        ),
      },
    ]
  },
}

const zoneOf = (c: PlanContext, raised: Raised) => {
  const { min, max } = boundsOf(raised.outline)
  return {
    kind: 'zone' as const,
    at: c.toFlat(centroid(raised.outline)),
    radiusMm: 0.5 * Math.max(max[0] - min[0], max[1] - min[1]),
    text: say`first`,
  }
}

/** The edge at which the film was brought to the line of its neighbour, in the film plane; empty where there is none. */
function lineBroughtTo({ form, drawing }: PlanContext) {
  const lined = form.edges.find((edge) => edge.line !== undefined)?.name
  return drawing.edges.find((edge) => edge.name === lined)?.line ?? []
}

/** Humps of a lamp, one at a time, from the line that the neighbour gives outward, else from the place where film is fixed. */
export const humpsRule: PlanRule = {
  name: 'humps of a lamp, one at a time',
  when: (c) => isLens(c) && raisedOf(c).length > 0,
  steps: (c) => {
    const line = lineBroughtTo(c)
    const from = line.length > 0 ? line : c.anchors.slice(0, 1).map((anchor) => anchor.at)
    const away = (r: Raised) => Math.min(...from.map((at) => distance(c.toFlat(centroid(r.outline)), at)))
    return [...raisedOf(c)]
      .sort((a, b) => away(a) - away(b))
      .map((hump, i, all) => humpStep(c, hump, i + 1, all.length))
  },
}

function humpStep(c: PlanContext, hump: Raised, number: number, of: number): StepDraft {
  const share = stretchOver(hump)
  const more = length(share * widthOf(hump), 1)
  const heat = barsHeat(c) ? null : heated(c, 'soften')
  const at = c.toFlat(centroid(hump.outline))
  return {
    id: `hump-${number}`,
    phase: 'lay',
    headline: say`Hump: ${name(hump.name)}, ${more} to draw`,
    detail: paragraph(
      say`${length(c.practice.humpStep)} at a time, by the bleed: ${more} more than past it (${percent(100 * share, 1)}).`,
      heat === null
        ? say`Cold, as far as it gives.`
        : say`Warm it one or two seconds a pass, press with a finger, then the card.`,
      isWet(c)
        ? say`Where it went wrong: peel, mist, warm and go on at once.`
        : say`Where it went wrong: peel, warm and go on at once.`,
    ),
    why:
      number === 1 && of > 1
        ? say`One after the other: film that is drawn over two at once is short over both. Half-way it looks spoilt, and is not.`
        : say`Half-way it looks spoilt, and is not: the next length takes the crease along.`,
    minutes: c.practice.takesHump,
    ...heat,
    tools: [...(heat?.tools ?? []), 'felt squeegee'],
    liquids: isWet(c) ? ['slip on the face'] : [],
    picture: {
      film: 'floating',
      middle: at,
      radiusMm: Math.max(60, 1.6 * zoneOf(c, hump).radiusMm),
      marks: [{ ...zoneOf(c, hump), text: say`${more}` }],
    },
    ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
  }
}
