import { type DayWishes, noWishes } from '@truelay/contract'
import { name, say, type Sentence } from '@truelay/core/say'
import { endOfDay, format, isSameDay } from 'date-fns'
import { useDayQuery, useWishDayMutation } from '../../../remote/dayApi.ts'
import { whenWords } from '../../../ui/minutesWords.ts'
import { offerUndo } from '../../../ui/undoOffer.ts'

/** What has been wished for the day, and a way to wish for something else that can be taken back. */
export function useWishes() {
  const { data: day } = useDayQuery()
  const [send, { isLoading, error }] = useWishDayMutation()
  const wishes = day?.wishes ?? noWishes
  const wish = async (next: DayWishes, said: Sentence) => {
    const outcome = await send(next)
    if (outcome.error === undefined) offerUndo({ said, back: () => send(wishes) })
  }
  return { wishes, wish, isLoading, error }
}

type Pin = DayWishes['pins'][number]

/** How long somebody is away, as one says it. */
export function awayWords(person: string, until: Date, now: Date): Sentence {
  if (until.getTime() < endOfDay(until).getTime())
    return say`${name(person)} is away until ${name(whenWords(until, now))}.`
  return isSameDay(until, now)
    ? say`${name(person)} is away today.`
    : say`${name(person)} is away up to and including ${name(format(until, 'EEE d MMM'))}.`
}

/** The same wishes with another one for a part; one that asks for nothing goes. */
export const withPin = (wishes: DayWishes, pin: Pin): DayWishes => ({
  ...wishes,
  pins: [
    ...wishes.pins.filter(({ partId }) => partId !== pin.partId),
    ...(pin.personId === null && pin.notBefore === null ? [] : [pin]),
  ],
})

/** The same wishes with somebody away until then; null: they are here. */
export const withAway = (wishes: DayWishes, personId: Pin['personId'] & string, until: string | null): DayWishes => ({
  ...wishes,
  away: [...wishes.away.filter((one) => one.personId !== personId), ...(until === null ? [] : [{ personId, until }])],
})
