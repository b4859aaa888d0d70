import { add, scale, subtract, unit } from '../../geometry/index.ts'
import { leastHeatedMm, type Pull } from '../../lay/index.ts'
import { length, name, paragraph, percent, say, type Sentence, temperature, inSpan, span } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { heated } from './heatOf.ts'
import { barsHeat, caution, edgeName, foundOf, isWet, type StepDraft, wholePart } from './rule.ts'
import { reachOf } from './strokes.ts'

/** Film drawn before it is laid: where, which way, how far, warm or cold. */
export function pullStep(c: PlanContext, pull: Pull): StepDraft {
  const edge = edgeName(c, pull.edge)
  const by = percent(pull.percent, 1)
  const at = c.toFlat(pull.at)
  const tip = c.toFlat([pull.at[0] + 40 * pull.direction[0], pull.at[1] + 40 * pull.direction[1]])
  const way = unit(subtract(tip, at))
  const long = reachOf(c) / 3.5
  const marks: PictureMark[] =
    pull.way === 'towards'
      ? [{ kind: 'pull', from: at, to: add(at, scale(way, long)), text: say`${by}` }]
      : [
          { kind: 'pull', from: at, to: add(at, scale(way, long)), text: say`${by}` },
          { kind: 'pull', from: at, to: add(at, scale(way, -long)) },
        ]
  const warm = pull.heat === 'warm'
  const heat = warm ? heated(c, 'soften') : null
  return {
    id: `pull-${pull.letter}`,
    phase: 'lay',
    headline:
      pull.way === 'towards'
        ? say`Pull ${name(pull.letter)}: towards the ${edge}`
        : say`Pull ${name(pull.letter)}: along the ${edge}, both ways`,
    detail: paragraph(
      !warm
        ? say`${by} longer there, by hand.`
        : barsHeat(c)
          ? say`${by} longer would be right there; cold, as far as it gives by hand.`
          : say`${by} longer there, warm: ${temperature(c.practice.heatSoften)} over ${bandWords(c, pull)}, cool a few seconds.`,
      say`A little past the mark, let go fast (it takes back ${percent(100 * c.film.handling.recovery)} of that), then lay.`,
    ),
    why: paragraph(
      fingersWords(c, pull.edge),
      pull.glueLineRisk && say`Let it relax before laying, or it leaves a glue line.`,
    ),
    minutes: warm ? 4 : 2,
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

function fingersWords(c: PlanContext, edge: string): Sentence {
  const planned = c.edges.find((e) => e.name === edge)
  if (planned === undefined || planned.unpulledMmPer100 < 0.1)
    return say`Without it the rest of the film would have to give.`
  return say`Without it ${inSpan(planned.unpulledMmPer100)} of film per ${span} would be left at the ${name(planned.label)}: fingers.`
}

/** Cold film beside a warm band hardly gives: how wide the band has to be so that it is not stretched too far. */
function bandWords(c: PlanContext, pull: Pull): Sentence {
  const lengthMm = Math.max(60, Math.sqrt(pull.areaMm2))
  const pullMm = (pull.percent / 100) * lengthMm
  const mostStretch = Math.min(c.film.handling.warmStretch, 1.6 * (pull.percent / 100))
  const least = leastHeatedMm({ lengthMm, pullMm, mostStretch }, c.film.handling)
  if (least === null || least < 30) return say`a broad area`
  return say`a band at least ${length(Math.ceil(least / 10) * 10)} wide`
}
