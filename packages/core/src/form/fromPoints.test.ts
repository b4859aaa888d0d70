import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { turnedBy } from '../photogrammetry/index.ts'
import { required } from '../result/index.ts'
import { buildSurface, drawingOfPoints, formFromPoints, inSpaceOf, type PointInSpace } from './index.ts'

const dome = (x: number, y: number) => 60 - 45 * (x / 600) ** 2 - 30 * (y / 400) ** 2
/** Ten by six points of a bowed panel; those at its rim run round it. */
const columns = 10
const rows = 6
const plain = Array.from({ length: columns * rows }, (_, k): PointInSpace => {
  const [x, y] = [-540 + 120 * (k % columns), -350 + 140 * Math.floor(k / columns)]
  return { name: String(k), at: [x, y, dome(x, y)], sigmaMm: [0.1, 0.1, 0.2] }
})
const rim = [
  ...Array.from({ length: columns }, (_, i) => i),
  ...Array.from({ length: rows - 2 }, (_, j) => columns * (j + 2) - 1),
  ...Array.from({ length: columns }, (_, i) => columns * rows - 1 - i),
  ...Array.from({ length: rows - 2 }, (_, j) => columns * (rows - 2 - j)),
].map(String)

const straightOn = required(
  drawingOfPoints(
    plain.map(({ at }) => at),
    [1, 0, 0],
    [0, 0, 1],
  ),
)

describe('a form from points in space', () => {
  test('however the part lay: outline and bow are those of the part, seen straight on', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.double({ min: -3, max: 3, noNaN: true }),
          fc.double({ min: -3, max: 3, noNaN: true }),
          fc.double({ min: -3, max: 3, noNaN: true }),
        ),
        (turn) => {
          const points = plain.map((point) => ({ ...point, at: turnedBy(turn, point.at) }))
          const drawing = required(
            drawingOfPoints(
              points.map(({ at }) => at),
              turnedBy(turn, [1, 0, 0]),
              turnedBy(turn, [0, 0, 1]),
            ),
          )
          const form = required(formFromPoints(points, rim, drawing))
          // A spot of the drawing, so high above it, is the point again.
          form.spots.forEach((spot, i) => {
            inSpaceOf(drawing, spot.at, spot.heightMm).forEach((v, k) => {
              expect(v).toBeCloseTo(points[i]?.at[k] ?? 0, 1)
            })
          })
          expect(form.edges).toHaveLength(4)
          const xs = form.outline.map(({ to }) => to[0])
          const ys = form.outline.map(({ to }) => to[1])
          expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(1080, 0)
          expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(700, 0)
          const heights = form.spots.map(({ heightMm }) => heightMm)
          expect(Math.max(...heights) - Math.min(...heights)).toBeCloseTo(
            Math.max(...plain.map(({ at }) => at[2])) - Math.min(...plain.map(({ at }) => at[2])),
            0,
          )
        },
      ),
      { numRuns: 25 },
    )
  })
  test('a rim that is named the other way round is the same outline', () => {
    const of = (names: readonly string[]) => required(formFromPoints(plain, names, straightOn))
    const area = ({ start, outline }: ReturnType<typeof of>) => {
      const points = [start, ...outline.map(({ to }) => to)]
      return points.reduce((sum, [x, y], i) => {
        const [u, v] = points[(i + 1) % points.length] ?? [0, 0]
        return sum + (x * v - u * y) / 2
      }, 0)
    }
    expect(area(of(rim))).toBeCloseTo(1080 * 700, -2)
    expect(area(of([...rim].reverse()))).toBeCloseTo(1080 * 700, -2)
  })
  test('it can be built: the surface rises as the part does', () => {
    const { spots, ...outline } = required(formFromPoints(plain, rim, straightOn))
    const built = required(
      buildSurface(
        {
          id: 'p',
          name: 'p',
          version: 1,
          family: 'panel',
          material: 'painted steel',
          ...outline,
          directions: { right: 'r', left: 'l', up: 'u', down: 'd' },
          bow: [],
          spots,
          bodyLines: [],
          recesses: [],
          holes: [],
          marks: [],
        },
        { triangles: 600 },
      ),
    )
    const heights = Array.from(
      { length: built.mesh.position.length / 3 },
      (_, v) => built.mesh.position[3 * v + 2] ?? 0,
    )
    expect(Math.max(...heights) - Math.min(...heights)).toBeCloseTo(60 - dome(540, 350), -0.5)
    expect(built.bowFit.spots).toBe(60)
  })
  test('a rim of two, and points in a line, are refused', () => {
    expect(formFromPoints(plain, ['1', '2', 'none'], straightOn)).toMatchObject({
      failure: { code: 'RIM_TOO_SHORT' },
    })
    const line = plain.slice(0, 8).map((point) => ({ ...point, at: [point.at[0], 0, 0] as const }))
    expect(
      drawingOfPoints(
        line.map(({ at }) => at),
        [1, 0, 0],
        [0, 0, 1],
      ),
    ).toMatchObject({
      failure: { code: 'POINTS_IN_LINE' },
    })
  })
})
