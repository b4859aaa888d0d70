/** Half-edge h belongs to triangle floor(h/3) and runs from corner h to the next corner of it. */
export const nextHalfEdge = (h: number) => (h % 3 === 2 ? h - 2 : h + 1)
export const previousHalfEdge = (h: number) => (h % 3 === 0 ? h + 2 : h - 1)

/** The half-edge that runs the other way, or -1 on an outline; length 3·T. */
export function twinsOf(triangle: Int32Array, vertices: number): Int32Array {
  const twin = new Int32Array(triangle.length).fill(-1)
  const open = new Map<number, number>()
  for (let h = 0; h < triangle.length; h++) {
    const a = triangle[h]!
    const b = triangle[nextHalfEdge(h)]!
    const other = open.get(b * vertices + a)
    if (other === undefined) open.set(a * vertices + b, h)
    else {
      twin[h] = other
      twin[other] = h
    }
  }
  return twin
}

/** Replaces the side shared by two triangles with the other diagonal of their quadrilateral. */
export function flipSide(triangle: Int32Array, twin: Int32Array, h: number): void {
  const g = twin[h]!
  const h2 = previousHalfEdge(h)
  const g2 = previousHalfEdge(g)
  const left = triangle[h2]!
  const right = triangle[g2]!
  const outerH2 = twin[h2]!
  const outerG2 = twin[g2]!
  triangle[h] = right
  triangle[g] = left
  // h now runs from `right` and g from `left`; h2 and g2 become the two directions of the new diagonal.
  twin[h] = outerG2
  if (outerG2 >= 0) twin[outerG2] = h
  twin[g] = outerH2
  if (outerH2 >= 0) twin[outerH2] = g
  twin[h2] = g2
  twin[g2] = h2
}
