import { type Cut, crossAt, plain } from './cutFile.ts'
import { escaped } from '../svg/index.ts'

/** A cut as SVG, one to one in millimetres: one path for each line, in the order of cutting; marks in a group of their own; seen from above, the roll's beginning at the left. */
export function svgOfCut({ title, lengthMm, widthMm, lines, marks = [] }: Cut): string {
  const [long, wide] = [plain(lengthMm), plain(widthMm)]
  const path = (line: Cut['lines'][number]['line']) =>
    line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${plain(x)} ${plain(widthMm - y)}`).join('')
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${long}mm" height="${wide}mm" viewBox="0 0 ${long} ${wide}">`,
    `<title>${escaped(title)}</title>`,
    '<g fill="none" stroke-width="0.2">',
    ...lines.map(({ kind, line }) => `<path stroke="${kind === 'outline' ? 'black' : 'red'}" d="${path(line)}"/>`),
    '</g>',
    ...(marks.length === 0
      ? []
      : [
          '<g id="register" fill="none" stroke="blue" stroke-width="0.2">',
          ...marks.flatMap((mark) => crossAt(mark).map((stroke) => `<path d="${path(stroke)}"/>`)),
          '</g>',
        ]),
    '</svg>',
    '',
  ].join('\n')
}
