import { writeFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { checkSheet, triangleCount, type TriangleMesh, vertexCount } from '@truelay/core/geometry'
import { grade, layFigures, naturalLay, workedDefaults, workedLay } from '@truelay/core/lay'
import { joinCorners } from '@truelay/formats/mesh'
import { writeObj } from '@truelay/formats/obj'
import { orderWish, rehearsal } from './rehearsal.ts'
import { numberOption, valueOrBadInput, wordOption } from '../input.ts'
import { readMesh } from '../readMesh.ts'

/**
 * `lay --mesh FILE.obj [--units m|mm] [--mode natural|worked] [--take 0.006] [--holes refuse|keep] [--flat OUT.obj]`, or
 * `lay FORM.json --film FILM.json --order SCHOOL|all|search`: a rehearsal in an order of work.
 */
export async function lay(file: string | undefined, options: Record<string, string | undefined>) {
  if (options.order !== undefined) return rehearsal(file, options.film, orderWish(options.order))
  const name = options.mesh ?? file
  const units = wordOption(options.units, 'units', ['mm', 'm'])
  const mode = wordOption(options.mode, 'mode', ['natural', 'worked'])
  const holes = wordOption(options.holes, 'holes', ['refuse', 'keep'])
  const take = numberOption(options.take, 'take', workedDefaults.take, 0, 0.2)
  const { mesh, joinedCorners } = asOneSheet(await readMesh(name, units === 'm' ? 1000 : 1))
  valueOrBadInput(checkSheet(mesh, { holesExpected: holes === 'keep' }))

  const began = performance.now()
  const worked = mode === 'worked' ? valueOrBadInput(workedLay(mesh, { take })) : null
  const laid = worked ?? valueOrBadInput(naturalLay(mesh))
  const solveMs = performance.now() - began
  const figures = layFigures(mesh, laid)
  if (options.flat !== undefined) writeFileSync(options.flat, writeObj(flatMesh(mesh, laid.flat), 'flat piece'))
  return {
    mode,
    vertices: vertexCount(mesh),
    triangles: triangleCount(mesh),
    solveMs,
    ...(joinedCorners > 0 ? { joinedCorners } : {}),
    flipped: laid.flipped,
    ...figures,
    grade: grade(figures),
    ...(worked
      ? { neededStretch: worked.neededStretch, leftCompression: worked.leftCompression, badSpots: worked.badSpots }
      : {}),
    ...(options.flat === undefined ? {} : { flat: options.flat }),
  }
}

/** A mesh that falls into pieces along seams, where corners are written once for each face that has them, sewn together. */
function asOneSheet(mesh: TriangleMesh): { mesh: TriangleMesh; joinedCorners: number } {
  const sheet = checkSheet(mesh, { holesExpected: true })
  if (sheet.ok || sheet.failure.code !== 'MESH_IN_PIECES') return { mesh, joinedCorners: 0 }
  const sewn = joinCorners(mesh.position, mesh.triangle)
  return { mesh: sewn, joinedCorners: vertexCount(mesh) - vertexCount(sewn) }
}

function flatMesh(mesh: TriangleMesh, flat: Float64Array): TriangleMesh {
  const position = new Float64Array(mesh.position.length)
  for (let v = 0; v < flat.length / 2; v++) position.set([flat[2 * v] ?? 0, flat[2 * v + 1] ?? 0, 0], 3 * v)
  return { position, triangle: mesh.triangle }
}
