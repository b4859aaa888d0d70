import { count, say, type Sentence } from '@truelay/core/say'
import { ShapeUtils, Vector2 } from 'three'

/** Corners and faces of a PLY, in its own unit. */
export interface PlyMesh {
  readonly position: readonly number[]
  readonly triangle: readonly number[]
}

interface Property {
  readonly name: string
  readonly type: string
  /** Of how many there are, where it is a list. */
  readonly countType: string | null
}

interface PlyElement {
  readonly name: string
  readonly many: number
  readonly properties: readonly Property[]
}

export interface PlyHead {
  readonly format: string
  readonly elements: readonly PlyElement[]
  /** Where what it describes begins, bytes. */
  readonly bodyAt: number
}

const sizes: Readonly<Record<string, number>> = {
  char: 1,
  int8: 1,
  uchar: 1,
  uint8: 1,
  short: 2,
  int16: 2,
  ushort: 2,
  uint16: 2,
  int: 4,
  int32: 4,
  uint: 4,
  uint32: 4,
  float: 4,
  float32: 4,
  double: 8,
  float64: 8,
}

/** A face of more corners than this is none of a scan. */
const mostCorners = 1000

/**
 * Corners and faces, those of more than three corners cut into triangles in their own plane (ear clipping). Own code, as the loaders at hand pass over
 * faces of more than four corners without a word.
 */
export function readPly(bytes: Uint8Array, head: PlyHead): PlyMesh | Sentence {
  const next = head.format === 'ascii' ? wordsFrom(bytes, head.bodyAt) : numbersFrom(bytes, head)
  const position: number[] = []
  const faces: number[][] = []
  for (const { name, many, properties } of head.elements) {
    const axes = ['x', 'y', 'z'].map((axis) => properties.findIndex((own) => own.name === axis))
    const corners = properties.findIndex(
      ({ name: own, countType }) => countType !== null && /^vertex_ind(ex|ices)$/.test(own),
    )
    if (name === 'tristrips') return say`its faces are strips, which are not read`
    if (name === 'vertex' && axes.some((axis) => axis < 0)) return say`its corners have no x, y and z`
    for (let k = 0; k < many; k++) {
      const values = properties.map((property) => valuesOf(property, next))
      if (values.some((one) => one === null)) return say`it ends too early`
      if (name === 'vertex') for (const axis of axes) position.push(values[axis]?.[0] ?? Number.NaN)
      const face = values[corners]
      if (name === 'face' && face != null) {
        if (face.length > mostCorners) return say`a face in it has more than ${count(mostCorners)} corners`
        faces.push(face)
      }
    }
  }
  const size = position.length / 3
  if (faces.some((face) => face.some((v) => !(v >= 0 && v < size)))) return say`a face names a corner that is not there`
  return { position, triangle: faces.flatMap((face) => triangles(face, position)) }
}

/** A number, or as many as a list says; null where the file ends before. */
function valuesOf({ type, countType }: Property, next: (type: string) => number | null): number[] | null {
  const many = countType === null ? 1 : next(countType)
  if (many === null || many < 0 || many > 1e6) return null
  const values: number[] = []
  for (let i = 0; i < many; i++) {
    const value = next(type)
    if (value === null) return null
    values.push(value)
  }
  return values
}

function wordsFrom(bytes: Uint8Array, at: number): () => number | null {
  const words = new TextDecoder('latin1').decode(bytes.subarray(at)).split(/\s+/)
  let k = words[0] === '' ? 1 : 0
  return () => {
    const word = words[k++]
    return word === undefined || word === '' ? null : Number(word)
  }
}

function numbersFrom(bytes: Uint8Array, { format, bodyAt }: PlyHead): (type: string) => number | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const little = format === 'binary_little_endian'
  let at = bodyAt
  return (type) => {
    const size = sizes[type] ?? 0
    if (size === 0 || at + size > bytes.length) return null
    const from = at
    at += size
    if (type.startsWith('float') || type === 'double')
      return size === 4 ? view.getFloat32(from, little) : view.getFloat64(from, little)
    const signed = !type.startsWith('u')
    if (size === 1) return signed ? view.getInt8(from) : view.getUint8(from)
    if (size === 2) return signed ? view.getInt16(from, little) : view.getUint16(from, little)
    return signed ? view.getInt32(from, little) : view.getUint32(from, little)
  }
}

/** A face in triangles, turned as it is. */
function triangles(face: readonly number[], position: readonly number[]): number[] {
  if (face.length <= 3) return face.length === 3 ? [...face] : []
  // The direction in which its shadow is largest (Newell).
  const normal = [0, 0, 0]
  face.forEach((v, i) => {
    const w = face[(i + 1) % face.length] as number
    for (let k = 0; k < 3; k++) {
      const [a, b] = [(k + 1) % 3, (k + 2) % 3]
      normal[k] =
        (normal[k] as number) +
        ((position[3 * v + a] as number) - (position[3 * w + a] as number)) *
          ((position[3 * v + b] as number) + (position[3 * w + b] as number))
    }
  })
  const away = normal.map(Math.abs)
  const drop = away.indexOf(Math.max(...away))
  const flipped = (normal[drop] as number) < 0
  const [a, b] = flipped ? [(drop + 2) % 3, (drop + 1) % 3] : [(drop + 1) % 3, (drop + 2) % 3]
  const flat = face.map((v) => new Vector2(position[3 * v + a], position[3 * v + b]))
  return ShapeUtils.triangulateShape(flat, []).flatMap((corners) => corners.map((c) => face[c] as number))
}
