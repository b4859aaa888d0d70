import type { FilmMesh } from '../internal/filmMesh.ts'
import { type Front, spotsPerTriangle } from './frontTimes.ts'

export interface Band {
  readonly vertices: number[]
  /** The front has come so far when it is begun and when it is done, as a front time. */
  fromMm: number
  untilMm: number
}

/** Nobody lays a whole part in one stroke: the film would be stretched all over at once. */
const fewestStrokes = 3

/** Length of a stroke next to the wanted one, so that all are equally long and none is left with a sliver at the end. */
export function evenStroke(time: Float64Array, wantedMm: number): number {
  let mostMm = 0
  for (const mm of time) mostMm = Math.max(mostMm, mm)
  return mostMm / Math.max(fewestStrokes, Math.round(mostMm / wantedMm))
}

/** A stroke that lays less than this share of the part is made together with the one before it. */
const leastStrokeShare = 1 / 200

/** Vertices that are still free, in strokes as the front reaches them; of the first stroke a share (`begin`) is left out. */
export function bandsOf(film: FilmMesh, front: Front, stepOf: Int32Array, bandMm: number, begin = 0): Band[] {
  const { vertexArea } = film
  const strokes = strokesOf(film, front, bandMm, begin)
  const bands: (Band & { areaMm2: number })[] = []
  let wholeMm2 = 0
  for (let v = 0; v < film.vertices; v++) {
    wholeMm2 += vertexArea[v]!
    if (stepOf[v] !== 0) continue
    const number = strokes[v]!
    bands[number] ??= { vertices: [], fromMm: 0, untilMm: (number + 1 - begin) * bandMm, areaMm2: 0 }
    bands[number].vertices.push(v)
    bands[number].areaMm2 += vertexArea[v]!
  }
  const leastMm2 = leastStrokeShare * wholeMm2
  const kept: (Band & { areaMm2: number })[] = []
  for (const band of bands) {
    if (band === undefined) continue
    const before = kept[kept.length - 1]
    if (before !== undefined && (band.areaMm2 < leastMm2 || before.areaMm2 < leastMm2)) {
      before.vertices.push(...band.vertices)
      before.untilMm = band.untilMm
      before.areaMm2 += band.areaMm2
    } else kept.push({ ...band, fromMm: before?.untilMm ?? 0 })
  }
  // Between vertices a front that winds may come later than to any of them.
  const last = kept[kept.length - 1]
  if (last !== undefined) for (const mm of front.within) last.untilMm = Math.max(last.untilMm, mm)
  return kept
}

/**
 * The stroke in which each vertex is laid, from 0: in the order in which the front comes to them, so many that they stand for as much of
 * the part as it has really passed by then. Rows of the mesh that lie along the front would else come all too soon or all too late.
 */
function strokesOf(film: FilmMesh, { time, within }: Front, bandMm: number, begin: number): Int32Array {
  const numberAt = (mm: number) => Math.max(0, Math.ceil(mm / bandMm + begin - 1e-9) - 1)
  const passedMm2: number[] = []
  within.forEach((mm, i) => {
    const number = numberAt(mm)
    passedMm2[number] = (passedMm2[number] ?? 0) + film.area[Math.floor(i / spotsPerTriangle)]! / spotsPerTriangle
  })
  const strokes = new Int32Array(film.vertices)
  const inOrder = [...strokes.keys()].sort((a, b) => time[a]! - time[b]! || a - b)
  let laidMm2 = 0
  let number = 0
  let untilMm2 = passedMm2[0] ?? 0
  for (const v of inOrder) {
    const middleMm2 = laidMm2 + film.vertexArea[v]! / 2
    while (middleMm2 > untilMm2 && number < passedMm2.length - 1) untilMm2 += passedMm2[++number] ?? 0
    strokes[v] = number
    laidMm2 += film.vertexArea[v]!
  }
  return strokes
}

/** Over how much of each triangle a stroke passes, a share. */
export function passesOf({ within }: Front, { fromMm, untilMm }: Band): Float64Array {
  const share = new Float64Array(within.length / spotsPerTriangle)
  for (let t = 0, i = 0; t < share.length; t++) {
    let passed = 0
    for (const end = i + spotsPerTriangle; i < end; i++) {
      const mm = within[i]!
      if ((mm > fromMm || fromMm === 0) && mm <= untilMm) passed++
    }
    share[t] = passed / spotsPerTriangle
  }
  return share
}
