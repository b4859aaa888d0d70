import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Polygon } from '../geometry/index.ts'
import {
  filmOutlook,
  freeRectangle,
  leastRunMm,
  longestRunMm,
  rollAccount,
  type RollEntry,
  type RollFacts,
  yieldOf,
} from './index.ts'

const roll: RollFacts = { widthMm: 1500, lengthMm: 15_000, price: 900 }
const cut = (cutId: string, lengthMm: number, share = 0.7, offcutId: string | null = null): RollEntry => ({
  kind: 'cut',
  cutId,
  lengthMm,
  piecesMm2: share * lengthMm * 1500,
  offcutId,
})

describe('a roll after all that happened to it', () => {
  test('untouched it has what it came with', () => {
    expect(rollAccount(roll, [])).toEqual({
      leftMm: 15_000,
      overdrawnMm: 0,
      spoilt: [],
      offcuts: [],
      cuts: [],
      gone: false,
    })
  })

  test('film is taken off its loose end, and a spoilt stretch comes nearer with every cut', () => {
    const spoilt: RollEntry = { kind: 'spoilt', fromMm: 7200, toMm: 7600 }
    expect(rollAccount(roll, [spoilt]).spoilt).toEqual([[7200, 7600]])
    expect(rollAccount(roll, [spoilt, cut('a', 2000)]).spoilt).toEqual([[5200, 5600]])
    expect(rollAccount(roll, [cut('a', 2000), spoilt]).spoilt).toEqual([[7200, 7600]])
    expect(rollAccount(roll, [spoilt, cut('a', 7400)]).spoilt).toEqual([[0, 200]])
    expect(rollAccount(roll, [spoilt, cut('a', 8000)])).toMatchObject({ leftMm: 7000, spoilt: [] })
  })

  test('what was marked twice is marked once', () => {
    const entries: RollEntry[] = [
      { kind: 'spoilt', fromMm: 3000, toMm: 3500 },
      { kind: 'spoilt', fromMm: 1000, toMm: 2000 },
      { kind: 'spoilt', fromMm: 1500, toMm: 2200 },
    ]
    const account = rollAccount(roll, entries)
    expect(account.spoilt).toEqual([
      [1000, 2200],
      [3000, 3500],
    ])
    expect(longestRunMm(account)).toBe(11_500)
  })

  test('a measure is believed before the sum, and the spoilt stretch stays where it lies from the loose end', () => {
    const entries: RollEntry[] = [
      cut('a', 5000),
      { kind: 'spoilt', fromMm: 6000, toMm: 7000 },
      { kind: 'measured', leftMm: 6500 },
    ]
    expect(rollAccount(roll, entries)).toMatchObject({ leftMm: 6500, spoilt: [[6000, 6500]] })
    expect(rollAccount(roll, [...entries, cut('b', 1000)])).toMatchObject({ leftMm: 5500 })
  })

  test('more cut off than it had is not hidden', () => {
    expect(rollAccount(roll, [cut('a', 14_000), cut('b', 1500)])).toMatchObject({ leftMm: 0, overdrawnMm: 500 })
  })

  test('gone has nothing left; back has it again', () => {
    const gone: RollEntry[] = [cut('a', 14_000), { kind: 'gone' }]
    expect(rollAccount(roll, gone)).toMatchObject({ leftMm: 0, gone: true })
    expect(rollAccount(roll, [...gone, { kind: 'back' }])).toMatchObject({ leftMm: 1000, gone: false })
  })

  test('an offcut is not paid by the cut that left it, but by the one that uses it', () => {
    const kept: RollEntry = { kind: 'offcut kept', offcutId: 'o', cutId: 'a', widthMm: 500, lengthMm: 600 }
    const after = rollAccount(roll, [cut('a', 2000, 0.5), kept])
    // 900 for 22.5 m²: 40 for a square metre.
    expect(after.cuts[0]?.cost).toBeCloseTo(40 * (3 - 0.3), 6)
    expect(after.offcuts).toEqual([{ offcutId: 'o', widthMm: 500, lengthMm: 600 }])
    const used = rollAccount(roll, [cut('a', 2000, 0.5), kept, { ...cut('b', 600, 0.1, 'o') }])
    expect(used.cuts[1]?.cost).toBeCloseTo(40 * 0.3, 6)
    expect(used.leftMm).toBe(13_000)
    expect(used.offcuts).toEqual([])
  })

  test('the cost of all cuts is the price of the film that is used', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 100, max: 3000, noNaN: true }), { maxLength: 5 }), (lengths) => {
        const account = rollAccount(
          roll,
          lengths.map((mm, i) => cut(`${i}`, mm)),
        )
        const paid = account.cuts.reduce((sum, { cost }) => sum + (cost ?? 0), 0)
        const used = lengths.reduce((sum, mm) => sum + mm, 0)
        expect(paid).toBeCloseTo((900 * used) / 15_000, 6)
        expect(account.leftMm - account.overdrawnMm).toBeCloseTo(15_000 - used, 6)
      }),
    )
  })

  test('without a price nothing costs anything that is said', () => {
    expect(rollAccount({ ...roll, price: null }, [cut('a', 100)]).cuts[0]?.cost).toBeNull()
  })
})

describe('how far the film lasts', () => {
  const stands = (leftMm: number, entries: readonly RollEntry[] = []) => ({
    ...rollAccount({ ...roll, lengthMm: leftMm }, entries),
    widthMm: 1500,
  })
  const wish = (jobId: string, at: string, piecesM2: number, leastMm = 500) => ({
    jobId,
    at,
    piecesMm2: 1e6 * piecesM2,
    leastMm,
  })
  const figures = { yieldShare: 0.5, widthMm: 1500, reserveMm: 5000 }

  test('the first job that has too little is named, by time and not by list', () => {
    // 1.5 m² of pieces at half of the film: 2 m of a roll 1.5 m wide.
    const wishes = [wish('c', '2030-05-03', 1.5), wish('a', '2030-05-01', 1.5), wish('b', '2030-05-02', 1.5)]
    const outlook = filmOutlook([stands(5000)], wishes, figures)
    expect(outlook.needMm).toBeCloseTo(6000)
    expect(outlook.afterMm).toBeCloseTo(-1000)
    expect(outlook.firstShort).toMatchObject({ jobId: 'c', at: '2030-05-03' })
    expect(outlook.firstShort?.lackingMm).toBeCloseTo(1000)
    expect(outlook.reorder).toBe(true)
  })

  test('enough for all and a reserve over: nothing is ordered', () => {
    const outlook = filmOutlook([stands(12_000)], [wish('a', '2030-05-01', 1.5)], figures)
    expect(outlook).toMatchObject({ firstShort: null, reorder: false })
    expect(filmOutlook([stands(6900)], [wish('a', '2030-05-01', 1.5)], figures).reorder).toBe(true)
  })

  test('stubs are no roll: a piece that is longer than each of them lacks all of its film', () => {
    const long = wish('a', '2030-05-01', 0.3, 1600)
    const outlook = filmOutlook([stands(1500), stands(1400)], [long], figures)
    expect(outlook.firstShort?.lackingMm).toBeCloseTo(1600)
    expect(filmOutlook([stands(1500), stands(1700)], [long], figures).firstShort).toBeNull()
  })

  test('a job that no roll holds alone takes the longest first; a run that is just long enough counts', () => {
    const narrow = (leftMm: number) => ({ ...stands(leftMm), widthMm: 750 })
    // 6 m² of film: all of the 3 m of the wide roll, then 2 m of the narrow one.
    const long = wish('a', '2030-05-01', 3, 3000)
    const outlook = filmOutlook([narrow(3000), stands(3000)], [long], figures)
    expect(outlook.firstShort).toBeNull()
    const more = filmOutlook([narrow(3000), stands(3000)], [long, wish('b', '2030-05-02', 0.4, 1001)], figures)
    expect(more.firstShort).toMatchObject({ jobId: 'b' })
    expect(filmOutlook([narrow(3000), stands(2999)], [{ ...long, leastMm: 3001 }], figures).firstShort).not.toBeNull()
  })

  test('a spoilt stretch in the middle leaves two short runs', () => {
    const spoilt: RollEntry = { kind: 'spoilt', fromMm: 1400, toMm: 1600 }
    const long = wish('a', '2030-05-01', 0.3, 1500)
    expect(filmOutlook([stands(3000)], [long], figures).firstShort).toBeNull()
    const outlook = filmOutlook([stands(3000, [spoilt])], [long], figures)
    expect(outlook.leftMm).toBe(2800)
    expect(outlook.firstShort).not.toBeNull()
  })

  test('without a roll all of it is lacking, on a roll of the usual width', () => {
    const outlook = filmOutlook([], [wish('a', '2030-05-01', 1.5)], figures)
    expect(outlook).toMatchObject({ leftMm: 0, needMm: 2000, afterMm: -2000 })
    expect(outlook.firstShort?.lackingMm).toBeCloseTo(2000)
  })

  test('the yield is told by cuts, not by one', () => {
    const one = { filmMm2: 2e6, piecesMm2: 1e6 }
    expect(yieldOf([one, one])).toBeNull()
    expect(yieldOf([one, one, { filmMm2: 1e6, piecesMm2: 1e6 }])).toBeCloseTo(0.6)
  })
})

test('a piece takes the least of the roll that its film and the width allow', () => {
  const plate: Polygon = [
    [0, 0],
    [1600, 0],
    [1600, 400],
    [0, 400],
  ]
  expect(leastRunMm(plate, false, 1520)).toBe(1600)
  expect(leastRunMm(plate, true, 1520)).toBe(1600)
  expect(leastRunMm(plate, true, 1700)).toBe(400)
  expect(leastRunMm(plate, true, 300)).toBeNull()
})

describe('what is left of a cut', () => {
  const box = (x: number, y: number, w: number, h: number): Polygon => [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ]
  const sheet = { lengthMm: 1000, widthMm: 1500 }

  test('beside one piece in the corner it is the larger of the two rests', () => {
    expect(freeRectangle([box(0, 0, 400, 1000)], sheet, 250)).toEqual({
      xMm: 405,
      yMm: 0,
      lengthMm: 595,
      widthMm: 1500,
    })
    expect(freeRectangle([box(0, 0, 900, 600)], sheet, 250)).toMatchObject({ yMm: 605, lengthMm: 1000, widthMm: 895 })
  })

  test('nothing that is worth to be put by is nothing', () => {
    expect(freeRectangle([box(0, 0, 900, 1400)], sheet, 250)).toBeNull()
  })
  test('a side of just the least will do; what is full to its last row is full', () => {
    const one = { lengthMm: 100, widthMm: 100 }
    expect(freeRectangle([box(0, 0, 100, 79)], one, 20)).toEqual({ xMm: 0, yMm: 80, lengthMm: 100, widthMm: 20 })
    expect(freeRectangle([box(0, 0, 100, 79)], one, 21)).toBeNull()
    expect(freeRectangle([box(0, 0, 100, 100)], one, 5)).toBeNull()
    expect(freeRectangle([box(0, 96, 100, 4)], one, 5)).toMatchObject({ yMm: 0, widthMm: 95 })
  })

  test('it is the largest there is, and takes a cell for taken where a piece reaches into it', () => {
    const small = { lengthMm: 60, widthMm: 50 }
    const place = fc.tuple(
      fc.integer({ min: 0, max: 11 }),
      fc.integer({ min: 0, max: 9 }),
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 5 }),
    )
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 4 }), (places) => {
        // Each fills its cells but for a hair, so that it does not touch the next.
        const pieces = places.map(([c, r, w, h]) => box(5 * c + 0.1, 5 * r + 0.1, 5 * w - 0.2, 5 * h - 0.2))
        const isFree = (c: number, r: number) =>
          places.every(([pc, pr, w, h]) => c < pc || c >= pc + w || r < pr || r >= pr + h)
        let most = 0
        for (let c0 = 0; c0 < 12; c0++)
          for (let r0 = 0; r0 < 10; r0++)
            for (let c1 = c0 + 1; c1 <= 12; c1++)
              for (let r1 = r0 + 1; r1 <= 10; r1++) {
                let free = true
                for (let c = c0; c < c1 && free; c++) for (let r = r0; r < r1 && free; r++) free = isFree(c, r)
                if (free) most = Math.max(most, (c1 - c0) * (r1 - r0))
              }
        const found = freeRectangle(pieces, small, 5)
        expect(found === null ? 0 : (found.lengthMm * found.widthMm) / 25).toBe(most)
      }),
      { numRuns: 40 },
    )
  })

  test('a slanted side takes only the cells it passes through', () => {
    const triangle: Polygon = [
      [0, 0],
      [100, 0],
      [0, 100],
    ]
    const found = freeRectangle([triangle], { lengthMm: 100, widthMm: 100 }, 20)
    // In the free corner both sides together are 100 mm, but for the cells that the slant passes through.
    const { lengthMm = 0, widthMm = 0 } = found ?? {}
    expect(lengthMm + widthMm).toBeGreaterThanOrEqual(95)
    expect(lengthMm + widthMm).toBeLessThanOrEqual(100)
    expect(Math.abs(lengthMm - widthMm)).toBeLessThanOrEqual(10)
    // Upside down each row is taken as far as the slant comes at its end, and not a row farther.
    const other = freeRectangle([triangle.map(([x, y]) => [x, 100 - y] as const)], { lengthMm: 100, widthMm: 100 }, 20)
    expect((other?.lengthMm ?? 0) * (other?.widthMm ?? 0)).toBe(45 * 55)
  })

  test('nothing that it finds is touched by a piece or lies off the sheet', () => {
    const piece = fc
      .tuple(
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 1400 }),
        fc.integer({ min: 20, max: 500 }),
        fc.integer({ min: 20, max: 700 }),
      )
      .map(
        ([x, y, w, h]): Polygon => [
          [x, y],
          [x + w, y + h / 3],
          [x + w / 2, y + h],
        ],
      )
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 6 }), (pieces) => {
        const found = freeRectangle(pieces, sheet, 100)
        if (found === null) return
        const { xMm, yMm, lengthMm, widthMm } = found
        const within = (x: number, y: number) => x > xMm && x < xMm + lengthMm && y > yMm && y < yMm + widthMm
        for (const p of pieces)
          p.forEach(([x, y], i) => {
            const [nx, ny] = p[(i + 1) % p.length] ?? [x, y]
            for (let k = 0; k <= 50; k++) expect(within(x + (k / 50) * (nx - x), y + (k / 50) * (ny - y))).toBe(false)
          })
        expect(xMm >= 0 && yMm >= 0 && xMm + lengthMm <= 1000 && yMm + widthMm <= 1500).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
