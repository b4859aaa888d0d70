import type { Vec2 } from '@truelay/core/geometry'
import type { ReactNode } from 'react'

interface MarkTextProps {
  /** Of its middle; y points up. */
  readonly at: Vec2
  readonly size: number
  readonly color: string
  /** A rim of the ground around the letters, where lines run below them. */
  readonly rim?: { readonly width: number; readonly color: string }
  readonly children: ReactNode
}

/** Words or a figure at a place of a drawing. */
export function MarkText({ at, size, color, rim, children }: MarkTextProps) {
  return (
    <text
      x={at[0]}
      y={-at[1]}
      dy="0.35em"
      textAnchor="middle"
      fontSize={size}
      fontWeight="700"
      fill={color}
      stroke={rim?.color}
      strokeWidth={rim?.width}
      paintOrder="stroke"
      pointerEvents="none"
    >
      {children}
    </text>
  )
}

interface SignProps {
  readonly at: Vec2
  /** Half its width. */
  readonly radius: number
  readonly color: string
  readonly ground?: string
  readonly children: ReactNode
}

/** A number in a disc: an anchor, in the order of laying. */
export function Disc({ at, radius, color, ground = 'var(--paper)', children }: SignProps) {
  return (
    <g pointerEvents="none">
      <circle cx={at[0]} cy={-at[1]} r={radius} fill={ground} stroke={color} strokeWidth={0.18 * radius} />
      <MarkText at={at} size={1.18 * radius} color={color}>
        {children}
      </MarkText>
    </g>
  )
}

/** A letter in a square: a check point, or how an edge ends. */
export function Square({ at, radius, color, ground = 'var(--paper)', children }: SignProps) {
  return (
    <g>
      <rect
        x={at[0] - radius}
        y={-at[1] - radius}
        width={2 * radius}
        height={2 * radius}
        fill={ground}
        stroke={color}
        strokeWidth={0.18 * radius}
      />
      <MarkText at={at} size={1.4 * radius} color={ground === color ? 'var(--on-petrol)' : color}>
        {children}
      </MarkText>
    </g>
  )
}
