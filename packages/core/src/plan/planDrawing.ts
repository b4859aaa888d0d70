import type { PlacedPiece } from '../align/index.ts'
import type { Polygon, Vec2 } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import type { PlanDrawing } from './partPlan.ts'

/** The part and the piece on it, thinned to what a picture needs. */
export const drawingOf = (part: FlatPart, piece: PlacedPiece): PlanDrawing => ({
  part: thinned(part.outline.polygon),
  holes: part.holes.map((h) => thinned(h.polygon)),
  piece: thinned(piece.outline),
  cutOuts: piece.cutOuts.map(thinned),
  edges: edgeLines(part),
})

/** Leaves out points that change the outline by less than 0.05 mm, for drawing only. */
function thinned(polygon: Polygon): Vec2[] {
  const kept: Vec2[] = []
  for (let i = 0; i < polygon.length; i++) {
    const before = kept[kept.length - 1]
    const at = polygon[i]
    const after = polygon[(i + 1) % polygon.length]
    if (at === undefined || after === undefined) continue
    if (before !== undefined) {
      const dx = after[0] - before[0]
      const dy = after[1] - before[1]
      const off = Math.abs(dx * (at[1] - before[1]) - dy * (at[0] - before[0])) / (Math.hypot(dx, dy) || 1)
      if (off < 0.05 && Math.hypot(at[0] - before[0], at[1] - before[1]) < 60) continue
    }
    kept.push(at)
  }
  return kept
}

function edgeLines(part: FlatPart): { name: string; line: Vec2[] }[] {
  const { polygon, edgeOfSide } = part.outline
  const lines: { name: string; line: Vec2[] }[] = []
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]
    const b = polygon[(i + 1) % polygon.length]
    const name = edgeOfSide[i]
    if (a === undefined || b === undefined || name === undefined) continue
    const last = lines[lines.length - 1]
    if (last?.name === name) last.line.push(b)
    else lines.push({ name, line: [a, b] })
  }
  const [first, last] = [lines[0], lines[lines.length - 1]]
  if (first && last && first !== last && first.name === last.name) {
    lines.pop()
    lines[0] = { name: first.name, line: [...last.line, ...first.line.slice(1)] }
  }
  return lines
}
