import type { TriangleMesh } from '@truelay/core/geometry'

/** A mesh as a binary STL (little-endian, 50 bytes a triangle). */
export function writeStl({ position, triangle }: TriangleMesh): Uint8Array {
  const count = triangle.length / 3
  const bytes = new Uint8Array(84 + 50 * count)
  const view = new DataView(bytes.buffer)
  view.setUint32(80, count, true)
  for (let t = 0; t < count; t++)
    for (let c = 0; c < 3; c++)
      for (let k = 0; k < 3; k++)
        view.setFloat32(84 + 50 * t + 12 + 12 * c + 4 * k, position[3 * (triangle[3 * t + c] ?? 0) + k] ?? 0, true)
  return bytes
}

/** A mesh as a PLY in plain text. */
export function writePly({ position, triangle }: TriangleMesh): string {
  const lines = [
    'ply',
    'format ascii 1.0',
    `element vertex ${position.length / 3}`,
    'property double x',
    'property double y',
    'property double z',
    `element face ${triangle.length / 3}`,
    'property list uchar int vertex_indices',
    'end_header',
  ]
  for (let v = 0; v < position.length; v += 3)
    lines.push([0, 1, 2].map((k) => (position[v + k] ?? 0).toFixed(6)).join(' '))
  for (let t = 0; t < triangle.length; t += 3) lines.push(`3 ${triangle[t]} ${triangle[t + 1]} ${triangle[t + 2]}`)
  return `${lines.join('\n')}\n`
}
