import type { JobBundle, Liquids, Part } from '@truelay/contract'
import { batchFor, type PlannedBatch } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { useLiquidsQuery } from '../../remote/benchApi.ts'

type Offered = Pick<JobBundle, 'job' | 'shop' | 'sets'>

/** Bottles that would do for other parts of the vehicle too. */
export interface Together {
  /** How many parts beside this one take of them. */
  readonly others: number
  readonly batches: readonly PlannedBatch[]
  readonly taken: boolean
  readonly onTake: (taken: boolean) => void
}

/** What is mixed: for this part, or where that is taken for other parts of the vehicle too. */
export function useTogether(
  bundle: Offered,
  part: Pick<Part, 'id'>,
  solutions: readonly PlannedBatch[],
): { readonly liquids: readonly PlannedBatch[]; readonly together: Together | null } {
  const { data } = useLiquidsQuery()
  const [taken, onTake] = useState(false)
  const more = data === undefined ? null : bottlesForMore(bundle, part, solutions, data.needs)
  return more === null
    ? { liquids: solutions, together: null }
    : { liquids: taken ? more.batches : solutions, together: { ...more, taken, onTake } }
}

/** Bottles for all parts of the vehicle that take the same and are not begun. Null: there are no others, or their sum cannot be mixed. */
export function bottlesForMore(
  { job, shop, sets }: Offered,
  part: Pick<Part, 'id'>,
  solutions: readonly PlannedBatch[],
  needs: Liquids['needs'],
): Pick<Together, 'others' | 'batches'> | null {
  // What the parts of its set take is in its own bottles already.
  const own = sets.find(({ partIds }) => partIds.some((id) => id === part.id))?.partIds ?? [part.id]
  const waiting = needs.find(({ jobId }) => jobId === job.id)?.parts ?? []
  const others = waiting.filter(
    ({ partId, solutions: taken }) =>
      !own.some((id) => id === partId) && taken.some((other) => solutions.some((planned) => isSame(planned, other))),
  )
  const stock = { alcoholPercent: shop.stockAlcoholPercent }
  const practice = practiceWith(shop.practice)
  const batches = solutions.map((planned) => {
    const needMl = others
      .flatMap((other) => other.solutions.filter((own) => isSame(planned, own)))
      .reduce((sum, own) => sum + own.needMl, planned.needMl)
    return batchFor({ use: planned.use, school: planned.school, needMl }, stock, practice)
  })
  if (others.length === 0 || batches.some(({ ok }) => !ok)) return null
  return { others: others.length, batches: batches.flatMap((batch) => (batch.ok ? [batch.value] : [])) }
}

const isSame = (a: Pick<PlannedBatch, 'use' | 'school'>, b: Pick<PlannedBatch, 'use' | 'school'>) =>
  a.use === b.use && a.school === b.school
