import { boundsOf } from '@truelay/core/geometry'
import type { Drawing } from '../drawing/index.ts'
import type { JoinedLine } from './joinLines.ts'
import { liesIn } from './loops.ts'

/** Sheets of paper, mm: the A series of ISO 216 and the letters of ANSI Y14.1. */
const sheetsMm: readonly (readonly [number, number])[] = [
  [841, 1189],
  [594, 841],
  [420, 594],
  [297, 420],
  [210, 297],
  [148, 210],
  [215.9, 279.4],
  [279.4, 431.8],
  [431.8, 558.8],
  [558.8, 863.6],
  [863.6, 1117.6],
]
const sheetMm = 1
/** A frame inside a frame leaves no more of the sheet than this on each side, share of its size. */
const marginShare = 0.08

export interface WithoutFrames {
  readonly lines: readonly JoinedLine[]
  readonly framesMm: readonly (readonly [number, number])[]
}

/** Rectangles as large as the sheet, or as a sheet of paper, with something drawn inside them are frames of the page and no film. */
export function withoutFrames(lines: readonly JoinedLine[], page: Drawing['page'], mmPerUnit: number): WithoutFrames {
  const framesMm: (readonly [number, number])[] = []
  let left = [...lines]
  for (;;) {
    const frame = left.find((line) => {
      const size = boxSides(line)
      if (size === null || !left.some((other) => other !== line && liesIn(line.points, other.points))) return false
      const outer = framesMm.at(-1)
      return outer === undefined ? isSheet(size, page, mmPerUnit) : isMargin(size, outer)
    })
    if (frame === undefined) return { lines: left, framesMm }
    framesMm.push(boxSides(frame) as readonly [number, number])
    left = left.filter((line) => line !== frame)
  }
}

function isSheet([w, h]: readonly [number, number], page: Drawing['page'], mmPerUnit: number): boolean {
  const same = (a: number, b: number, mm: number) => Math.abs(a - b) <= mm
  if (page != null) {
    const [pageW, pageH] = [page.width * mmPerUnit, page.height * mmPerUnit]
    const slack = Math.max(sheetMm, 0.005 * Math.max(pageW, pageH))
    if (same(w, pageW, slack) && same(h, pageH, slack)) return true
  }
  return sheetsMm.some(
    ([a, b]) => (same(w, a, sheetMm) && same(h, b, sheetMm)) || (same(w, b, sheetMm) && same(h, a, sheetMm)),
  )
}

const isMargin = ([w, h]: readonly [number, number], [outerW, outerH]: readonly [number, number]) =>
  w >= outerW * (1 - 2 * marginShare) && h >= outerH * (1 - 2 * marginShare)

/** Width and height of an upright rectangle; null where a line is none. */
function boxSides({ points }: JoinedLine): readonly [number, number] | null {
  const { min, max } = boundsOf(points)
  const [w, h] = [max[0] - min[0], max[1] - min[1]]
  const onEdge = points.every(
    ([x, y]) => Math.min(x - min[0], max[0] - x) < 0.01 || Math.min(y - min[1], max[1] - y) < 0.01,
  )
  const corners = [
    [min[0], min[1]],
    [max[0], min[1]],
    [max[0], max[1]],
    [min[0], max[1]],
  ].every(([x = 0, y = 0]) => points.some((p) => Math.abs(p[0] - x) < 0.01 && Math.abs(p[1] - y) < 0.01))
  return onEdge && corners ? [w, h] : null
}
