import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { inCamera, type Pose, seenAt, type Vec3 } from './camera.ts'
import { type ColourPicture, squarest, straightened } from './straightened.ts'
import { lookingAt } from './stand.ts'

const [width, height] = [800, 600]
const inner = { focalPx: 700, middlePx: [width / 2, height / 2] as Vec2 }
const lens = { radial: [-0.06, 0.03, 0], tangential: [0, 0] } as const
const taken = (from: Vec3) => ({ photo: 0, from, pose: lookingAt(from, [0, 0, 0], 0), inner, spinRad: 0 })
const bowed = ([x, y]: Vec2): Vec3 => [x, y, 40 - 40 * (x / 200) ** 2 - 20 * (y / 150) ** 2]
const spots: Vec2[] = [
  [0, 0],
  [-150, -100],
  [140, 90],
  [-120, 60],
]

/** Black, with a white square of nine pixels where each spot is seen. */
function photograph(pose: Pose): ColourPicture {
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255)
  for (let i = 0; i < width * height; i++) rgba.set([0, 0, 0], 4 * i)
  for (const spot of spots) {
    const [u, v] = seenAt(lens, inner, inCamera(pose, bowed(spot)))
    for (let y = -4; y <= 4; y++)
      for (let x = -4; x <= 4; x++)
        if (u > 5 && v > 5 && u < width - 5 && v < height - 5)
          rgba.set([255, 255, 255], 4 * ((Math.floor(v) + y) * width + Math.floor(u) + x))
  }
  return { width, height, rgba }
}
const upright = ({ rgba }: ColourPicture): ColourPicture => {
  const turned = new Uint8ClampedArray(rgba.length)
  for (let y = 0; y < width; y++)
    for (let x = 0; x < height; x++)
      turned.set(rgba.subarray(4 * ((height - 1 - x) * width + y)).subarray(0, 4), 4 * (y * height + x))
  return { width: height, height: width, rgba: turned }
}
const view = { widthMm: 400, heightMm: 300, mmPerPx: 0.8, spotAt: bowed }
/** Middle of what is white near a spot of the drawing, mm. */
function whiteNear({ width: w, rgba }: ColourPicture, [x, y]: Vec2): Vec2 {
  let [n, sx, sy] = [0, 0, 0]
  for (let j = 0; j < rgba.length / 4 / w; j++)
    for (let i = 0; i < w; i++) {
      const at: Vec2 = [(i + 0.5) * view.mmPerPx - 200, 150 - (j + 0.5) * view.mmPerPx]
      if (Math.hypot(at[0] - x, at[1] - y) > 15 || (rgba[4 * (j * w + i)] ?? 0) < 128) continue
      n++
      sx += at[0]
      sy += at[1]
    }
  return [sx / n, sy / n]
}

describe('a photograph as if it had been taken straight on', () => {
  const slanted = taken([350, -420, 380])
  test.each([
    ['lying', photograph(slanted.pose)],
    ['upright', upright(photograph(slanted.pose))],
  ])('shows every spot of a bowed part where the drawing has it, from a %s one', (_, photo) => {
    const straight = straightened(photo, slanted, lens, view)
    expect([straight.width, straight.height]).toEqual([500, 375])
    for (const spot of spots) {
      const [x, y] = whiteNear(straight, spot)
      expect(Math.hypot(x - spot[0], y - spot[1])).toBeLessThan(1)
    }
  })
  test('stays clear where the photograph does not reach', () => {
    const near = taken([0, 0, 150])
    const straight = straightened(photograph(near.pose), near, lens, view)
    expect(straight.rgba[3]).toBe(0)
    expect(straight.rgba[4 * (187 * 500 + 250) + 3]).toBe(255)
  })
  test('is made from the one that looks most squarely', () => {
    const list = [taken([600, 0, 200]), taken([100, 50, 600]), taken([0, 500, 400])]
    expect(squarest(list, [0, 0, 0], [0, 0, 1])).toBe(list[1])
    expect(squarest([taken([0, 0, -500])], [0, 0, 0], [0, 0, 1])).toBeNull()
  })
})
