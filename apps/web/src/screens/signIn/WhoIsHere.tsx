import { UserRound } from 'lucide-react'
import { useSessionQuery } from '../../remote/api.ts'
import { handOverWanted } from '../../remote/signInSlice.ts'
import { useAppDispatch } from '../../store/store.ts'
import { useWords } from '../../ui/words.ts'

/** Who is signed in on this screen; pressed, somebody else goes on. Nothing where nobody has to sign in. */
export function WhoIsHere({ look }: { readonly look: 'in the frame' | 'in a line' }) {
  const t = useWords()
  const { data } = useSessionQuery()
  const dispatch = useAppDispatch()
  const person = data?.person ?? null
  if (person === null) return null
  const shape =
    look === 'in the frame'
      ? 'min-h-14 min-w-0 flex-auto flex-col gap-0.5 text-note lg:flex-none'
      : 'min-h-11 gap-2 px-2 text-body'
  return (
    <button
      type="button"
      aria-label={t`${person.name} is at this screen: hand over or sign out`}
      onClick={() => dispatch(handOverWanted())}
      className={`label flex items-center justify-center text-quiet hover:text-petrol ${shape}`}
    >
      <UserRound size={22} aria-hidden />
      <span className="max-w-full truncate">{person.name}</span>
    </button>
  )
}
