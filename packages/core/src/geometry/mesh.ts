import { firstFlatTriangle, sideEnd, sidesOf } from '../kernel/index.ts'
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

/** A triangle is flat whose area is no more than this share of the square of the mean side. */
const flatShare = 1e-9

/**
 * Whether film can be laid on this mesh: one connected, orientable sheet with an outline, no doubled faces, and no
 * holes unless they are expected. Triangles that run the other way round than their neighbours count as doubled.
 */
export function checkSheet(mesh: TriangleMesh, options: { holesExpected: boolean }): Result<Sheet> {
  const vertices = vertexCount(mesh)
  const triangles = triangleCount(mesh)
  if (triangles === 0) return refused(failure('MESH_EMPTY', {}))
  const strange = mesh.triangle.findIndex((vertex) => vertex < 0 || vertex >= vertices)
  if (strange >= 0)
    return refused(
      failure('MESH_BAD_INDEX', {
        triangle: Math.floor(strange / 3) + 1,
        vertex: mesh.triangle[strange]! + 1,
        vertices,
      }),
    )
  const flat = firstFlatTriangle(mesh.triangle, mesh.position, flatShare)
  if (flat >= 0) return refused(failure('MESH_TRIANGLE_FLAT', { triangle: flat + 1 }))

  const { opposite, clash, before } = sidesOf(mesh.triangle, vertices)
  if (clash >= 0) {
    const t = Math.floor(clash / 3)
    if (before === 1 && !isDoubled(mesh, t)) return refused(failure('MESH_TURNED', { triangle: t + 1 }))
    return refused(
      failure('MESH_NOT_MANIFOLD', { vertexA: mesh.triangle[clash]! + 1, vertexB: sideEnd(mesh.triangle, clash) + 1 }),
    )
  }

  const { pieces, used } = countPieces(mesh)
  if (pieces > 1) return refused(failure('MESH_IN_PIECES', { pieces }))

  const after = new Int32Array(vertices).fill(-1)
  const rim: number[] = []
  for (let i = 0; i < opposite.length; i++) {
    if (opposite[i]! >= 0) continue
    const a = mesh.triangle[i]!
    if (after[a]! >= 0) return refused(failure('MESH_PINCHED', { vertex: a + 1 }))
    after[a] = sideEnd(mesh.triangle, i)
    rim.push(a)
  }
  if (rim.length === 0) return refused(failure('MESH_CLOSED', {}))
  const loops = collectLoops(rim, after).sort((p, q) => loopLength(mesh, q) - loopLength(mesh, p))

  const sides = (opposite.length + rim.length) / 2
  const euler = used - sides + triangles
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

/** Pieces that do not hang together, and how many vertices any triangle uses. */
function countPieces(mesh: TriangleMesh): { pieces: number; used: number } {
  const root = new Int32Array(vertexCount(mesh))
  for (let v = 0; v < root.length; v++) root[v] = v
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
  const seen = new Uint8Array(root.length)
  let pieces = 0
  let used = 0
  for (const v of mesh.triangle) {
    if (seen[v]) continue
    seen[v] = 1
    used++
    // Every piece has one vertex that is its own root.
    if (root[v] === v) pieces++
  }
  return { pieces, used }
}

/** Closed rows of vertices, from where each goes on to. */
function collectLoops(rim: readonly number[], after: Int32Array): Int32Array[] {
  const loops: Int32Array[] = []
  const seen = new Uint8Array(after.length)
  for (const first of rim) {
    if (seen[first]) continue
    const loop: number[] = []
    for (let v = first; v >= 0 && !seen[v]; v = after[v]!) {
      seen[v] = 1
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
  const x = p[3 * a]! - p[3 * b]!
  const y = p[3 * a + 1]! - p[3 * b + 1]!
  const z = p[3 * a + 2]! - p[3 * b + 2]!
  return Math.sqrt(x * x + y * y + z * z)
}

/** Area of one triangle, mm². */
export function triangleArea(mesh: TriangleMesh, t: number): number {
  const [nx, ny, nz] = doubleAreaNormal(mesh, t)
  return Math.sqrt(nx * nx + ny * ny + nz * nz) / 2
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
