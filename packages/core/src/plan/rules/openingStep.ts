import { distance, lerp } from '../../geometry/index.ts'
import { length, list, name, say, type Sentence } from '../../say/index.ts'
import type { Opening } from '../openings.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { isWet, type StepDraft } from './rule.ts'

/** One opening, or a pair of them, centred before what comes next: the film is set by it and read at it. */
export function openingStep(c: PlanContext, set: readonly Opening[], number: number): StepDraft {
  const [first, second] = set
  const checks = set.flatMap((opening) => opening.checks)
  const middle = first === undefined ? undefined : second === undefined ? first.at : lerp(first.at, second.at, 0.5)
  const reachMm = Math.max(...set.map((o) => o.radiusMm + (middle === undefined ? 0 : distance(o.at, middle))))
  const marks: PictureMark[] = [
    ...set.map((o) => ({ kind: 'zone' as const, at: o.at, radiusMm: 1.35 * o.radiusMm })),
    ...checks.map(({ id, at, normal }) => ({ kind: 'check' as const, id, at, normal })),
  ]
  return {
    id: `opening-${number}`,
    phase: 'lay',
    headline: say`Centre the ${list(set.map((o) => o.label))}`,
    detail: say`${wish(first)} all round. Sits high on one side: lift from there to the nearest edge, shift it, lay it again; then fix it with ${isWet(c) ? say`tack` : say`one short stroke`}.`,
    why:
      number === 1
        ? say`An opening shows the least shift, and what is set here moves everything further out.`
        : say`Each opening is centred before the next: from here on the film can only be drawn.`,
    minutes: set.length * c.practice.takesOpening,
    tools: ['rule'],
    liquids: isWet(c) ? ['slip', 'tack'] : [],
    references: [
      ...set.map((o) => ({ kind: 'opening' as const, opening: o.name })),
      ...checks.map(({ id }) => ({ kind: 'check' as const, id })),
    ],
    records: 'gaps',
    picture: {
      film: 'floating',
      ...(middle === undefined ? {} : { middle }),
      radiusMm: Math.max(120, 1.25 * reachMm),
      marks,
    },
    ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
  }
}

/** "1.5 mm, 1 mm either way": what an opening wishes and what it forgives. */
function wish(opening: Opening | undefined): Sentence {
  if (opening === undefined) return say`Even`
  const { minMm, maxMm } = opening.rule
  return say`${length((minMm + maxMm) / 2)}, ${length((maxMm - minMm) / 2)} either way,`
}

/** The one edge that is a line: film stops short of it while the others are turned or cut. */
export const lineOf = (c: PlanContext) => {
  const set = c.form.edges.find((e) => e.line !== undefined)
  const by = c.edges.find((e) => e.name === set?.name)
  if (by !== undefined) return by
  const short = c.edges.filter((e) => e.code === 'stop-short')
  const [only] = short
  return short.length === 1 && c.edges.length > 1 && only !== undefined ? only : null
}

/** The line between the middle pair and what lies further out: measured along, carried, mended while it floats. */
export function lineStep(c: PlanContext): StepDraft | null {
  const line = lineOf(c)
  if (line === null) return null
  const { minMm, maxMm } = line.rule
  const by = c.form.edges.find((e) => e.name === line.name)?.line
  const wishMm = (minMm + maxMm) / 2
  // Where the wish is a gap it is read at its two places, once it has been set by eye.
  const read = wishMm < 0 || !isWet(c) ? [] : c.checks.filter((check) => check.edge === line.name)
  const wished =
    wishMm < 0
      ? say`Look along both: what runs through runs on, off by no more than ${length(c.practice.lineSeen)}.`
      : say`${length(wishMm)} along all of it, ${length((maxMm - minMm) / 2)} either way.`
  return {
    id: 'line',
    phase: 'lay',
    headline: by === undefined ? say`Bring the ${name(line.label)} to its line` : say`Bring it to the ${name(by)}`,
    detail: isWet(c)
      ? say`${wished} Rides up against it: pull back, lower it. Short strokes lock it.`
      : say`${wished} Look along it, then press the end down.`,
    why:
      c.openings.length > 0
        ? say`The eye follows this line; the openings further out are drawn to it.`
        : say`The eye follows this line from piece to piece: a step in it is seen before any edge is.`,
    minutes: c.practice.takesBodyLine,
    tools: isWet(c) ? ['soft squeegee'] : ['rule'],
    liquids: isWet(c) ? ['tack'] : [],
    references: [{ kind: 'edge', edge: line.name }, ...read.map(({ id }) => ({ kind: 'check' as const, id }))],
    ...(read.length > 0 ? { records: 'gaps' as const } : {}),
    picture: {
      film: 'floating',
      marks: [
        { kind: 'edge', edge: line.name, text: say`line` },
        ...read.map(({ id, at, normal }) => ({ kind: 'check' as const, id, at, normal })),
      ],
    },
    ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
  }
}
