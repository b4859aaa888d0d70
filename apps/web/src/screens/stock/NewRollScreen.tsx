import type { NewRoll } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { say } from '@truelay/core/say'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useAddRollMutation, useStockQuery } from '../../remote/stockApi.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed, NothingYet } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { RollFields } from './RollFields.tsx'

/** Puts a roll on the shelf. */
export function NewRollScreen() {
  const t = useWords()
  const navigate = useNavigate()
  const { data: shelf, error: shelfError } = useShelfQuery()
  const { data: shop, error: shopError } = useShopQuery()
  const { data: stock } = useStockQuery()
  const [own, setOwn] = useState<NewRoll | null>(null)
  const [add, { error, isLoading }] = useAddRollMutation()
  if (shelf === undefined || shop === undefined) {
    const wrong = shelfError ?? shopError
    return wrong === undefined ? <Busy text={t`Opening the shelf`} /> : <Failed {...failureOf(wrong)} />
  }
  const [firstFilm] = shelf.films
  if (firstFilm === undefined)
    return (
      <NothingYet sentence={say`No film is on the shelf yet.`} next={say`Say first which film the roll is of.`}>
        <Link to="/shelf/films/new" className={buttonClass('go')}>{t`A new film`}</Link>
      </NothingYet>
    )
  const roll: NewRoll = own ?? {
    filmId: firstFilm.id,
    lot: '',
    widthMm: practiceWith(shop.practice).rollWidth,
    lengthMm: usualLengthMm,
    price: null,
    cameAt: new Date().toISOString(),
  }
  /** Rolls of one film are mostly alike. */
  const change = (next: NewRoll) => {
    const last = stock?.rolls.findLast((known) => known.roll.filmId === next.filmId)?.roll
    if (next.filmId === roll.filmId || last === undefined) return setOwn(next)
    setOwn({ ...next, widthMm: last.widthMm, lengthMm: last.lengthMm, price: last.price })
  }
  const save = async () => {
    const outcome = await add({ ...roll, lot: roll.lot.trim() })
    if (outcome.data !== undefined) void navigate(`/shelf/rolls/${outcome.data.id}`)
  }
  return (
    <ForRole least="installer">
      <form
        className="px-6 py-5"
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <Link to="/shelf/rolls" className="label text-body text-petrol underline">{t`Rolls`}</Link>
        <Title>{t`A new roll`}</Title>
        <p className="mt-1 mb-5 max-w-3xl text-body text-quiet">{t`It gets a number and a label for its core. Every cut then takes its film from it, with its lot.`}</p>
        <RollFields roll={roll} films={shelf.films} money={shop.money} onChange={change} />
        <WhatFailed error={error} className="mt-4" />
        <Button
          type="submit"
          look="go"
          className="mt-6 min-h-13"
          disabled={roll.lot.trim() === '' || isLoading}
        >{t`Put it on the shelf`}</Button>
      </form>
    </ForRole>
  )
}

/** As rolls of paint film are mostly sold. */
const usualLengthMm = 15_000
