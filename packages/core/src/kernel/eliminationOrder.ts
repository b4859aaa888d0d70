import { bytes, doubles, inKernel, ints, kernel } from './instance.ts'

/**
 * An order of elimination with little fill for vertices of a mesh: nested dissection by their positions.
 *
 * @param corner `[a0, b0, c0, …]`, vertex numbers
 * @param position `[x0, y0, z0, …]`, any unit; only used to split
 * @param vertices those to be put in order; the others count as held
 */
export function eliminationOrder(corner: Int32Array, position: Float64Array, vertices: Int32Array): Int32Array {
  const all = position.length / 3
  const count = vertices.length
  return inKernel(() => {
    const k = kernel()
    const rows = { corner: ints(corner.length), position: doubles(position.length), order: ints(count) }
    const [start, round, side] = [ints(all + 1), ints(corner.length), bytes(all)]
    // Halves that get smaller by a half each time, and as many again for those that split unevenly.
    const stack = ints(4 * count + 8)
    rows.corner.values.set(corner)
    rows.position.values.set(position)
    rows.order.values.set(vertices)
    side.values.fill(0)
    k.trianglesRound(all, corner.length / 3, rows.corner.at, start.at, round.at)
    k.dissect(count, rows.corner.at, start.at, round.at, rows.position.at, rows.order.at, side.at, stack.at)
    return rows.order.values.slice()
  })
}
