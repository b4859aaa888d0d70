import { add, distance, dot2, scale, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import { length, minutes, name, paragraph, percent, say, type Sentence, temperature } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { heated } from './heatOf.ts'
import { barsHeat, isLarge, isLens, isWet, type PlanRule, wholePart } from './rule.ts'
import { middleOf, reachOf } from './strokes.ts'

/** Tension in triangles from the flattest spot: how a printed pattern is kept even. */
export const triangleRule: PlanRule = {
  name: 'a patterned film is drawn in triangles',
  when: (c) => c.film.patterned === true && !isWet(c) && isLens(c),
  steps: (c) => {
    const at = c.anchors[0]?.at ?? middleOf(c)
    const arms = [90, 210, 330].map((deg): Vec2 => {
      const turn = (deg * Math.PI) / 180
      return add(at, scale([Math.cos(turn), Math.sin(turn)], 0.3 * reachOf(c)))
    })
    const heat = barsHeat(c) ? null : heated(c, 'soften')
    return [
      {
        id: 'triangles',
        phase: 'lay',
        headline: say`Draw it in triangles, pattern level`,
        detail: paragraph(
          say`Sideways, then up and down, a third each time; then a little more liner off, and again.`,
          heat !== null &&
            say`Warm a broad area, ${temperature(c.practice.heatSoften)}, and draw little: the pattern bears ${percent(100 * c.film.handling.patternStretch, 1)}.`,
          say`High spot first, then the dip beside it; each wrinkle is drawn in the direction in which it points.`,
        ),
        why: say`Film that is drawn one way only warps what is printed on it.`,
        minutes: c.practice.takesTriangles,
        ...heat,
        tools: [...(heat?.tools ?? []), 'dry gloves'],
        picture: wholePart(
          'floating',
          arms.map((to): PictureMark => ({ kind: 'pull', from: at, to })),
        ),
      },
    ]
  },
}

/** Bends that a blade spans. */
const bendsOf = (c: PlanContext) => c.form.bodyLines.filter((line) => Math.abs(line.turnDeg) >= c.practice.bendFrom)

export const bendRule: PlanRule = {
  name: 'by hand first over a deep bend',
  when: (c) => isWet(c) && bendsOf(c).length > 0 && c.rehearsed === null,
  steps: (c) =>
    bendsOf(c).map((bend, i) => {
      const along = bend.along.map((p) => c.toFlat(p))
      const middle = along[Math.floor(along.length / 2)] ?? middleOf(c)
      return {
        id: `bend-${i + 1}`,
        phase: 'lay',
        headline: say`By hand first: ${name(bend.name)}`,
        detail: say`Palms from its middle to both ends, film pressed to the bottom of the bend; tack at the bend, then strokes along the line, none across it.`,
        why: say`A blade spans a bend; what it leaves beneath is air, and lets go there.`,
        minutes: c.practice.takesBend,
        tools: ['wet hands', 'soft squeegee'],
        liquids: ['tack'],
        uses: 'tack' as const,
        driesInMinutes: c.wetMinutes,
        picture: wholePart('floating', [
          { kind: 'zone', at: middle, radiusMm: 40 },
          ...[along[0], along[along.length - 1]].flatMap((end): PictureMark[] =>
            end === undefined ? [] : [{ kind: 'sweep', from: middle, to: end }],
          ),
        ]),
      }
    }),
}

/** Minutes from the float to the strokes, over what is set and pulled on the way. */
function minutesUntilStrokes({ anchors, pulls, openings, practice }: PlanContext): number {
  const pulled = pulls.map(
    ({ heat }) => practice.takesGrip + (heat === 'warm' ? practice.takesWarmPull : practice.takesPull),
  )
  return (
    practice.takesGaps +
    anchors.length * practice.takesAnchor +
    pulled.reduce((sum, takes) => sum + takes, 0) +
    openings.flat().length * practice.takesOpening
  )
}

/** The half that waits longest dries first. */
export const wetAgainRule: PlanRule = {
  name: 'wet the waiting half again',
  when: (c) => isWet(c) && isLarge(c) && c.rehearsed === null && minutesUntilStrokes(c) > c.wetMinutes,
  steps: (c) => {
    const half = waitingHalf(c)
    return [
      {
        id: 'wet-again',
        phase: 'lay',
        headline: say`Wet the half towards ${half.says} again`,
        wets: true,
        detail: say`Lift it as far as it is free, spray part and adhesive, lay it back. It was wetted first and lies about ${minutes(Math.round(minutesUntilStrokes(c)))} before a blade comes; in this air it dries after ${minutes(Math.round(c.wetMinutes))}.`,
        why: say`Film that has dried on grabs where it lies, crooked or not.`,
        minutes: c.practice.takesWetAgain,
        people: c.hands,
        liquids: ['slip'],
        tools: ['wet hands'],
        driesInMinutes: c.wetMinutes,
        picture: wholePart('floating', [{ kind: 'zone', at: half.at, radiusMm: half.radiusMm, text: say`wet again` }]),
      },
    ]
  },
}

/** The side away from the corners that are set last: there the first wetting is oldest. */
function waitingHalf(c: PlanContext): { readonly says: Sentence; readonly at: Vec2; readonly radiusMm: number } {
  const middle = middleOf(c)
  const half = Math.ceil(c.anchors.length / 2)
  const mean = (of: PlanContext['anchors']): Vec2 =>
    of.reduce<Vec2>((sum, { at }) => [sum[0] + at[0] / of.length, sum[1] + at[1] / of.length], [0, 0])
  const late = c.anchors.slice(half)
  const way = late.length === 0 ? ([0, -1] as Vec2) : unit(subtract(mean(late), mean(c.anchors.slice(0, half))))
  const { left, right, up, down } = c.form.directions
  const sides: readonly (readonly [Vec2, string])[] = [
    [[-1, 0], left],
    [[1, 0], right],
    [[0, 1], up],
    [[0, -1], down],
  ]
  const [nearest] = [...sides].sort((a, b) => dot2(b[0], way) - dot2(a[0], way))
  const [towards, says] = nearest ?? [[0, -1], down]
  const reachMm = Math.max(...c.drawing.part.map((p) => dot2(subtract(p, middle), towards)))
  const at = add(middle, scale(towards, 0.5 * reachMm))
  return { says: say`${name(says)}`, at, radiusMm: Math.max(30, 0.4 * distance(at, middle) * 2) }
}

/** Film laid on water alone shows what is left of it when it is warmed. */
export const seeWaterRule: PlanRule = {
  name: 'warm film on water to see what is left beneath',
  when: (c) =>
    isLens(c) &&
    !barsHeat(c) &&
    c.schools.slip === 'water only' &&
    c.schools.tack === 'water only' &&
    c.form.recesses.length === 0,
  steps: (c) => {
    const heat = heated(c, 'soften')
    return [
      {
        id: 'see-water',
        phase: 'lay',
        headline: say`Warm it: what water is left bubbles up`,
        detail: say`Gun far off, always moving. Where it bubbles: let it cool, lift that place, draw the film out, lay it again.`,
        why: say`Warm film is soft and shows every drop; now the drop can still go.`,
        minutes: c.practice.takesSeeWater,
        ...heat,
        tools: [...heat.tools, 'firm squeegee'],
        picture: wholePart('laid', [{ kind: 'edge', edge: '*', text: say`towards the rim` }]),
      },
    ]
  },
}

/** How much film a recess wants beyond what spans it, mm. */
export const surplusOver = (widthMm: number, stretch: number) => length(Math.max(1, Math.round(widthMm * stretch)), 0)
