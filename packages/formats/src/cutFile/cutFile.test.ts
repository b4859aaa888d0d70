import type { Vec2 } from '@truelay/core/geometry'
import { seededRandom } from '@truelay/core/numerics'
import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { readDxf } from '../dxf/index.ts'
import type { FileResult } from '../result/index.ts'
import { readSvg } from '../svg/index.ts'
import { type Cut, dxfOfCut, hpglOfCut, readHpgl, svgOfCut } from './index.ts'

const random = seededRandom(2)
const wave = Array.from({ length: 200 }, (_, i): Vec2 => [300 + 2 * i, 200 + 80 * Math.sin(i / 20) + random()])
const cut: Cut = {
  title: 'Job 0412 <bonnet & lamps>',
  lengthMm: 900,
  widthMm: 610,
  lines: [
    {
      kind: 'cut-out',
      line: [
        [10.123, 20.456],
        [110, 20],
        [110, 70.5],
        [10.123, 20.456],
      ],
    },
    { kind: 'outline', line: wave },
  ],
}
const far = (a: readonly Vec2[], b: readonly Vec2[]) =>
  Math.max(...a.map((p, i) => Math.hypot(p[0] - (b[i]?.[0] ?? NaN), p[1] - (b[i]?.[1] ?? NaN))))

const readIn = <T>(result: FileResult<T>): T => {
  if (!result.ok) throw new Error(english(result.failure.sentence))
  return result.value
}

describe('a cut as a file', () => {
  test('HPGL: the same lines in the same order, within half a step of 0.025 mm', () => {
    const text = hpglOfCut(cut)
    const read = readIn(readHpgl(text))
    expect(read.map((line) => line.length)).toEqual([4, 200])
    for (const [i, line] of read.entries())
      expect(far(line, cut.lines[i]!.line)).toBeLessThan(0.0125 * Math.SQRT2 + 1e-9)
    // Speed and pressure are the machine’s own.
    expect(text).not.toMatch(/VS|FS|FP/)
    expect(text.trimEnd().split('\n').at(-2)).toBe('PU36000,0;')
  })

  test('SVG: one to one in millimetres, as it is seen from above, in the order of cutting', () => {
    const { mmPerUnit, lines } = readIn(readSvg(svgOfCut(cut)))
    expect(mmPerUnit).toBe(1)
    const [hole, outline] = lines.map(({ points }) => points.map(([x, y]): Vec2 => [x, y]))
    // Up is up again: both files hang from the same corner.
    const [dx, dy] = [outline![0]![0] - wave[0]![0], outline![0]![1] - wave[0]![1]]
    const back = (points: readonly Vec2[]) => points.map(([x, y]): Vec2 => [x - dx, y - dy])
    expect(far(back(outline!), wave)).toBeLessThan(1e-3)
    expect(far(back(hole!), cut.lines[0]!.line)).toBeLessThan(1e-3)
  })

  test('DXF: in millimetres, cut-outs and outlines on layers of their own', () => {
    const { mmPerUnit, lines } = readIn(readDxf(dxfOfCut(cut)))
    expect(mmPerUnit).toBe(1)
    expect(lines.map(({ layers }) => layers.at(-1))).toEqual(['CUTOUT', 'OUTLINE'])
    expect(far(lines[1]!.points, wave)).toBeLessThan(1e-3)
  })
})

describe('what a plotter is sent', () => {
  test('relative moves, spaces, small letters and instructions it does not know', () => {
    const read = readHpgl('in;sp1 vs 20;PU 400 400;PR;PD400,0 0,400;PA;PU0,0;PD;PD40,0')
    expect(read).toEqual({
      ok: true,
      value: [
        [
          [10, 10],
          [20, 10],
          [20, 20],
        ],
        [
          [0, 0],
          [1, 0],
        ],
      ],
    })
  })
  test.each(['', 'hello', 'PD1;', 'PU1,2;', 'PD1,x;', 'PD1e999,2;'])('%o is refused', (text) => {
    expect(readHpgl(text)).toMatchObject({ ok: false, failure: { code: 'HPGL_UNREADABLE' } })
  })
  test('anything at all is read or refused', () => {
    const letters = 'PUDARSN0123456789,.;- e'
    for (let k = 0; k < 2000; k++) {
      const text = Array.from({ length: 40 }, () => letters[Math.floor(random() * letters.length)]).join('')
      const read = readHpgl(text)
      if (read.ok) expect(read.value.flat(2).every(Number.isFinite)).toBe(true)
    }
  })
})
