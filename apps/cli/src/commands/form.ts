import { writeFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { buildSurface } from '@truelay/core/form'
import { grade, gradeWords, layFigures, naturalLay } from '@truelay/core/lay'
import { writeObj } from '@truelay/formats/obj'
import { numberOption, readDocument, valueOrBadInput } from '../input.ts'

/** `form FORM.json [--triangles N] [--out MESH.obj]` */
export function form(file: string | undefined, options: Record<string, string | undefined>) {
  const triangles = numberOption(options.triangles, 'triangles', 3000, 50, 100_000)
  const document = readDocument(file, formDoc)
  const surface = valueOrBadInput(buildSurface(document, { triangles }))
  const figures = layFigures(surface.mesh, valueOrBadInput(naturalLay(surface.mesh)))
  if (options.out !== undefined) writeFileSync(options.out, writeObj(surface.mesh, document.name))
  const { minRadiusMm } = surface.figures
  return {
    ...surface.figures,
    minRadiusMm: Number.isFinite(minRadiusMm) ? minRadiusMm : null,
    bowFit: surface.bowFit,
    grade: grade(figures),
    gradeWords: gradeWords(figures),
  }
}
