import { riskOf, troubleOf } from './figures.ts'
import type { RehearsalFigures } from './orderTypes.ts'

/** Means of the figures of one order laid several times, and their trouble; what is counted or named is that of the first. */
export function meanFigures(ways: readonly RehearsalFigures[], patterned: boolean): RehearsalFigures {
  const [first] = ways
  if (first === undefined) throw new RangeError('there is no mean of nothing')
  const mean = (of: (figures: RehearsalFigures) => number) => ways.reduce((sum, way) => sum + of(way), 0) / ways.length
  const edges = first.edges.map(({ edge }, i) => ({
    edge,
    fingersMmPer100: mean((way) => way.edges[i]!.fingersMmPer100),
    afterShrinkingMmPer100: mean((way) => way.edges[i]!.afterShrinkingMmPer100),
    stretch: mean((way) => way.edges[i]!.stretch),
    marginShiftMm: mean((way) => way.edges[i]!.marginShiftMm),
  }))
  const figures = {
    ...first,
    edges,
    worstFingersMmPer100: Math.max(0, ...edges.map((e) => e.fingersMmPer100)),
    largestStretch: mean((way) => way.largestStretch),
    glueLineShare: mean((way) => way.glueLineShare),
    wrinkledShare: mean((way) => way.wrinkledShare),
    hollows: first.hollows.map((hollow, i) => {
      const bridging = mean((way) => way.hollows[i]!.bridging)
      return { ...hollow, stretch: mean((way) => way.hollows[i]!.stretch), bridging, risk: riskOf(bridging) }
    }),
    farEnd: { ...first.farEnd, shiftMm: mean((way) => way.farEnd.shiftMm) },
    liftedShare: mean((way) => way.liftedShare),
    warmShare: mean((way) => way.warmShare),
    patternWarp: mean((way) => way.patternWarp),
  }
  return { ...figures, trouble: troubleOf(figures, patterned) }
}
