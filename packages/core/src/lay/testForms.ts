import type { TriangleMesh } from '../geometry/index.ts'

type Place = (u: number, v: number) => readonly [number, number, number]

/** A grid of nu x nv cells over the unit square, each cut into two triangles, carried into space. */
export function gridForm(nu: number, nv: number, place: Place): TriangleMesh {
  const position = new Float64Array(3 * (nu + 1) * (nv + 1))
  const triangle: number[] = []
  const at = (i: number, j: number) => j * (nu + 1) + i
  for (let j = 0; j <= nv; j++) {
    for (let i = 0; i <= nu; i++) position.set(place(i / nu, j / nv), 3 * at(i, j))
  }
  for (let j = 0; j < nv; j++) {
    for (let i = 0; i < nu; i++) {
      const [a, b, c, d] = [at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)]
      triangle.push(...((i + j) % 2 === 0 ? [a, b, c, a, c, d] : [a, b, d, b, c, d]))
    }
  }
  return { position, triangle: Int32Array.from(triangle) }
}

export const plate = (widthMm: number, heightMm: number, n: number) =>
  gridForm(n, n, (u, v) => [u * widthMm, v * heightMm, 0])

/** Part of a cylinder of that radius, opened by `angleDeg`. */
export const cylinder = (radiusMm: number, angleDeg: number, heightMm: number, n: number) =>
  gridForm(n, n, (u, v) => {
    const a = ((u - 0.5) * angleDeg * Math.PI) / 180
    return [radiusMm * Math.sin(a), v * heightMm, radiusMm * Math.cos(a)]
  })

/** Sector of a cone between two radii from its tip, slope 30 degrees. */
export const coneSector = (n: number) =>
  gridForm(n, n, (u, v) => {
    const a = (u - 0.5) * 2.4
    const r = 60 + 120 * v
    return [r * Math.sin(a), -r * Math.cos(a), -(60 + 120 * v) * Math.tan(Math.PI / 6)]
  })

export const saddle = (n: number) =>
  gridForm(n, n, (u, v) => {
    const [x, y] = [2 * u - 1, 2 * v - 1]
    return [100 * x, 100 * y, 30 * (x * x - y * y)]
  })

/** Spherical cap of that half-angle in rings of equal width; `rings` from the pole to the rim. */
export function cap(halfAngleDeg: number, rings: number, radiusMm = 100): TriangleMesh {
  const half = (halfAngleDeg * Math.PI) / 180
  const position: number[] = [0, 0, radiusMm]
  const triangle: number[] = []
  const first = [0]
  for (let r = 1; r <= rings; r++) {
    first.push(position.length / 3)
    for (let k = 0; k < 6 * r; k++) {
      const t = (half * r) / rings
      const p = (Math.PI * k) / (3 * r)
      position.push(radiusMm * Math.sin(t) * Math.cos(p), radiusMm * Math.sin(t) * Math.sin(p), radiusMm * Math.cos(t))
    }
    for (let s = 0; s < 6; s++) {
      for (let k = 0; k < r; k++) {
        const outer = (i: number) => first[r]! + ((s * r + i) % (6 * r))
        const inner = (i: number) => (r === 1 ? 0 : first[r - 1]! + ((s * (r - 1) + i) % (6 * (r - 1))))
        triangle.push(outer(k), outer(k + 1), inner(k))
        if (k < r - 1) triangle.push(inner(k), outer(k + 1), inner(k + 1))
      }
    }
  }
  return { position: Float64Array.from(position), triangle: Int32Array.from(triangle) }
}
