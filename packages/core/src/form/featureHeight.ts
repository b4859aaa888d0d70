import { boundsOf, distanceToLine, insideOf, nearestOnOutline, type Vec2 } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import type { BodyLine, Channel, FormDoc, RaisedFeature, Recess } from './formTypes.ts'

/**
 * Height that body lines and recesses add to the bow, mm.
 * A body line is a ridge `tan(turn/2) * |d|`, rounded to its radius and fading over its reach; a recess falls by its
 * depth along a smooth wall whose steepest slope is its wall angle, a raised feature rises likewise, and a channel is a
 * recess along a line.
 */
export function featureHeight(
  form: Pick<FormDoc, 'bodyLines' | 'recesses' | 'raised' | 'channels'>,
): (p: Vec2) => number {
  const features = [
    ...form.bodyLines.map(bodyLineHeight),
    ...form.recesses.map(recessHeight),
    ...(form.raised ?? []).map(raisedHeight),
    ...(form.channels ?? []).map(channelHeight),
  ]
  return (p) => {
    let height = 0
    for (const feature of features) height += feature(p)
    return height
  }
}

/** Run of a smooth wall: a smooth step is half as steep again in its middle as on average. */
export const wallRunMm = ({ depthMm, wallDeg }: Pick<Recess, 'depthMm' | 'wallDeg'>) =>
  (1.5 * depthMm) / Math.tan(radFromDeg(wallDeg))

const smoothStep = (t: number) => t * t * (3 - 2 * t)

function bodyLineHeight({ along, turnDeg, radiusMm, reachMm }: BodyLine): (p: Vec2) => number {
  const slope = Math.tan(radFromDeg(turnDeg) / 2)
  const roundMm = Math.max(1e-6, radiusMm * Math.abs(slope))
  return (p) => {
    const d = distanceToLine(along, p)
    const away = Math.sqrt(d * d + roundMm * roundMm) - roundMm
    return -slope * reachMm * (1 - Math.exp(-away / reachMm))
  }
}

function recessHeight({ outline, depthMm, wallDeg }: Recess): (p: Vec2) => number {
  const wallMm = wallRunMm({ depthMm, wallDeg })
  const box = boundsOf(outline)
  const inside = insideOf(outline)
  return (p) => {
    if (p[0] < box.min[0] || p[0] > box.max[0] || p[1] < box.min[1] || p[1] > box.max[1]) return 0
    if (!inside(p)) return 0
    const t = Math.min(1, nearestOnOutline(outline, p).distanceMm / wallMm)
    return -depthMm * smoothStep(t)
  }
}

const raisedHeight = ({ outline, heightMm, wallDeg, name }: RaisedFeature): ((p: Vec2) => number) => {
  const sunk = recessHeight({ name, outline, depthMm: heightMm, wallDeg })
  return (p) => -sunk(p)
}

function channelHeight(channel: Channel): (p: Vec2) => number {
  const { along, widthMm, depthMm } = channel
  const wallMm = wallRunMm(channel)
  return (p) => {
    const inside = widthMm / 2 - distanceToLine(along, p)
    return inside <= 0 ? 0 : -depthMm * smoothStep(Math.min(1, inside / wallMm))
  }
}
