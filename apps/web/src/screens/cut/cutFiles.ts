import { corrected, cutOrder, knifeWay, type PlotterScale } from '@truelay/core/cutting'
import { add, rotate, type Vec2 } from '@truelay/core/geometry'
import { lying, type Nested, type NestPlacement, type NestRequest } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import { radFromDeg } from '@truelay/core/units'
import type { Cut } from '@truelay/formats/cutFile'

interface LaidOut {
  readonly title: string
  readonly request: NestRequest
  readonly nested: Nested
  /** Of each piece, where it meets its part. */
  readonly marksOf: (id: string) => readonly Vec2[]
}

/** How the plotter of the shop cuts. */
export const scaleOf = ({ plotterAlong, plotterAcross }: Practice): PlotterScale => ({
  along: plotterAlong / 100,
  across: plotterAcross / 100,
})

/** The way of the knife for a layout, drawn so that it comes out true on the shop's plotter. */
export function cutOf({ title, request, nested, marksOf }: LaidOut, practice: Practice): Cut {
  const { placements, usedLengthMm } = nested
  const scale = scaleOf(practice)
  const byId = new Map(request.pieces.map((piece) => [piece.id, piece]))
  const pieces = placements.flatMap((placed) => {
    const piece = byId.get(placed.id)
    if (piece === undefined) return []
    const [outline = [], ...cutOuts] = lying(piece, placed)
    return [{ outline, cutOuts }]
  })
  const knife = { overcutMm: practice.cutOvercut, offsetMm: practice.knifeOffset }
  return {
    title,
    lengthMm: usedLengthMm / scale.along,
    widthMm: request.rollWidthMm,
    lines: cutOrder(pieces, practice.cutStretch).map(({ kind, line }) => ({
      kind,
      line: corrected(knifeWay(line, knife), scale),
    })),
    marks: corrected(
      placements.flatMap((placed) => marksOf(placed.id).map((at) => pointOn(placed, at))),
      scale,
    ),
  }
}

/** A point of a piece as it lies on the roll. */
const pointOn = ({ xMm, yMm, turnDeg }: NestPlacement, at: Vec2): Vec2 =>
  add(rotate(at, radFromDeg(turnDeg)), [xMm, yMm])

export const cutFileKinds = ['HPGL', 'SVG', 'DXF'] as const
export type CutFileKind = (typeof cutFileKinds)[number]

/** The file with its name and its kind. */
export async function cutFile(kind: CutFileKind, name: string, cut: Cut) {
  const { dxfOfCut, hpglOfCut, svgOfCut } = await import('@truelay/formats/cutFile')
  switch (kind) {
    case 'SVG':
      return { name: `${name}.svg`, type: 'image/svg+xml', text: svgOfCut(cut) }
    case 'DXF':
      return { name: `${name}.dxf`, type: 'image/vnd.dxf', text: dxfOfCut(cut) }
    case 'HPGL':
      return { name: `${name}.plt`, type: 'application/vnd.hp-hpgl', text: hpglOfCut(cut) }
  }
}
