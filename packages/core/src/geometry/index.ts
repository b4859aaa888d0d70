export { alignTurns } from './alignTurns.ts'
export { insideOf } from './insideOf.ts'
export {
  boundaryFlags,
  checkSheet,
  doubleAreaNormal,
  loopLength,
  type Sheet,
  surfaceArea,
  type TriangleMesh,
  triangleArea,
  triangleCount,
  vertexCount,
  vertexDistance,
  vertexNormals,
} from './mesh.ts'
export { type Gauged, type OutlineGauge, outlineGauge } from './outlineGauge.ts'
export {
  type Bounds,
  boundsOf,
  centroid,
  contains,
  densify,
  distanceToLine,
  nearestOnOutline,
  type Polygon,
  perimeter,
  selfCrossing,
  signedArea,
} from './polygon.ts'
export { point, polygon } from './schema.ts'
export { thinOutline } from './thinOutline.ts'
export { applyRigid, fitRigid, type RigidMove, standingStill, thenRigid, turnAbout } from './rigid.ts'
export { type PlaceOnMesh, type TriangleLocator, triangleLocator } from './triangleLocator.ts'
export {
  add,
  cross2,
  distance,
  dot2,
  length2,
  lerp,
  perpendicular,
  rotate,
  scale,
  subtract,
  unit,
  type Vec2,
} from './vector.ts'
