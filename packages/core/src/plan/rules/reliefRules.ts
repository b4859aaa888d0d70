import { add, distance, nearestOnOutline, scale, subtract, unit, type Vec2 } from '../../geometry/index.ts'
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
  /** Where it stands on its edge, in the film plane. */
  readonly on: Vec2
  /** From the rim of the film to the end of each cut, in the film plane. */
  readonly cuts: readonly { readonly from: Vec2; readonly to: Vec2 }[]
}

/** From the rim of the film to the obstacle: what passes the edge, and as far as the obstacle stands in. */
export function reliefsOf(c: PlanContext): ReliefPlan[] {
  return (c.form.obstacles ?? []).map((obstacle) => {
    const { edge, way, on } = edgeNear(c, c.toFlat(obstacle.at))
    const rule = c.edges.find((e) => e.name === edge)?.rule
    const overMm = fromRoll(c) && c.cut.sheet !== null ? c.cut.sheet.allowanceMm : passes(rule)
    const wholeMm = overMm + obstacle.reachMm
    const firstMm = (c.practice.reliefFirst / 100) * wholeMm
    // The outline runs counter-clockwise: the part is to the left of its edge.
    const inward: Vec2 = [-way[1], way[0]]
    const half = 0.5 * obstacle.widthMm
    const along = obstacle.kind === 'neighbour stands proud' ? [0] : [-half, half]
    const cuts = along.map((mm) => {
      const at = add(on, scale(way, mm))
      return { from: add(at, scale(inward, -overMm)), to: add(at, scale(inward, obstacle.reachMm)) }
    })
    return { obstacle, edge, wholeMm, stagesMm: [firstMm, wholeMm - firstMm], on, cuts }
  })
}

const passes = (rule: { readonly minMm: number; readonly maxMm: number } | undefined) =>
  rule === undefined ? 0 : Math.max(0, -(rule.minMm + rule.maxMm) / 2)

/** The edge of the part next to a place, the nearest spot on it, and the way it runs there. */
function edgeNear(c: PlanContext, at: Vec2): { readonly edge: string; readonly way: Vec2; readonly on: Vec2 } {
  let best = { edge: '', way: [1, 0] as Vec2, on: at, mm: Number.POSITIVE_INFINITY }
  for (const { name: edge, line } of c.drawing.edges)
    line.slice(1).forEach((to, i) => {
      const from = line[i] ?? to
      if (distance(from, to) < 1e-9) return
      const { distanceMm, point } = nearestOnOutline([from, to], at)
      if (distanceMm < best.mm) best = { edge, mm: distanceMm, on: point, way: unit(subtract(to, from)) }
    })
  return best
}

export const reliefRule: PlanRule = {
  name: 'relief where something stands in the way',
  when: (c) => (c.form.obstacles ?? []).length > 0,
  steps: (c) => reliefsOf(c).map((relief, i) => reliefStep(c, relief, i + 1)),
}

function reliefStep(c: PlanContext, relief: ReliefPlan, number: number): StepDraft {
  const { obstacle, edge, stagesMm, cuts, on } = relief
  const [first, rest] = [whole(stagesMm[0]), whole(stagesMm[1])]
  const marks: PictureMark[] = cuts.flatMap(({ from, to }, i): PictureMark[] => [
    { kind: 'zone', at: to, radiusMm: 4 },
    { kind: 'sweep', from, to, ...(i === 0 ? { text: say`${length(relief.wholeMm, 0)}` } : {}) },
  ])
  return {
    id: `relief-${number}`,
    phase: 'lay',
    headline: say`Relief at the ${name(obstacle.name)}: ${first}, then ${rest}`,
    detail: paragraph(howMany(c, relief), stagesWords(c, relief)),
    why: say`The ${obstacleWords[obstacle.kind]} holds the film off: left whole it tents, and cut all at once it tears past the place.`,
    minutes: cuts.length * c.practice.takesRelief,
    tools: ['knife', 'thin tool', 'sharps box'],
    cautions: [
      caution('blade', say`Lift the film off what it is cut over: blade towards the waste, never onto paint.`),
    ],
    records: 'blade',
    cutMm: Math.round(relief.wholeMm * cuts.length),
    references: [{ kind: 'edge', edge }],
    picture: {
      film: 'floating',
      middle: on,
      radiusMm: Math.max(50, 2.5 * relief.wholeMm, 1.2 * obstacle.widthMm),
      marks,
    },
    ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
  }
}

const howMany = (c: PlanContext, { obstacle, edge, cuts }: ReliefPlan): Sentence =>
  cuts.length === 1
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
