import { doubles, inKernel, ints, kernel } from './instance.ts'

/**
 * Sides of triangles with a direction: number i runs from corner i to the next corner of its triangle. In a sheet every
 * inner side runs once each way, in its two triangles.
 */
export interface Sides {
  /** The same side in the neighbour, where it runs the other way; -1 at the rim. Length 3·T. */
  readonly opposite: Int32Array
  /** The first side that runs a second time the same way, or is met by a third triangle; -1 where there is none. */
  readonly clash: number
  /** How often the side of the clash stood before, either way. */
  readonly before: number
}

/** @param corner `[a0, b0, c0, …]`, vertex numbers */
export function sidesOf(corner: Int32Array, vertices: number): Sides {
  return inKernel(() => {
    const [corners, opposite, previous] = [ints(corner.length), ints(corner.length), ints(corner.length)]
    const last = ints(vertices)
    corners.values.set(corner)
    const clash = kernel().opposites(vertices, corner.length / 3, corners.at, opposite.at, last.at, previous.at)
    return { opposite: opposite.values.slice(), clash, before: clash < 0 ? 0 : last.values[0]! }
  })
}

/** The corner at which a side ends. */
export const sideEnd = (corner: Int32Array, side: number): number => corner[side % 3 === 2 ? side - 2 : side + 1]!

/** The first triangle whose area is not above `leastShare` of the square of the mean side, or -1. */
export function firstFlatTriangle(corner: Int32Array, position: Float64Array, leastShare: number): number {
  return inKernel(() => {
    const [corners, at] = [ints(corner.length), doubles(position.length)]
    corners.values.set(corner)
    at.values.set(position)
    return kernel().firstFlat(corner.length / 3, corners.at, at.at, leastShare)
  })
}

/** The direction that a mesh faces on the whole (its mean normal by area), and the least cosine of any triangle to it; null where it has none. */
export function facingOf(
  corner: Int32Array,
  position: Float64Array,
): { readonly normal: readonly [number, number, number]; readonly leastCosine: number } | null {
  return inKernel(() => {
    const [corners, at, normal] = [ints(corner.length), doubles(position.length), doubles(3)]
    corners.values.set(corner)
    at.values.set(position)
    normal.values.fill(0)
    const leastCosine = kernel().facing(corner.length / 3, corners.at, at.at, normal.at)
    const [x, y, z] = normal.values as unknown as [number, number, number]
    return x === 0 && y === 0 && z === 0 ? null : { normal: [x, y, z], leastCosine }
  })
}
