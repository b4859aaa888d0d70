import {
  buildSurface,
  curvatureMap,
  type FormDoc,
  formFromScan,
  orientScan,
  type Spot3,
  suggestReading,
} from '@truelay/core/form'
import type { TriangleMesh } from '@truelay/core/geometry'
import { grade, gradeWords, layFigures, naturalLay } from '@truelay/core/lay'
import { done, type Result } from '@truelay/core/result'
import { expose } from 'comlink'
import type { FormAnswer, ScanAnswer } from './formWork.ts'

const triangles = 1400

/** Carries messages; the work is done by the core. */
const formWorker = {
  /** The surface of a form while it is measured: how it bends, its figures, and where to measure next. */
  build(form: FormDoc, enoughMm: number): Result<FormAnswer> {
    const surface = buildSurface(form, { triangles })
    if (!surface.ok) return surface
    const natural = naturalLay(surface.value.mesh)
    const figures = natural.ok ? layFigures(surface.value.mesh, natural.value) : null
    return done({
      surface: surface.value,
      curvature: curvatureMap(surface.value),
      grade: figures === null ? null : grade(figures),
      gradeWords: figures === null ? null : gradeWords(figures),
      next: form.relief === undefined ? suggestReading(form, enoughMm) : null,
    })
  },
  fromScan(mesh: TriangleMesh, spots: readonly [Spot3, Spot3, Spot3] | null, stepMm: number): Result<ScanAnswer> {
    const turned = spots === null ? done(mesh) : orientScan(mesh, ...spots)
    if (!turned.ok) return turned
    return formFromScan(turned.value, stepMm)
  },
}

export type FormWorker = typeof formWorker
expose(formWorker)
