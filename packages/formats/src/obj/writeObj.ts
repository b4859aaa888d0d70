import type { TriangleMesh } from '@truelay/core/geometry'

/** A mesh as an OBJ file in mm, coordinates to a thousandth. */
export function writeObj({ position, triangle }: TriangleMesh, comment: string): string {
  const lines = [`# ${comment}, mm`]
  for (let i = 0; i < position.length; i += 3)
    lines.push(`v ${[0, 1, 2].map((k) => (position[i + k] ?? 0).toFixed(4)).join(' ')}`)
  for (let i = 0; i < triangle.length; i += 3)
    lines.push(`f ${[0, 1, 2].map((k) => (triangle[i + k] ?? 0) + 1).join(' ')}`)
  return `${lines.join('\n')}\n`
}
