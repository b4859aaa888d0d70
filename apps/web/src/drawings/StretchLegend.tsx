import { useWords } from '../ui/words.ts'
import { cssColor, stretchColor } from './stretchColor.ts'

const steps = 13

/** The scale of the stretch map, in per cent, with words at both ends. */
export function StretchLegend({ full }: { readonly full: number }) {
  const t = useWords()
  const percent = Number((100 * full).toFixed(1))
  return (
    <figure
      aria-label={t`Stretch map: violet ${percent} per cent too much film, chalk none, orange ${percent} per cent stretched`}
      className="w-60 shrink-0 whitespace-nowrap"
    >
      <div className="flex h-3.5 border border-ink/30">
        {Array.from({ length: steps }, (_, i) => (
          <span key={i} className="flex-1" style={{ background: cssColor(stretchColor(((i - 6) / 6) * full, full)) }} />
        ))}
      </div>
      <figcaption className="mt-0.5 flex justify-between text-note">
        <span>{t`${percent} % too much`}</span>
        <span>0</span>
        <span>{t`${percent} % stretched`}</span>
      </figcaption>
    </figure>
  )
}
