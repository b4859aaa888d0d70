import { add, cross2, scale, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import { leastHeatedMm, type Pull } from '../../lay/index.ts'
import { length, name, paragraph, percent, say, type Sentence, temperature, inSpan, span } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { heated } from './heatOf.ts'
import { barsHeat, caution, edgeName, foundOf, fromRoll, hasBleed, isWet, type StepDraft, wholePart } from './rule.ts'

/**
 * Film drawn before it is laid: outward over the bulge, across its middle, a hand on the bleed at each side; how far, warm or cold.
 */
export function pullStep(c: PlanContext, pull: Pull): StepDraft {
  const edge = edgeName(c, pull.edge)
  const by = percent(pull.percent, 1)
  const at = c.toFlat(pull.at)
  const tip = c.toFlat([pull.at[0] + 40 * pull.direction[0], pull.at[1] + 40 * pull.direction[1]])
  const way = unit(subtract(tip, at))
  const hands = [holdAt(c, at, way), holdAt(c, at, scale(way, -1))] as const
  const further = length(pullMm(pull), 0)
  const marks: PictureMark[] = [
    { kind: 'pull', from: at, to: hands[0], text: say`${further}` },
    ...(pull.way === 'towards' ? [] : [{ kind: 'pull' as const, from: at, to: hands[1] }]),
    ...hands.map((hand) => ({ kind: 'hand' as const, at: hand })),
  ]
  const warm = pull.heat === 'warm'
  const heat = warm ? heated(c, 'soften') : null
  const hold = fromRoll(c)
    ? say`A hand on the surplus at each side`
    : hasBleed(c)
      ? say`A hand on the bleed at each side`
      : say`A hand at each side`
  return {
    id: `pull-${pull.letter}`,
    phase: 'lay',
    headline:
      pull.way === 'towards'
        ? say`Pull ${name(pull.letter)}: over the bulge, towards the ${edge}`
        : say`Pull ${name(pull.letter)}: along the ${edge}, both ways`,
    detail: paragraph(
      say`${hold}, the line between them across its middle.`,
      !warm
        ? say`${further} longer (${by}), by hand.`
        : barsHeat(c)
          ? say`${further} longer (${by}) would be right there; cold, as far as it gives by hand.`
          : say`${further} longer (${by}), warm: ${temperature(c.practice.heatSoften)} over ${bandWords(c, pull)}, cool two seconds.`,
      say`A little past the mark, let go fast (it takes back ${percent(100 * c.film.handling.recovery)} of that), then lay.`,
    ),
    why: paragraph(
      fingersWords(c, pull.edge),
      pull.glueLineRisk && say`Let it relax before laying, or it leaves a glue line.`,
    ),
    minutes: c.practice.takesGrip + (warm ? c.practice.takesWarmPull : c.practice.takesPull),
    references: [
      { kind: 'pull', letter: pull.letter },
      { kind: 'edge', edge: pull.edge },
    ],
    ...heat,
    liquids: heat === null && isWet(c) ? ['tack'] : [],
    tools:
      heat !== null && heat.tools.length > 0
        ? [...heat.tools, 'infra-red thermometer']
        : isWet(c)
          ? []
          : ['dry gloves'],
    cautions: [
      ...(heat?.cautions ?? []),
      ...(foundOf(c, 'repaint').length > 0
        ? [
            caution(
              'repaint',
              say`Repainted: pull from the middle of the film, never on an edge; stop if paint comes along.`,
            ),
          ]
        : []),
    ],
    picture: wholePart('floating', marks),
  }
}

/** The length of film that a pull draws, and by how much it gets longer, mm. */
const drawnMm = (pull: Pull) => Math.max(60, Math.sqrt(pull.areaMm2))
const pullMm = (pull: Pull) => (pull.percent / 100) * drawnMm(pull)

/** Where a hand holds the film: the last place of the piece on the way out from the bulge. */
export function holdAt(c: PlanContext, from: Vec2, way: Vec2): Vec2 {
  const { piece } = c.drawing
  let far = 0
  piece.forEach((a, i) => {
    const b = piece[(i + 1) % piece.length] ?? a
    const side = subtract(b, a)
    const across = cross2(way, side)
    if (Math.abs(across) < 1e-9) return
    const out = cross2(subtract(a, from), side) / across
    const along = cross2(subtract(a, from), way) / across
    if (along >= 0 && along <= 1) far = Math.max(far, out)
  })
  return add(from, scale(way, far))
}

function fingersWords(c: PlanContext, edge: string): Sentence {
  const planned = c.edges.find((e) => e.name === edge)
  if (planned === undefined || planned.unpulledMmPer100 < 0.1)
    return say`Without it the rest of the film would have to give.`
  return say`Without it ${inSpan(planned.unpulledMmPer100)} of film per ${span} would be left at the ${name(planned.label)}: fingers.`
}

/** Cold film beside a warm band hardly gives: how wide the band has to be so that it is not stretched too far. */
function bandWords(c: PlanContext, pull: Pull): Sentence {
  const mostStretch = Math.min(c.film.handling.warmStretch, 1.6 * (pull.percent / 100))
  const least = leastHeatedMm({ lengthMm: drawnMm(pull), pullMm: pullMm(pull), mostStretch }, c.film.handling)
  if (least === null || least < 30) return say`a broad area`
  return say`a band at least ${length(Math.ceil(least / 10) * 10)} wide`
}
