import { centroid, type Polygon, signedArea, type TriangleMesh, type Vec2 } from '../../geometry/index.ts'
import type { FormDoc, TracedOutline } from '../formTypes.ts'
import { flip, mirrorForm } from '../mirrorForm.ts'
import { runBack } from '../traceOutline.ts'

/** All that a mesh over a part depends on. */
export interface PartToMesh {
  readonly form: FormDoc
  readonly outline: TracedOutline
  readonly holes: readonly TracedOutline[]
  /** Of the surface over the drawing, mm. */
  readonly height: (p: Vec2) => number
}

export interface Meshed {
  readonly mesh: TriangleMesh
  /** Its points on the drawing, `[x0, y0, …]`, mm. */
  readonly plan: Float64Array
}

/** Below this an outline counts as its own likeness in a mirror. */
const sameBothWays = 1e-9

/**
 * Whether a part is the one of two twins, left and right, that is meshed by way of the other: both then get the same mesh, one
 * in a mirror, and what is worked out on it differs between the sides of a vehicle by rounding only.
 *
 * By the moments of the outline that change sign in a mirror (x³, x·y² and x·y about its centroid, as shares of its size, summed
 * along it); where they come to nothing it is symmetric, or does not tell left from right, and is meshed as it is.
 */
export function isMeshedByItsTwin(polygon: Polygon): boolean {
  const [middleX, middleY] = centroid(polygon)
  const size = Math.sqrt(Math.abs(signedArea(polygon)))
  let sum = 0
  polygon.forEach(([ax, ay], i) => {
    const [bx, by] = polygon[(i + 1) % polygon.length]!
    const x = ((ax + bx) / 2 - middleX) / size
    const y = ((ay + by) / 2 - middleY) / size
    sum += (Math.hypot(bx - ax, by - ay) / size) * (x ** 3 + x * y ** 2 + x * y)
  })
  return sum < -sameBothWays
}

/** The part of the other side. */
export function likenessOf({ form, outline, holes, height }: PartToMesh): PartToMesh {
  return {
    form: mirrorForm(form, { id: form.id, name: form.name, swap: [] }),
    outline: likenessOfOutline(outline),
    holes: holes.map(likenessOfOutline),
    height: (p) => height(flip(p)),
  }
}

const likenessOfOutline = (outline: TracedOutline): TracedOutline =>
  runBack({ ...outline, polygon: outline.polygon.map(flip) })

/** A mesh of one side as that of the other; its triangles still face the eye. */
export function inMirror({ mesh, plan }: Meshed): Meshed {
  const turned = (every: number) => (value: number, i: number) => (i % every === 0 && value !== 0 ? -value : value)
  const triangle = mesh.triangle.map((_, i) => mesh.triangle[i % 3 === 0 ? i : i % 3 === 1 ? i + 1 : i - 1]!)
  return { mesh: { position: mesh.position.map(turned(3)), triangle }, plan: plan.map(turned(2)) }
}
