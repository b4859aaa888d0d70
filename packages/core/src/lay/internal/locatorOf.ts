import type { PartSurface } from '../../form/index.ts'
import { triangleLocator } from '../../geometry/index.ts'
import { onceFor } from './onceFor.ts'

/** Finds the triangle of a part's mesh in which a place of its drawing lies; made once for a surface. */
export const locatorOf = onceFor(({ plan, mesh }: PartSurface) => triangleLocator(plan, mesh.triangle))
