import type { PiecePattern } from '@truelay/core/align'
import { boundsOf } from '@truelay/core/geometry'
import { closedPath } from './svgPath.ts'

/** A pattern with its cut-outs and reference marks, to fit its frame. */
export function PieceShape({
  pattern,
  className,
  label,
}: {
  readonly pattern: PiecePattern
  readonly className?: string
  readonly label?: string
}) {
  const { min, max } = boundsOf(pattern.outline)
  const unit = Math.max(max[0] - min[0], max[1] - min[1]) / 100
  return (
    // biome-ignore lint/a11y/noSvgWithoutTitle: it is named by its label, or hidden from those who cannot see it
    <svg
      viewBox={`${min[0] - 4 * unit} ${-max[1] - 4 * unit} ${max[0] - min[0] + 8 * unit} ${max[1] - min[1] + 8 * unit}`}
      className={className}
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <PieceBody pattern={pattern} markMm={2 * unit} />
    </svg>
  )
}

/** Film, its cut-outs, and a cross of so many mm to each side at every mark. */
export function PieceBody({ pattern, markMm }: { readonly pattern: PiecePattern; readonly markMm: number }) {
  return (
    <>
      <path
        d={[pattern.outline, ...pattern.cutOuts].map(closedPath).join('')}
        fillRule="evenodd"
        fill="var(--film)"
        fillOpacity="0.7"
        stroke="var(--petrol)"
        strokeWidth="1.8"
        vectorEffect="non-scaling-stroke"
        strokeLinejoin="round"
      />
      {pattern.marks.map(({ name, at: [x, y] }) => (
        <path
          key={name}
          d={`M${x - markMm} ${-y}h${2 * markMm}M${x} ${-y - markMm}v${2 * markMm}`}
          stroke="var(--ink)"
          strokeWidth="1.6"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </>
  )
}
