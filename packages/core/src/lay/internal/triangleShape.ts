import { cross2, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'

/** Middle, area and direction of the larger stretch of one triangle, on the drawing. */
export function triangleShape(surface: PartSurface, flat: Float64Array, t: number) {
  const { plan } = surface
  const [a, b, c] = [0, 1, 2].map((k) => surface.mesh.triangle[3 * t + k]!) as [number, number, number]
  const on = (xy: Float64Array, v: number): Vec2 => [xy[2 * v]!, xy[2 * v + 1]!]
  const p = surface.mesh.position
  const space = (v: number) => [p[3 * v]!, p[3 * v + 1]!, p[3 * v + 2]!] as const
  const [pa, pb, pc] = [space(a), space(b), space(c)]
  const e = [pb[0] - pa[0], pb[1] - pa[1], pb[2] - pa[2]] as const
  const f = [pc[0] - pa[0], pc[1] - pa[1], pc[2] - pa[2]] as const
  const ee = e[0] ** 2 + e[1] ** 2 + e[2] ** 2
  const ff = f[0] ** 2 + f[1] ** 2 + f[2] ** 2
  const ef = e[0] * f[0] + e[1] * f[1] + e[2] * f[2]
  // Metric of the surface in film coordinates: its larger direction is where the film is stretched most.
  const u = subtract(on(flat, b), on(flat, a))
  const v = subtract(on(flat, c), on(flat, a))
  const d = cross2(u, v)
  const i = [v[1] / d, -v[0] / d, -u[1] / d, u[0] / d] as const
  const mxx = i[0] * i[0] * ee + 2 * i[0] * i[2] * ef + i[2] * i[2] * ff
  const mxy = i[0] * i[1] * ee + (i[0] * i[3] + i[1] * i[2]) * ef + i[2] * i[3] * ff
  const myy = i[1] * i[1] * ee + 2 * i[1] * i[3] * ef + i[3] * i[3] * ff
  const angle = Math.atan2(2 * mxy, mxx - myy) / 2
  const inFilm: Vec2 = [Math.cos(angle), Math.sin(angle)]
  // Back to the drawing: the same combination of the two sides.
  const s = i[0] * inFilm[0] + i[1] * inFilm[1]
  const r = i[2] * inFilm[0] + i[3] * inFilm[1]
  const sides = [subtract(on(plan, b), on(plan, a)), subtract(on(plan, c), on(plan, a))] as const
  const direction = unit([s * sides[0][0] + r * sides[1][0], s * sides[0][1] + r * sides[1][1]])
  const at: Vec2 = [
    (plan[2 * a]! + plan[2 * b]! + plan[2 * c]!) / 3,
    (plan[2 * a + 1]! + plan[2 * b + 1]! + plan[2 * c + 1]!) / 3,
  ]
  return { at, direction, areaMm2: Math.sqrt(Math.max(0, ee * ff - ef * ef)) / 2 }
}
