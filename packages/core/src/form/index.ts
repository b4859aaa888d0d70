export { type BuildOptions, buildDefaults, buildSurface, sagittaOn } from './buildSurface.ts'
export { type Curvature, curvatureAt } from './curvature.ts'
export { type BowOptions, bowDefaults, fitBow } from './fitBow.ts'
export type {
  BodyLine,
  BowFit,
  BowReading,
  EdgeCode,
  FormDoc,
  FormEdge,
  FormFigures,
  FormHole,
  OutlineSegment,
  PartMaterial,
  PartSurface,
  Recess,
  ReferenceMark,
  TracedOutline,
} from './formTypes.ts'
export { traceOutline, tracePolygon } from './traceOutline.ts'
