import { type FormDoc, traceOutline } from '@truelay/core/form'
import { boundsOf } from '@truelay/core/geometry'
import { closedPath, openPath } from './svgPath.ts'

type Shape = Pick<FormDoc, 'name' | 'start' | 'outline' | 'holes' | 'bodyLines' | 'recesses'>

/** The outline of a part with its body lines and holes, small. */
export function PartShape({ form, className }: { readonly form: Shape; readonly className?: string }) {
  const traced = traceOutline(form.name, form.start, form.outline)
  if (!traced.ok) return null
  const { min, max } = boundsOf(traced.value.polygon)
  const unit = Math.max(max[0] - min[0], max[1] - min[1]) / 100
  return (
    <svg
      viewBox={`${min[0] - 4 * unit} ${-max[1] - 4 * unit} ${max[0] - min[0] + 8 * unit} ${max[1] - min[1] + 8 * unit}`}
      className={className}
      aria-hidden="true"
    >
      <path
        d={[closedPath(traced.value.polygon), ...form.holes.map((h) => closedPath(h.outline))].join('')}
        fillRule="evenodd"
        fill="var(--film)"
        stroke="var(--ink)"
        strokeWidth={1.6 * unit}
      />
      {form.bodyLines.map((line) => (
        <path
          key={line.name}
          d={openPath(line.along)}
          fill="none"
          stroke="var(--ink)"
          strokeOpacity="0.5"
          strokeWidth={1.1 * unit}
        />
      ))}
      {form.recesses.map((recess) => (
        <path
          key={recess.name}
          d={closedPath(recess.outline)}
          fill="none"
          stroke="var(--ink)"
          strokeOpacity="0.5"
          strokeWidth={1.1 * unit}
        />
      ))}
    </svg>
  )
}
