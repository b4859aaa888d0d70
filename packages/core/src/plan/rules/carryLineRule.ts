import { length, list, name, paragraph, say, type Sentence } from '../../say/index.ts'
import type { LinePlace } from '../setPlace.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { isWet, type PlanRule, wholePart } from './rule.ts'

/** The line of a row of pieces: measured up where the error would show, taken from the neighbour elsewhere. */
export const carryLineRule: PlanRule = {
  name: 'carry the line of a row',
  when: (c) => c.line !== null,
  steps: (c) => (c.line === null ? [] : [lineOfRow(c, c.line)]),
}

const lineOfRow = (c: PlanContext, line: LinePlace) => ({
  id: 'carry-line',
  phase: 'place' as const,
  headline: lineWords(line),
  detail: paragraph(
    line.measureAtMm.length === 0
      ? say`Sight along its line, film against film; step back and look from a distance before it is fixed.`
      : say`A tape from the lower edge, at ${list(line.measureAtMm.map((mm) => say`${length(mm, 0)}`))} along it; step back and look from a distance before it is fixed.`,
    say`So its line is known to ${length(2 * Math.max(line.nearSigmaMm, line.farSigmaMm))} either way.`,
  ),
  why:
    line.placed === 'datum'
      ? say`All others take their line from this one.`
      : line.placed === 'carried'
        ? say`From here on the error would still not be seen: ${length(c.practice.lineSeen)} is.`
        : say`Taken from the neighbour alone, its far end could be off by more than an eye overlooks.`,
  minutes: c.practice.takesLine,
  tools: line.measureAtMm.length === 0 ? (['rule'] as const) : (['tape measure'] as const),
  picture: wholePart('floating', measureMarks(c, line)),
  ...(isWet(c) ? { liquids: ['slip'] as const, driesInMinutes: c.wetMinutes } : {}),
})

function lineWords({ placed, from }: LinePlace): Sentence {
  if (placed === 'datum') return say`Measure its line up at two places`
  const neighbour = from === null ? say`the one before` : say`${name(from)}`
  return placed === 'carried'
    ? say`Take its line from ${neighbour}`
    : say`Line from ${neighbour}, measured up at its far end`
}

/** Where the tape stands: along the lower edge of the part, from the end that is nearer to the datum. */
function measureMarks({ drawing: { part } }: PlanContext, { measureAtMm }: LinePlace): PictureMark[] {
  const [left, right] = [Math.min(...part.map((p) => p[0])), Math.max(...part.map((p) => p[0]))]
  const [low, high] = [Math.min(...part.map((p) => p[1])), Math.max(...part.map((p) => p[1]))]
  return measureAtMm.map((mm) => {
    const x = Math.min(right, left + mm)
    return { kind: 'sweep', from: [x, low], to: [x, high], text: say`measure up` }
  })
}
