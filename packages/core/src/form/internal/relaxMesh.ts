import type { Vec2 } from '../../geometry/index.ts'
import { flipSide, nextHalfEdge, previousHalfEdge, twinsOf } from './halfEdges.ts'

/**
 * Evens out a plane triangulation as seen on the surface above it: sides are flipped until no pair of triangles
 * could have larger smallest angles in space (Delaunay on the surface), and free vertices move towards their more
 * distant neighbours. Vertices before `firstFree` and the sides in `fixed` stay. No triangle is ever turned over.
 */
export function relaxMesh(
  plan: Float64Array,
  triangle: Int32Array,
  firstFree: number,
  fixed: ReadonlySet<number>,
  heightAt: (p: Vec2) => number,
  rounds: number,
): void {
  const vertices = plan.length / 2
  const height = new Float64Array(vertices)
  for (let v = 0; v < vertices; v++) height[v] = heightAt([plan[2 * v]!, plan[2 * v + 1]!])
  const twin = twinsOf(triangle, vertices)
  const distanceSquared = (a: number, b: number) => {
    const x = plan[2 * a]! - plan[2 * b]!
    const y = plan[2 * a + 1]! - plan[2 * b + 1]!
    const z = height[a]! - height[b]!
    return x * x + y * y + z * z
  }
  for (let round = 0; round < rounds; round++) {
    flipToDelaunay()
    moveFree()
  }
  flipToDelaunay()

  function cotangentAt(h: number): number {
    const apex = triangle[previousHalfEdge(h)]!
    const a = triangle[h]!
    const b = triangle[nextHalfEdge(h)]!
    const aa = distanceSquared(apex, a)
    const bb = distanceSquared(apex, b)
    const cc = distanceSquared(a, b)
    const cosine = aa + bb - cc
    return cosine / Math.sqrt(Math.max(4 * aa * bb - cosine * cosine, 1e-300))
  }

  function flipToDelaunay() {
    for (let pass = 0; pass < 20; pass++) {
      let flips = 0
      for (let h = 0; h < triangle.length; h++) {
        const g = twin[h]!
        if (g < h) continue
        const a = triangle[h]!
        const b = triangle[nextHalfEdge(h)]!
        if (fixed.has(sideKey(a, b, vertices))) continue
        if (cotangentAt(h) + cotangentAt(g) > -1e-9) continue
        const left = triangle[previousHalfEdge(h)]!
        const right = triangle[previousHalfEdge(g)]!
        if (!(planArea(plan, right, b, left) > 0 && planArea(plan, left, a, right) > 0)) continue
        flipSide(triangle, twin, h)
        flips++
      }
      if (flips === 0) return
    }
  }

  function moveFree() {
    const sumX = new Float64Array(vertices)
    const sumY = new Float64Array(vertices)
    const sum = new Float64Array(vertices)
    for (let h = 0; h < triangle.length; h++) {
      const a = triangle[h]!
      const b = triangle[nextHalfEdge(h)]!
      const w = distanceSquared(a, b)
      sumX[a]! += w * plan[2 * b]!
      sumY[a]! += w * plan[2 * b + 1]!
      sum[a]! += w
      sumX[b]! += w * plan[2 * a]!
      sumY[b]! += w * plan[2 * a + 1]!
      sum[b]! += w
    }
    const before = plan.slice()
    for (let v = firstFree; v < vertices; v++) {
      if (sum[v] === 0) continue
      plan[2 * v]! += 0.5 * (sumX[v]! / sum[v]! - plan[2 * v]!)
      plan[2 * v + 1]! += 0.5 * (sumY[v]! / sum[v]! - plan[2 * v + 1]!)
    }
    for (let again = true, guard = 0; again && guard < 10; guard++) {
      again = false
      for (let t = 0; t < triangle.length; t += 3) {
        if (planArea(plan, triangle[t]!, triangle[t + 1]!, triangle[t + 2]!) > 0) continue
        again = true
        for (let c = 0; c < 3; c++) {
          const v = triangle[t + c]!
          plan[2 * v] = before[2 * v]!
          plan[2 * v + 1] = before[2 * v + 1]!
        }
      }
    }
    for (let v = firstFree; v < vertices; v++) height[v] = heightAt([plan[2 * v]!, plan[2 * v + 1]!])
  }
}

export const sideKey = (a: number, b: number, vertices: number) => (a < b ? a * vertices + b : b * vertices + a)

const planArea = (plan: Float64Array, a: number, b: number, c: number) =>
  (plan[2 * b]! - plan[2 * a]!) * (plan[2 * c + 1]! - plan[2 * a + 1]!) -
  (plan[2 * c]! - plan[2 * a]!) * (plan[2 * b + 1]! - plan[2 * a + 1]!)
