import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import type { PlanDrawing } from '@truelay/core/plan'
import type { PointerEvent } from 'react'
import { areaPath, openPath } from './svgPath.ts'

interface PlaceOnPartProps {
  readonly drawing: PlanDrawing
  /** Where something is, in the film plane. */
  readonly at: Vec2 | null
  /** The edge that the place belongs to, drawn heavier. */
  readonly edge: string | null
  readonly label: string
  readonly onPlace: (at: Vec2) => void
}

/** The part as it lies in the film plane, to be tapped where something is. */
export function PlaceOnPart({ drawing, at, edge, label, onPlace }: PlaceOnPartProps) {
  const { min, max } = boundsOf([...drawing.part, ...drawing.piece])
  const [width, height] = [max[0] - min[0], max[1] - min[1]]
  const rim = 0.06 * Math.max(width, height)
  const unit = Math.max(width, height) / 800
  const tapped = ({ currentTarget, clientX, clientY }: PointerEvent<SVGSVGElement>) => {
    const turned = currentTarget.getScreenCTM()?.inverse()
    if (turned === undefined) return
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(turned)
    onPlace([x, -y])
  }
  const marked = drawing.edges.find(({ name }) => name === edge)
  return (
    <svg
      viewBox={`${min[0] - rim} ${-max[1] - rim} ${width + 2 * rim} ${height + 2 * rim}`}
      role="img"
      aria-label={label}
      className="size-full cursor-crosshair touch-none"
      onPointerDown={tapped}
    >
      <path
        d={areaPath(drawing.part, drawing.holes)}
        fillRule="evenodd"
        fill="var(--film)"
        stroke="var(--ink)"
        strokeWidth={4 * unit}
      />
      {marked === undefined ? null : (
        <path
          d={openPath(marked.line)}
          fill="none"
          stroke="var(--amber)"
          strokeWidth={14 * unit}
          strokeLinecap="round"
        />
      )}
      {at === null ? null : (
        <g>
          <circle cx={at[0]} cy={-at[1]} r={34 * unit} fill="none" stroke="var(--stop)" strokeWidth={7 * unit} />
          <circle cx={at[0]} cy={-at[1]} r={7 * unit} fill="var(--stop)" />
        </g>
      )}
    </svg>
  )
}
