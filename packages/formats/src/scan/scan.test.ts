import { english } from '@truelay/words'
import { buildSurface, formFromScan, orientScan } from '@truelay/core/form'
import { boundsOf, type TriangleMesh } from '@truelay/core/geometry'
import { describe, expect, test } from 'vitest'
import type { Sentence } from '@truelay/core/say'
import { writeObj } from '../obj/index.ts'
import { readScan, scanKindOf, writePly, writeStl } from './index.ts'

/** A dome of 200 x 120 mm, 18 mm high in its middle, as a scanner would give it. */
function dome(columns = 41, rows = 25): TriangleMesh {
  const position: number[] = []
  const triangle: number[] = []
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const x = (200 * c) / (columns - 1) - 100
      const y = (120 * r) / (rows - 1) - 60
      position.push(x, y, heightAt(x, y))
    }
  for (let r = 0; r + 1 < rows; r++)
    for (let c = 0; c + 1 < columns; c++) {
      const v = r * columns + c
      triangle.push(v, v + 1, v + columns, v + 1, v + columns + 1, v + columns)
    }
  return { position: Float64Array.from(position), triangle: Int32Array.from(triangle) }
}
const heightAt = (x: number, y: number) => 18 * (1 - (x / 100) ** 2) * (1 - (y / 60) ** 2)
const bytes = (text: string) => new TextEncoder().encode(text)

const value = <T>(result: { ok: true; value: T } | { ok: false; failure: { sentence: Sentence } }): T => {
  if (!result.ok) throw new Error(english(result.failure.sentence))
  return result.value
}

describe('a scan there and back', () => {
  const mesh = dome()
  test.each([
    ['stl', writeStl(mesh), 1e-3],
    ['ply', bytes(writePly(mesh)), 1e-5],
    ['obj', bytes(writeObj(mesh, 'dome')), 1e-3],
  ] as const)('%s: the same corners and faces, in any unit', (kind, file, withinMm) => {
    const back = value(readScan(kind, file, 1))
    expect(back.triangle.length).toBe(mesh.triangle.length)
    expect(back.position.length).toBe(mesh.position.length)
    for (let i = 0; i < back.position.length; i += 3) {
      const [x, y, z] = [back.position[i]!, back.position[i + 1]!, back.position[i + 2]!]
      expect(Math.abs(z - heightAt(x, y))).toBeLessThan(withinMm + 1e-3)
    }
    const inches = value(readScan(kind, file, 25.4))
    expect(Math.max(...inches.position)).toBeCloseTo(100 * 25.4, 0)
  })
  test('an STL in plain text', () => {
    const text =
      'solid part\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 10 0 0\nvertex 0 10 0\nendloop\nendfacet\nendsolid part\n'
    expect(value(readScan('stl', bytes(text), 1)).triangle.length).toBe(3)
  })
})

describe('as scanners and their programs write it', () => {
  const head = (vertices: number, faces: number, format = 'ascii') =>
    `ply\nformat ${format} 1.0\ncomment made\nelement vertex ${vertices}\nproperty float x\nproperty float y\nproperty float z\nproperty uchar red\nelement face ${faces}\nproperty list uchar int vertex_indices\nend_header\n`
  const areaOf = ({ position, triangle }: TriangleMesh) => {
    let sum = 0
    for (let t = 0; t < triangle.length; t += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => 3 * triangle[t + k]!) as [number, number, number]
      const side = (p: number, q: number) => [0, 1].map((k) => position[q + k]! - position[p + k]!)
      const [u, v] = [side(a, b), side(a, c)]
      sum += (u[0]! * v[1]! - u[1]! * v[0]!) / 2
    }
    return sum
  }
  // An L of six corners, which is no fan, and a hexagon beside it.
  const corners = [
    [0, 0],
    [40, 0],
    [40, 20],
    [20, 20],
    [20, 60],
    [0, 60],
    [60, 0],
    [80, 0],
    [90, 17],
    [80, 34],
    [60, 34],
    [50, 17],
  ]
  const faces = [
    [0, 1, 2, 3, 4, 5],
    [6, 7, 8, 9, 10, 11],
  ]
  const area = 40 * 20 + 20 * 40 + (20 * 34 + 10 * 34)
  test('faces of any number of corners, in text', () => {
    const text = `${head(12, 2)}${corners.map(([x, y]) => `${x} ${y} 5 255`).join('\n')}\n${faces.map((f) => [f.length, ...f].join(' ')).join('\n')}\n`
    const mesh = value(readScan('ply', bytes(text), 1))
    expect(mesh.triangle.length / 3).toBe(8)
    expect(areaOf(mesh)).toBeCloseTo(area, 6)
  })
  test.each(['binary_little_endian', 'binary_big_endian'])('and in %s', (format) => {
    const little = format === 'binary_little_endian'
    const body = new DataView(new ArrayBuffer(12 * 13 + 2 * 25))
    let at = 0
    for (const [x = 0, y = 0] of corners) {
      for (const n of [x, y, 5]) {
        body.setFloat32(at, n, little)
        at += 4
      }
      body.setUint8(at++, 255)
    }
    for (const face of faces) {
      body.setUint8(at++, face.length)
      for (const v of face) {
        body.setInt32(at, v, little)
        at += 4
      }
    }
    const top = bytes(head(12, 2, format))
    const file = new Uint8Array([...top, ...new Uint8Array(body.buffer)])
    expect(areaOf(value(readScan('ply', file, 1)))).toBeCloseTo(area, 4)
    const short = readScan('ply', file.subarray(0, file.length - 3), 1)
    expect(short.ok ? '' : english(short.failure.sentence)).toContain('ends too early')
  })
  test('corners that rounding has parted are one', () => {
    // The same two corners, on either side of a whole number.
    const text = `${head(6, 2)}0 0 0 1\n10.0005 0 0 1\n5.0005 9 0 1\n9.9999 0 0 1\n15 9 0 1\n4.9999 9 0 1\n3 0 1 2\n3 3 4 5\n`
    const mesh = value(readScan('ply', bytes(text), 1))
    expect(mesh.position.length / 3).toBe(4)
  })
  const height = (x: number, y: number) => 0.001 * x * x + 0.002 * y * y
  /** A sheet with an opening in its middle and some triangles turned over. */
  function sheet(turned: readonly number[], opening = true): TriangleMesh {
    const [columns, rows] = [41, 31]
    const position = Array.from({ length: columns * rows }, (_, v) => {
      const [x, y] = [3 * (v % columns), 3 * Math.floor(v / columns)]
      return [x, y, height(x, y)]
    }).flat()
    const triangle: number[] = []
    for (let r = 0; r + 1 < rows; r++)
      for (let c = 0; c + 1 < columns; c++) {
        if (opening && c >= 15 && c < 25 && r >= 10 && r < 20) continue
        const v = r * columns + c
        triangle.push(v, v + 1, v + columns, v + 1, v + columns + 1, v + columns)
      }
    for (const t of turned) {
      const [b, c] = [triangle[3 * t + 1]!, triangle[3 * t + 2]!]
      triangle[3 * t + 1] = c
      triangle[3 * t + 2] = b
    }
    return { position: Float64Array.from(position), triangle: Int32Array.from(triangle) }
  }
  test('a triangle that is turned over is turned back, and that is said', () => {
    const form = value(formFromScan(sheet([77, 300]), 3))
    expect(form.mended.map(english)).toEqual(['2 triangles were turned over to face as its neighbours do.'])
    expect(value(formFromScan(sheet([]), 3)).mended).toEqual([])
  })
  test('an opening of the scan is a hole of the form', () => {
    const { holes } = value(formFromScan(sheet([]), 3))
    expect(holes.length).toBe(1)
    const { min, max } = boundsOf(holes[0]!.outline)
    expect([...min, ...max]).toEqual([45, 30, 75, 60])
  })
  test('a grid that has to be coarser says how coarse', () => {
    const { mended, relief } = value(formFromScan(sheet([]), 0.5))
    expect(relief.stepMm).toBeGreaterThan(0.6)
    expect(mended.map(english).join()).toMatch(/Heights stand every 0\.7 mm: every 0\.5 mm would be more/)
  })
  test('a form that would miss its scan is refused', () => {
    const steep = sheet([], false)
    const position = steep.position.map((z, i) => (i % 3 === 2 ? 30 * Math.sin(steep.position[i - 2]! / 1.5) : z))
    const form = formFromScan({ ...steep, position }, 40)
    expect(form.ok ? '' : english(form.failure.sentence)).toMatch(/Heights every 40 mm miss the scan by \d+/)
  })
})

test('what is no scan is answered with a sentence', () => {
  const short = writeStl(dome()).subarray(0, 900)
  const cases: [Parameters<typeof readScan>[0], Uint8Array, RegExp][] = [
    ['stl', new Uint8Array(), /empty/],
    ['stl', bytes('nonsense'), /ends too early/],
    ['stl', short, /ends too early/],
    ['ply', bytes('nonsense'), /no PLY/],
    ['ply', bytes('ply\nformat ascii 1.0\nelement vertex 99999999\nend_header\n'), /more than/],
    [
      'ply',
      bytes(
        'ply\nformat ascii 1.0\nelement vertex 1\nproperty float x\nproperty float y\nproperty float z\nend_header\n0 0 0\n',
      ),
      /no faces/,
    ],
    ['obj', bytes('v 0 0\n'), /line 1/],
  ]
  for (const [kind, file, sentence] of cases) {
    const result = readScan(kind, file, 1)
    expect(result.ok ? 'read' : english(result.failure.sentence)).toMatch(sentence)
  }
  expect(scanKindOf('Part.STL')).toBe('stl')
  expect(scanKindOf('part.step')).toBe(null)
})

describe('a scan becomes a form', () => {
  test('turned by three places, cut at its rim, its heights kept with a stated error', () => {
    const mesh = dome()
    // Somewhere in space, turned and moved.
    const [c, s] = [Math.cos(0.7), Math.sin(0.7)]
    const away: TriangleMesh = {
      triangle: mesh.triangle,
      position: Float64Array.from(mesh.position, (_, i) => {
        const v = i - (i % 3)
        const [x, y, z] = [mesh.position[v]!, mesh.position[v + 1]!, mesh.position[v + 2]!]
        return [x + 500, c * y - s * z - 80, s * y + c * z + 33][i % 3]!
      }),
    }
    const spot = (x: number, y: number, z: number) => [x + 500, c * y - s * z - 80, s * y + c * z + 33] as const
    const turned = value(orientScan(away, spot(0, 0, 0), spot(80, 0, 0), spot(0, 50, 0)))
    const scanned = value(formFromScan(turned, 4))
    expect(scanned.errorMm.largest).toBeLessThan(0.3)
    expect(scanned.relief.errorMm).toBeCloseTo(scanned.errorMm.largest, 1)
    const { min, max } = boundsOf([scanned.start, ...scanned.outline.map((o) => o.to)])
    expect(max[0] - min[0]).toBeCloseTo(200, 1)
    expect(max[1] - min[1]).toBeCloseTo(120, 1)
    expect(scanned.edges.length).toBe(4)
    const surface = value(
      buildSurface(
        {
          id: 'scan',
          name: 'Scan',
          version: 1,
          family: 'lamp',
          material: 'lens plastic',
          ...scanned,
          directions: { right: 'r', left: 'l', up: 'u', down: 'd' },
          bow: [],
          bodyLines: [],
          recesses: [],
          holes: [],
          marks: [],
        },
        { triangles: 800 },
      ),
    )
    const { position } = surface.mesh
    for (let v = 0; v < position.length; v += 3)
      expect(Math.abs(position[v + 2]! - heightAt(position[v]!, position[v + 1]!))).toBeLessThan(0.4)
  })
  test('three places on one line turn nothing', () => {
    const result = orientScan(dome(), [0, 0, 0], [10, 0, 0], [20, 0, 0])
    expect(result.ok ? '' : result.failure.code).toBe('SCAN_SPOTS_IN_LINE')
  })
  test('a scan of the wrong unit is too small', () => {
    const mesh = dome()
    const result = formFromScan({ ...mesh, position: mesh.position.map((x) => x / 1000) }, 1)
    expect(result.ok ? '' : result.failure.code).toBe('SCAN_TOO_SMALL')
  })
})

test('a face that names a corner twice, or two corners that lie on each other, is no face', () => {
  const obj = (faces: string) =>
    value(readScan('obj', bytes(`v 0 0 0\nv 100 0 0\nv 100 100 0\nv 0 100 0\nv 100 0 0\n${faces}`), 1))
  const whole = obj('f 1 2 3\nf 1 3 4\n')
  for (const more of ['f 1 1 3\n', 'f 2 3 3\n', 'f 2 5 3\n', 'f 4 1 4\n'])
    expect(obj(`f 1 2 3\n${more}f 1 3 4\n`).triangle.length).toBe(whole.triangle.length)
  expect(whole.triangle.length).toBe(6)
})
