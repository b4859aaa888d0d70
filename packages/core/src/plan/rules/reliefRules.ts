import { nearestOnOutline, distance, type Vec2 } from '../../geometry/index.ts'
import { obstacleWords } from '../../form/index.ts'
import { length, name, paragraph, say, type Sentence } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { caution, edgeName, fromRoll, isWet, type PlanRule, type StepDraft } from './rule.ts'

type Obstacle = NonNullable<PlanContext['form']['obstacles']>[number]

/** A relief cut: how deep from the rim of the film, in its stages, and at which places along the edge. */
export interface ReliefPlan {
  readonly obstacle: Obstacle
  readonly edge: string
  readonly wholeMm: number
  readonly stagesMm: readonly [number, number]
  /** In the film plane. */
  readonly at: readonly Vec2[]
}

/** From the rim of the film to the obstacle: what passes the edge, and as far as the obstacle stands in. */
export function reliefsOf(c: PlanContext): ReliefPlan[] {
  return (c.form.obstacles ?? []).map((obstacle) => {
    const on = c.toFlat(obstacle.at)
    const { edge, way } = edgeNear(c, on)
    const rule = c.edges.find((e) => e.name === edge)?.rule
    const overMm = fromRoll(c) && c.cut.sheet !== null ? c.cut.sheet.allowanceMm : passes(rule)
    const wholeMm = overMm + obstacle.reachMm
    const firstMm = (c.practice.reliefFirst / 100) * wholeMm
    const half = 0.5 * obstacle.widthMm
    const sides: Vec2[] =
      obstacle.kind === 'neighbour stands proud'
        ? [on]
        : [
            [on[0] - half * way[0], on[1] - half * way[1]],
            [on[0] + half * way[0], on[1] + half * way[1]],
          ]
    return { obstacle, edge, wholeMm, stagesMm: [firstMm, wholeMm - firstMm], at: sides }
  })
}

const passes = (rule: { readonly minMm: number; readonly maxMm: number } | undefined) =>
  rule === undefined ? 0 : Math.max(0, -(rule.minMm + rule.maxMm) / 2)

/** The edge of the part at a place, and the way it runs there. */
function edgeNear(c: PlanContext, at: Vec2): { readonly edge: string; readonly way: Vec2 } {
  let best = { edge: '', way: [1, 0] as Vec2, mm: Number.POSITIVE_INFINITY }
  for (const { name: edge, line } of c.drawing.edges)
    line.slice(1).forEach((to, i) => {
      const from = line[i] ?? to
      const { distanceMm } = nearestOnOutline([from, to], at)
      const long = distance(from, to)
      if (distanceMm < best.mm && long > 1e-9)
        best = { edge, mm: distanceMm, way: [(to[0] - from[0]) / long, (to[1] - from[1]) / long] }
    })
  return best
}

export const reliefRule: PlanRule = {
  name: 'relief where something stands in the way',
  when: (c) => (c.form.obstacles ?? []).length > 0,
  steps: (c) => reliefsOf(c).map((relief, i) => reliefStep(c, relief, i + 1)),
}

function reliefStep(c: PlanContext, relief: ReliefPlan, number: number): StepDraft {
  const { obstacle, edge, stagesMm, at } = relief
  const [first, rest] = [whole(stagesMm[0]), whole(stagesMm[1])]
  const marks: PictureMark[] = at.flatMap((spot): PictureMark[] => [
    { kind: 'zone', at: spot, radiusMm: 5 },
    {
      kind: 'sweep',
      from: outside(c, spot, relief.wholeMm),
      to: spot,
      ...(spot === at[0] ? { text: say`${length(relief.wholeMm, 0)}` } : {}),
    },
  ])
  return {
    id: `relief-${number}`,
    phase: 'lay',
    headline: say`Relief at the ${name(obstacle.name)}: ${first}, then ${rest}`,
    detail: paragraph(howMany(c, relief), stagesWords(c, relief)),
    why: say`The ${obstacleWords[obstacle.kind]} holds the film off: left whole it tents, and cut all at once it tears past the place.`,
    minutes: 3 * at.length,
    tools: ['knife', 'thin tool', 'sharps box'],
    cautions: [
      caution('blade', say`Lift the film off what it is cut over: blade towards the waste, never onto paint.`),
    ],
    records: 'blade',
    cutMm: Math.round(relief.wholeMm * at.length),
    references: [{ kind: 'edge', edge }],
    picture: {
      film: 'floating',
      middle: c.toFlat(obstacle.at),
      radiusMm: Math.max(50, 2.5 * relief.wholeMm, 1.2 * obstacle.widthMm),
      marks,
    },
    ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
  }
}

const howMany = (c: PlanContext, { obstacle, edge, at }: ReliefPlan): Sentence =>
  at.length === 1
    ? say`One cut from the rim at the ${edgeName(c, edge)}, straight at the end of it.`
    : say`One cut at each side of the ${name(obstacle.name)}, ${length(obstacle.widthMm, 0)} apart, from the rim at the ${edgeName(c, edge)}.`

/** Nobody cuts film to a tenth of a millimetre in the air. */
const whole = (mm: number) => length(Math.max(1, Math.round(mm)), 0)

function stagesWords(c: PlanContext, { obstacle, stagesMm }: ReliefPlan): Sentence {
  const [one, two] = [whole(stagesMm[0]), whole(stagesMm[1])]
  return obstacle.kind === 'neighbour stands proud'
    ? say`${one} deep, its end rounded; lay what is free. Does it still bind: the last ${two}, and round the end again.`
    : isWet(c)
      ? say`${one} deep, ends rounded; lay what is free, lift the film clear, lay again, then the last ${two} up to it.`
      : say`${one} deep, ends rounded; tuck what is free, lift the film clear, tuck again, then the last ${two} up to it.`
}

/** A place outside the part, at the rim of its film. */
function outside({ drawing: { part } }: PlanContext, at: Vec2, mm: number): Vec2 {
  const middle = part.reduce<[number, number]>(
    (sum, p) => [sum[0] + p[0] / part.length, sum[1] + p[1] / part.length],
    [0, 0],
  )
  const away = distance(middle, at) || 1
  return [at[0] + (mm * (at[0] - middle[0])) / away, at[1] + (mm * (at[1] - middle[1])) / away]
}
