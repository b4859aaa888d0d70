import { bowDefaults, type DrawingInSpace, fitBow, type FormDoc, inSpaceOf, traceOutline } from '@truelay/core/form'
import { boundsOf } from '@truelay/core/geometry'
import type { DrawingView } from '@truelay/core/photogrammetry'

/** So much of what lies round a part is shown with it, a share of its size. */
const roundShare = 0.1
/** Longest side of the picture, px. */
const longPx = 1400
/** Targets on a line that is not drawn yet contradict the others; the photograph is what it is drawn by. */
const anything = { ...bowDefaults, readingToleranceMm: 1e6 }

/** What a form's drawing sees, over the surface of its spots, its origin in the middle; null where its outline is not whole. */
export function viewOfForm(form: FormDoc, inSpace: DrawingInSpace): DrawingView | null {
  const traced = traceOutline(form.name, form.start, form.outline)
  if (!traced.ok) return null
  const fitted = fitBow(traced.value.polygon, [], () => 0, anything, form.spots)
  if (!fitted.ok) return null
  const { min, max } = boundsOf(traced.value.polygon)
  const round = roundShare * Math.max(max[0] - min[0], max[1] - min[1])
  const widthMm = 2 * (Math.max(-min[0], max[0]) + round)
  const heightMm = 2 * (Math.max(-min[1], max[1]) + round)
  return {
    widthMm,
    heightMm,
    mmPerPx: Math.max(widthMm, heightMm) / longPx,
    spotAt: (p) => inSpaceOf(inSpace, p, fitted.value.heightAt(p)),
  }
}
