export { type Affine, after, apply, mostScale, same } from './affine.ts'
export { textOfDrawing } from './textOfDrawing.ts'
export {
  arcPoints,
  bulgePoints,
  cubicPoints,
  curveToleranceMm,
  type EndSlopes,
  smoothThrough,
  splinePoints,
} from './curves.ts'
export {
  type Drawing,
  type DrawingCollector,
  type DrawnLine,
  type DrawnPoint,
  drawingCollector,
  drawingLimits,
  TooMuch,
} from './drawing.ts'
