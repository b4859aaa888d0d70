import type { TriangleMesh } from '../../geometry/index.ts'
import { type FilmSystem, sidesOf } from '../../kernel/index.ts'

/**
 * A first guess for forms that cannot be seen straight on: the triangles are unrolled one after the other from the
 * middle of the mesh outward, which gives each a turn in the film plane, and the film coordinates nearest to all these turns are
 * solved for. Exact on a form that develops; on others the turns drift apart with the curvature between them.
 *
 * @returns `[u0…, v0…]`, length 2·V, mm
 */
export function unfoldedLay(mesh: TriangleMesh, film: FilmSystem): Float64Array {
  const uv = new Float64Array(2 * film.vertices)
  film.put(uv)
  film.measure()
  film.wantTurns(turns(mesh, sidesOf(mesh.triangle, mesh.position.length / 3).opposite))
  film.solve()
  film.move()
  film.take(uv)
  return uv
}

/** Turn of each triangle's own axes in the film plane, radians, by a walk over the sides from a middle triangle. */
function turns(mesh: TriangleMesh, over: Int32Array): Float64Array {
  const count = mesh.triangle.length / 3
  const angle = cornerAngles(mesh)
  const turn = new Float64Array(count)
  const seen = new Uint8Array(count)
  const queue = new Int32Array(count)
  // Twice breadth first: what the first walk reaches half way lies about in the middle.
  let head = 0
  let tail = 0
  const walk = (from: number) => {
    seen.fill(0)
    head = 0
    tail = 0
    queue[tail++] = from
    seen[from] = 1
    turn[from] = 0
    while (head < tail) {
      const t = queue[head++]!
      for (let c = 0; c < 3; c++) {
        const j = over[3 * t + c]!
        if (j < 0) continue
        const other = Math.floor(j / 3)
        if (seen[other]) continue
        seen[other] = 1
        // The shared side runs the other way round in the neighbour.
        turn[other] = turn[t]! + sideAngle(angle, 3 * t + c) - sideAngle(angle, j) - Math.PI
        queue[tail++] = other
      }
    }
  }
  walk(0)
  walk(queue[tail >> 1]!)
  return turn
}

/** Direction of the side that begins at corner `i`, in the axes of its triangle: x along its first side. */
function sideAngle(angle: Float64Array, i: number): number {
  const c = i % 3
  const t = i - c
  if (c === 0) return 0
  const outerB = Math.PI - angle[t + 1]!
  return c === 1 ? outerB : outerB + Math.PI - angle[t + 2]!
}

/** Inner angle at every corner, radians. */
function cornerAngles(mesh: TriangleMesh): Float64Array {
  const p = mesh.position
  const angle = new Float64Array(mesh.triangle.length)
  for (let i = 0; i < angle.length; i++) {
    const t = i - (i % 3)
    const a = 3 * mesh.triangle[i]!
    const b = 3 * mesh.triangle[t + ((i - t + 1) % 3)]!
    const c = 3 * mesh.triangle[t + ((i - t + 2) % 3)]!
    const ux = p[b]! - p[a]!
    const uy = p[b + 1]! - p[a + 1]!
    const uz = p[b + 2]! - p[a + 2]!
    const wx = p[c]! - p[a]!
    const wy = p[c + 1]! - p[a + 1]!
    const wz = p[c + 2]! - p[a + 2]!
    const nx = uy * wz - uz * wy
    const ny = uz * wx - ux * wz
    const nz = ux * wy - uy * wx
    angle[i] = Math.atan2(Math.sqrt(nx * nx + ny * ny + nz * nz), ux * wx + uy * wy + uz * wz)
  }
  return angle
}
