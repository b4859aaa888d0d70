import { describe, expect, test } from 'vitest'
import { ringBits, rings, whiteOf } from './codes.ts'
import {
  barTargets,
  blackOfRing,
  dotSizesMm,
  partTargets,
  plateMm,
  plateSheet,
  sheetMm,
  targetSheets,
} from './sheets.ts'
import { isWhite, targetRadii } from './target.ts'

describe('sheets of targets', () => {
  test.each(dotSizesMm)('dots of %i mm: every target once, within the sheet, none on another', (dotMm) => {
    const sheets = targetSheets(dotMm, 60)
    expect(sheets.flat().map(({ target }) => target)).toEqual([
      ...barTargets.flat(),
      ...Array.from({ length: 60 }, (_, i) => i),
    ])
    const reach = targetRadii.margin * dotMm
    for (const sheet of sheets)
      sheet.forEach(({ atMm: [x, y] }, i) => {
        expect(Math.min(x, y, sheetMm[0] - x, sheetMm[1] - y)).toBeGreaterThan(reach)
        for (const { atMm } of sheet.slice(i + 1))
          expect(Math.hypot(atMm[0] - x, atMm[1] - y)).toBeGreaterThan(2 * reach)
      })
  })
  test('no more are printed than there are', () => {
    expect(targetSheets(3, 500).flat()).toHaveLength(partTargets + 4)
  })
  test('the plate holds six, none of which is on any other sheet, and no three of a line decide', () => {
    expect(plateSheet().map(({ target }) => target)).toEqual([...plateMm.keys()])
    expect(
      targetSheets(5, 500)
        .flat()
        .some(({ target }) => plateMm.has(target)),
    ).toBe(false)
    const xs = new Set([...plateMm.values()].map(([x]) => x))
    expect(xs.size).toBeGreaterThan(3)
  })
})

test('the black of a ring is that of its bits, each stretch once', () => {
  for (const target of rings.keys()) {
    const black = blackOfRing(target)
    expect(black.reduce((sum, { from, to }) => sum + Math.round((to - from) * ringBits), 0)).toBe(
      ringBits - whiteOf(rings[target] ?? 0),
    )
    for (let bit = 0; bit < ringBits; bit++) {
      const share = (bit + 0.5) / ringBits
      const turn = 2 * Math.PI * share
      const inBlack = black.some(({ from, to }) => (share > from && share < to) || (share + 1 > from && share + 1 < to))
      expect(inBlack).toBe(isWhite(target, 2.5 * Math.cos(turn), 2.5 * Math.sin(turn)) === false)
    }
  }
})
