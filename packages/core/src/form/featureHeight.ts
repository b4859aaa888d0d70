import { boundsOf, contains, nearestOnOutline, type Vec2 } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import type { BodyLine, FormDoc, Recess } from './formTypes.ts'

/**
 * Height that body lines and recesses add to the bow, mm.
 * A body line is a ridge `tan(turn/2) * |d|`, rounded to its radius and fading over its reach; a recess falls by its
 * depth along a smooth wall whose steepest slope is its wall angle.
 */
export function featureHeight(form: Pick<FormDoc, 'bodyLines' | 'recesses'>): (p: Vec2) => number {
  const lines = form.bodyLines.map(bodyLineHeight)
  const recesses = form.recesses.map(recessHeight)
  return (p) => {
    let height = 0
    for (const line of lines) height += line(p)
    for (const recess of recesses) height += recess(p)
    return height
  }
}

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
  // A smooth step is half as steep again in its middle as on average.
  const wallMm = (1.5 * depthMm) / Math.tan(radFromDeg(wallDeg))
  const box = boundsOf(outline)
  return (p) => {
    if (p[0] < box.min[0] || p[0] > box.max[0] || p[1] < box.min[1] || p[1] > box.max[1]) return 0
    if (!contains(outline, p)) return 0
    const t = Math.min(1, nearestOnOutline(outline, p).distanceMm / wallMm)
    return -depthMm * t * t * (3 - 2 * t)
  }
}

function distanceToLine(line: readonly Vec2[], p: Vec2): number {
  let best = Number.POSITIVE_INFINITY
  for (let i = 0; i + 1 < line.length; i++) {
    const a = line[i]!
    const b = line[i + 1]!
    const dx = b[0] - a[0]
    const dy = b[1] - a[1]
    const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy)))
    best = Math.min(best, Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy))
  }
  return best
}
