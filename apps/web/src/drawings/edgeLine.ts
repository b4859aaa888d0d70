import type { TracedOutline } from '@truelay/core/form'
import type { Vec2 } from '@truelay/core/geometry'

/** The points of one edge in order, from where it begins to where the next one does. */
export function edgeLine({ polygon, edgeOfSide }: TracedOutline, edge: string): Vec2[] {
  const count = polygon.length
  const first = edgeOfSide.findIndex((name, i) => name === edge && edgeOfSide[(i + count - 1) % count] !== edge)
  const line: Vec2[] = []
  for (let k = 0; k <= count; k++) {
    const i = (Math.max(0, first) + k) % count
    const p = polygon[i]
    if (p !== undefined) line.push(p)
    if (edgeOfSide[i] !== edge) break
  }
  return line
}
