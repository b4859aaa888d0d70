import { type TriangleMesh, triangleCount, vertexCount } from '../../geometry/index.ts'
import {
  addToEntry,
  type CholeskyFactor,
  nestedDissection,
  type SymmetricMatrix,
  sparseCholesky,
} from '../../numerics/index.ts'

/**
 * The linear map from film coordinates to the 2x2 matrix surface -> flat of each triangle, and the solver for the
 * film coordinates whose matrices are nearest to wanted ones (weighted by area). The system matrix is the cotangent
 * Laplacian; it is factored once (Liu et al., "A local/global approach to mesh parameterization", 2008).
 */
export interface LayOperator {
  readonly vertices: number
  readonly triangles: number
  /** Surface area per triangle, mm². */
  readonly area: Float64Array
  /** Writes surface -> flat of each triangle, row by row, length 4·T. `uv` is `[u0…, v0…]`, length 2·V. */
  matricesOf(uv: Float64Array, out: Float64Array): void
  /** The film coordinates whose matrices are nearest to `wanted` (length 4·T), written to `uv`; vertex 0 lies at 0. */
  nearestTo(wanted: Float64Array, uv: Float64Array): void
}

export function layOperator(mesh: TriangleMesh): LayOperator {
  const vertices = vertexCount(mesh)
  const triangles = triangleCount(mesh)
  const { area, gradient } = gradients(mesh)
  const stiffness = assemble(mesh, area, gradient)
  const factor: CholeskyFactor = sparseCholesky(
    stiffness,
    nestedDissection(stiffness.start, stiffness.column, mesh.position),
  )
  const corner = mesh.triangle

  return {
    vertices,
    triangles,
    area,
    matricesOf(uv, out) {
      for (let t = 0; t < triangles; t++) {
        const a = corner[3 * t]!
        const b = corner[3 * t + 1]!
        const c = corner[3 * t + 2]!
        const g = 6 * t
        const ua = uv[a]!
        const ub = uv[b]!
        const uc = uv[c]!
        const va = uv[vertices + a]!
        const vb = uv[vertices + b]!
        const vc = uv[vertices + c]!
        out[4 * t] = ua * gradient[g]! + ub * gradient[g + 2]! + uc * gradient[g + 4]!
        out[4 * t + 1] = ua * gradient[g + 1]! + ub * gradient[g + 3]! + uc * gradient[g + 5]!
        out[4 * t + 2] = va * gradient[g]! + vb * gradient[g + 2]! + vc * gradient[g + 4]!
        out[4 * t + 3] = va * gradient[g + 1]! + vb * gradient[g + 3]! + vc * gradient[g + 5]!
      }
    },
    nearestTo(wanted, uv) {
      uv.fill(0)
      for (let t = 0; t < triangles; t++) {
        const w = area[t]!
        const m00 = wanted[4 * t]! * w
        const m01 = wanted[4 * t + 1]! * w
        const m10 = wanted[4 * t + 2]! * w
        const m11 = wanted[4 * t + 3]! * w
        for (let c = 0; c < 3; c++) {
          const v = corner[3 * t + c]!
          const gx = gradient[6 * t + 2 * c]!
          const gy = gradient[6 * t + 2 * c + 1]!
          uv[v]! += m00 * gx + m01 * gy
          uv[vertices + v]! += m10 * gx + m11 * gy
        }
      }
      uv[0] = 0
      uv[vertices] = 0
      factor.solveInPlace(uv, 2)
    },
  }
}

/** Gradients of the three hat functions in each triangle's own plane, `[ax, ay, bx, by, cx, cy, …]`, 1/mm. */
export function gradients(mesh: TriangleMesh): { area: Float64Array; gradient: Float64Array } {
  const triangles = triangleCount(mesh)
  const area = new Float64Array(triangles)
  const gradient = new Float64Array(6 * triangles)
  const p = mesh.position
  for (let t = 0; t < triangles; t++) {
    const a = 3 * mesh.triangle[3 * t]!
    const b = 3 * mesh.triangle[3 * t + 1]!
    const c = 3 * mesh.triangle[3 * t + 2]!
    const ex = p[b]! - p[a]!
    const ey = p[b + 1]! - p[a + 1]!
    const ez = p[b + 2]! - p[a + 2]!
    const fx = p[c]! - p[a]!
    const fy = p[c + 1]! - p[a + 1]!
    const fz = p[c + 2]! - p[a + 2]!
    const x1 = Math.sqrt(ex * ex + ey * ey + ez * ez)
    const x2 = (ex * fx + ey * fy + ez * fz) / x1
    const y2 = Math.sqrt(Math.max(0, fx * fx + fy * fy + fz * fz - x2 * x2))
    area[t] = (x1 * y2) / 2
    gradient.set([-1 / x1, (x2 - x1) / (x1 * y2), 1 / x1, -x2 / (x1 * y2), 0, 1 / y2], 6 * t)
  }
  return { area, gradient }
}

/** Row starts and columns of the vertex graph, each vertex its own neighbour too. */
export function vertexGraph(mesh: TriangleMesh): { start: Int32Array; column: Int32Array } {
  const vertices = vertexCount(mesh)
  const sets: number[][] = Array.from({ length: vertices }, (_, v) => [v])
  const link = (a: number, b: number) => {
    const row = sets[a]!
    if (!row.includes(b)) row.push(b)
  }
  for (let i = 0; i < mesh.triangle.length; i++) {
    const a = mesh.triangle[i]!
    const b = mesh.triangle[i % 3 === 2 ? i - 2 : i + 1]!
    link(a, b)
    link(b, a)
  }
  const start = new Int32Array(vertices + 1)
  for (let v = 0; v < vertices; v++) start[v + 1] = start[v]! + sets[v]!.length
  const column = new Int32Array(start[vertices]!)
  for (let v = 0; v < vertices; v++) column.set(sets[v]!, start[v]!)
  return { start, column }
}

/** The cotangent Laplacian, with vertex 0 held at 0. */
function assemble(mesh: TriangleMesh, area: Float64Array, gradient: Float64Array): SymmetricMatrix {
  const { start, column } = vertexGraph(mesh)
  const value = new Float64Array(column.length)
  const matrix: SymmetricMatrix = { size: vertexCount(mesh), start, column, value }
  for (let t = 0; t < area.length; t++) {
    for (let i = 0; i < 3; i++) {
      for (let j = 0; j < 3; j++) {
        const gi = 6 * t + 2 * i
        const gj = 6 * t + 2 * j
        addToEntry(
          matrix,
          mesh.triangle[3 * t + i]!,
          mesh.triangle[3 * t + j]!,
          area[t]! * (gradient[gi]! * gradient[gj]! + gradient[gi + 1]! * gradient[gj + 1]!),
        )
      }
    }
  }
  hold(0, matrix)
  return matrix
}

/** Replaces row and column of one unknown by those of the unit matrix. */
export function hold(unknown: number, a: SymmetricMatrix): void {
  for (let p = a.start[unknown]!; p < a.start[unknown + 1]!; p++) {
    const other = a.column[p]!
    a.value[p] = other === unknown ? 1 : 0
    if (other === unknown) continue
    for (let q = a.start[other]!; q < a.start[other + 1]!; q++) if (a.column[q] === unknown) a.value[q] = 0
  }
}
