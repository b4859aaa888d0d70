import type { JobBundle } from '@truelay/contract'
import { Link } from 'react-router'
import { useWords } from '../../ui/words.ts'
import type { PartsOfSet } from './useSet.ts'

/** While one part of a set dries: the next one, with one tap. */
export function Meanwhile({ bundle, set }: { readonly bundle: JobBundle; readonly set: PartsOfSet }) {
  const t = useWords()
  const { meanwhile } = set
  if (meanwhile === null) return null
  const { part, progress } = meanwhile
  const then = progress?.state === 'fitting' ? progress.nextStep : null
  return (
    <Link
      to={`/jobs/${bundle.job.id}/fit/${part.id}`}
      className="flex min-h-18 flex-col justify-center border-l-8 border-petrol bg-petrol-tint px-6 py-2 hover:bg-film"
    >
      <strong className="text-head leading-tight">{t`Meanwhile: ${part.name}`}</strong>
      <span className="text-lead leading-tight">
        {then === null ? t`begin it while this one dries` : t`next there: ${then}`}
      </span>
    </Link>
  )
}
