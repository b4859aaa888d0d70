import { usualFilmOf } from '@truelay/core/plan'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useAddFilmMutation } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { FilmFields } from './FilmFields.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** Puts a film on the shelf. */
export function NewFilmScreen() {
  const t = useWords()
  const navigate = useNavigate()
  const [film, setFilm] = useState({ name: '', ...usualFilmOf('paint film') })
  const [add, { error, isLoading }] = useAddFilmMutation()
  const save = async () => {
    const outcome = await add({ ...film, name: film.name.trim() })
    if (outcome.data !== undefined) void navigate(`/shelf/films/${outcome.data.id}`)
  }
  return (
    <ForRole least="installer">
      <form
        className="max-w-[66.25rem] px-6 py-5"
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <Link to="/shelf" className="label text-body text-petrol underline">{t`Shelf`}</Link>
        <Title>{t`A new film`}</Title>
        <p className="mt-1 mb-4 max-w-3xl text-body text-quiet">{t`How far it stretches, springs back and shrinks begins with what is usual for its kind. On the next page every such figure stands with its range and its reason; change those that its maker tells or that a strip on the bench shows.`}</p>
        <FilmFields film={film} onChange={setFilm} />
        <WhatFailed error={error} className="mt-4" />
        <Button
          type="submit"
          look="go"
          className="mt-6 min-h-13"
          disabled={film.name.trim() === '' || isLoading}
        >{t`Put it on the shelf`}</Button>
      </form>
    </ForRole>
  )
}
