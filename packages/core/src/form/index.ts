export { type BuildOptions, buildDefaults, buildSurface, sagittaOn } from './buildSurface.ts'
export { type Curvature, curvatureAt } from './curvature.ts'
export { type BowOptions, bowDefaults, fitBow } from './fitBow.ts'
export type {
  BodyLine,
  BowFit,
  BowReading,
  Channel,
  EdgeCode,
  FormDoc,
  FormEdge,
  FormFigures,
  FormHole,
  Lip,
  MeasuredSpot,
  Obstacle,
  ObstacleKind,
  OutlineSegment,
  PartFamily,
  PartMaterial,
  PartSurface,
  RaisedFeature,
  Recess,
  ReferenceMark,
  SpotMiss,
  Relief,
  TracedOutline,
} from './formTypes.ts'
export {
  edgeCodes,
  familyWords,
  materialWords,
  obstacleKinds,
  obstacleWords,
  partFamilies,
  partMaterials,
} from './formTypes.ts'
export {
  type DrawingInSpace,
  drawingOfPoints,
  formFromPoints,
  inSpaceOf,
  type PointInSpace,
  type PointsAsForm,
  seenInDrawing,
  type StuckTargets,
} from './fromPoints.ts'
export { howMeasured, measuredFrom } from './howMeasured.ts'
export { type NearestPlane, planeThrough } from './planeThrough.ts'
export { outerRim } from './outerRim.ts'
export { formSize } from './formSize.ts'
export { curvatureMap } from './curvatureMap.ts'
export { outsideForm } from './outsideForm.ts'
export { wallRunMm } from './featureHeight.ts'
export { formFromScan, orientScan, type ScannedForm, type Spot3 } from './scan.ts'
export { type SuggestedReading, straightedgeLines, suggestReading } from './suggestReading.ts'
export { symmetrize } from './symmetrize.ts'
export { middleOfTriangle } from './middleOfTriangle.ts'
export { mirrorForm, type Mirror } from './mirrorForm.ts'
export { traceOutline, tracePolygon } from './traceOutline.ts'
