import type { PersonId } from '@truelay/contract'
import { exerciseWords } from '@truelay/core/exercises'
import { Link, useLocation } from 'react-router'
import { useNextUp } from '../../bench/useNextUp.ts'
import { useWho } from '../../bench/useWho.ts'
import { useWords } from '../../ui/words.ts'

/** A shorter wait is over before an exercise is. */
const worthMs = 4 * 60_000

/** What these hands would practise next, while film dries and nobody needs them. */
export function PracticeMeanwhile({ personId, leftMs }: { readonly personId: PersonId; readonly leftMs: number }) {
  const t = useWords()
  const who = useWho(personId)
  const { pathname } = useLocation()
  const next = useNextUp(who)?.[0]
  if (next === undefined || leftMs < worthMs) return null
  return (
    <Link
      to={`/practice/${next.kind}?${new URLSearchParams({ who, level: String(next.level), from: pathname })}`}
      className="flex min-h-14 flex-col justify-center border-l-8 border-hair px-6 py-1.5 text-quiet hover:border-petrol hover:text-petrol"
    >
      <span className="text-lead leading-tight">{t`Five minutes? Practise: ${exerciseWords[next.kind].name}`}</span>
    </Link>
  )
}
