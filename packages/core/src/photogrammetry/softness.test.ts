import { describe, expect, test } from 'vitest'
import { detectTargets, type GreyPicture } from './detect.ts'
import { photoProblem } from './photoSet.ts'
import { type DrawnTarget, drawnPicture } from './testPicture.ts'

const targets = Array.from(
  { length: 12 },
  (_, k): DrawnTarget => ({
    target: 3 * k,
    atPx: [90 + 150 * (k % 4), 90 + 150 * Math.floor(k / 4)],
    alongX: [11, 2],
    alongY: [-2, 9],
  }),
)
const picture = (blurPx: number) => drawnPicture(660, 500, targets, { noise: 2, blurPx, uneven: 0.2, paint: 110 }, 5)
/** As if the hand had moved along x by so many pixels while the shutter was open. */
function moved({ width, height, grey }: GreyPicture, byPx: number): GreyPicture {
  const smeared = Uint8Array.from(grey, (_, at) => {
    const x = at % width
    let [sum, count] = [0, 0]
    for (let k = 0; k < byPx; k++)
      if (x + k < width) {
        sum += grey[at + k] ?? 0
        count++
      }
    return sum / count
  })
  return { width, height, grey: smeared }
}
const soft = (of: GreyPicture) => {
  const found = detectTargets(of)
  const bins = found[0]?.softPx.map((_, k) => {
    const own = found.map(({ softPx }) => softPx[k] ?? 0).sort((a, b) => a - b)
    return own[Math.floor(own.length / 2)] ?? 0
  })
  const { width, height } = of
  return { found, bins: bins ?? [], read: { widthPx: width, heightPx: height, targets: found } }
}

describe('how soft rims are', () => {
  test.each([0.7, 1.2])('is the blur of the picture, %s px, whichever way one looks', (blurPx) => {
    const { found, bins, read } = soft(picture(blurPx))
    expect(found.length).toBe(12)
    for (const bin of bins) {
      expect(bin).toBeGreaterThan(0.85 * blurPx)
      // A pixel by itself is 0.29 soft, and between pixels greys are mixed.
      expect(bin).toBeLessThan(Math.hypot(blurPx, 0.29) + 0.35)
    }
    expect(photoProblem(read, [read])).toBeNull()
  })
  test('one that is out of focus is blurred', () => {
    const { read } = soft(picture(2.2))
    expect(read.targets.length).toBeGreaterThan(7)
    expect(photoProblem(read, [read])).toBe('blurred')
  })
  test('one that was moved along x is soft along x alone: shaken', () => {
    const { bins, read } = soft(moved(picture(0.7), 8))
    // Directions run from x over half a turn.
    expect(bins[0]).toBeGreaterThan(1.7 * (bins[4] ?? Infinity))
    expect(photoProblem(read, [read])).toBe('shaken')
  })
})
