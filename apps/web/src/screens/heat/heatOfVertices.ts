import { edgeLine } from '../../drawings/edgeLine.ts'
import type { PartSurface } from '@truelay/core/form'
import { distanceToLine, type Vec2 } from '@truelay/core/geometry'
import type { HeatZone } from '@truelay/core/plan'

/** How far a pass along an edge warms to the inside, mm. */
const edgeReachMm = 45

/** How much of the heat of some zones goes to each vertex, 0 to 1 of the most. */
export function heatOfVertices(surface: PartSurface, zones: readonly HeatZone[]): Float64Array {
  const count = surface.plan.length / 2
  const heat = new Float64Array(count)
  const most = Math.max(1e-9, ...zones.map((z) => z.share))
  const lines = new Map<string, Vec2[]>()
  for (const zone of zones) if (zone.kind === 'edge') lines.set(zone.edge, edgeLine(surface.outline, zone.edge))
  for (let v = 0; v < count; v++) {
    const at: Vec2 = [surface.plan[2 * v] ?? 0, surface.plan[2 * v + 1] ?? 0]
    for (const zone of zones) {
      const [off, reach] =
        zone.kind === 'spot'
          ? [Math.hypot(at[0] - zone.onForm[0], at[1] - zone.onForm[1]), zone.radiusMm]
          : [distanceTo(lines.get(zone.edge) ?? [], at), edgeReachMm]
      const share = (zone.share / most) * Math.exp(-((off / reach) ** 2))
      heat[v] = Math.max(heat[v] ?? 0, share)
    }
  }
  return heat
}

const distanceTo = (line: readonly Vec2[], at: Vec2) =>
  line.length === 0 ? Number.POSITIVE_INFINITY : distanceToLine(line, at)
