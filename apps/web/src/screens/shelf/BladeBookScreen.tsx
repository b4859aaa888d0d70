import { Heading, Title } from '../../ui/Title.tsx'
import { counted, length, name, say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { BladeStroke } from '@truelay/contract'
import { bladeBook, type TestCut } from '@truelay/core/edges'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { Link } from 'react-router'
import { usePersonHere } from '../../bench/usePersonHere.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useAddBladeStrokeMutation, useBladesQuery } from '../../remote/benchApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { WhoField } from '../frame/WhoField.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ageWords } from '../../ui/ageWords.ts'

const feltWords: Readonly<Record<TestCut, Sentence>> = {
  'too shallow': say`too shallow`,
  'two thirds': say`two thirds`,
  'right through': say`right through`,
}
const felts = Object.keys(feltWords) as TestCut[]

/** The blade book: segments in the shop, what the one in the knife has cut, and test cuts for the feel. */
export function BladeBookScreen() {
  const t = useWords()
  const { data: bay, error: bayError } = useBayQuery()
  const { data: log, error } = useBladesQuery()
  const [add] = useAddBladeStrokeMutation()
  const { here, person, choose } = usePersonHere(bay?.people ?? [])
  const [pack, setPack] = useState(50)
  const now = useNow(30_000)
  if (bay === undefined || log === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening the blade book`} /> : <Failed {...failureOf(wrong)} />
  }
  const practice = practiceWith(bay.shop.practice)
  const { strokes } = log
  const book = bladeBook(strokes, practice.bladeAlong, log.segmentsBefore)
  if (person === undefined)
    return <Failed sentence={say`Nobody works in this shop yet.`} fix={say`Add a person on the Shop screen first.`} />
  const stroke = () => ({ id: crypto.randomUUID(), at: new Date().toISOString(), personId: person.id })
  return (
    <div className="mx-auto max-w-[75rem] px-7 py-6">
      <p className="label text-body">
        <Link to="/shelf" className="text-petrol underline">{t`Shelf`}</Link>
      </p>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <Title>{t`Blade book`}</Title>
        <WhoField label={t`who cuts`} people={here} person={person} onChoose={choose} />
      </div>
      <dl className="mt-4 grid gap-x-10 gap-y-4 border-y border-hair py-4 sm:grid-cols-3">
        <Fact label={t`cut with the segment in the knife`} amber={!book.fresh}>
          <Quantity of={length(book.cutWithThisMm, 0)} />
        </Fact>
        <Fact label={t`segments left`} amber={book.segmentsLeft < 10}>
          {book.segmentsLeft}
        </Fact>
        <Fact label={t`of the last test cuts two thirds through`}>
          {book.steadiness === null ? t`none yet` : `${Math.round(100 * book.steadiness)} %`}
        </Fact>
      </dl>
      {book.fresh ? null : (
        <div className="mt-4">
          <Notice
            look="caution"
            role="status"
          >{t`More than ${length(practice.bladeAlong)} with one segment: snap a fresh one, the old one into the sharps box.`}</Notice>
        </div>
      )}
      <div className="mt-5 flex flex-wrap items-end gap-4">
        <Button
          look="go"
          onClick={() => void add({ ...stroke(), kind: 'segment', where: 'at the bench' })}
        >{t`A fresh segment is in`}</Button>
        <div className="w-28">
          <NumberField
            label={t`segments bought`}
            unit=""
            digits={0}
            value={pack}
            min={1}
            max={1000}
            onCommit={setPack}
          />
        </div>
        <Button
          onClick={() => void add({ ...stroke(), kind: 'bought', segments: Math.round(pack) })}
        >{t`Note them`}</Button>
      </div>
      <section aria-labelledby="test-title" className="mt-6 border-t border-hair pt-4">
        <Heading id="test-title">{t`Test cut on a scrap`}</Heading>
        <p className="text-body">{t`One slow draw over film on its liner, blade at about ${practice.bladeSurface}°. Tear it along the line: how deep did it go? Two thirds tears clean.`}</p>
        <div className="mt-3 flex flex-wrap gap-3">
          {felts.map((felt) => (
            <Button key={felt} onClick={() => void add({ ...stroke(), kind: 'test cut', felt })}>
              {t(feltWords[felt])}
            </Button>
          ))}
        </div>
        <p className="mt-2 text-note text-quiet">{t`Blade away from your other hand. Never on the vehicle.`}</p>
      </section>
      <section aria-labelledby="book-title" className="mt-6 border-t border-hair pt-4">
        <Heading id="book-title">{t`Lately`}</Heading>
        <ul>
          {[...strokes]
            .reverse()
            .slice(0, 20)
            .map((entry) => (
              <li
                key={`${entry.id}-${entry.kind}`}
                className="flex justify-between gap-4 border-t border-hair py-1.5 text-body"
              >
                <span>{t(strokeWords(entry))}</span>
                <span className="text-quiet">
                  {bay.people.find((p) => p.id === entry.personId)?.name ?? entry.personId},{' '}
                  {t(ageWords(entry.at, now))}
                </span>
              </li>
            ))}
        </ul>
      </section>
    </div>
  )
}

function strokeWords(entry: BladeStroke): Sentence {
  switch (entry.kind) {
    case 'bought':
      return say`${counted(entry.segments, '# segment', '# segments')} bought`
    case 'segment':
      return say`fresh segment, ${name(entry.where)}`
    case 'cut':
      return say`${length(entry.cutMm, 0)} cut, ${name(entry.where)}`
    case 'test cut':
      return say`test cut: ${feltWords[entry.felt]}`
  }
}

function Fact({
  label,
  amber = false,
  children,
}: {
  readonly label: string
  readonly amber?: boolean
  readonly children: React.ReactNode
}) {
  return (
    <div>
      <dt className="label text-note text-quiet">{label}</dt>
      <dd className={`text-figure font-bold leading-none ${amber ? 'text-amber' : ''}`}>{children}</dd>
    </div>
  )
}
