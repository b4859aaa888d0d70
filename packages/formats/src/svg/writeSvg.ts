import type { PiecePattern } from '@truelay/core/align'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import { escaped } from './escaped.ts'

const number = (x: number) => String(Number(x.toFixed(4)))
const path = (polygon: readonly Vec2[]) =>
  `${polygon.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${number(x)} ${number(-y)}`).join('')}Z`

/** A pattern as SVG in millimetres, one to one: outline, cut-outs and reference marks each in a group of their own. */
export function writeSvg(pattern: PiecePattern): string {
  const { min, max } = boundsOf([...pattern.outline, ...pattern.marks.map((m) => m.at)])
  const [x, y] = [min[0] - 10, -max[1] - 10]
  const [w, h] = [max[0] - min[0] + 20, max[1] - min[1] + 20]
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(w)}mm" height="${number(h)}mm" viewBox="${[x, y, w, h].map(number).join(' ')}">`,
    `<title>${escaped(pattern.name)}</title>`,
    `<g id="outline" fill="none" stroke="black" stroke-width="0.2"><path d="${path(pattern.outline)}"/></g>`,
    `<g id="cut-outs" fill="none" stroke="red" stroke-width="0.2">${pattern.cutOuts.map((hole) => `<path d="${path(hole)}"/>`).join('')}</g>`,
    `<g id="marks" fill="none" stroke="blue" stroke-width="0.2">${pattern.marks
      .map(
        ({ name, at }) =>
          `<circle cx="${number(at[0])}" cy="${number(-at[1])}" r="1"><title>${escaped(name)}</title></circle>`,
      )
      .join('')}</g>`,
    '</svg>',
    '',
  ].join('\n')
}
