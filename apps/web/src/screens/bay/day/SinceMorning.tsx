import type { DayChanges, Job, Person } from '@truelay/contract'
import { counted, name, say, type Sentence } from '@truelay/core/say'
import { clockText } from '../../../ui/clockText.ts'
import { minutesWords } from '../../../ui/minutesWords.ts'
import { useWords } from '../../../ui/words.ts'
import { vehicleName } from './promiseWords.ts'

interface SinceMorningProps {
  readonly changes: DayChanges
  readonly jobs: readonly Job[]
  readonly people: readonly Person[]
  readonly partName: (id: string) => string | undefined
}

/** So many parts in other hands are named; more are counted. */
const named = 3

/** Late, ahead, and in other hands than by the first plan of the day. */
export function SinceMorning({ changes, jobs, people, partName }: SinceMorningProps) {
  const t = useWords()
  const shifts = changes.jobs.flatMap(({ jobId, laterMinutes }): Sentence[] => {
    const job = jobs.find(({ id }) => id === jobId)
    if (job === undefined) return []
    const vehicle = vehicleName(job)
    return [
      laterMinutes > 0
        ? say`${vehicle} ${minutesWords(laterMinutes)} later`
        : say`${vehicle} ${minutesWords(-laterMinutes)} earlier`,
    ]
  })
  const hands = changes.hands.flatMap(({ partId, people: who }) => {
    const part = partName(partId)
    const one = people.find(({ id }) => who.includes(id))
    return part === undefined || one === undefined ? [] : [say`${name(part)} by ${name(one.name)}`]
  })
  const all = [
    ...shifts,
    ...(hands.length > named ? [say`${counted(hands.length, '# part', '# parts')} in other hands`] : hands),
  ]
  if (all.length === 0) return null
  return (
    <p className="mt-2 text-body">
      <span className="text-quiet">{t`Since ${clockText(changes.since)}:`}</span> {all.map((one) => t(one)).join('; ')}
    </p>
  )
}
