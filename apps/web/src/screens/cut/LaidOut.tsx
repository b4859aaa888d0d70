import { type Nested, type NestRequest, putDown } from '@truelay/core/nest'
import { length, percent } from '@truelay/core/say'
import type { FreeRectangle } from '@truelay/core/stock'
import { useState } from 'react'
import { type PutByHand, RollPicture } from '../../drawings/RollPicture.tsx'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import type { useLayout } from './useLayout.ts'

interface LaidOutProps {
  readonly request: NestRequest
  readonly nested: Nested
  readonly layout: ReturnType<typeof useLayout>
  readonly nameOf: (id: string) => { readonly name: string; readonly mark: string }
  /** What of the cut is worth to be put by; null where nothing is, or nobody keeps a book of it. */
  readonly worthKeeping: FreeRectangle | null
  readonly keep: boolean
  readonly onKeep: (keep: boolean) => void
}

/** A layout with how much of the roll it takes; its pieces are moved by hand once it is taken. */
export function LaidOut({ request, nested, layout, nameOf, worthKeeping, keep, onKeep }: LaidOutProps) {
  const t = useWords()
  const [inTheWay, setInTheWay] = useState<string | null>(null)
  const { searching } = layout
  const keeps = keep ? worthKeeping : null
  const put = (index: number, at: PutByHand) => {
    const placements = putDown(request, nested.placements, index, at)
    setInTheWay(
      placements === null
        ? t`${nameOf(nested.placements[index]?.id ?? '').name} does not fit there: it went back.`
        : null,
    )
    if (placements !== null) layout.byHand(placements)
  }
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <p className="text-figure font-bold leading-none" data-testid="roll-used">
          <Quantity of={length(nested.usedLengthMm, 0)} unitClass="text-head" />
        </p>
        <p className="text-lead leading-snug">
          {t`of roll ${length(request.rollWidthMm, 0)} wide`}
          <span className="block text-body text-quiet">{t`${percent(100 * nested.utilisation, 0)} of it becomes pieces`}</span>
        </p>
        <div className="ml-auto flex items-center gap-3">
          {searching ? (
            <>
              <span role="status" className="text-body text-quiet">{t`Looking for a shorter layout`}</span>
              <Button onClick={layout.stop}>{t`This one will do`}</Button>
            </>
          ) : (
            <Button onClick={layout.again}>{t`Look again`}</Button>
          )}
        </div>
      </div>
      {inTheWay === null ? null : (
        <div className="mt-2">
          <Notice look="caution" role="status">
            <span className="text-body">{inTheWay}</span>
          </Notice>
        </div>
      )}
      <div className="mt-3 flex min-h-[22rem] flex-1 items-start lg:min-h-0">
        <RollPicture
          request={request}
          nested={nested}
          nameOf={nameOf}
          keeps={keeps}
          onPut={searching ? undefined : put}
        />
      </div>
      {/* Its place is kept while a layout is looked for: the picture stays where it is. */}
      <div className="min-h-11">
        {worthKeeping === null ? null : (
          <label className="flex min-h-11 items-center gap-3 text-body">
            <input
              type="checkbox"
              checked={keep}
              onChange={(event) => onKeep(event.target.checked)}
              className="size-6 accent-petrol"
            />
            {t`Put by what is left: ${length(worthKeeping.lengthMm, 0)} by ${length(worthKeeping.widthMm, 0)}`}
          </label>
        )}
      </div>
      <p className="min-h-[3.25rem] text-body text-quiet">
        {searching
          ? t`The roll begins at the left. Pieces can be moved by hand once a layout is taken.`
          : t`Drag a piece to move it: it goes close up to its neighbours. Or choose one by Tab, move it with the arrows, turn it with R.`}
      </p>
    </>
  )
}
