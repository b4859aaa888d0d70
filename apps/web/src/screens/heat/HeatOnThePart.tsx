import { useWords } from '../../ui/words.ts'
import type { FormDoc, PartSurface } from '@truelay/core/form'
import type { PlannedHeat } from '@truelay/core/plan'
import { lazy, Suspense, useMemo } from 'react'
import { cssColor } from '../../drawings/stretchColor.ts'
import { heatColor } from '../../drawings/heatColors.ts'
import { Busy } from '../../ui/Failed.tsx'
import { heatOfVertices } from './heatOfVertices.ts'

const PartView3D = lazy(async () => ({ default: (await import('../../drawings/PartView3D.tsx')).PartView3D }))
const none = new Float64Array(0)
const nothing: readonly never[] = []
const ignore = () => {}

interface HeatOnThePartProps {
  readonly surface: PartSurface
  readonly form: FormDoc
  readonly heat: PlannedHeat
}

/** The part in space, warm where the gun goes, hottest where most of the time is spent. */
export function HeatOnThePart({ surface, form, heat }: HeatOnThePartProps) {
  const t = useWords()
  const share = useMemo(() => heatOfVertices(surface, heat.zones), [surface, heat.zones])
  const lines = useMemo(() => form.bodyLines.map((line) => line.along), [form])
  return (
    <section aria-labelledby="heat-on-part" className="relative flex min-h-0 min-w-0 flex-col">
      <div className="px-4 pt-3">
        <h2 id="heat-on-part" className="label-strong text-body leading-tight">{t`Where the heat goes`}</h2>
        <p className="label text-note text-quiet">{t`drag to turn it`}</p>
      </div>
      <div className="min-h-0 flex-1">
        <Suspense fallback={<Busy text={t`Drawing the part`} />}>
          <PartView3D
            surface={surface}
            stretch={none}
            full={0.01}
            anchors={nothing}
            pulls={nothing}
            lines={lines}
            pointed={null}
            onPoint={ignore}
            heat={share}
          />
        </Suspense>
      </div>
      <figure className="absolute bottom-2 left-4 w-44" aria-label={t`Grey: no heat; deep red: most of the time`}>
        <div className="flex h-3.5 border border-ink/30">
          {Array.from({ length: 9 }, (_, i) => (
            <span key={i} className="flex-1" style={{ background: cssColor(heatColor(i / 8)) }} />
          ))}
        </div>
        <figcaption className="mt-0.5 flex justify-between text-note">
          <span>{t`no heat`}</span>
          <span>{t`most of the time`}</span>
        </figcaption>
      </figure>
    </section>
  )
}
