import { eachContact, type Lying } from './contacts.ts'

/** How far a side may lie off another one and still be pushed against it, mm: from step to step. */
const reachMm = [5, 1.5, 0.4] as const
/** How far off it may lie in the end and still touch, mm. */
const touchMm = 0.15

/**
 * Pushes a shape against its neighbours so that sides that nearly lie on each other do so: the move that brings them there with least squares, each
 * by the length they share, taken in ever shorter reaches.
 * @returns where it lies then, and how much of its rim touches, mm
 */
export function seat({ sides, x, y }: Lying, neighbours: readonly Lying[]) {
  let seated: Lying = { sides, x, y }
  for (const reach of reachMm) {
    const [moveX, moveY] = bestMove(seated, neighbours, reach)
    seated = { sides, x: seated.x + moveX, y: seated.y + moveY }
  }
  let touchingMm = 0
  for (const other of neighbours)
    eachContact(seated, other, touchMm, ({ sharedMm }) => {
      touchingMm += sharedMm
    })
  return { x: seated.x, y: seated.y, touchingMm }
}

function bestMove(shape: Lying, neighbours: readonly Lying[], reach: number): readonly [number, number] {
  let [xx, xy, yy, x, y] = [0, 0, 0, 0, 0]
  for (const other of neighbours)
    eachContact(shape, other, reach, ({ sharedMm, outX, outY, offMm }) => {
      xx += sharedMm * outX * outX
      xy += sharedMm * outX * outY
      yy += sharedMm * outY * outY
      x -= sharedMm * offMm * outX
      y -= sharedMm * offMm * outY
    })
  // A little against ways that no side speaks of.
  const ridge = 1e-6 * (xx + yy) + 1e-12
  const det = (xx + ridge) * (yy + ridge) - xy * xy
  return [((yy + ridge) * x - xy * y) / det, ((xx + ridge) * y - xy * x) / det]
}
