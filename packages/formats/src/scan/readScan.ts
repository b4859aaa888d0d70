import { type Sentence, count, say } from '@truelay/core/say'
import type { TriangleMesh } from '@truelay/core/geometry'
import type { BufferGeometry } from 'three'
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js'
import { joinCorners } from '../mesh/index.ts'
import { readObj } from '../obj/index.ts'
import type { ScanKind } from './kind/index.ts'
import { type PlyHead, readPly } from './readPly.ts'
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
      ? read(joinCorners(mesh.mesh.position, mesh.mesh.triangle))
      : refuse(say`line ${count(mesh.line)}: ${mesh.problem}`)
  }
  return kind === 'stl' ? readStl(bytes, toMm) : readPlyScan(bytes, toMm)
}

function readStl(bytes: Uint8Array, toMm: number): FileResult<TriangleMesh> {
  const size = stlProblem(bytes)
  if (size !== null) return refuse(size)
  let geometry: BufferGeometry
  try {
    geometry = new STLLoader().parse(new Uint8Array(bytes).buffer)
  } catch {
    return refuse(say`it is damaged`)
  }
  const position = geometry.getAttribute('position')
  if (position === undefined || position.count < 3) return refuse(say`it has no faces`)
  return inMm(
    position.array,
    Int32Array.from({ length: position.count }, (_, i) => i),
    toMm,
  )
}

function readPlyScan(bytes: Uint8Array, toMm: number): FileResult<TriangleMesh> {
  const head = plyHead(bytes)
  if (!('elements' in head)) return refuse(head)
  const mesh = readPly(bytes, head)
  if (!('position' in mesh)) return refuse(mesh)
  if (mesh.position.length < 9) return refuse(say`it has no faces`)
  if (mesh.triangle.length === 0) return refuse(say`it has points but no faces`)
  return inMm(mesh.position, mesh.triangle, toMm)
}

function inMm(position: ArrayLike<number>, triangle: ArrayLike<number>, toMm: number): FileResult<TriangleMesh> {
  const corners = Float64Array.from(position, (x) => x * toMm)
  if (corners.some((x) => !Number.isFinite(x))) return refuse(say`a coordinate in it is no number`)
  return read(joinCorners(corners, triangle))
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
function plyHead(bytes: Uint8Array): PlyHead | Sentence {
  const text = new TextDecoder('latin1').decode(bytes.subarray(0, mostHeadBytes))
  if (!/^ply[ \t]*[\r\n]/.test(text)) return say`it is no PLY`
  const end = text.match(/[\r\n]end_header(\r\n|\r|\n)/)
  if (end?.index === undefined) return say`its head does not end`
  const unclear = say`its head cannot be understood`
  let format = 'ascii'
  const elements: { name: string; many: number; properties: PlyHead['elements'][number]['properties'][number][] }[] = []
  for (const line of text
    .slice(0, end.index)
    .split(/\r\n|\r|\n/)
    .slice(1)) {
    const [word = '', ...more] = line.trim().split(/\s+/)
    if (!wordsOfHead.has(word)) return unclear
    if (word === 'format') format = more[0] ?? ''
    if (word === 'element') {
      const [name = '', many, ...rest] = more
      if (rest.length > 0 || !Number.isInteger(Number(many)) || Number(many) < 0) return unclear
      elements.push({ name, many: Number(many), properties: [] })
    }
    if (word === 'property') {
      const list = more[0] === 'list'
      const [type = '', name = ''] = list ? more.slice(2) : more
      elements.at(-1)?.properties.push({ name, type, countType: list ? (more[1] ?? '') : null })
    }
  }
  const promised = elements.reduce((sum, { many }) => sum + many, 0)
  if (promised > 3 * mostTriangles) return say`it has more than ${count(mostTriangles)} triangles`
  // Each takes a byte at least.
  if (promised > bytes.length - end.index) return say`it ends too early`
  return { format, elements, bodyAt: end.index + end[0].length }
}
