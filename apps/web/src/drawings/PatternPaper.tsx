import type { PiecePattern } from '@truelay/core/align'
import { boundsOf } from '@truelay/core/geometry'
import { length } from '@truelay/core/say'
import { useWords } from '../ui/words.ts'
import { PieceBody } from './PieceShape.tsx'

interface PatternPaperProps {
  readonly pattern: PiecePattern
  readonly label: string
  readonly className?: string
}

/** Squares of the paper, mm: a piece has between eight and eighty of them along its longer side. */
const squaresMm = [1, 10, 100] as const
const mostSquares = 80

/** A pattern on squared paper, with its width and height beside it. */
export function PatternPaper({ pattern, label, className }: PatternPaperProps) {
  const t = useWords()
  const { min, max } = boundsOf(pattern.outline)
  const [w, h] = [max[0] - min[0], max[1] - min[1]]
  const longest = Math.max(w, h)
  const square = squaresMm.find((mm) => longest / mm <= mostSquares) ?? 100
  const [room, text] = [longest * 0.09, longest * 0.036]
  const [left, right, top, bottom] = [min[0] - room, max[0] + room / 2, -max[1] - room / 2, -min[1] + room]
  // Lines of the paper go through the lower left corner of the piece, so that squares can be counted along it.
  const along = (from: number, to: number, at: number) => {
    const first = Math.ceil((from - at) / square)
    return Array.from({ length: Math.max(0, Math.floor((to - at) / square) - first + 1) }, (_, k) => first + k)
  }
  const grid = (bold: boolean) =>
    [
      ...along(left, right, min[0])
        .filter((k) => (k % 10 === 0) === bold)
        .map((k) => `M${min[0] + k * square} ${top}V${bottom}`),
      ...along(top, bottom, -min[1])
        .filter((k) => (k % 10 === 0) === bold)
        .map((k) => `M${left} ${-min[1] + k * square}H${right}`),
    ].join('')
  return (
    <svg
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      className={className}
      role="img"
      aria-label={t`${label}, ${length(w, 0)} wide and ${length(h, 0)} high, on squares of ${length(square, 0)}`}
    >
      {[false, true].map((bold) => (
        <path
          key={String(bold)}
          d={grid(bold)}
          stroke="var(--hair)"
          strokeWidth={bold ? 1.4 : 0.7}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      <PieceBody pattern={pattern} markMm={longest * 0.02} />
      <text x={right} y={bottom - text * 0.3} fill="var(--quiet)" fontSize={text * 0.8} textAnchor="end">
        {t`squares of ${length(square, 0)}`}
      </text>
      <g fill="var(--ink)" fontSize={text} fontWeight="600" textAnchor="middle">
        <path
          d={`M${min[0]} ${-min[1] + room * 0.3}H${max[0]}M${min[0] - room * 0.3} ${-min[1]}V${-max[1]}`}
          stroke="var(--ink)"
          strokeWidth="1.4"
          vectorEffect="non-scaling-stroke"
        />
        <text x={(min[0] + max[0]) / 2} y={-min[1] + room * 0.3 + text * 1.1}>
          {t`${length(w, 0)}`}
        </text>
        <text transform={`translate(${min[0] - room * 0.3 - text * 0.4} ${-(min[1] + max[1]) / 2}) rotate(-90)`}>
          {t`${length(h, 0)}`}
        </text>
      </g>
    </svg>
  )
}
