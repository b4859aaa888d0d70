import { boundsOf, centroid, distance } from '../../geometry/index.ts'
import { type Bridging, bridging, channelLengths } from '../../lay/index.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
import { heatCautions } from './cautions.ts'
import { heated } from './heatOf.ts'
import { isWet, type StepDraft, wholePart } from './rule.ts'

interface Hollow {
  readonly name: string
  readonly depthMm: number
  readonly into: Bridging
  /** Of a channel: the lengths in which it is worked, mm. */
  readonly lengthsMm: readonly number[]
  readonly marks: readonly PictureMark[]
}

/** Hollows that film would span: those it does not follow by itself. */
export function hollowsOf(c: PlanContext): Hollow[] {
  const film = c.film.handling
  const channels = (c.form.channels ?? []).map((channel): Hollow => {
    const { along } = channel
    const lengthMm = along.slice(1).reduce((sum, p, i) => sum + distance(along[i] ?? p, p), 0)
    return {
      name: channel.name,
      depthMm: channel.depthMm,
      into: bridging(channel, film),
      lengthsMm: channelLengths(lengthMm, c.practice.channelMost),
      marks: along.slice(1).map((to, i) => ({
        kind: 'sweep',
        from: c.toFlat(along[i] ?? to),
        to: c.toFlat(to),
        text: 'deepest first',
      })),
    }
  })
  const recesses = c.form.recesses.map((recess): Hollow => {
    const { min, max } = boundsOf(recess.outline)
    const widthMm = Math.min(max[0] - min[0], max[1] - min[1])
    return {
      name: recess.name,
      depthMm: recess.depthMm,
      into: bridging({ ...recess, widthMm }, film),
      lengthsMm: [],
      marks: [{ kind: 'zone', at: c.toFlat(centroid(recess.outline)), radiusMm: widthMm / 2, text: 'deepest first' }],
    }
  })
  return [...channels, ...recesses.filter((r) => r.into.comesDown === 'warm' || r.into.comesDown === 'not at all')]
}

/** Film worked to the bottom of a hollow while the film round it can still follow. */
export function hollowStep(c: PlanContext, hollow: Hollow, number: number): StepDraft {
  const { into, lengthsMm } = hollow
  const percent = `${(100 * into.stretch).toFixed(1)} %`
  const [length] = lengthsMm
  const how =
    length === undefined
      ? 'Work it down from the middle of its bottom with two hands or a finger, the rest still afloat.'
      : `Lay a thin cord in it, work ${lengthsMm.length === 1 ? 'it in one length' : `${lengthsMm.length} lengths of ${c.length(length)}`} with two hands, the rest still afloat, then draw the cord.`
  const spans =
    into.comesDown === 'not at all'
      ? `Laid over from its rim it would want ${percent}: more than this film gives.`
      : `Laid over from its rim it wants ${percent} and about ${Math.ceil(into.forceColdNPer100)} N on each ${c.length(100)}, ${Math.ceil(into.forceWarmNPer100)} N warm.`
  const warm = into.comesDown !== 'by itself' && into.comesDown !== 'with a finger'
  return {
    id: number === 1 ? 'channel' : `channel-${number}`,
    phase: 'lay',
    headline: `Deepest first: ${hollow.name}`,
    detail: `${how}${warm ? ` Relax it warm, ${c.temperature(c.practice.heatSoften)}.` : ''}`,
    why: `${spans} Film that bridges lets go there${lengthsMm.length > 0 ? '; the cord lets the air out' : ''}.`,
    minutes: Math.max(3, 2 * lengthsMm.length + 2),
    inHand: [
      ...(lengthsMm.length > 0 ? ['thin cord'] : []),
      isWet(c) ? 'soft squeegee' : 'felt squeegee',
      ...(warm ? ['heat gun, always moving'] : []),
    ],
    ...(warm ? heated(c, 'soften') : {}),
    cautions: warm ? heatCautions(c) : [],
    picture: wholePart('floating', hollow.marks),
  }
}
