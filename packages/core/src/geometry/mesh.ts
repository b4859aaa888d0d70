import { failure, type Result, refused, done } from '../result/index.ts'

/** A triangle mesh in space. Triangles run counter-clockwise seen from the outside. */
export interface TriangleMesh {
  /** `[x0, y0, z0, …]`, length 3·V, mm. */
  readonly position: Float64Array
  /** `[a0, b0, c0, …]`, length 3·T, vertex numbers. */
  readonly triangle: Int32Array
}

export const vertexCount = (mesh: TriangleMesh) => mesh.position.length / 3
export const triangleCount = (mesh: TriangleMesh) => mesh.triangle.length / 3

/** What is known of a mesh once it has been found to be one open sheet. */
export interface Sheet {
  /** Closed rows of vertex numbers; the first is the longest (the outline), the others are holes. */
  readonly loops: readonly Int32Array[]
}

/**
 * Whether film can be laid on this mesh: one connected, orientable sheet with an outline, no doubled faces, and no
 * holes unless they are expected. Triangles that run the other way round than their neighbours count as doubled.
 */
export function checkSheet(mesh: TriangleMesh, options: { holesExpected: boolean }): Result<Sheet> {
  const vertices = vertexCount(mesh)
  const triangles = triangleCount(mesh)
  if (triangles === 0) return refused(failure('MESH_EMPTY', {}))
  for (let i = 0; i < mesh.triangle.length; i++) {
    const vertex = mesh.triangle[i]!
    if (vertex < 0 || vertex >= vertices)
      return refused(failure('MESH_BAD_INDEX', { triangle: Math.floor(i / 3) + 1, vertex: vertex + 1, vertices }))
  }
  const size = meanEdgeLength(mesh)
  for (let t = 0; t < triangles; t++) {
    if (!(triangleArea(mesh, t) > 1e-9 * size * size))
      return refused(failure('MESH_TRIANGLE_FLAT', { triangle: t + 1 }))
  }

  const uses = new Map<number, number>()
  const directed = new Set<number>()
  for (let t = 0; t < triangles; t++) {
    for (let c = 0; c < 3; c++) {
      const a = mesh.triangle[3 * t + c]!
      const b = mesh.triangle[3 * t + ((c + 1) % 3)]!
      const key = edgeKey(a, b, vertices)
      const count = (uses.get(key) ?? 0) + 1
      if (count === 2 && directed.has(a * vertices + b) && !isDoubled(mesh, t))
        return refused(failure('MESH_TURNED', { triangle: t + 1 }))
      if (count > 2 || directed.has(a * vertices + b))
        return refused(failure('MESH_NOT_MANIFOLD', { vertexA: a + 1, vertexB: b + 1 }))
      uses.set(key, count)
      directed.add(a * vertices + b)
    }
  }

  const pieces = countPieces(mesh)
  if (pieces > 1) return refused(failure('MESH_IN_PIECES', { pieces }))

  const after = new Map<number, number>()
  for (let t = 0; t < triangles; t++) {
    for (let c = 0; c < 3; c++) {
      const a = mesh.triangle[3 * t + c]!
      const b = mesh.triangle[3 * t + ((c + 1) % 3)]!
      if (uses.get(edgeKey(a, b, vertices)) !== 1) continue
      if (after.has(a)) return refused(failure('MESH_PINCHED', { vertex: a + 1 }))
      after.set(a, b)
    }
  }
  if (after.size === 0) return refused(failure('MESH_CLOSED', {}))
  const loops = collectLoops(after).sort((p, q) => loopLength(mesh, q) - loopLength(mesh, p))

  const used = new Set(mesh.triangle).size
  const euler = used - uses.size + triangles
  const handles = 2 - loops.length - euler
  if (handles !== 0) return refused(failure('MESH_NOT_A_SHEET', { handles: Math.max(1, handles / 2) }))
  if (loops.length > 1 && !options.holesExpected) return refused(failure('MESH_HAS_HOLES', { holes: loops.length - 1 }))
  return done({ loops })
}

/** Whether an earlier triangle has the same three corners. */
function isDoubled({ triangle }: TriangleMesh, t: number): boolean {
  const corners = new Set(triangle.subarray(3 * t, 3 * t + 3))
  for (let other = 0; other < t; other++) if ([0, 1, 2].every((c) => corners.has(triangle[3 * other + c]!))) return true
  return false
}

const edgeKey = (a: number, b: number, vertices: number) => (a < b ? a * vertices + b : b * vertices + a)

function countPieces(mesh: TriangleMesh): number {
  const root = Int32Array.from({ length: vertexCount(mesh) }, (_, i) => i)
  const find = (v: number) => {
    let r = v
    while (root[r] !== r) r = root[r] = root[root[r]!]!
    return r
  }
  for (let i = 0; i < mesh.triangle.length; i += 3) {
    const a = find(mesh.triangle[i]!)
    root[find(mesh.triangle[i + 1]!)] = a
    root[find(mesh.triangle[i + 2]!)] = a
  }
  const roots = new Set<number>()
  for (const v of mesh.triangle) roots.add(find(v))
  return roots.size
}

function collectLoops(after: Map<number, number>): Int32Array[] {
  const loops: Int32Array[] = []
  const seen = new Set<number>()
  for (const first of after.keys()) {
    if (seen.has(first)) continue
    const loop: number[] = []
    for (let v: number | undefined = first; v !== undefined && !seen.has(v); v = after.get(v)) {
      seen.add(v)
      loop.push(v)
    }
    loops.push(Int32Array.from(loop))
  }
  return loops
}

/** Length of a closed row of vertices, mm. */
export function loopLength(mesh: TriangleMesh, loop: Int32Array): number {
  let sum = 0
  for (let i = 0; i < loop.length; i++) sum += vertexDistance(mesh, loop[i]!, loop[(i + 1) % loop.length]!)
  return sum
}

export function vertexDistance(mesh: TriangleMesh, a: number, b: number): number {
  const p = mesh.position
  return Math.hypot(p[3 * a]! - p[3 * b]!, p[3 * a + 1]! - p[3 * b + 1]!, p[3 * a + 2]! - p[3 * b + 2]!)
}

/** Area of one triangle, mm². */
export function triangleArea(mesh: TriangleMesh, t: number): number {
  const [nx, ny, nz] = doubleAreaNormal(mesh, t)
  return Math.hypot(nx, ny, nz) / 2
}

/** Cross product of two sides: points outside, its length is twice the area. */
export function doubleAreaNormal(mesh: TriangleMesh, t: number): [number, number, number] {
  const p = mesh.position
  const a = 3 * mesh.triangle[3 * t]!
  const b = 3 * mesh.triangle[3 * t + 1]!
  const c = 3 * mesh.triangle[3 * t + 2]!
  const ux = p[b]! - p[a]!
  const uy = p[b + 1]! - p[a + 1]!
  const uz = p[b + 2]! - p[a + 2]!
  const vx = p[c]! - p[a]!
  const vy = p[c + 1]! - p[a + 1]!
  const vz = p[c + 2]! - p[a + 2]!
  return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]
}

/** Area of the whole surface, mm². */
export function surfaceArea(mesh: TriangleMesh): number {
  let sum = 0
  for (let t = 0; t < triangleCount(mesh); t++) sum += triangleArea(mesh, t)
  return sum
}

function meanEdgeLength(mesh: TriangleMesh): number {
  let sum = 0
  for (let i = 0; i < mesh.triangle.length; i++) {
    const next = i % 3 === 2 ? i - 2 : i + 1
    sum += vertexDistance(mesh, mesh.triangle[i]!, mesh.triangle[next]!)
  }
  return sum / mesh.triangle.length
}

/** 1 at vertices on an outline or hole, 0 inside. */
export function boundaryFlags(mesh: TriangleMesh, loops: readonly Int32Array[]): Uint8Array {
  const flags = new Uint8Array(vertexCount(mesh))
  for (const loop of loops) for (const v of loop) flags[v] = 1
  return flags
}

/** Mean normal at each vertex, weighted by area: `[nx0, ny0, nz0, …]`, length 3·V, each of length 1. */
export function vertexNormals(mesh: TriangleMesh): Float64Array {
  const normals = new Float64Array(mesh.position.length)
  for (let t = 0; t < triangleCount(mesh); t++) {
    const n = doubleAreaNormal(mesh, t)
    for (let c = 0; c < 3; c++) {
      const at = 3 * mesh.triangle[3 * t + c]!
      for (let k = 0; k < 3; k++) normals[at + k]! += n[k]!
    }
  }
  for (let i = 0; i < normals.length; i += 3) {
    const l = Math.hypot(normals[i]!, normals[i + 1]!, normals[i + 2]!) || 1
    for (let k = 0; k < 3; k++) normals[i + k]! /= l
  }
  return normals
}
