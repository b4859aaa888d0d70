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
  OutlineSegment,
  PartFamily,
  PartMaterial,
  PartSurface,
  RaisedFeature,
  Recess,
  ReferenceMark,
  TracedOutline,
} from './formTypes.ts'
export { mirrorForm, type Mirror } from './mirrorForm.ts'
export { traceOutline, tracePolygon } from './traceOutline.ts'
