import { Title } from '../../ui/Title.tsx'
import { filmTypeWords } from '@truelay/core/plan'
import { name, say, temperature } from '@truelay/core/say'
import { typedIn } from '../../ui/typedIn.ts'
import { useUnits } from '../../ui/units.ts'
import { useWords } from '../../ui/words.ts'
import type { Film } from '@truelay/contract'
import { type FilmHandling, filmFigureKeys, filmFigures } from '@truelay/core/lay'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useSaveFilmMutation, useShelfQuery } from '../../remote/shelfApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { RemoveThing } from './RemoveThing.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** What one film can do, cold and warm; every figure with its range and why it is asked for. */
export function FilmScreen() {
  const t = useWords()
  const { filmId } = useParams()
  const { data: shelf, error } = useShelfQuery()
  if (shelf === undefined)
    return error === undefined ? <Busy text={t`Opening the shelf`} /> : <Failed {...failureOf(error)} />
  const film = shelf.films.find((f) => f.id === filmId)
  if (film === undefined)
    return (
      <Failed
        sentence={say`There is no film "${name(filmId ?? '')}".`}
        fix={say`Go to the shelf and choose one there.`}
      >
        <Link to="/shelf" className={buttonClass('go')}>{t`To the shelf`}</Link>
      </Failed>
    )
  return <FilmFigures key={film.id} film={film} />
}

const wayLaidWords = { wet: say`wet`, dry: say`dry` }
const cold: readonly (keyof FilmHandling)[] = [
  'take',
  'easyStretch',
  'coldStretch',
  'recovery',
  'stiffnessNPerMm',
  'narrowing',
  'tackNPerCm',
]

function FilmFigures({ film }: { readonly film: Film }) {
  const t = useWords()
  const [save, { error }] = useSaveFilmMutation()
  // A refused figure goes back to what it was.
  const [tries, setTries] = useState(0)
  const change = async (next: Film) => {
    const saved = await save(next)
    if ('error' in saved) setTries((before) => before + 1)
  }
  const groups = [
    { title: t`Cold`, keys: filmFigureKeys.filter((key) => cold.includes(key)) },
    { title: t`Warm`, keys: filmFigureKeys.filter((key) => !cold.includes(key)) },
  ]
  return (
    <ForRole least="installer">
      <div className="max-w-[66.25rem] px-6 py-5">
        <Link to="/shelf" className="label text-body text-petrol underline">{t`Shelf`}</Link>
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <Title>{film.name}</Title>
          <RemoveThing kind="films" id={film.id} called={film.name} to="/shelf" />
        </div>
        <p className="text-body text-quiet">{t`${filmTypeWords[film.type]}, laid ${wayLaidWords[film.laid]}, ${film.thicknessUm} µm, damaged from ${temperature(film.damageC)}. Every lay sheet and rehearsal with this film is worked out from these figures.`}</p>
        <WhatFailed error={error} />
        <div className="mt-4 flex items-center gap-4">
          <span className="label text-body text-quiet">{t`Printed pattern`}</span>
          <Choice
            label={t`Printed pattern`}
            value={film.patterned === true ? 'yes' : 'no'}
            onChange={(value) => void change({ ...film, patterned: value === 'yes' })}
            options={[
              { value: 'no', text: t`none` },
              { value: 'yes', text: t`yes: it warps when stretched` },
            ]}
          />
        </div>
        {groups.map(({ title, keys }) => (
          <section key={title} aria-label={title} className="mt-5 border-t border-hair pt-3">
            <h2 className="label-strong text-lead">{title}</h2>
            <ul>
              {keys.map((key) => (
                <FigureRow
                  key={`${key}-${tries}`}
                  name={key}
                  value={film.handling[key]}
                  onChange={(value) => void change({ ...film, handling: { ...film.handling, [key]: value } })}
                />
              ))}
            </ul>
          </section>
        ))}
      </div>
    </ForRole>
  )
}

interface FigureRowProps {
  readonly name: keyof FilmHandling
  readonly value: number
  readonly onChange: (value: number) => void
}

function FigureRow({ name, value, onChange }: FigureRowProps) {
  const t = useWords()
  const figure = filmFigures[name]
  const k = figure.unit === '%' ? 100 : 1
  const unit = figure.unit === 'share' ? '' : figure.unit
  const digits = figure.unit === '%' ? 1 : 2
  const typing = typedIn(useUnits(), unit, digits)
  const text = (x: number) => String(Number(typing.shown(k * x).toFixed(typing.digits)))
  return (
    <li className="grid items-end gap-x-6 border-b border-hair py-2.5 md:grid-cols-[18.125rem_1fr]">
      <NumberField
        label={t(figure.label)}
        unit={unit}
        digits={digits}
        value={k * value}
        min={Number((k * figure.min).toFixed(3))}
        max={Number((k * figure.max).toFixed(3))}
        onCommit={(typed) => onChange(typed / k)}
      />
      <p className="leading-snug">
        {t(figure.reason)}{' '}
        <span className="text-quiet">{t`Usual ${`${text(figure.usual)} ${typing.unit}`.trim()}, range ${text(figure.min)} to ${text(figure.max)}.`}</span>
      </p>
    </li>
  )
}
