import { type Bay, type PartProgress, type Person, worksHere } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { X } from 'lucide-react'
import { useWords } from '../../../ui/words.ts'
import { awayWords, useWishes, withAway, withPin } from './useWishes.ts'
import { wishWords } from './Opened.tsx'

interface WishedProps {
  readonly bay: Bay
  readonly parts: ReadonlyMap<string, PartProgress>
  readonly now: Date
}

/** What the plan has to keep to because somebody said so; each goes with one tap. */
export function Wished({ bay, parts, now }: WishedProps) {
  const t = useWords()
  const { wishes, wish } = useWishes()
  const people = bay.people.filter(worksHere)
  const nameOf = (id: Person['id']) => people.find((person) => person.id === id)?.name ?? ''
  const rows = [
    ...wishes.away
      .filter(({ until }) => new Date(until) > now)
      .map(({ personId, until }) => ({
        key: personId as string,
        says: awayWords(nameOf(personId), new Date(until), now),
        without: withAway(wishes, personId, null),
        back: say`${name(nameOf(personId))} is here.`,
      })),
    ...wishes.pins.flatMap((pin) => {
      const part = parts.get(pin.partId)
      return part === undefined || part.state === 'done'
        ? []
        : [
            {
              key: pin.partId as string,
              says: wishWords(pin, part.name, people, now),
              without: withPin(wishes, { ...pin, personId: null, notBefore: null }),
              back: say`${name(part.name)}: as the plan has it.`,
            },
          ]
    }),
  ]
  if (rows.length === 0) return null
  return (
    <ul className="mt-2 flex flex-wrap gap-2" aria-label={t`Said by somebody`}>
      {rows.map(({ key, says, without, back }) => (
        <li key={key} className="flex items-center border border-hair bg-bench pl-3 text-body">
          {t(says)}
          <button
            type="button"
            aria-label={t`Take back: ${says}`}
            onClick={() => void wish(without, back)}
            className="ml-1 inline-flex size-11 items-center justify-center text-petrol"
          >
            <X size={20} aria-hidden="true" />
          </button>
        </li>
      ))}
    </ul>
  )
}
