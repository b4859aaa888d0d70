import { count as counted, name, say, type Sentence } from '@truelay/core/say'
import type { TriangleMesh } from '@truelay/core/geometry'

/** A mesh, or the line of the file that could not be read and what would be right there. */
export type ObjReading =
  | { readonly ok: true; readonly mesh: TriangleMesh }
  | { readonly ok: false; readonly line: number; readonly problem: Sentence }

const mostVertices = 2_000_000
const mostTriangles = 4_000_000
/** A face of a scan has three or four corners; one of some thousand is still read. */
const mostLineLetters = 100_000

/** One line after the other, so that a large file does not lie in memory twice. */
function* linesOf(text: string): Generator<string> {
  for (let from = 0; from <= text.length; ) {
    const end = text.indexOf('\n', from)
    const to = end < 0 ? text.length : end
    yield text.slice(from, Math.min(to, from + mostLineLetters + 1))
    from = to + 1
  }
}

/**
 * Reads the vertices and faces of an OBJ file; polygons are cut into triangles as a fan. Texture coordinates, normals,
 * groups, materials and vertex colours are passed over. Vertices that no face uses are dropped.
 *
 * @param toMm factor from the file's unit to mm
 */
export function readObj(text: string, toMm: number): ObjReading {
  const position: number[] = []
  const triangle: number[] = []
  let index = -1
  for (const line of linesOf(text)) {
    index++
    if (line.length > mostLineLetters)
      return { ok: false, line: index + 1, problem: say`a line of more than ${counted(mostLineLetters)} letters` }
    const words = line.trim().split(/\s+/)
    const refuse = (problem: Sentence): ObjReading => ({ ok: false, line: index + 1, problem })
    if (words[0] === 'v') {
      const xyz = words.slice(1, 4).map(Number)
      if (xyz.length < 3 || xyz.some((x) => !Number.isFinite(x))) return refuse(say`a vertex needs three numbers`)
      if (position.length >= 3 * mostVertices)
        return refuse(say`more than ${counted(mostVertices)} vertices are not supported`)
      position.push(...xyz.map((x) => x * toMm))
    } else if (words[0] === 'f') {
      const count = position.length / 3
      const corners: number[] = []
      for (const word of words.slice(1)) {
        const number = Number.parseInt(word, 10)
        const vertex = number > 0 ? number - 1 : count + number
        if (!Number.isInteger(number) || number === 0 || vertex < 0 || vertex >= count)
          return refuse(say`face corner "${name(word)}" names no vertex above it; there are ${counted(count)}`)
        corners.push(vertex)
      }
      if (triangle.length + 3 * corners.length > 3 * mostTriangles)
        return refuse(say`more than ${counted(mostTriangles)} triangles are not supported`)
      if (corners.length < 3) return refuse(say`a face needs at least three corners`)
      for (let k = 1; k + 1 < corners.length; k++) triangle.push(corners[0] ?? 0, corners[k] ?? 0, corners[k + 1] ?? 0)
    }
  }
  if (triangle.length === 0) return { ok: false, line: index + 1, problem: say`the file has no faces ("f" lines)` }
  return { ok: true, mesh: withoutLooseVertices(position, triangle) }
}

function withoutLooseVertices(position: readonly number[], triangle: readonly number[]): TriangleMesh {
  const renamed = new Map<number, number>()
  const kept: number[] = []
  const corners = triangle.map((v) => {
    let name = renamed.get(v)
    if (name === undefined) {
      name = renamed.size
      renamed.set(v, name)
      kept.push(position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0)
    }
    return name
  })
  return { position: Float64Array.from(kept), triangle: Int32Array.from(corners) }
}
