import type { HandOrder } from '@truelay/core/exercises'
import type { FormDoc } from '@truelay/core/form'
import { compareOrders } from '@truelay/core/lay'
import { count, inSpan, percent } from '@truelay/core/say'
import { Button } from '../../ui/Button.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useWords } from '../../ui/words.ts'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'

/** One try: what was said, and what came of it. */
export interface Try {
  readonly hand: HandOrder
  readonly shown: ShownRehearsal
}

interface AgainstProps {
  readonly form: FormDoc
  readonly before: Try | null
  readonly now: Try | null
  /** Of the try before, from 1. */
  readonly number: number
}

/** What a try does otherwise than the one before it, the weightiest first. */
export function Against({ form, before, now, number }: AgainstProps) {
  const t = useWords()
  if (before === null || now === null) return null
  const told = compareOrders(form, before.shown.rehearsal.figures, now.shown.rehearsal.figures).slice(0, 3)
  return (
    <div className="mt-3 text-body" aria-live="polite">
      <p className="label text-note text-quiet">{t`Against try ${count(number)}`}</p>
      {told.length === 0 ? <p>{t`No hand would notice a difference.`}</p> : null}
      {told.map(({ says, better }) => (
        <p key={t(says)} className={`border-l-4 pl-2 leading-snug ${better ? 'border-good' : 'border-stop'}`}>
          <span className="sr-only">{better ? t`better:` : t`worse:`}</span> {t(says)}
        </p>
      ))}
    </div>
  )
}

/** What came of each try; one is looked at, and gone on from. */
export function Tries({
  tried,
  shown,
  onShow,
}: {
  readonly tried: readonly Try[]
  readonly shown: number | null
  readonly onShow: (i: number) => void
}) {
  const t = useWords()
  if (tried.length === 0) return null
  return (
    <table className="mt-4 w-full text-left text-body">
      <thead>
        <tr className="label border-b-2 border-ink text-note text-quiet">
          <th scope="col" className="py-1 font-normal">{t`try`}</th>
          <th scope="col" className="font-normal">{t`left over`}</th>
          <th scope="col" className="font-normal">{t`stretch`}</th>
          <th scope="col" className="font-normal">{t`lifted`}</th>
          <th scope="col">
            <span className="sr-only">{t`look at it`}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {tried.map(({ shown: { rehearsal } }, i) => (
          <tr key={i} className={`border-b border-hair ${shown === i ? 'bg-petrol-tint' : ''}`}>
            <th scope="row" className="py-1 pl-1 text-lead">
              {i + 1}
            </th>
            <td className="text-lead">
              <Quantity of={inSpan(rehearsal.figures.worstFingersMmPer100)} />
            </td>
            <td className="text-lead">
              <Quantity of={percent(100 * rehearsal.figures.largestStretch, 1)} />
            </td>
            <td className="text-lead">
              <Quantity of={percent(100 * rehearsal.figures.liftedShare, 0)} />
            </td>
            <td className="text-right">
              <Button look="quiet" aria-label={t`Look at try ${count(i + 1)}`} onClick={() => onShow(i)}>
                {t`Look`}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
