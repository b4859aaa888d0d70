import { barTargets, type Measured, type MeasuredPoint, plateMm } from '@truelay/core/photogrammetry'

/** Targets of the part itself: neither the plate's nor the bars'. */
export const pointsOfPart = ({ points }: Measured): readonly MeasuredPoint[] =>
  points.filter(({ target }) => !plateMm.has(target) && !barTargets.some((ends) => ends.includes(target as never)))
