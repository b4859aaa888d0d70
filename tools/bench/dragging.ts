import { coverage, edgeMargins, place, summarizeEdges, thenPlaced, tolerance } from '@truelay/core/align'
import { centroid } from '@truelay/core/geometry'
import { layPart } from '@truelay/core/lay'
import { placeOn } from '@truelay/core/plan'
import { required } from '@truelay/core/result'
import { filmOf, formOf, pieceOf, questionOf } from './demo.ts'
import type { Section } from './section.ts'
import { bestOf } from './timing.ts'

export const draggingSection: Section = {
  title: 'While a piece is dragged, ms a frame (margins along the whole outline, worst edge, tolerance)',
  measure(say) {
    for (const [formFile, pieceFile, filmFile] of [
      ['pipit-bonnet', 'pipit-bonnet-piece', 'clearcoat-hull-180'],
      ['pipit-headlamp-left', 'pipit-headlamp-left-piece', 'dusk-glass-dry'],
    ] as const) {
      const form = formOf(formFile)
      const question = questionOf(form, filmOf(filmFile), pieceOf(pieceFile).pattern)
      const placed = required(placeOn(required(layPart(question.lay)), question.place))
      const registered = place(placed.pattern, placed.registered)
      let x = 0
      const frame = () => {
        x += 0.01
        const now = thenPlaced(registered, { xMm: x, yMm: 0, turnDeg: 0.01 })
        const margins = edgeMargins(placed.spots, now)
        summarizeEdges(margins, placed.rules)
        tolerance(margins, placed.rules, centroid(now.outline))
      }
      for (let i = 0; i < 30; i++) frame()
      const began = performance.now()
      for (let i = 0; i < 60; i++) frame()
      const perFrame = (performance.now() - began) / 60
      const perCoverage = bestOf(10, () => coverage(placed.part, registered))
      say(
        `- ${form.name}: ${perFrame.toFixed(2)} ms with ${placed.spots.spots.length} places; coverage, which may lag, ${perCoverage.toFixed(2)} ms`,
      )
    }
  },
}
