import { english } from '@truelay/words'
import { strToU8, zipSync } from 'fflate'
import { describe, expect, test } from 'vitest'
import type { PatternReading } from './pattern/index.ts'
import { fuzzReaders } from './testing/fuzzReaders.ts'
import { type ReaderName, readers } from './testing/readAny.ts'

const dxf = (inside: string) => `0\nSECTION\n2\nENTITIES\n${inside}0\nENDSEC\n0\nEOF\n`
const nested = (levels: number, each: number) => {
  const level = (n: number): string =>
    n === 0 ? '<path id="u0" d="M0 0L9 0L9 9Z"/>' : `<g id="u${n}">${`<use href="#u${n - 1}"/>`.repeat(each)}</g>`
  return `<svg xmlns="http://www.w3.org/2000/svg">${Array.from({ length: levels + 1 }, (_, n) => level(n)).join('')}</svg>`
}
const squares = (many: number) =>
  Array.from({ length: many }, (_, k) => {
    const [x, y] = [20 * (k % 100), 20 * Math.floor(k / 100)]
    const corners = [x, y, x + 5, y, x + 5, y + 5].map((at, i) => `${i % 2 === 0 ? 10 : 20}\n${at}\n`).join('')
    return `0\nLWPOLYLINE\n90\n3\n70\n1\n${corners}`
  }).join('')
const zigzags = (many: number) => {
  const vertices = Array.from({ length: 200 }, (_, i) => `10\n${i}\n20\n${i % 2}\n`).join('')
  return `0\nLWPOLYLINE\n90\n200\n70\n0\n${vertices}`.repeat(many)
}
const ply = (head: string, body = '') => `ply\nformat ascii 1.0\n${head}end_header\n${body}`

/** Files that once held a reader up, filled memory, or threw. */
const once: readonly (readonly [string, ReaderName, string | Uint8Array, RegExp])[] = [
  ['a polyline without an end', 'dxf', dxf('0\nPOLYLINE\n66\n1\n'), /./],
  [
    'a polyline that is followed by another shape',
    'dxf',
    dxf('0\nPOLYLINE\n66\n1\n0\nLINE\n10\n0\n20\n0\n11\n9\n21\n9\n'),
    /./,
  ],
  ['a vertex with an id of its own', 'dxf', dxf('0\nLWPOLYLINE\n90\n2\n10\n1\n91\n7\n20\n1\n10\n5\n20\n5\n'), /./],
  [
    'an angle that is far beyond a circle',
    'dxf',
    dxf('0\nELLIPSE\n10\n0\n20\n0\n11\n50\n21\n0\n40\n0.5\n41\n1e308\n42\n6.28\n'),
    /./,
  ],
  ['more closed shapes than a piece has', 'dxf', dxf(squares(3000)), /3.?000 closed shapes/],
  ['lines that lie over each other by the thousand', 'dxf', dxf(zigzags(1400)), /./],
  ['a polyline of no vertices', 'dxf', dxf('0\nLWPOLYLINE\n90\n0\n10\n1\n20\n1\n'), /./],
  [
    'a polyline that promises four thousand million vertices',
    'dxf',
    dxf('0\nLWPOLYLINE\n90\n4000000000\n10\n1\n20\n1\n'),
    /./,
  ],
  [
    'a table that does not end',
    'dxf',
    '0\nSECTION\n2\nTABLES\n0\nTABLE\n2\nLAYER\n0\nEOF\n',
    /ends? .*too early|end that comes too early/,
  ],
  ['a block that does not end', 'dxf', '0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nB\n0\nENDSEC\n0\nEOF\n', /too early/],
  ['lines that are no groups', 'dxf', 'SECTION\nmany\nwords\n', /no group code in line 1/],
  ['uses of uses of uses', 'svg', nested(12, 11), /shapes, those that are used again included/],
  ['elements in each other by the hundred thousand', 'svg', '<svg>\n'.repeat(130_000), /elements nested without end/],
  ['a name without end', 'svg', `<svg xmlns="x"><${'a'.repeat(3_000_000)}`, /does not end/],
  ['document types without number', 'svg', `${'<!DOCTYPE svg '.repeat(50_000)}<svg/>`, /is no XML/],
  [
    'a face of a million corners',
    'obj',
    `v 0 0 0\nv 1 0 0\nv 0 1 0\nf ${'1 2 3 '.repeat(400_000)}\n`,
    /more than 100000 letters/,
  ],
  [
    'four thousand million of something odd',
    'ply',
    ply('element odd-one 4294967295\nproperty float x\n'),
    /more than|too early/,
  ],
  ['something odd in the first line', 'ply', ply('').replace('ply', 'ply element odd-one 4294967295'), /no PLY/],
  ['two drawings in one file', 'svg', '<svg></svg><svg></svg>', /several drawings/],
  ['plain text without end', 'svg', `<svg>${'<![CDATA[ '.repeat(50_000)}</svg>`, /does not end/],
  [
    'a second end of the head',
    'ply',
    ply('element odd-one 4294967295\nend_header end_header\n'),
    /cannot be understood|more than/,
  ],
  ['a list that is longer than its file', 'ply', ply('element vertex 5000000\nproperty float x\n'), /too early/],
  ['a bundle whose list is null', 'bundle', zipSync({ 'truelay.json': strToU8('null') }), /holds no documents/],
]

/** A reader that is held up takes longer than this, a machine that is held up hardly. */
const patienceMs = 120_000

describe('files that once held a reader up', () => {
  test.each(once)('%s', { timeout: patienceMs }, (_, kind, file, says) => {
    const result = readers[kind](typeof file === 'string' ? strToU8(file) : file)
    expect(result.ok ? 'read' : english(result.failure.sentence)).toMatch(says)
  })
})

describe('polylines are read for what they hold, whatever they promise', () => {
  const square = ['0', '100', '100', '0']
  test('widths and ids between the vertices change nothing', () => {
    const vertex = (x: string, y: string) => `10\n${x}\n40\n0.5\n41\n0.5\n91\n3\n20\n${y}\n`
    const groups = square.map((x, i) => vertex(x, i < 2 ? '0' : '100')).join('')
    const result = readers.dxf(strToU8(dxf(`0\nLWPOLYLINE\n90\n99\n70\n1\n${groups}`)))
    if (!result.ok) throw new Error(english(result.failure.sentence))
    expect(result.value).toMatchObject({ pattern: { outline: { length: 4 } } })
  })
  test('shapes that are no lines of a pattern are counted as left out', () => {
    const outline = `0\nLWPOLYLINE\n90\n4\n70\n1\n${square.map((x, i) => `10\n${x}\n20\n${i < 2 ? 0 : 100}\n`).join('')}`
    const result = readers.dxf(
      strToU8(dxf(`${outline}0\nHATCH\n10\n0\n20\n0\n0\nMLINE\n10\n0\n20\n0\n0\nMLINE\n10\n1\n20\n1\n`)),
    )
    if (!result.ok) throw new Error(english(result.failure.sentence))
    const { mended } = result.value as PatternReading
    expect(mended.map(english)).toEqual(
      expect.arrayContaining(['1 filled area without edges left out.', '2 shapes of the kind “MLINE” left out.']),
    )
  })
})

test('hostile files of every kind are refused in words or read, in time and in little memory', async () => {
  const seconds = Number(process.env.TRUELAY_FUZZ_SECONDS ?? 45)
  const seed = Number(process.env.TRUELAY_FUZZ_SEED ?? 20_300_508)
  const { read, bad } = await fuzzReaders(seconds, seed)
  expect(bad, `seed ${seed}`).toEqual([])
  for (const [kind, { all }] of Object.entries(read)) expect(all, kind).toBeGreaterThan(10)
}, 3_600_000)
