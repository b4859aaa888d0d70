export { type Affine, after, apply, same } from './affine.ts'
export { arcPoints, bulgePoints, cubicPoints, curveToleranceMm, splinePoints } from './curves.ts'
export {
  type Drawing,
  type DrawingCollector,
  type DrawnLine,
  type DrawnPoint,
  drawingCollector,
  drawingLimits,
  TooMuch,
} from './drawing.ts'
