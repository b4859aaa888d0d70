import type { PartSurface } from '@truelay/core/form'
import { type Rgb, signedStretch, stretchColor } from './stretchColor.ts'

/** Film that does not lie yet: cool and pale, unlike any colour of the stretch map. */
const afloat: Rgb = [0.8, 0.86, 0.89]

/** Mean colour of the triangles around each vertex, in the renderer's linear space; free film has a colour of its own. */
export function vertexColors(
  surface: PartSurface,
  stretch: Float64Array,
  full: number,
  lies: (vertex: number) => boolean = () => true,
): Float32Array {
  const { triangle, position } = surface.mesh
  const sum = new Float64Array(position.length / 3)
  const count = new Float64Array(position.length / 3)
  for (let t = 0; t < triangle.length / 3; t++) {
    const value = signedStretch(stretch[2 * t] ?? 1, stretch[2 * t + 1] ?? 1)
    for (let c = 0; c < 3; c++) {
      const v = triangle[3 * t + c] ?? 0
      sum[v] = (sum[v] ?? 0) + value
      count[v] = (count[v] ?? 0) + 1
    }
  }
  const value = smoothed(
    surface,
    sum.map((s, v) => s / Math.max(1, count[v] ?? 1)),
  )
  const colors = new Float32Array(position.length)
  for (let v = 0; v < count.length; v++) {
    const rgb = lies(v) ? stretchColor(value[v] ?? 0, full) : afloat
    for (let k = 0; k < 3; k++) colors[3 * v + k] = (rgb[k] ?? 1) ** 2.2
  }
  return colors
}

/** Each value averaged with those around it, so that the map shows places and not triangles. */
function smoothed(surface: PartSurface, value: Float64Array): Float64Array {
  const { triangle } = surface.mesh
  const sum = value.slice()
  const count = new Float64Array(value.length).fill(1)
  for (let i = 0; i < triangle.length; i++) {
    const v = triangle[i] ?? 0
    const w = triangle[i % 3 === 2 ? i - 2 : i + 1] ?? 0
    sum[v] = (sum[v] ?? 0) + (value[w] ?? 0)
    count[v] = (count[v] ?? 0) + 1
    sum[w] = (sum[w] ?? 0) + (value[v] ?? 0)
    count[w] = (count[w] ?? 0) + 1
  }
  return sum.map((s, v) => s / (count[v] ?? 1))
}
