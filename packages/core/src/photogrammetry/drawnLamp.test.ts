import { readFileSync } from 'node:fs'
import jpeg from 'jpeg-js'
import { beforeAll, describe, expect, test } from 'vitest'
import { detectTargets, measured, photoSet, plateMm, barTargets, type ReadPhoto, suretyOf } from './index.ts'

const file = (name: string) => readFileSync(new URL(`../../../../demo/photographs/${name}`, import.meta.url))
const { barsMm, targets } = JSON.parse(file('bars.json').toString()) as { barsMm: [number, number]; targets: number }

describe('the twelve drawn photographs of a headlamp, as they are kept', () => {
  let photos: ReadPhoto[] = []
  beforeAll(() => {
    photos = Array.from({ length: 12 }, (_, i) => {
      const { width, height, data } = jpeg.decode(file(`headlamp-${String(i + 1).padStart(2, '0')}.jpg`), {
        useTArray: true,
      })
      const grey = Uint8Array.from(
        { length: width * height },
        (_one, k) => 0.299 * (data[4 * k] ?? 0) + 0.587 * (data[4 * k + 1] ?? 0) + 0.114 * (data[4 * k + 2] ?? 0),
      )
      return { widthPx: width, heightPx: height, targets: detectTargets({ width, height, grey }) }
    })
  })

  test('show no target that was not stuck', () => {
    const stuck = new Set([...Array.from({ length: targets }, (_, i) => i), ...plateMm.keys(), ...barTargets.flat()])
    for (const { targets: found } of photos) for (const { target } of found) expect(stuck.has(target)).toBe(true)
    expect(photos.every(({ targets: found }) => found.length >= 20)).toBe(true)
  })
  test('give the start plate its size to a fifth of a millimetre, and the second bar to half a thousandth', () => {
    const set = photoSet(photos, barsMm)
    const found = set === null ? null : measured(set)
    if (found === null) throw new Error('nothing was measured')
    expect(suretyOf(found).problem).toBeNull()
    expect(found.rmsPx).toBeLessThan(0.1)
    expect(Math.abs(found.barsOff[0]?.share ?? 1)).toBeLessThan(0.0005)
    const at = (target: number) => found.points.find((point) => point.target === target)?.atMm ?? [0, 0, 0]
    // The plate by itself: 217 by 130 mm.
    const long = (a: number, b: number) => Math.hypot(...at(a).map((v, k) => v - (at(b)[k] ?? 0)))
    expect(Math.abs(long(114, 115) - 217)).toBeLessThan(0.2)
    expect(Math.abs(long(115, 116) - 130)).toBeLessThan(0.2)
  })
})
