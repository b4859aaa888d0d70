import { boundsOf, type TriangleMesh, type Vec2 } from '../../geometry/index.ts'
import type { FormDoc } from '../../form/index.ts'
import type { PreparedStage } from '../rehearsal/stage.ts'
import { workedLay } from '../workedLay.ts'
import { name, percent, say, type Sentence } from '../../say/index.ts'

/** A line along which a part is covered by two pieces. */
export interface SplitLine {
  readonly label: Sentence
  readonly along: readonly [Vec2, Vec2]
  /** Where it runs: on a body line, on a colour change, or in the open. */
  readonly on: 'body line' | 'colour change' | 'open surface'
  /** Largest stretch that either piece then needs, as a share. */
  readonly neededStretch: number
  readonly join: 'overlap' | 'butt'
  readonly reason: Sentence
}

const lineWords = /line|colour/i

/**
 * Where to split a part that no single piece can cover: on each body line, on marks that name a line or a colour change, and
 * across the open surface at a few places. Each half is laid by itself; the line that leaves the least stretch wins, and one on
 * a body line or a colour change is preferred when it is nearly as good. A form that is cut into more than two parts by a
 * line counts its largest part on each side.
 */
export function splitPart(stage: PreparedStage): SplitLine[] {
  const { form, surface, handling } = stage
  const lines = candidateLines(form, surface.outline.polygon)
  return lines
    .flatMap((line): SplitLine[] => {
      const halves = [1, -1].map((sign) => half(stage, line.along, sign))
      if (halves.some((h) => h === null || h.triangle.length < 60)) return []
      let needed = 0
      for (const mesh of halves) {
        const worked = mesh === null ? null : workedLay(mesh, { take: handling.take })
        if (worked === null || !worked.ok) return []
        needed = Math.max(needed, worked.value.neededStretch - 1)
      }
      const join = line.on === 'colour change' ? 'butt' : 'overlap'
      return [
        {
          ...line,
          neededStretch: needed,
          join,
          reason:
            line.on === 'colour change'
              ? say`Two colours hide a butt joint; an overlap would show as a darker line.`
              : line.on === 'body line'
                ? say`The eye takes the seam for the line; overlap a little, the piece that water runs off on top.`
                : say`Seen from close by: keep it where nobody looks, and overlap so that no gap opens.`,
        },
      ]
    })
    .sort((a, b) => ranked(a) - ranked(b))
}

/** A seam in the open has to be clearly better to be worth seeing. */
const ranked = (line: SplitLine) => line.neededStretch + (line.on === 'open surface' ? 0.01 : 0)

function candidateLines(form: FormDoc, outline: readonly Vec2[]): Pick<SplitLine, 'label' | 'along' | 'on'>[] {
  const { min, max } = boundsOf(outline)
  const lines: Pick<SplitLine, 'label' | 'along' | 'on'>[] = []
  for (const body of form.bodyLines) {
    const first = body.along[0]
    const last = body.along[body.along.length - 1]
    if (first !== undefined && last !== undefined)
      lines.push({ label: say`along the ${name(body.name)}`, along: [first, last], on: 'body line' })
  }
  for (const mark of form.marks) {
    if (!lineWords.test(mark.label)) continue
    const [x] = mark.at
    lines.push({
      label: say`at the ${name(mark.label)}`,
      along: [
        [x, min[1]],
        [x, max[1]],
      ],
      on: 'colour change',
    })
  }
  for (const share of [0.35, 0.5, 0.65]) {
    const x = min[0] + share * (max[0] - min[0])
    const y = min[1] + share * (max[1] - min[1])
    const per = percent(100 * share)
    lines.push({
      label: say`upright, ${per} of the way towards ${name(form.directions.right)}`,
      along: [
        [x, min[1]],
        [x, max[1]],
      ],
      on: 'open surface',
    })
    lines.push({
      label: say`level, ${per} of the way towards ${name(form.directions.up)}`,
      along: [
        [min[0], y],
        [max[0], y],
      ],
      on: 'open surface',
    })
  }
  return lines
}

/** The largest connected part of the mesh on one side of a line, or null where there is none. */
function half({ surface }: PreparedStage, [a, b]: readonly [Vec2, Vec2], sign: number): TriangleMesh | null {
  const { plan, mesh } = surface
  const side = (t: number) => {
    let sum = 0
    for (let c = 0; c < 3; c++) {
      const v = mesh.triangle[3 * t + c]!
      sum += (b[0] - a[0]) * (plan[2 * v + 1]! - a[1]) - (b[1] - a[1]) * (plan[2 * v]! - a[0])
    }
    return sum * sign > 0
  }
  const own: number[] = []
  for (let t = 0; t < mesh.triangle.length / 3; t++) if (side(t)) own.push(t)
  const largest = largestSheet(mesh, own)
  if (largest.length === 0) return null
  const place = new Map<number, number>()
  const position: number[] = []
  const triangle = largest.flatMap((t) =>
    [0, 1, 2].map((c) => {
      const v = mesh.triangle[3 * t + c]!
      const known = place.get(v)
      if (known !== undefined) return known
      const next = place.size
      place.set(v, next)
      position.push(...mesh.position.slice(3 * v, 3 * v + 3))
      return next
    }),
  )
  return { position: Float64Array.from(position), triangle: Int32Array.from(triangle) }
}

/** Triangles that hang together by their sides, the largest such group. */
function largestSheet(mesh: TriangleMesh, own: readonly number[]): number[] {
  const bySide = new Map<string, number[]>()
  const sidesOf = (t: number) =>
    [0, 1, 2].map((c) => {
      const a = mesh.triangle[3 * t + c]!
      const b = mesh.triangle[3 * t + ((c + 1) % 3)]!
      return a < b ? `${a}-${b}` : `${b}-${a}`
    })
  for (const t of own) for (const side of sidesOf(t)) bySide.set(side, [...(bySide.get(side) ?? []), t])
  const seen = new Set<number>()
  let best: number[] = []
  for (const first of own) {
    if (seen.has(first)) continue
    const group = [first]
    seen.add(first)
    for (let i = 0; i < group.length; i++) {
      for (const side of sidesOf(group[i]!))
        for (const t of bySide.get(side) ?? [])
          if (!seen.has(t)) {
            seen.add(t)
            group.push(t)
          }
    }
    if (group.length > best.length) best = group
  }
  return best
}
