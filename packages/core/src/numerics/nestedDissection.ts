/**
 * An order of elimination with little fill for a planar graph with coordinates: split the vertices at the median of
 * the longer side, take the vertices that touch the other half as separator, number both halves first and the
 * separator last (A. George, "Nested dissection of a regular finite element mesh", 1973).
 *
 * @param start row starts of the adjacency, length n+1
 * @param neighbour columns of the adjacency
 * @param position coordinates in space `[x0, y0, z0, …]`, any unit; only used to split
 * @returns `order[k]` = vertex eliminated as number k
 */
export function nestedDissection(start: Int32Array, neighbour: Int32Array, position: Float64Array): Int32Array {
  const n = start.length - 1
  const order = new Int32Array(n)
  const side = new Int8Array(n)
  const all = Int32Array.from({ length: n }, (_, i) => i)
  let filledFromEnd = n

  const number = (vertices: Int32Array): void => {
    if (vertices.length <= 24) {
      for (let k = vertices.length - 1; k >= 0; k--) order[--filledFromEnd] = vertices[k]!
      return
    }
    const { low, high, separator } = split(vertices, start, neighbour, position, side)
    if (low.length === 0 || high.length === 0) {
      for (let k = vertices.length - 1; k >= 0; k--) order[--filledFromEnd] = vertices[k]!
      return
    }
    for (let k = separator.length - 1; k >= 0; k--) order[--filledFromEnd] = separator[k]!
    number(high)
    number(low)
  }
  number(all)
  return order
}

const LOW = 1
const HIGH = 2

function split(
  vertices: Int32Array,
  start: Int32Array,
  neighbour: Int32Array,
  position: Float64Array,
  side: Int8Array,
) {
  const axis = longestAxis(vertices, position)
  const along = Float64Array.from(vertices, (v) => position[3 * v + axis]!).sort()
  const median = along[along.length >> 1]!
  for (const v of vertices) side[v] = position[3 * v + axis]! < median ? LOW : HIGH
  const low: number[] = []
  const high: number[] = []
  const separator: number[] = []
  for (const v of vertices) {
    if (side[v] === LOW) {
      low.push(v)
      continue
    }
    let touches = false
    for (let k = start[v]!; k < start[v + 1]! && !touches; k++) touches = side[neighbour[k]!] === LOW
    if (touches) separator.push(v)
    else high.push(v)
  }
  for (const v of vertices) side[v] = 0
  return { low: Int32Array.from(low), high: Int32Array.from(high), separator: Int32Array.from(separator) }
}

function longestAxis(vertices: Int32Array, position: Float64Array): number {
  let longest = 0
  let axis = 0
  for (let a = 0; a < 3; a++) {
    let least = Infinity
    let most = -Infinity
    for (const v of vertices) {
      const value = position[3 * v + a]!
      if (value < least) least = value
      if (value > most) most = value
    }
    if (most - least > longest) {
      longest = most - least
      axis = a
    }
  }
  return axis
}
