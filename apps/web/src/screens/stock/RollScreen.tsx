import { type RollBook, type RollNote, worksHere } from '@truelay/contract'
import { filmLength, length, percent } from '@truelay/core/say'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useWho } from '../../bench/useWho.ts'
import { RollStrip } from '../../drawings/RollStrip.tsx'
import { useBayQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useNoteOnRollMutation, useRollBookQuery } from '../../remote/stockApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { RollFacts } from './RollFacts.tsx'
import { RollLabel } from './RollLabel.tsx'
import { RollLines } from './RollLines.tsx'
import { RollNotes } from './RollNotes.tsx'
import { moneyWords, rollWords } from './stockWords.ts'

/** One roll: what is left of it, what is spoilt, what was cut from it and what that cost. */
export function RollScreen() {
  const t = useWords()
  const { rollId = '' } = useParams()
  const { data: book, error } = useRollBookQuery(rollId)
  if (book === undefined)
    return error === undefined ? <Busy text={t`Opening the book of the roll`} /> : <Failed {...failureOf(error)} />
  return <Roll key={book.roll.id} book={book} />
}

function Roll({ book }: { readonly book: RollBook }) {
  const t = useWords()
  const { roll, account } = book
  const { data: bay } = useBayQuery()
  const { data: shelf } = useShelfQuery()
  const who = useWho(bay?.people.find(worksHere)?.id ?? '')
  const [note, { error, isLoading }] = useNoteOnRollMutation()
  const [label, setLabel] = useState(false)
  const put = (happened: RollNote['happened']) =>
    void note({
      rollId: roll.id,
      note: { id: crypto.randomUUID(), at: new Date().toISOString(), personId: who as RollNote['personId'], happened },
    })
  const filmMm2 = account.cuts.reduce((sum, cut) => sum + cut.filmMm2, 0)
  const piecesMm2 = account.cuts.reduce((sum, cut) => sum + cut.piecesMm2, 0)
  const film = shelf?.films.find(({ id }) => id === roll.filmId)
  return (
    <div className="max-w-[75rem] px-6 py-5">
      <Link to="/shelf/rolls" className="label text-body text-petrol underline">{t`Rolls`}</Link>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <Title>{t(rollWords(roll))}</Title>
          <p className="text-lead">{t`${film?.name ?? roll.filmId}, lot ${roll.lot}, ${length(roll.widthMm, 0)} wide`}</p>
        </div>
        <Button onClick={() => setLabel(true)}>{t`Print its label`}</Button>
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-x-10 gap-y-2">
        <p className="text-figure font-bold leading-none" data-testid="roll-left">
          <Quantity of={filmLength(account.leftMm)} unitClass="text-head" />
        </p>
        <p className="text-lead leading-snug">
          {account.gone ? t`It is used up.` : t`left of ${filmLength(roll.lengthMm)}`}
          {account.cuts.length === 0 ? null : (
            <span className="block text-body text-quiet">
              {t`${percent((100 * piecesMm2) / Math.max(1, filmMm2), 0)} of what was cut off became pieces`}
            </span>
          )}
        </p>
        {roll.price === null ? null : (
          <p className="text-body text-quiet">
            {t`${moneyWords(roll.price / ((roll.lengthMm * roll.widthMm) / 1e6), bay?.shop.money)} for a square metre`}
          </p>
        )}
      </div>
      <RollStrip lengthMm={roll.lengthMm} leftMm={account.leftMm} spoilt={account.spoilt} className="mt-4 h-14" />
      {account.overdrawnMm <= 0 ? null : (
        <p className="mt-2 border-l-5 border-amber pl-3 text-body">
          {t`By its figures ${filmLength(account.overdrawnMm)} more was cut than it had: measure what is left.`}
        </p>
      )}
      <WhatFailed error={error} className="mt-3" />
      <div className="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_26rem]">
        <RollLines book={book} people={bay?.people ?? []} money={bay?.shop.money} />
        <aside>
          <RollNotes key={account.leftMm} account={account} roll={roll} busy={isLoading} onNote={put} />
          {shelf === undefined ? null : <RollFacts roll={roll} films={shelf.films} money={bay?.shop.money} />}
        </aside>
      </div>
      <RollLabel roll={roll} film={film?.name ?? roll.filmId} open={label} onClose={() => setLabel(false)} />
    </div>
  )
}
