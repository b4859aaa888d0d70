import { say, type Sentence } from '@truelay/core/say'
import { useEffect, useRef, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { useTabletChoice } from '../../bench/useTabletChoice.ts'
import { Button } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'

interface Stop {
  readonly at: string
  readonly says: Sentence
}

const stops: readonly Stop[] = [
  {
    at: '/',
    says: say`The bay: the vehicles that are here, and the next step of each part. Everything begins on this screen; what dries stands at the side.`,
  },
  {
    at: '/jobs',
    says: say`Jobs: every vehicle that was ever here, found by plate, customer, model, lot or day. New job takes one in.`,
  },
  {
    at: '/forms',
    says: say`Forms: a part measured with straightedge, rule and tape. From it the lay sheet knows beforehand how each piece will lie.`,
  },
  {
    at: '/mixing',
    says: say`The mixing bench: what to pour in which order, and a wrong bottle put right.`,
  },
  {
    at: '/shop',
    says: say`The shop: people, tablets, units, and every figure of the trade with its reason. Help, at the side, opens the guide at the page of each screen.`,
  },
]

/** Five stops for somebody who is new here: offered once on each tablet, on the bay, and left at any time. */
export function Tour() {
  const t = useWords()
  const navigate = useNavigate()
  const { pathname } = useLocation()
  const [choice, choose] = useTabletChoice('has seen round')
  const [stop, setStop] = useState<number | null>(null)
  const now = stop === null ? undefined : stops[stop]
  const arrivedAt = useRef<Stop | null>(null)
  // Whoever goes elsewhere from a stop has seen enough. "Next" may be pressed before the page of a stop has told that it is there.
  useEffect(() => {
    if (now === undefined) return
    if (pathname === now.at) arrivedAt.current = now
    else if (arrivedAt.current === now) setStop(null)
  }, [pathname, now])
  if (now === undefined && (choice !== 'not said' || pathname !== '/')) return null
  const go = (to: number) => {
    const next = stops[to]
    choose('yes')
    arrivedAt.current = null
    setStop(next === undefined ? null : to)
    if (next !== undefined) void navigate(next.at)
  }
  return (
    <aside
      aria-label={t`Round the app`}
      className="no-print flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t-3 border-petrol bg-petrol-tint px-6 py-2.5"
    >
      {now === undefined || stop === null ? (
        <>
          <p className="min-w-64 flex-1 text-body">{t`New here? Five stops show where things are.`}</p>
          <Button look="go" onClick={() => go(0)}>{t`Show me round`}</Button>
          <Button look="quiet" onClick={() => choose('no')}>{t`No need`}</Button>
        </>
      ) : (
        <>
          <p aria-live="polite" className="min-w-64 flex-1 text-body">
            <strong className="pr-2">{t`${stop + 1} of ${stops.length}`}</strong>
            {t(now.says)}
          </p>
          <Button look="go" onClick={() => go(stop + 1)}>
            {stop === stops.length - 1 ? t`That was all` : t`Next`}
          </Button>
          {stop === stops.length - 1 ? null : <Button look="quiet" onClick={() => setStop(null)}>{t`Enough`}</Button>}
        </>
      )}
    </aside>
  )
}
