import { add, scale, subtract, unit } from '../../geometry/index.ts'
import { leastHeatedMm, type Pull } from '../../lay/index.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
import { heatCautions } from './cautions.ts'
import { heated } from './heatOf.ts'
import { foundOf, isWet, type StepDraft, wholePart } from './rule.ts'
import { reachOf } from './strokes.ts'

/** Film drawn before it is laid: where, which way, how far, warm or cold. */
export function pullStep(c: PlanContext, pull: Pull): StepDraft {
  const edge = c.form.edges.find((e) => e.name === pull.edge)?.label ?? pull.edge
  const percent = `${pull.percent.toFixed(1)} %`
  const at = c.toFlat(pull.at)
  const tip = c.toFlat([pull.at[0] + 40 * pull.direction[0], pull.at[1] + 40 * pull.direction[1]])
  const way = unit(subtract(tip, at))
  const long = reachOf(c) / 3.5
  const marks: PictureMark[] =
    pull.way === 'towards'
      ? [{ kind: 'pull', from: at, to: add(at, scale(way, long)), text: percent }]
      : [
          { kind: 'pull', from: at, to: add(at, scale(way, long)), text: percent },
          { kind: 'pull', from: at, to: add(at, scale(way, -long)) },
        ]
  const warm = pull.heat === 'warm'
  return {
    id: `pull-${pull.letter}`,
    phase: 'lay',
    headline: `Pull ${pull.letter}: ${pull.way === 'towards' ? `towards the ${edge}` : `along the ${edge}, both ways`}`,
    detail: `${percent} longer there${warm ? `, warm: ${c.temperature(c.practice.heatSoften)} over ${bandWords(c, pull)}, cool a few seconds` : ', by hand'}. A little past the mark, let go fast (it takes back ${Math.round(100 * c.film.handling.recovery)} % of that), then lay.`,
    why: `Without it ${fingersWords(c, pull.edge)}${pull.glueLineRisk ? ' Let it relax before laying, or it leaves a glue line.' : ''}`,
    minutes: warm ? 4 : 2,
    inHand: warm ? ['heat gun, always moving', 'infra-red thermometer'] : [isWet(c) ? 'tack' : 'dry gloves'],
    ...(warm ? heated(c, 'soften') : {}),
    cautions: [
      ...(warm ? heatCautions(c) : []),
      ...(foundOf(c, 'repaint').length > 0
        ? ['Repainted: pull from the middle of the film, never on an edge; stop if paint comes along.']
        : []),
    ],
    picture: wholePart('floating', marks),
  }
}

function fingersWords(c: PlanContext, edge: string): string {
  const planned = c.edges.find((e) => e.name === edge)
  if (planned === undefined || planned.unpulledMmPer100 < 0.1) return 'the rest of the film would have to give.'
  return `${c.length(planned.unpulledMmPer100)} of film per ${c.length(100)} would be left at the ${planned.label}: fingers.`
}

/** Cold film beside a warm band hardly gives: how wide the band has to be so that it is not stretched too far. */
function bandWords(c: PlanContext, pull: Pull): string {
  const lengthMm = Math.max(60, Math.sqrt(pull.areaMm2))
  const pullMm = (pull.percent / 100) * lengthMm
  const mostStretch = Math.min(c.film.handling.warmStretch, 1.6 * (pull.percent / 100))
  const least = leastHeatedMm({ lengthMm, pullMm, mostStretch }, c.film.handling)
  if (least === null || least < 30) return 'a broad area'
  return `a band at least ${c.length(Math.ceil(least / 10) * 10)} wide`
}
