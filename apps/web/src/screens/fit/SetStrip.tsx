import type { JobBundle } from '@truelay/contract'
import { Link } from 'react-router'
import { clockText } from '../../ui/clockText.ts'
import { useWords } from '../../ui/words.ts'
import type { PartsOfSet, SetPart } from './useSet.ts'

interface SetStripProps {
  readonly bundle: JobBundle
  readonly set: PartsOfSet
  readonly now: Date
}

/** The parts that are fitted together, each with how far it is; a tap leads to it. */
export function SetStrip({ bundle, set, now }: SetStripProps) {
  const t = useWords()
  return (
    <nav aria-label={t`Parts of this set`} className="flex shrink-0 gap-px overflow-x-auto bg-hair">
      {set.parts.map((member, i) => (
        <Link
          key={member.part.id}
          to={`/jobs/${bundle.job.id}/fit/${member.part.id}`}
          aria-current={member.own ? 'step' : undefined}
          className={`min-w-36 flex-1 px-3 py-1.5 leading-tight ${member.own ? 'bg-petrol text-on-petrol' : set.due.includes(member) ? 'bg-amber-tint text-amber-ink' : 'bg-paper text-ink hover:bg-petrol-tint'}`}
        >
          <strong className="block truncate text-body">
            {i + 1} {member.part.name}
          </strong>
          <span className="block truncate text-note">
            <HowFar member={member} now={now} />
          </span>
        </Link>
      ))}
    </nav>
  )
}

function HowFar({ member: { progress, own }, now }: { readonly member: SetPart; readonly now: Date }) {
  const t = useWords()
  if (own) return t`in hand`
  if (progress === null || progress.state === 'waiting') return t`not begun`
  if (progress.state === 'done') return t`done`
  if (progress.readyAt === null) return t`step ${progress.stepsDone + 1} of ${progress.stepsTotal}`
  const at = new Date(progress.readyAt)
  return at > now ? t`dries until ${clockText(at)}` : t`due: ${progress.nextStep ?? t`go on`}`
}
