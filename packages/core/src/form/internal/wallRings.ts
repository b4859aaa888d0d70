import {
  contains,
  distance,
  distanceToLine,
  lerp,
  nearestOnOutline,
  signedArea,
  type Vec2,
} from '../../geometry/index.ts'
import { wallRunMm } from '../featureHeight.ts'
import type { FormDoc } from '../formTypes.ts'

/** Rows of points that a wall gets from its foot to its top where the mesh is too coarse to show it: enough that nine tenths of its stretch are seen. */
const rowsOfWall = 4
/** Sides along a wall in sides up it. */
const longer = 1.6

/**
 * Points on the walls of recesses, channels and raised features that are steeper than a mesh of this spacing shows: rows
 * along each wall from its foot to its top. Without them the stretch that a wall asks for would depend on the mesh.
 *
 * @param spacingMm distance of neighbouring points elsewhere
 * @param most how many points there may be; where walls are longer the points stand further apart along them
 */
export function wallRings(form: FormDoc, spacingMm: number, most: number): Vec2[] {
  const walls = wallsOf(form).filter(({ runMm }) => runMm / (rowsOfWall - 1) < 1.2 * spacingMm)
  const wanted = walls.reduce((sum, w) => sum + (rowsOfWall * w.lengthMm) / alongMm(w, spacingMm), 0)
  const sparser = Math.max(1, wanted / Math.max(1, most))
  return walls.flatMap((wall) => {
    const upMm = wall.runMm / (rowsOfWall - 1)
    const stepMm = sparser * alongMm(wall, spacingMm)
    return Array.from({ length: rowsOfWall }, (_, row) => rowAlong(wall, row * upMm, stepMm, 0.2 * upMm)).flat()
  })
}

interface Wall {
  readonly runMm: number
  readonly lengthMm: number
  /** Its foot, in the direction that has the wall on its left. */
  readonly feet: readonly (readonly Vec2[])[]
  /** How far a place is up the wall, mm. */
  readonly up: (p: Vec2) => number
}

const alongMm = ({ runMm }: Wall, spacingMm: number) => Math.min(spacingMm, (longer * runMm) / (rowsOfWall - 1))

function wallsOf(form: FormDoc): Wall[] {
  const around = [
    ...form.recesses,
    ...(form.raised ?? []).map((r) => ({ outline: r.outline, depthMm: r.heightMm, wallDeg: r.wallDeg })),
  ].map((feature): Wall => {
    const foot = [...feature.outline, feature.outline[0]!]
    return {
      runMm: wallRunMm(feature),
      lengthMm: lengthOf(foot),
      feet: [signedArea(feature.outline) > 0 ? foot : [...foot].reverse()],
      up: (p) => (contains(feature.outline, p) ? 1 : -1) * nearestOnOutline(feature.outline, p).distanceMm,
    }
  })
  const beside = (form.channels ?? []).map((channel): Wall => {
    const half = channel.widthMm / 2
    return {
      runMm: wallRunMm(channel),
      lengthMm: 2 * lengthOf(channel.along),
      feet: [shifted(channel.along, -half), shifted([...channel.along].reverse(), -half)],
      up: (p) => half - distanceToLine(channel.along, p),
    }
  })
  return [...around, ...beside]
}

/** Points along a wall at one height of it; those that a bend or a neighbouring wall pushes off it are left out. */
function rowAlong({ feet, up }: Wall, upMm: number, stepMm: number, offMm: number): Vec2[] {
  return feet.flatMap((foot) => {
    const row: Vec2[] = []
    let untilNext = 0
    for (let i = 0; i + 1 < foot.length; i++) {
      const [a, b] = [foot[i]!, foot[i + 1]!]
      const side = distance(a, b)
      if (side === 0) continue
      const inward: Vec2 = [(-(b[1] - a[1]) / side) * upMm, ((b[0] - a[0]) / side) * upMm]
      let at = untilNext
      for (; at < side; at += stepMm) {
        const p = lerp(a, b, at / side)
        const moved: Vec2 = [p[0] + inward[0], p[1] + inward[1]]
        if (Math.abs(up(moved) - upMm) <= offMm) row.push(moved)
      }
      untilNext = at - side
    }
    return row
  })
}

const lengthOf = (line: readonly Vec2[]) =>
  line.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance(line[i - 1]!, p)), 0)

/** A line moved to its left by a distance, corner by corner along the mean of its two sides' normals. */
function shifted(line: readonly Vec2[], leftMm: number): Vec2[] {
  return line.map((p, i) => {
    const a = line[Math.max(0, i - 1)]!
    const b = line[Math.min(line.length - 1, i + 1)]!
    const long = distance(a, b) || 1
    return [p[0] - ((b[1] - a[1]) / long) * leftMm, p[1] + ((b[0] - a[0]) / long) * leftMm]
  })
}
