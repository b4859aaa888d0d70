import { strToU8, unzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { writeBundle } from '../bundle/index.ts'
import { writeDxf } from '../dxf/index.ts'
import { writeObj } from '../obj/index.ts'
import { writePly, writeStl } from '../scan/index.ts'
import { writeSvg } from '../svg/index.ts'
import type { ReaderName } from './readAny.ts'

const pattern = {
  name: 'Piece',
  outline: [
    [0, 0],
    [200, 0],
    [200, 100],
    [0, 100],
  ],
  cutOuts: [
    [
      [90, 40],
      [110, 40],
      [100, 60],
    ],
  ],
  marks: [{ name: 'A', at: [10, 10] }],
} as const
const mesh = {
  position: Float64Array.of(0, 0, 0, 10, 0, 1, 0, 10, 2, 10, 10, 1),
  triangle: Int32Array.of(0, 1, 2, 1, 3, 2),
}
const bundle = { kind: 'kit' as const, documents: { kit: { id: 'k' } }, patterns: { p: pattern } }
const jpegHex = 'ffd8ffe1000648656c6cffc0000b080064009601011100ffda0008010100003f000707ffd9'
const shapesOfDxf = `0
SECTION
2
BLOCKS
0
BLOCK
2
B
10
0
20
0
0
LINE
10
0
20
0
11
5
21
5
0
ENDBLK
0
ENDSEC
0
SECTION
2
ENTITIES
0
POLYLINE
66
1
0
VERTEX
10
1
20
2
0
SEQEND
0
LWPOLYLINE
90
3
70
1
10
0
20
0
10
50
20
0
42
0.5
10
50
20
50
0
SPLINE
70
8
71
3
72
8
73
4
40
0
40
0
40
0
40
0
40
1
40
1
40
1
40
1
10
0
20
0
10
1
20
1
10
2
20
0
10
3
20
1
0
ELLIPSE
10
0
20
0
11
5
21
0
40
0.5
41
0
42
6.28
0
INSERT
2
B
10
1
20
1
41
2
50
30
0
MTEXT
10
0
20
0
1
A
0
ENDSEC
0
EOF
`
const shapesOfSvg = `<?xml version="1.0"?><!DOCTYPE svg><svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 200 100">
<defs><g id="a"><path d="M0 0L10 0A5 5 0 0 1 10 10Z"/></g></defs><g transform="translate(1 2) rotate(30)" style="display:inline"><use href="#a" x="1"/>
<rect width="50" height="20" rx="3"/><ellipse cx="5" cy="5" rx="4" ry="2"/><polygon points="0,0 200,0 200,100 0,100"/><circle class="mark" r="1"><title>A</title></circle></g></svg>`

/** Sound files of each kind, from which hostile ones are made. */
const sound: Readonly<Record<ReaderName, readonly Uint8Array[]>> = {
  svg: [strToU8(writeSvg(pattern)), strToU8(shapesOfSvg)],
  dxf: [strToU8(writeDxf(pattern)), strToU8(shapesOfDxf)],
  obj: [strToU8(writeObj(mesh, 'dome'))],
  stl: [
    writeStl(mesh),
    strToU8(
      'solid p\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 9 0 0\nvertex 0 9 0\nendloop\nendfacet\nendsolid p\n',
    ),
  ],
  ply: [strToU8(writePly(mesh))],
  bundle: [writeBundle(bundle)],
  jpeg: [Uint8Array.from(jpegHex.match(/../g) ?? [], (two) => Number.parseInt(two, 16))],
}

/** What hostile and broken files write where a number or a name should stand. */
const oddWords: Readonly<Record<ReaderName, readonly string[]>> = {
  svg: [
    '<use href="#a"/>',
    '<g id="a">',
    '</g>',
    '<!DOCTYPE',
    '<![CDATA[',
    '<!--',
    'M',
    'A',
    'e999',
    '&lt;',
    '"',
    'transform="scale(1e200)"',
    '<svg>',
    'matrix(',
    'viewBox="0 0 0 0"',
  ],
  dxf: [
    '0\nSECTION',
    '0\nENDSEC',
    '0\nPOLYLINE',
    '0\nVERTEX',
    '0\nSEQEND',
    '0\nLWPOLYLINE',
    '90\n4000000000',
    '90\n0',
    '91\n1',
    '101\nEmbedded',
    '0\nBLOCK',
    '0\nENDBLK',
    '0\nINSERT\n2\nB',
    '0\nEOF',
    '70\n1',
    '0\nHATCH',
    '2\nTABLES',
    '0\nTABLE',
    '10\nx',
    '71\n99',
  ],
  obj: ['f 1 2 3', 'f -1 -2 -3', 'f 1/1/1 2//2 3', 'v nan 0 0', 'v 1e400 0 0', 'f 0 0 0', 'g', '\\'],
  stl: ['solid', 'facet', 'vertex', 'endsolid', 'endfacet', 'vertex 1 2', 'outer loop'],
  ply: [
    'element vertex 4294967295',
    'element odd-one 4294967295',
    'element face -1',
    'property list uchar int x',
    'end_header',
    'format binary_little_endian 1.0',
    'property float',
    '4294967295',
    'property list uint uint vertex_indices',
  ],
  bundle: ['null', '[]', '{}', '"', '..', 'PK'],
  jpeg: [],
}
const oddNumbers = [
  '-1',
  '0',
  '1e308',
  '-1e308',
  'NaN',
  'Infinity',
  '4294967296',
  '9007199254740993',
  '',
  '-0',
  '0x10',
  '1e-320',
]

type Change = (file: Uint8Array) => Uint8Array

const join = (...parts: readonly Uint8Array[]) => {
  const whole = new Uint8Array(parts.reduce((sum, p) => sum + p.length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}

/** A place in a file, as a share of its length. */
const place = fc.double({ min: 0, max: 1, noNaN: true })
const spot = (file: Uint8Array, share: number) => Math.floor(share * file.length)

function changes(kind: ReaderName): fc.Arbitrary<Change> {
  const words = oddWords[kind].length === 0 ? ['\xff\xd8'] : oddWords[kind]
  return fc.oneof(
    fc.tuple(place, place).map(
      ([a, b]): Change =>
        (file) => {
          const [from, to] = [spot(file, Math.min(a, b)), spot(file, Math.max(a, b))]
          return join(file.subarray(0, from), file.subarray(to))
        },
    ),
    fc.tuple(place, place, fc.integer({ min: 1, max: 400 })).map(
      ([a, b, times]): Change =>
        (file) => {
          const [from, to] = [spot(file, Math.min(a, b)), spot(file, Math.max(a, b))]
          const piece = file.subarray(from, Math.min(to, from + 2000))
          return join(file.subarray(0, to), ...Array.from({ length: times }, () => piece), file.subarray(to))
        },
    ),
    place.map(
      (a): Change =>
        (file) =>
          file.subarray(0, spot(file, a)),
    ),
    fc.tuple(place, fc.integer({ min: 0, max: 255 })).map(
      ([a, byte]): Change =>
        (file) => {
          const changed = Uint8Array.from(file)
          if (changed.length > 0) changed[Math.min(changed.length - 1, spot(file, a))] = byte
          return changed
        },
    ),
    // Something odd between two words of a text, once or very often.
    fc
      .tuple(
        place,
        fc.constantFrom(...words, ...oddNumbers),
        fc.constantFrom(1, 1, 2, 50, 5000),
        fc.constantFrom('\n', ' ', ''),
      )
      .map(
        ([a, word, times, between]): Change =>
          (file) => {
            let at = spot(file, a)
            while (at < file.length && ![10, 32].includes(file[at] ?? 10)) at++
            return join(file.subarray(0, at), strToU8(`${between}${word}`.repeat(times) + between), file.subarray(at))
          },
      ),
    // A number turns into an odd one.
    fc.tuple(fc.nat({ max: 400 }), fc.constantFrom(...oddNumbers)).map(
      ([n, odd]): Change =>
        (file) => {
          const text = new TextDecoder('latin1').decode(file)
          const numbers = [...text.matchAll(/-?\d+(\.\d+)?/g)]
          const found = numbers[n % Math.max(1, numbers.length)]
          if (found === undefined) return file
          return join(file.subarray(0, found.index), strToU8(odd), file.subarray(found.index + found[0].length))
        },
    ),
  )
}

/** Changes what is inside a bundle, so that its zip stays sound. */
const inside =
  (change: Change, which: number): Change =>
  (file) => {
    const files = unzipSync(file)
    const names = Object.keys(files)
    const name = names[which % names.length] ?? ''
    return zipSync({ ...files, [name]: change(files[name] ?? new Uint8Array()) })
  }

export interface HostileFile {
  readonly kind: ReaderName
  readonly bytes: Uint8Array
}

/** A file of a kind: a sound one with one to eight things wrong with it. */
export function hostileFile(kind: ReaderName): fc.Arbitrary<HostileFile> {
  const wrong =
    kind === 'bundle'
      ? fc.oneof(
          changes('bundle'),
          fc
            .tuple(fc.oneof(changes('svg'), changes('bundle')), fc.nat({ max: 1 }))
            .map(([change, which]) => inside(change, which)),
        )
      : changes(kind)
  return fc
    .tuple(fc.constantFrom(...sound[kind]), fc.array(wrong, { minLength: 1, maxLength: kind === 'bundle' ? 1 : 8 }))
    .map(([file, all]) => ({ kind, bytes: all.reduce((so, change) => change(so).subarray(0, 4_000_000), file) }))
}
