import { type TriangleMesh, triangleCount, vertexCount } from '../../geometry/index.ts'
import { gradients } from '../../kernel/index.ts'

/** A form's mesh with what every question about a region of film on it needs; made once. */
export interface FilmMesh {
  readonly vertices: number
  readonly triangles: number
  readonly corner: Int32Array
  readonly position: Float64Array
  /** Surface area per triangle, mm². */
  readonly area: Float64Array
  /** Surface that each vertex stands for, a third of the triangles round it, mm². */
  readonly vertexArea: Float64Array
  /** Gradients of the three hat functions of each triangle, 1/mm; see `gradients`. */
  readonly gradient: Float64Array
  /** Length of each side, from corner c of a triangle to its next; mm. */
  readonly sideMm: Float64Array
  /** Neighbours of each vertex, itself included. */
  readonly graph: { readonly start: Int32Array; readonly column: Int32Array }
  /** Triangles round each vertex. */
  readonly around: { readonly start: Int32Array; readonly triangle: Int32Array }
}

export function filmMesh(mesh: TriangleMesh): FilmMesh {
  const vertices = vertexCount(mesh)
  const triangles = triangleCount(mesh)
  const start = new Int32Array(vertices + 1)
  for (const v of mesh.triangle) start[v + 1]!++
  for (let v = 0; v < vertices; v++) start[v + 1]! += start[v]!
  const next = start.slice(0, vertices)
  const triangle = new Int32Array(3 * triangles)
  mesh.triangle.forEach((v, i) => {
    triangle[next[v]!++] = Math.floor(i / 3)
  })
  const around = { start, triangle }
  const { area, gradient } = gradients(mesh.triangle, mesh.position)
  return {
    vertices,
    triangles,
    corner: mesh.triangle,
    position: mesh.position,
    area,
    vertexArea: vertexAreas(mesh, area),
    gradient,
    sideMm: sideLengths(mesh),
    graph: vertexGraph(mesh, around),
    around,
  }
}

function vertexAreas({ triangle, ...mesh }: TriangleMesh, area: Float64Array): Float64Array {
  const vertexArea = new Float64Array(vertexCount({ triangle, ...mesh }))
  triangle.forEach((v, i) => {
    vertexArea[v]! += area[Math.floor(i / 3)]! / 3
  })
  return vertexArea
}

function sideLengths({ triangle, position: p }: TriangleMesh): Float64Array {
  return Float64Array.from(triangle, (v, i) => {
    const [a, b] = [3 * v, 3 * triangle[i % 3 === 2 ? i - 2 : i + 1]!]
    return Math.hypot(p[a]! - p[b]!, p[a + 1]! - p[b + 1]!, p[a + 2]! - p[b + 2]!)
  })
}

/** Row starts and columns of the vertex graph, each vertex its own first neighbour. */
function vertexGraph(mesh: TriangleMesh, around: FilmMesh['around']): FilmMesh['graph'] {
  const vertices = vertexCount(mesh)
  const start = new Int32Array(vertices + 1)
  // Every triangle round a vertex has two others; with itself that is room enough.
  const column = new Int32Array(2 * around.triangle.length + vertices)
  const seenBy = new Int32Array(vertices).fill(-1)
  let count = 0
  for (let v = 0; v < vertices; v++) {
    seenBy[v] = v
    column[count++] = v
    for (let p = around.start[v]!; p < around.start[v + 1]!; p++) {
      for (let c = 0; c < 3; c++) {
        const other = mesh.triangle[3 * around.triangle[p]! + c]!
        if (seenBy[other] === v) continue
        seenBy[other] = v
        column[count++] = other
      }
    }
    start[v + 1] = count
  }
  return { start, column: column.slice(0, count) }
}

/** The matrix surface -> flat of one triangle, row by row, written to `out[at..at+3]`. `uv` is `[u0…, v0…]`. */
export function matrixOf(film: FilmMesh, uv: Float64Array, t: number, out: Float64Array, at: number): void {
  const { corner, gradient, vertices } = film
  let m00 = 0
  let m01 = 0
  let m10 = 0
  let m11 = 0
  for (let c = 0; c < 3; c++) {
    const v = corner[3 * t + c]!
    const gx = gradient[6 * t + 2 * c]!
    const gy = gradient[6 * t + 2 * c + 1]!
    const x = uv[v]!
    const y = uv[vertices + v]!
    m00 += x * gx
    m01 += x * gy
    m10 += y * gx
    m11 += y * gy
  }
  out[at] = m00
  out[at + 1] = m01
  out[at + 2] = m10
  out[at + 3] = m11
}
