import { boundsOf, centroid, distance } from '../../geometry/index.ts'
import { type Bridging, bridging, channelLengths } from '../../lay/index.ts'
import type { PlanContext } from '../planContext.ts'
import { count, force, length, name, paragraph, percent, say, temperature, span } from '../../say/index.ts'
import type { PictureMark } from '../step.ts'
import { heated } from './heatOf.ts'
import { surplusOver } from './rhythmRules.ts'
import { barsHeat, caution, isLens, isWet, type StepDraft, wholePart } from './rule.ts'

interface Hollow {
  readonly name: string
  readonly depthMm: number
  readonly into: Bridging
  /** Of a channel: the lengths in which it is worked, mm. */
  readonly lengthsMm: readonly number[]
  readonly widthMm: number
  readonly marks: readonly PictureMark[]
}

/** A recess so many times as long as wide is a groove. */
const longFrom = 3

/** Hollows that film would span: those it does not follow by itself. */
export function hollowsOf(c: PlanContext): Hollow[] {
  const film = c.film.handling
  const channels = (c.form.channels ?? []).map((channel): Hollow => {
    const { along } = channel
    const lengthMm = along.slice(1).reduce((sum, p, i) => sum + distance(along[i] ?? p, p), 0)
    return {
      name: channel.name,
      depthMm: channel.depthMm,
      into: bridging({ ...channel, long: true }, film),
      lengthsMm: channelLengths(lengthMm, c.practice.channelMost),
      widthMm: channel.widthMm,
      marks: along.slice(1).map((to, i) => ({
        kind: 'sweep',
        from: c.toFlat(along[i] ?? to),
        to: c.toFlat(to),
        text: say`deepest first`,
      })),
    }
  })
  const recesses = c.form.recesses.map((recess): Hollow => {
    const { min, max } = boundsOf(recess.outline)
    const widthMm = Math.min(max[0] - min[0], max[1] - min[1])
    return {
      name: recess.name,
      depthMm: recess.depthMm,
      into: bridging(
        { ...recess, widthMm, long: Math.max(max[0] - min[0], max[1] - min[1]) > longFrom * widthMm },
        film,
      ),
      lengthsMm: [],
      widthMm,
      marks: [
        { kind: 'zone', at: c.toFlat(centroid(recess.outline)), radiusMm: widthMm / 2, text: say`deepest first` },
      ],
    }
  })
  return [...channels, ...recesses.filter((r) => r.into.comesDown === 'warm' || r.into.comesDown === 'not at all')]
}

/** Surplus drawn together over a recess on purpose, so that nothing has to be stretched into it. */
function bunched(c: PlanContext, { name: called, into, widthMm, marks }: Hollow, number: number): StepDraft {
  const surplus = surplusOver(widthMm, into.stretch)
  return {
    id: number === 1 ? 'bunch' : `bunch-${number}`,
    phase: 'lay',
    headline: say`Bunch ${surplus} over the ${name(called)}`,
    detail: say`Draw the film together over it on purpose, ${surplus} more than spans it. Its deepest part first, then its middle, with a finger or a rubber squeegee; tack only where it does not hold.`,
    why: say`Stretched into it, film shows a line of glue: ${percent(100 * into.stretch, 1)} is what it would want.`,
    minutes: c.practice.takesBunch,
    references: [{ kind: 'hollow', name: called }],
    tools: ['soft squeegee'],
    liquids: ['slip on the face'],
    driesInMinutes: c.wetMinutes,
    cautions: [caution('heat', say`No heat here: this film is not to be stretched warm.`)],
    picture: wholePart('floating', marks),
  }
}

/** Film worked to the bottom of a hollow while the film round it can still follow. */
export function hollowStep(c: PlanContext, hollow: Hollow, number: number): StepDraft {
  const { into, lengthsMm } = hollow
  const stretch = percent(100 * into.stretch, 1)
  const [each] = lengthsMm
  const rest = isWet(c) ? say`the rest still afloat` : say`the rest still held off`
  const walls = say`one wall, the other wall, then the middle`
  const how =
    each === undefined
      ? say`Work it down from the middle of its bottom with two hands or a finger, ${rest}.`
      : lengthsMm.length === 1
        ? say`Lay a thin cord in it, work it in one length with two hands, ${rest}: ${walls}, then draw the cord.`
        : say`Lay a thin cord in it, taped at its end, work ${count(lengthsMm.length)} lengths of ${length(each)} with two hands, ${rest}: ${walls}, up to the cord; draw it a little and go on.`
  // Film that shows a line where it was stretched gets its surplus before it is pressed in.
  if (isWet(c) && isLens(c)) return bunched(c, hollow, number)
  const spans =
    into.comesDown === 'not at all'
      ? say`Laid over from its rim it would want ${stretch}: more than this film gives.`
      : say`Laid over from its rim it wants ${stretch} and about ${force(Math.ceil(into.forceColdNPer100))} on each ${span}, ${force(Math.ceil(into.forceWarmNPer100))} warm.`
  const warm = into.comesDown !== 'by itself' && into.comesDown !== 'with a finger'
  const heat = warm ? heated(c, 'soften') : null
  return {
    id: number === 1 ? 'channel' : `channel-${number}`,
    phase: 'lay',
    headline: say`Deepest first: ${name(hollow.name)}`,
    detail: paragraph(how, warm && !barsHeat(c) && say`Relax it warm, ${temperature(c.practice.heatSoften)}.`),
    why: paragraph(
      spans,
      !into.stays &&
        into.comesDown !== 'not at all' &&
        say`Stretched in like that it would not stay: it lifts at the foot of the wall with more than its tack holds before it has bonded.`,
      lengthsMm.length > 0
        ? say`Film that bridges lets go there; the cord lets the air out.`
        : say`Film that bridges lets go there.`,
    ),
    minutes: c.practice.takesChannel + lengthsMm.length * c.practice.takesChannelPart,
    ...heat,
    references: [{ kind: 'hollow', name: hollow.name }],
    tools: [
      ...(lengthsMm.length > 0 ? (['thin cord'] as const) : []),
      isWet(c) ? 'soft squeegee' : 'felt squeegee',
      ...(heat?.tools ?? []),
    ],
    picture: wholePart('floating', hollow.marks),
  }
}
