import { boundsOf, signedArea } from '@truelay/core/geometry'
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
/** Of the page: a piece is rarely smaller, a cut-out rarely larger; one with something inside it is a piece sooner. */
const pieceShare = 0.4
const nestShare = 0.25

export interface WithoutFrames {
  readonly lines: readonly JoinedLine[]
  readonly framesMm: readonly (readonly [number, number])[]
  /** Whether a rectangle as large as the drawing's own sheet was kept, which could be its frame all the same. */
  readonly unsure: boolean
}

/**
 * Rectangles around something that are as large as a sheet of paper are frames of the page and no film. So are those as large as the sheet of this very
 * drawing, but only around what looks like a piece: a plate that fills its page has cut-outs, which are small beside it.
 *
 * @param mayBe whether a line may be a frame: what is called an outline is none
 */
export function withoutFrames(
  lines: readonly JoinedLine[],
  page: Drawing['page'],
  mmPerUnit: number,
  mayBe: (line: JoinedLine) => boolean,
): WithoutFrames {
  const framesMm: (readonly [number, number])[] = []
  let left = [...lines]
  for (;;) {
    const outer = framesMm.at(-1)
    const frame = left.find((line) => {
      const size = mayBe(line) ? boxSides(line) : null
      if (size === null) return false
      const within = left.filter((other) => other !== line && liesIn(line.points, other.points))
      if (within.length === 0) return false
      if (outer !== undefined) return isMargin(size, outer)
      return isPaper(size) || (isPage(size, page, mmPerUnit) && holdsPiece(line, within))
    })
    if (frame === undefined) {
      const unsure = left.some((line) => {
        const size = mayBe(line) ? boxSides(line) : null
        return size !== null && left.length > 1 && isPage(size, page, mmPerUnit)
      })
      return { lines: left, framesMm, unsure }
    }
    framesMm.push(boxSides(frame) as readonly [number, number])
    left = left.filter((line) => line !== frame)
  }
}

/** Whether what lies inside looks like a piece: large, or with something inside itself. */
function holdsPiece(frame: JoinedLine, within: readonly JoinedLine[]): boolean {
  const area = ({ points }: JoinedLine) => Math.abs(signedArea(points))
  const [largest] = [...within].sort((a, b) => area(b) - area(a))
  if (largest === undefined) return false
  const share = area(largest) / area(frame)
  const nests = within.some((other) => other !== largest && liesIn(largest.points, other.points))
  return share >= pieceShare || (nests && share >= nestShare)
}

const same = (a: number, b: number, mm: number) => Math.abs(a - b) <= mm

const isPaper = ([w, h]: readonly [number, number]) =>
  sheetsMm.some(
    ([a, b]) => (same(w, a, sheetMm) && same(h, b, sheetMm)) || (same(w, b, sheetMm) && same(h, a, sheetMm)),
  )

function isPage([w, h]: readonly [number, number], page: Drawing['page'], mmPerUnit: number): boolean {
  if (page == null) return false
  const [pageW, pageH] = [page.width * mmPerUnit, page.height * mmPerUnit]
  const slack = Math.max(sheetMm, 0.005 * Math.max(pageW, pageH))
  return same(w, pageW, slack) && same(h, pageH, slack)
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
