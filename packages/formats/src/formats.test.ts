import { english } from '@truelay/words'
import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { PiecePattern } from '@truelay/core/align'
import { nearestOnOutline, signedArea, type Vec2 } from '@truelay/core/geometry'
import fc from 'fast-check'
import { zipSync } from 'fflate'
import { describe, expect, test } from 'vitest'
import { readBundle, writeBundle } from './bundle/index.ts'
import { splinePoints } from './drawing/index.ts'
import { readDxf, writeDxf } from './dxf/index.ts'
import { patternFromDrawing } from './pattern/index.ts'
import type { FileResult } from './result/index.ts'
import { readSvg, writeSvg } from './svg/index.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const options = { name: 'piece', gapMm: 0.5, thinMm: 0.01 }
const value = <T>(result: FileResult<T>): T => {
  if (!result.ok) throw new Error(english(result.failure.sentence))
  return result.value
}
const svg = (inside: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`
const reading = (inside: string, head?: string, more = {}) =>
  patternFromDrawing(value(readSvg(svg(inside, head))), { ...options, ...more })

const sameOutline = (a: readonly Vec2[], b: readonly Vec2[], withinMm: number) => {
  for (const p of a) expect(nearestOnOutline(b, p).distanceMm).toBeLessThan(withinMm)
  for (const p of b) expect(nearestOnOutline(a, p).distanceMm).toBeLessThan(withinMm)
}
const samePattern = (a: PiecePattern, b: PiecePattern) => {
  sameOutline(a.outline, b.outline, 0.01)
  expect(b.cutOuts.length).toBe(a.cutOuts.length)
  for (const hole of a.cutOuts)
    expect(Math.min(...b.cutOuts.map((other) => nearestOnOutline(other, hole[0]!).distanceMm))).toBeLessThan(0.01)
  for (const mark of a.marks) {
    const found = b.marks.find((m) => m.name === mark.name)
    expect(Math.hypot(found!.at[0] - mark.at[0], found!.at[1] - mark.at[1])).toBeLessThan(0.01)
  }
}

describe('there and back again', () => {
  const pieces = readdirSync(at('../../../demo/pieces')).map(
    (name) =>
      JSON.parse(readFileSync(at(`../../../demo/pieces/${name}`), 'utf8')) as { id: string; pattern: PiecePattern },
  )
  test('every demo pattern comes back from SVG within 0.01 mm', () => {
    for (const { pattern } of pieces)
      samePattern(pattern, value(patternFromDrawing(value(readSvg(writeSvg(pattern))), options)).pattern)
  })
  test('every demo pattern comes back from DXF within 0.01 mm', () => {
    for (const { pattern } of pieces)
      samePattern(pattern, value(patternFromDrawing(value(readDxf(writeDxf(pattern))), options)).pattern)
  })
  test('a kit comes back from its bundle, and the same kit gives the same file', () => {
    const patterns = Object.fromEntries(pieces.slice(0, 6).map(({ id, pattern }) => [id, pattern]))
    const bundle = { kind: 'kit' as const, documents: { kit: { id: 'k' } }, patterns }
    const bytes = writeBundle(bundle)
    expect(writeBundle(bundle)).toEqual(bytes)
    const back = value(readBundle(bytes))
    expect(back.documents).toEqual(bundle.documents)
    for (const [id, pattern] of Object.entries(patterns)) samePattern(pattern, back.patterns[id]!)
  })
  test('whatever star-shaped piece, names with every sign included', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 400, noNaN: true }), { minLength: 5, maxLength: 40 }),
        fc.string({ minLength: 1, maxLength: 20, unit: 'grapheme-ascii' }),
        (radii, name) => {
          const outline = radii.map((r, i): Vec2 => {
            const turn = (2 * Math.PI * i) / radii.length
            return [500 + r * Math.cos(turn), 300 + r * Math.sin(turn)]
          })
          fc.pre(name.trim() === name && name !== '')
          const pattern = { name: 'star', outline, cutOuts: [], marks: [{ name, at: [500, 300] as Vec2 }] }
          samePattern(pattern, value(patternFromDrawing(value(readSvg(writeSvg(pattern))), options)).pattern)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('what drawings mean', () => {
  test('curves, circles, rounded boxes and transforms lie where they should', () => {
    const circle = value(reading('<g transform="translate(100 50) rotate(90)"><circle cx="0" cy="0" r="40"/></g>'))
    expect(signedArea(circle.pattern.outline)).toBeCloseTo(Math.PI * 1600, -1)
    const bezier = value(reading('<path d="M50 50 a40 40 0 1 0 80 0 a40 40 0 1 0 -80 0z"/>'))
    expect(signedArea(bezier.pattern.outline)).toBeCloseTo(Math.PI * 1600, -1)
    const box = value(reading('<rect x="10" y="10" width="100" height="60" rx="10"/>'))
    expect(signedArea(box.pattern.outline)).toBeCloseTo(6000 - (4 - Math.PI) * 100, 0)
  })
  test('the unit of the file is kept to: millimetres, inches, or none', () => {
    expect(value(reading('<rect width="100" height="50"/>')).widthMm).toBeCloseTo(100, 6)
    expect(
      value(reading('<rect width="4" height="2"/>', 'width="8in" height="4in" viewBox="0 0 8 4"')).widthMm,
    ).toBeCloseTo(101.6, 6)
    const bare = value(reading('<rect width="378" height="189"/>', 'viewBox="0 0 400 200"', { mmPerUnit: 25.4 / 96 }))
    expect(bare.unitStated).toBe(false)
    expect(bare.widthMm).toBeCloseTo(100, 0)
  })
  test('an outline in pieces is joined, and small gaps are closed and said', () => {
    const pieces =
      '<path d="M0 0L100 0"/><path d="M100 60L100.2 0.1"/><path d="M0 60L0 0.3"/><path d="M100 60.1L0 60"/>'
    const joined = value(reading(pieces))
    expect(signedArea(joined.pattern.outline)).toBeCloseTo(6000, -2)
    expect(joined.mended).toSay(/Gaps of up to 0\.3 mm/)
    const wide = reading('<path d="M0 0L100 0L100 60L0 60L0 4"/>')
    expect(wide.ok ? '' : english(wide.failure.sentence)).toContain('4 mm apart')
  })
  test('doubled shapes are used once, shapes beside the piece are left out', () => {
    const doubled = value(
      reading('<rect width="100" height="50"/><rect width="100" height="50"/><rect x="150" width="20" height="20"/>'),
    )
    expect(doubled.mended).toSay('1 doubled shape was used once')
    expect(doubled.mended).toSay('beside the piece left out')
    expect(doubled.pattern.cutOuts).toEqual([])
  })
  test('layers say what is what; crosses and points are marks', () => {
    const drawn = value(
      reading(
        '<g id="outline"><rect width="180" height="90"/></g><g id="sensor holes"><circle cx="40" cy="40" r="9"/></g><path d="M100 40L104 40"/><path d="M102 38L102 42"/><g id="marks"><circle cx="20" cy="20" r="1"><title>nose</title></circle></g>',
      ),
    )
    expect(drawn.pattern.cutOuts.length).toBe(1)
    expect(drawn.pattern.marks.map((m) => m.name)).toEqual(['nose', 'mark 2'])
    const cross = drawn.pattern.marks[1]!.at
    expect(cross[0]).toBeCloseTo(102, 6)
    expect(cross[1]).toBeCloseTo(-40, 6)
  })
  test('20 000 points are thinned, and the outline stays within the tolerance that is said', () => {
    const points = Array.from({ length: 20_000 }, (_, i): Vec2 => {
      const turn = (2 * Math.PI * i) / 20_000
      return [300 + 250 * Math.cos(turn), 300 + 200 * Math.sin(turn)]
    })
    const path = `<path d="M${points.map(([x, y]) => `${x.toFixed(5)} ${y.toFixed(5)}`).join('L')}Z"/>`
    const thinned = value(reading(path, 'width="600mm" height="600mm" viewBox="0 0 600 600"', { thinMm: 0.05 }))
    expect(thinned.pattern.outline.length).toBeLessThan(400)
    expect(thinned.mended).toSay('nowhere further off than 0.05 mm')
    for (let i = 0; i < points.length; i += 101)
      expect(nearestOnOutline(thinned.pattern.outline, [points[i]![0], -points[i]![1]]).distanceMm).toBeLessThan(0.051)
  })
  test('DXF: lines, arcs, bulges, ellipses, splines and blocks', () => {
    const drawing = value(readDxf(readFileSync(at('./dxf/examples/everything.dxf'), 'utf8')))
    expect(drawing.mmPerUnit).toBe(25.4)
    const read = value(patternFromDrawing(drawing, options))
    // A 10 x 4 inch stadium made of two lines and two half circles by bulge and arc.
    expect(read.widthMm).toBeCloseTo(14 * 25.4, 1)
    expect(signedArea(read.pattern.outline)).toBeCloseTo((40 + Math.PI * 4) * 25.4 ** 2, -2)
    // A circle in a block inserted at twice its size, an ellipse, a closed spline.
    expect(read.pattern.cutOuts.length).toBe(3)
    const areas = read.pattern.cutOuts.map((c) => Math.abs(signedArea(c)) / 25.4 ** 2).sort((a, b) => a - b)
    expect(areas[0]).toBeCloseTo(Math.PI * 0.5 * 0.25, 2)
    expect(areas[2]).toBeCloseTo(Math.PI * 0.64, 2)
    expect(read.pattern.marks.map((m) => m.name)).toEqual(['badge'])
  })
  test('a spline of degree one is its own control polygon', () => {
    const control: Vec2[] = [
      [0, 0],
      [1, 0],
      [1, 1],
    ]
    for (const p of splinePoints(1, [0, 0, 1, 2, 2], control, null, 0.01))
      expect(Math.min(Math.abs(p[1]) + Math.max(0, p[0] - 1), Math.abs(p[0] - 1))).toBeLessThan(1e-9)
  })
})

describe('a folder of broken files, each answered with its sentence', () => {
  const folder = at('./examples/broken')
  const wanted: Record<string, RegExp> = {
    'empty.svg': /cannot be read/,
    'not-xml.svg': /cannot be read/,
    'entity-bomb.svg': /defines entities/,
    'huge-coordinates.svg': /coordinate of/,
    'endless-use.svg': /nested without end/,
    'script-only.svg': /no line/,
    'open-outline.svg': /ends are 40 mm apart/,
    'figure-eight.svg': /crosses itself/,
    'thumbnail.svg': /which no piece of film is/,
    'wrong-root.svg': /cannot be read/,
    'cut-short.dxf': /nothing is drawn|cannot be read/,
    'no-sections.dxf': /no sections/,
    'binary.dxf': /binary DXF/,
    'endless-blocks.dxf': /nested without end|more than/,
  }
  test('every file is there', () => {
    expect(readdirSync(folder).sort()).toEqual(Object.keys(wanted).sort())
  })
  test.each(Object.entries(wanted))('%s', (name, sentence) => {
    const text = readFileSync(`${folder}/${name}`, 'utf8')
    const drawing = name.endsWith('.svg') ? readSvg(text) : readDxf(text)
    const result = drawing.ok ? patternFromDrawing(drawing.value, options) : drawing
    expect(result.ok).toBe(false)
    if (!result.ok) {
      expect(english(result.failure.sentence)).toMatch(sentence)
      expect(english(result.failure.fix).length).toBeGreaterThan(10)
    }
  })
  test('bundles: no zip, another zip, a bomb, a foreign version, a strange name', () => {
    const zip = (files: Record<string, string>) =>
      zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, new TextEncoder().encode(text)])))
    const head = (more: object) =>
      JSON.stringify({ format: 'truelay-bundle', version: 1, kind: 'kit', documents: {}, ...more })
    const cases: [Uint8Array, RegExp][] = [
      [new TextEncoder().encode('no zip'), /no zip/],
      [zip({ 'readme.txt': 'x' }), /has no truelay.json/],
      [zip({ 'truelay.json': '{' }), /no JSON/],
      [zip({ 'truelay.json': '{}' }), /something else/],
      [zip({ 'truelay.json': head({ version: 7 }) }), /version 7/],
      [zip({ 'truelay.json': head({ kind: 'cake' }) }), /neither a kit nor a job/],
      [zip({ 'truelay.json': head({}), 'patterns/../../x.svg': svg('<rect width="50" height="50"/>') }), /^$/],
      [zip({ 'truelay.json': head({}), 'patterns/p.svg': svg('') }), /pattern "p"/],
      [zip({ 'truelay.json': `${' '.repeat(17_000_000)}{}` }), /far more than a kit/],
    ]
    for (const [bytes, sentence] of cases) {
      const result = readBundle(bytes)
      if (sentence.source === '^$') {
        expect(result.ok && Object.keys(result.value.patterns)).toEqual([])
        continue
      }
      expect(result.ok ? 'read' : english(result.failure.sentence)).toMatch(sentence)
    }
  })
  test('scripts in an SVG are never looked at, and are said to be left out', () => {
    const drawn = value(
      reading('<script>alert(1)</script><rect width="100" height="50" onclick="x()"/><text>hi</text>'),
    )
    expect(drawn.mended).toSay(/1 scripts? left out/)
    expect(writeSvg(drawn.pattern)).not.toMatch(/script|onclick/)
  })
  test('whatever text comes in, there is an answer', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        expect(typeof readSvg(text).ok).toBe('boolean')
        expect(typeof readSvg(svg(text)).ok).toBe('boolean')
        expect(typeof readDxf(text).ok).toBe('boolean')
        expect(typeof readDxf(`0\nSECTION\n2\nENTITIES\n${text}\n0\nENDSEC\n0\nEOF`).ok).toBe('boolean')
      }),
      { numRuns: 150 },
    )
  })
})
