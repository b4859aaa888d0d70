import type { Layout } from './layout.ts'

/** Places that are tried for each copy, and how far it is pushed back at least, mm. */
const tried = 400
const pushedMm = { first: 64, least: 0.5 } as const

interface Place {
  readonly x: number
  readonly y: number
  readonly turn: number
  readonly endMm: number
}

/**
 * One copy after the other, large ones first, each as near to the beginning of the roll as some tries find. Sets the length that takes.
 * @param lying copies that lie where they are already
 */
export function firstFill(layout: Layout, gapMm: number, random: () => number, lying: readonly number[] = []): void {
  const placed = [...lying]
  let reachMm = lying.reduce((most, i) => Math.max(most, layout.x[i]! + layout.shape(i).piece.maxX), layout.borderMm)
  layout.lengthMm = 1e9
  for (const i of largestFirst(layout)) {
    if (lying.includes(i)) continue
    const found = nearestPlace(layout, i, placed, reachMm, random) ?? behindAll(layout, i, reachMm + gapMm + 1)
    layout.put(i, found.x, found.y, found.turn)
    reachMm = Math.max(reachMm, found.endMm)
    placed.push(i)
  }
  layout.lengthMm = layout.usedMm()
}

export const largestFirst = ({ copies }: Layout): number[] =>
  copies.map((_, i) => i).sort((a, b) => size(copies[b]!) - size(copies[a]!) || a - b)
const size = ({ areaMm2, acrossMm }: Layout['copies'][number]) => areaMm2 * acrossMm

function nearestPlace(layout: Layout, i: number, placed: readonly number[], reachMm: number, random: () => number) {
  const { turns } = layout.copies[i]!
  let found: Place | null = null
  const free = (x: number, y: number, turn: number) => {
    layout.put(i, x, y, turn)
    return placed.every((j) => layout.overlap(i, j) === 0)
  }
  for (let k = 0; k < tried; k++) {
    const turn = k % turns.length
    const shape = turns[turn]!
    if (!layout.fits(shape)) continue
    const { minX, maxX, minY, maxY } = shape.piece
    let x = layout.nearestX(shape, layout.borderMm - minX + random() * (reachMm + maxX - minX))
    const y = layout.leastY - minY + random() * Math.max(0, layout.mostY - layout.leastY - maxY + minY)
    if ((found !== null && x + maxX >= found.endMm) || !free(x, y, turn)) continue
    for (let stepMm: number = pushedMm.first; stepMm > pushedMm.least; stepMm /= 2)
      for (let back = layout.nearestX(shape, x - stepMm); back < x && free(back, y, turn); ) {
        x = back
        back = layout.nearestX(shape, x - stepMm)
      }
    if (found === null || x + maxX < found.endMm) found = { x, y, turn, endMm: x + maxX }
  }
  return found
}

function behindAll(layout: Layout, i: number, fromMm: number): Place {
  const { turns } = layout.copies[i]!
  const turn = turns.findIndex((shape) => layout.fits(shape))
  const shape = turns[turn]!
  // Forward only: a spoilt stretch may not send it back among the others.
  let x = layout.nearestX(shape, fromMm - shape.piece.minX)
  for (let on = fromMm; x + shape.piece.minX < fromMm - 1e-9; on += 50)
    x = layout.nearestX(shape, on - shape.piece.minX)
  return { x, y: layout.nearestY(shape, 0), turn, endMm: x + shape.piece.maxX }
}
