import { useWords } from '../../ui/words.ts'
import type { EdgeWork } from '@truelay/core/edges'
import type { TracedOutline } from '@truelay/core/form'
import { boundsOf, type Vec2 } from '@truelay/core/geometry'
import { edgeLine } from '../../drawings/edgeLine.ts'
import { apart } from '../../drawings/apart.ts'
import { Square } from '../../drawings/marks.tsx'
import { areaPath, openPath } from '../../drawings/svgPath.ts'
import { edgeLetters } from './edgeLetters.ts'

interface EdgeMapProps {
  readonly outline: TracedOutline
  readonly holes: readonly TracedOutline[]
  readonly edges: readonly EdgeWork[]
  readonly shown: string
  readonly onShow: (edge: string) => void
}

/** The part seen straight on, every edge with the letter of its way to end, and the notches of its corners. */
export function EdgeMap({ outline, holes, edges, shown, onShow }: EdgeMapProps) {
  const t = useWords()
  const { min, max } = boundsOf(outline.polygon)
  const unit = Math.max((max[0] - min[0]) / 800, (max[1] - min[1]) / 420)
  const margin = 60 * unit
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  return (
    <svg
      viewBox={`${min[0] - margin} ${-max[1] - margin} ${max[0] - min[0] + 2 * margin} ${max[1] - min[1] + 2 * margin}`}
      className="size-full p-3"
      role="img"
      aria-label={t`The part seen straight on, with how each edge ends`}
    >
      <path
        d={areaPath(
          outline.polygon,
          holes.map((h) => h.polygon),
        )}
        fillRule="evenodd"
        fill="var(--film)"
        fillOpacity="0.55"
      />
      {edges.map((edge) => {
        const traced = [outline, ...holes].find((o) => o.edgeOfSide.includes(edge.edge))
        if (traced === undefined) return null
        const line = edgeLine(traced, edge.edge)
        const at = line[Math.floor(line.length / 2)] ?? middle
        const out = traced === outline ? apart(at, middle, 34 * unit) : above(line, 24 * unit)
        const isShown = edge.edge === shown
        const color = edge.doubts.length > 0 ? 'var(--amber)' : 'var(--petrol)'
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the list below is the way for the keyboard
          <g key={edge.edge} onClick={() => onShow(edge.edge)} className="cursor-pointer">
            <path
              d={openPath(line)}
              fill="none"
              stroke={isShown ? color : 'var(--ink)'}
              strokeWidth={(isShown ? 11 : 4.5) * unit}
              strokeLinecap="round"
              strokeDasharray={edge.code === 'wrap' || edge.code === 'tuck' ? `${14 * unit} ${9 * unit}` : undefined}
            />
            <Square at={out} radius={15 * unit} color={color} ground={isShown ? color : 'var(--paper)'}>
              {edgeLetters[edge.code]}
            </Square>
            {edge.notches.map((notch) => (
              <Notch key={notch.at.join()} at={notch.at} middle={middle} unit={unit} />
            ))}
          </g>
        )
      })}
    </svg>
  )
}

/** A notch at a corner, as a small open angle outside of it. */
function Notch({ at, middle, unit }: { readonly at: Vec2; readonly middle: Vec2; readonly unit: number }) {
  const tip = apart(at, middle, 6 * unit)
  const end = apart(at, middle, 30 * unit)
  const across: Vec2 = [-(end[1] - tip[1]) * 0.5, (end[0] - tip[0]) * 0.5]
  return (
    <path
      d={openPath([[end[0] + across[0], end[1] + across[1]], tip, [end[0] - across[0], end[1] - across[1]]])}
      fill="none"
      stroke="var(--amber)"
      strokeWidth={4 * unit}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
}

/** Over the highest point of a hole. */
function above(line: readonly Vec2[], by: number): Vec2 {
  const { min, max } = boundsOf(line)
  return [(min[0] + max[0]) / 2, max[1] + by]
}
