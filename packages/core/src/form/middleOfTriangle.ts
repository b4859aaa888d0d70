import type { Vec2 } from '../geometry/index.ts'
import type { PartSurface } from './formTypes.ts'

/** Middle of a triangle of a part's mesh on the drawing, mm. */
export function middleOfTriangle({ mesh, plan }: Pick<PartSurface, 'mesh' | 'plan'>, triangle: number): Vec2 {
  let x = 0
  let y = 0
  for (let c = 0; c < 3; c++) {
    const v = mesh.triangle[3 * triangle + c]!
    x += plan[2 * v]! / 3
    y += plan[2 * v + 1]! / 3
  }
  return [x, y]
}
