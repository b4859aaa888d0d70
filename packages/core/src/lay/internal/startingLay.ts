import { doubleAreaNormal, type TriangleMesh, triangleCount, vertexCount } from '../../geometry/index.ts'
import {
  cholesky,
  doubles,
  eliminationOrder,
  type Entry,
  facingOf,
  type FilmSystem,
  gradients,
  inKernel,
  upperTriangle,
} from '../../kernel/index.ts'
import { unfoldedLay } from './unfoldedLay.ts'

/** Least slope between a triangle and the plane it is projected to, as a cosine, for the projection to be a start. */
const leastCosine = 0.2

/**
 * A first guess of the film coordinates, `[u0…, v0…]`: the part seen straight on where that shows every triangle,
 * otherwise unrolled.
 */
export function startingLay(mesh: TriangleMesh, film: FilmSystem): Float64Array {
  return projected(mesh) ?? unfoldedLay(mesh, film)
}

function projected(mesh: TriangleMesh): Float64Array | null {
  const facing = facingOf(mesh.triangle, mesh.position)
  if (facing === null || facing.leastCosine < leastCosine) return null
  const n = facing.normal
  // Two axes square to n: the first as near to x as can be.
  const seed = Math.abs(n[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]
  const along = seed[0]! * n[0] + seed[1]! * n[1] + seed[2]! * n[2]
  const e = seed.map((x, k) => x - along * n[k]!)
  const el = Math.hypot(e[0]!, e[1]!, e[2]!)
  const [ax, ay, az] = e.map((x) => x / el) as [number, number, number]
  const [bx, by, bz] = [n[1] * az - n[2] * ay, n[2] * ax - n[0] * az, n[0] * ay - n[1] * ax]
  const vertices = vertexCount(mesh)
  const uv = new Float64Array(2 * vertices)
  for (let v = 0; v < vertices; v++) {
    const x = mesh.position[3 * v]!
    const y = mesh.position[3 * v + 1]!
    const z = mesh.position[3 * v + 2]!
    uv[v] = x * ax + y * ay + z * az
    uv[vertices + v] = x * bx + y * by + z * bz
  }
  return uv
}

/**
 * Least conformal energy with two far vertices held: Dirichlet energy less the area enclosed (Lévy et al., "Least squares
 * conformal maps", 2002). Dearer than the other starts, and hardly ever folded.
 */
export function conformal(mesh: TriangleMesh): Float64Array {
  const vertices = vertexCount(mesh)
  const [a, b] = farApart(mesh)
  const distanceMm = Math.hypot(...[0, 1, 2].map((k) => mesh.position[3 * a + k]! - mesh.position[3 * b + k]!))
  const uv = new Float64Array(2 * vertices)
  uv[b] = distanceMm
  // Unknowns are u of vertex v at 2 v and its v at 2 v + 1, in the order of elimination of the vertices.
  const unknowns = Int32Array.from({ length: vertices }, (_, v) => v).filter((v) => v !== a && v !== b)
  const order = eliminationOrder(mesh.triangle, mesh.position, unknowns)
  const place = new Int32Array(vertices).fill(-1)
  order.forEach((v, k) => {
    place[v] = 2 * k
  })
  inKernel(() => {
    const right = doubles(4 * order.length)
    right.values.fill(0)
    const entries: Entry[] = []
    for (const { of, with: other, value } of conformalEntries(mesh)) {
      const row = place[of.vertex]! + of.axis
      if (place[of.vertex] === -1) continue
      // What is held moves to the right-hand side.
      if (place[other.vertex] === -1) right.values[2 * row]! -= value * uv[other.vertex + other.axis * vertices]!
      else if (place[other.vertex]! + other.axis <= row)
        entries.push({ row, column: place[other.vertex]! + other.axis, value })
    }
    cholesky(
      upperTriangle(
        Int32Array.from({ length: 2 * order.length }, (_, k) => k),
        entries,
      ),
    ).solve(right)
    order.forEach((v, k) => {
      uv[v] = right.values[4 * k]!
      uv[vertices + v] = right.values[4 * k + 2]!
    })
  })
  return rescaled(mesh, uv)
}

interface Coordinate {
  readonly vertex: number
  readonly axis: 0 | 1
}

/** Every entry of the conformal energy's matrix, of each triangle. */
function* conformalEntries(mesh: TriangleMesh): Generator<{ of: Coordinate; with: Coordinate; value: number }> {
  const { area, gradient } = gradients(mesh.triangle, mesh.position)
  for (let t = 0; t < area.length; t++) {
    for (let i = 0; i < 3; i++) {
      for (let j = 0; j < 3; j++) {
        const [vi, vj] = [mesh.triangle[3 * t + i]!, mesh.triangle[3 * t + j]!]
        const [xi, yi] = [gradient[6 * t + 2 * i]!, gradient[6 * t + 2 * i + 1]!]
        const [xj, yj] = [gradient[6 * t + 2 * j]!, gradient[6 * t + 2 * j + 1]!]
        const dirichlet = area[t]! * (xi * xj + yi * yj)
        const turned = area[t]! * (xi * yj - yi * xj)
        yield { of: { vertex: vi, axis: 0 }, with: { vertex: vj, axis: 0 }, value: dirichlet }
        yield { of: { vertex: vi, axis: 1 }, with: { vertex: vj, axis: 1 }, value: dirichlet }
        yield { of: { vertex: vi, axis: 0 }, with: { vertex: vj, axis: 1 }, value: -turned }
        yield { of: { vertex: vi, axis: 1 }, with: { vertex: vj, axis: 0 }, value: turned }
      }
    }
  }
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
