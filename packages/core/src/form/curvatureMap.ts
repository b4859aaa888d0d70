import { boundaryFlags, triangleCount } from '../geometry/index.ts'
import type { PartSurface } from './formTypes.ts'

/** Bending both ways that no hand notices: it is drawn as flat, 1/m². */
const leastFullPerM2 = 0.25

/**
 * How a surface bends at each triangle: its angle defect per area, as a share of the sharpest 2 per cent, -1 to 1.
 * 0 = flat or bent one way only, so that film lies down; positive = bulging both ways, negative = a saddle.
 */
export function curvatureMap(surface: PartSurface): { readonly share: Float64Array; readonly fullPerM2: number } {
  const { mesh, loops } = surface
  const { position, triangle } = mesh
  const count = position.length / 3
  const defect = new Float64Array(count).fill(2 * Math.PI)
  const area = new Float64Array(count)
  for (let t = 0; t < triangleCount(mesh); t++) {
    for (let c = 0; c < 3; c++) {
      const v = triangle[3 * t + c]!
      const [a, b, own] = [3 * v, 3 * triangle[3 * t + ((c + 1) % 3)]!, 3 * triangle[3 * t + ((c + 2) % 3)]!]
      const [ux, uy, uz] = [0, 1, 2].map((k) => position[b + k]! - position[a + k]!) as [number, number, number]
      const [wx, wy, wz] = [0, 1, 2].map((k) => position[own + k]! - position[a + k]!) as [number, number, number]
      const twiceArea = Math.hypot(uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx)
      defect[v]! -= Math.atan2(twiceArea, ux * wx + uy * wy + uz * wz)
      area[v]! += twiceArea / 6
    }
  }
  const onRim = boundaryFlags(mesh, loops)
  const gauss = Float64Array.from(defect, (d, v) => (onRim[v] ? Number.NaN : d / Math.max(1e-9, area[v]!)))
  const sizes = [...gauss]
    .filter((g) => !Number.isNaN(g))
    .map(Math.abs)
    .sort((a, b) => a - b)
  const full = Math.max(leastFullPerM2 / 1e6, sizes[Math.floor(0.98 * (sizes.length - 1))] ?? 0)
  const share = new Float64Array(triangleCount(mesh))
  for (let t = 0; t < share.length; t++) {
    let sum = 0
    let known = 0
    for (let c = 0; c < 3; c++) {
      const g = gauss[triangle[3 * t + c]!]!
      if (Number.isNaN(g)) continue
      sum += g
      known++
    }
    share[t] = Math.min(1, Math.max(-1, known === 0 ? 0 : sum / known / full))
  }
  return { share, fullPerM2: full * 1e6 }
}
