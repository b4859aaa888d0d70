import { cutOrder, knifeWay } from '@truelay/core/cutting'
import { lying, type Nested, type NestRequest } from '@truelay/core/nest'
import type { Practice } from '@truelay/core/practice'
import type { Cut } from '@truelay/formats/cutFile'

/** The way of the knife for a layout. */
export function cutOf(
  title: string,
  request: NestRequest,
  { placements, usedLengthMm }: Nested,
  practice: Practice,
): Cut {
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
    lengthMm: usedLengthMm,
    widthMm: request.rollWidthMm,
    lines: cutOrder(pieces, practice.cutStretch).map(({ kind, line }) => ({ kind, line: knifeWay(line, knife) })),
  }
}

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
