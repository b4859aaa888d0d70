import type { Vec2 } from '@truelay/core/geometry'
import { type NamedPlace, namedPlace, type PartPlan } from '@truelay/core/plan'
import { atStart, say, verbatim } from '@truelay/core/say'
import { useState } from 'react'
import { PlaceOnPart } from '../../../drawings/PlaceOnPart.tsx'
import { useWords } from '../../../ui/words.ts'

/** A place on the part: tapped, or chosen by its name. */
export interface ChosenPlace extends NamedPlace {
  readonly at: Vec2 | null
}

interface WhereIsItProps {
  readonly plan: PartPlan
  readonly onPick: (place: ChosenPlace) => void
}

/** The part's picture to be tapped; for whoever cannot point, its edges by their names. */
export function WhereIsIt({ plan, onPick }: WhereIsItProps) {
  const t = useWords()
  const [tapped, setTapped] = useState<ChosenPlace | null>(null)
  const names: readonly ChosenPlace[] = [
    ...plan.edges.map((edge) => ({ edge, says: say`${verbatim(edge.label)}`, at: null })),
    { edge: null, says: say`in the middle`, at: null },
    { edge: null, says: say`at a corner`, at: null },
  ]
  return (
    <div className="mt-3 grid min-h-0 flex-1 gap-5 overflow-y-auto lg:grid-cols-[1fr_20rem] lg:overflow-visible">
      <div className="flex min-h-80 flex-col">
        <div className="min-h-0 flex-1">
          <PlaceOnPart
            drawing={plan.drawing}
            at={tapped?.at ?? null}
            edge={tapped?.edge?.name ?? null}
            label={t`${plan.partName}, to be tapped where it is`}
            onPlace={(at) => setTapped({ ...namedPlace(plan, at), at })}
          />
        </div>
        {tapped === null ? (
          <p className="py-3 text-lead text-quiet">{t`Tap the place on the picture.`}</p>
        ) : (
          <button
            type="button"
            onClick={() => onPick(tapped)}
            className="label-strong mt-2 min-h-18 bg-petrol px-6 text-left text-head text-on-petrol"
          >{t`Here: ${tapped.says}`}</button>
        )}
      </div>
      <section aria-label={t`By its name`} className="lg:overflow-y-auto">
        <h3 className="label-strong text-body text-quiet">{t`Or by its name`}</h3>
        <ul className="mt-1 space-y-1.5">
          {names.map((place) => (
            <li key={t(place.says)}>
              <button
                type="button"
                onClick={() => onPick(place)}
                className="min-h-14 w-full border border-ink/40 bg-paper px-4 text-left text-lead font-bold leading-tight hover:border-petrol hover:text-petrol"
              >
                {t`${atStart(place.says)}`}
              </button>
            </li>
          ))}
        </ul>
      </section>
    </div>
  )
}
