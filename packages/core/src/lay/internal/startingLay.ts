import { doubleAreaNormal, type TriangleMesh, triangleCount, vertexCount } from '../../geometry/index.ts'
import { addToEntry, nestedDissection, sparseCholesky } from '../../numerics/index.ts'
import { gradients, hold, type LayOperator, vertexGraph } from './layOperator.ts'
import { unfoldedLay } from './unfoldedLay.ts'

/** Least slope between a triangle and the plane it is projected to, as a cosine, for the projection to be a start. */
const leastCosine = 0.2

/**
 * A first guess of the film coordinates, `[u0…, v0…]`: the part seen straight on where that shows every triangle,
 * otherwise unrolled.
 */
export function startingLay(mesh: TriangleMesh, operator: LayOperator): Float64Array {
  return projected(mesh) ?? unfoldedLay(mesh, operator)
}

function projected(mesh: TriangleMesh): Float64Array | null {
  const mean = [0, 0, 0]
  for (let t = 0; t < triangleCount(mesh); t++) {
    const n = doubleAreaNormal(mesh, t)
    for (let k = 0; k < 3; k++) mean[k]! += n[k]!
  }
  const length = Math.hypot(mean[0]!, mean[1]!, mean[2]!)
  if (length === 0) return null
  const n = mean.map((x) => x / length) as [number, number, number]
  for (let t = 0; t < triangleCount(mesh); t++) {
    const m = doubleAreaNormal(mesh, t)
    const cosine = (m[0] * n[0] + m[1] * n[1] + m[2] * n[2]) / Math.hypot(m[0], m[1], m[2])
    if (cosine < leastCosine) return null
  }
  // Two axes square to n: the first as near to x as can be.
  const seed = Math.abs(n[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]
  const along = seed[0]! * n[0] + seed[1]! * n[1] + seed[2]! * n[2]
  const e = seed.map((x, k) => x - along * n[k]!)
  const el = Math.hypot(e[0]!, e[1]!, e[2]!)
  const a = e.map((x) => x / el)
  const b = [n[1] * a[2]! - n[2] * a[1]!, n[2] * a[0]! - n[0] * a[2]!, n[0] * a[1]! - n[1] * a[0]!]
  const vertices = vertexCount(mesh)
  const uv = new Float64Array(2 * vertices)
  for (let v = 0; v < vertices; v++) {
    for (let k = 0; k < 3; k++) {
      uv[v]! += mesh.position[3 * v + k]! * a[k]!
      uv[vertices + v]! += mesh.position[3 * v + k]! * b[k]!
    }
  }
  return uv
}

/**
 * Least conformal energy with two far vertices held: Dirichlet energy less the area enclosed (Lévy et al., "Least squares
 * conformal maps", 2002). Dearer than the other starts, and hardly ever folded.
 */
export function conformal(mesh: TriangleMesh): Float64Array {
  const vertices = vertexCount(mesh)
  const { area, gradient } = gradients(mesh)
  const graph = vertexGraph(mesh)
  const degree = (v: number) => graph.start[v + 1]! - graph.start[v]!
  const start = new Int32Array(2 * vertices + 1)
  for (let v = 0; v < 2 * vertices; v++) start[v + 1] = start[v]! + 2 * degree(v % vertices)
  const column = new Int32Array(start[2 * vertices]!)
  const value = new Float64Array(start[2 * vertices]!)
  for (let v = 0; v < 2 * vertices; v++) {
    const from = graph.start[v % vertices]!
    for (let k = 0; k < degree(v % vertices); k++) {
      column[start[v]! + 2 * k] = graph.column[from + k]!
      column[start[v]! + 2 * k + 1] = graph.column[from + k]! + vertices
    }
  }
  const system = { size: 2 * vertices, start, column, value }
  for (let t = 0; t < area.length; t++) {
    for (let i = 0; i < 3; i++) {
      for (let j = 0; j < 3; j++) {
        const vi = mesh.triangle[3 * t + i]!
        const vj = mesh.triangle[3 * t + j]!
        const [xi, yi] = [gradient[6 * t + 2 * i]!, gradient[6 * t + 2 * i + 1]!]
        const [xj, yj] = [gradient[6 * t + 2 * j]!, gradient[6 * t + 2 * j + 1]!]
        const dirichlet = area[t]! * (xi * xj + yi * yj)
        const turned = area[t]! * (xi * yj - yi * xj)
        addToEntry(system, vi, vj, dirichlet)
        addToEntry(system, vi + vertices, vj + vertices, dirichlet)
        addToEntry(system, vi, vj + vertices, -turned)
        addToEntry(system, vi + vertices, vj, turned)
      }
    }
  }
  const [a, b] = farApart(mesh)
  const distanceMm = Math.hypot(...[0, 1, 2].map((k) => mesh.position[3 * a + k]! - mesh.position[3 * b + k]!))
  // Vertex a lies at 0; vertex b at (distance, 0): its column moves to the right-hand side before it is held.
  const uv = new Float64Array(2 * vertices)
  for (let p = start[b]!; p < start[b + 1]!; p++) uv[column[p]!] = -value[p]! * distanceMm
  for (const unknown of [a, a + vertices, b, b + vertices]) {
    hold(unknown, system)
    uv[unknown] = 0
  }
  uv[b] = distanceMm
  const position = new Float64Array(6 * vertices)
  position.set(mesh.position)
  position.set(mesh.position, 3 * vertices)
  const factor = sparseCholesky(system, nestedDissection(start, column, position))
  factor.solveInPlace(uv, 1)
  return rescaled(mesh, uv)
}

/** Brings the flat area to the surface area. */
function rescaled(mesh: TriangleMesh, uv: Float64Array): Float64Array {
  const vertices = vertexCount(mesh)
  let flatArea = 0
  let surface = 0
  for (let t = 0; t < triangleCount(mesh); t++) {
    const [a, b, c] = [mesh.triangle[3 * t]!, mesh.triangle[3 * t + 1]!, mesh.triangle[3 * t + 2]!]
    flatArea +=
      ((uv[b]! - uv[a]!) * (uv[vertices + c]! - uv[vertices + a]!) -
        (uv[c]! - uv[a]!) * (uv[vertices + b]! - uv[vertices + a]!)) /
      2
    const n = doubleAreaNormal(mesh, t)
    surface += Math.hypot(n[0], n[1], n[2]) / 2
  }
  const k = Math.sqrt(surface / Math.abs(flatArea))
  return uv.map((x) => x * k)
}

/** Two vertices far apart: furthest from vertex 0, and furthest from that one. */
function farApart(mesh: TriangleMesh): [number, number] {
  const furthestFrom = (v: number) => {
    let best = 0
    let most = -1
    for (let w = 0; w < vertexCount(mesh); w++) {
      const d = Math.hypot(...[0, 1, 2].map((k) => mesh.position[3 * v + k]! - mesh.position[3 * w + k]!))
      if (d > most) {
        most = d
        best = w
      }
    }
    return best
  }
  const a = furthestFrom(0)
  return [a, furthestFrom(a)]
}
