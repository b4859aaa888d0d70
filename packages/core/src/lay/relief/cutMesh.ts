import type { TriangleMesh } from '../../geometry/index.ts'

/** A mesh slit open, and what became of its vertices. */
export interface CutMesh {
  readonly mesh: TriangleMesh
  /** For every vertex of the new mesh the one it was made from. */
  readonly origin: Int32Array
  /** The two sides of the slit at the rim: the vertex itself and its copy; equal where nothing was cut. */
  readonly lips: readonly [number, number]
}

/**
 * Slits a mesh along a path of vertices that begins on its rim and ends inside: every vertex of the path but the last
 * gets a copy for the triangles on the left of the path.
 *
 * @param path vertex numbers, neighbours along sides of the mesh; at least two; only the first on the rim
 */
export function cutMesh(mesh: TriangleMesh, path: readonly number[]): CutMesh {
  const vertices = mesh.position.length / 3
  const triangle = mesh.triangle.slice()
  const position: number[] = [...mesh.position]
  const origin: number[] = Array.from({ length: vertices }, (_, v) => v)
  const around = trianglesAround(mesh)
  let lips: [number, number] = [path[0]!, path[0]!]
  for (let i = 0; i + 1 < path.length; i++) {
    const v = path[i]!
    const left = leftFan(mesh, around[v]!, v, path[i - 1] ?? null, path[i + 1]!)
    const copy = origin.length
    origin.push(v)
    position.push(...mesh.position.slice(3 * v, 3 * v + 3))
    for (const t of left) {
      for (let c = 0; c < 3; c++) if (mesh.triangle[3 * t + c] === v) triangle[3 * t + c] = copy
    }
    if (i === 0) lips = [v, copy]
  }
  return { mesh: { position: Float64Array.from(position), triangle }, origin: Int32Array.from(origin), lips }
}

/**
 * Triangles round `v` between the side to `next` and, turning left (counter-clockwise), the side to `before` or the
 * rim.
 */
function leftFan(
  mesh: TriangleMesh,
  around: readonly number[],
  v: number,
  before: number | null,
  next: number,
): number[] {
  // Each triangle round v leads from its second to its third corner, counted from v.
  const after = new Map<number, { t: number; to: number }>()
  for (const t of around) {
    const c = [0, 1, 2].find((k) => mesh.triangle[3 * t + k] === v) ?? 0
    after.set(mesh.triangle[3 * t + ((c + 1) % 3)]!, { t, to: mesh.triangle[3 * t + ((c + 2) % 3)]! })
  }
  const fan: number[] = []
  let at = next
  while (at !== before) {
    const step = after.get(at)
    if (step === undefined) break
    fan.push(step.t)
    at = step.to
  }
  return fan
}

function trianglesAround(mesh: TriangleMesh): number[][] {
  const around: number[][] = Array.from({ length: mesh.position.length / 3 }, () => [])
  mesh.triangle.forEach((v, i) => {
    around[v]!.push(Math.floor(i / 3))
  })
  return around
}
