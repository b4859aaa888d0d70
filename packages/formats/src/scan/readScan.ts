import { type Sentence, count, say } from '@truelay/core/say'
import type { TriangleMesh } from '@truelay/core/geometry'
import type { BufferGeometry } from 'three'
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js'
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js'
import { readObj } from '../obj/index.ts'
import type { ScanKind } from './kind/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'

const mostBytes = 200_000_000
const mostTriangles = 2_000_000

const refuse = (why: Sentence) =>
  unreadable(
    'SCAN_UNREADABLE',
    say`The scan cannot be read: ${why}.`,
    say`Export it again as OBJ, STL or PLY with its faces.`,
  )

/**
 * A scan as one mesh in mm, corners that lie on each other joined. OBJ as text, STL and PLY as text or binary.
 *
 * @param toMm factor from the file's unit to mm
 */
export function readScan(kind: ScanKind, bytes: Uint8Array, toMm: number): FileResult<TriangleMesh> {
  if (bytes.length > mostBytes) return refuse(say`it is larger than ${count(mostBytes / 1e6)} MB`)
  if (bytes.length === 0) return refuse(say`it is empty`)
  if (kind === 'obj') {
    const mesh = readObj(new TextDecoder().decode(bytes), toMm)
    return mesh.ok
      ? read(joined(mesh.mesh.position, mesh.mesh.triangle))
      : refuse(say`line ${count(mesh.line)}: ${mesh.problem}`)
  }
  const size = kind === 'stl' ? stlProblem(bytes) : plyProblem(bytes)
  if (size !== null) return refuse(size)
  let geometry: BufferGeometry
  try {
    const buffer = new Uint8Array(bytes).buffer
    geometry = kind === 'stl' ? new STLLoader().parse(buffer) : new PLYLoader().parse(buffer)
  } catch {
    return refuse(say`it is damaged`)
  }
  const position = geometry.getAttribute('position')
  if (position === undefined || position.count < 3) return refuse(say`it has no faces`)
  const corners = Float64Array.from(position.array, (x) => x * toMm)
  if (corners.some((x) => !Number.isFinite(x))) return refuse(say`a coordinate in it is no number`)
  const index = geometry.getIndex()
  if (kind === 'ply' && index === null) return refuse(say`it has points but no faces`)
  const triangle =
    index === null ? Int32Array.from({ length: position.count }, (_, i) => i) : Int32Array.from(index.array)
  if (triangle.length === 0) return refuse(say`it has no faces`)
  if (triangle.some((v) => v < 0 || v >= position.count)) return refuse(say`a face names a corner that is not there`)
  return read(joined(corners, triangle))
}

/** A binary STL says how many triangles follow; a file that promises more than it holds is damaged. */
function stlProblem(bytes: Uint8Array): Sentence | null {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 512))
  if (/^\s*solid/i.test(head) && /facet/i.test(head)) return null
  if (bytes.length < 84) return say`it ends too early`
  const triangles = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(80, true)
  if (triangles > mostTriangles) return say`it has more than ${count(mostTriangles)} triangles`
  return bytes.length < 84 + 50 * triangles ? say`it ends too early` : null
}

/** A longer head than this describes no scan. */
const mostHeadBytes = 65_536

const wordsOfHead = new Set(['', 'format', 'comment', 'obj_info', 'element', 'property'])

/** What a PLY says of itself: its head has to end, and what it promises has to be able to stand in the file. */
function plyProblem(bytes: Uint8Array): Sentence | null {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, mostHeadBytes))
  if (!/^ply[ \t]*[\r\n]/.test(head)) return say`it is no PLY`
  const end = head.search(/[\r\n]end_header[\r\n]/)
  if (end < 0) return say`its head does not end`
  let promised = 0
  for (const line of head
    .slice(0, end)
    .split(/\r\n|\r|\n/)
    .slice(1)) {
    const [word = '', , many, ...more] = line.trim().split(/\s+/)
    if (!wordsOfHead.has(word)) return say`its head cannot be understood`
    if (word !== 'element') continue
    const count = Number(many)
    if (more.length > 0 || !Number.isInteger(count) || count < 0) return say`its head cannot be understood`
    promised += count
  }
  if (promised > 3 * mostTriangles) return say`it has more than ${count(mostTriangles)} triangles`
  // Each takes a byte at least.
  return promised > bytes.length - end ? say`it ends too early` : null
}

const joinMm = 1e-3

/** Corners at the same place become one; triangles that lose their area by it are dropped. */
function joined(position: ArrayLike<number>, triangle: ArrayLike<number>): TriangleMesh {
  const names = new Map<string, number>()
  const kept: number[] = []
  const renamed = new Int32Array(position.length / 3)
  const near = (x: number) => Math.round(x / joinMm)
  for (let v = 0; v < renamed.length; v++) {
    const [x, y, z] = [position[3 * v] ?? 0, position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0]
    const key = `${near(x)},${near(y)},${near(z)}`
    let name = names.get(key)
    if (name === undefined) {
      name = names.size
      names.set(key, name)
      kept.push(x, y, z)
    }
    renamed[v] = name
  }
  const corners: number[] = []
  for (let t = 0; t + 2 < triangle.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => renamed[triangle[t + k] ?? 0] ?? 0) as [number, number, number]
    if (a !== b && b !== c && c !== a) corners.push(a, b, c)
  }
  return { position: Float64Array.from(kept), triangle: Int32Array.from(corners) }
}
