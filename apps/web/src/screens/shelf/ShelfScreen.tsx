import { counted } from '@truelay/core/say'
import { Heading, Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { Kit, Piece, Shelf } from '@truelay/contract'
import { ArchiveRestore, FileInput, Slice, Spool } from 'lucide-react'
import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import { PieceShape } from '../../drawings/PieceShape.tsx'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { useSaveKitMutation, useShelfQuery } from '../../remote/shelfApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { SearchInput } from '../../ui/SearchInput.tsx'
import { foundOnShelf } from './foundOnShelf.ts'
import { KitImport } from './KitImport.tsx'
import { NewKit } from './NewKit.tsx'
import { RemoveThing } from './RemoveThing.tsx'
import { saveFile } from './saveFile.ts'

/** What lies on the shelf: kits with their pieces, and films. */
export function ShelfScreen() {
  const t = useWords()
  const { data: shelf, error } = useShelfQuery()
  const [typed, setTyped] = useState('')
  const sought = useDeferredValue(typed).trim()
  if (shelf === undefined)
    return error === undefined ? <Busy text={t`Opening the shelf`} /> : <Failed {...failureOf(error)} />
  const found = foundOnShelf(shelf, sought)
  return (
    <div>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b border-hair bg-paper px-6 py-4">
        <div>
          <Title>{t`Shelf`}</Title>
          <p className="text-body text-quiet">{t`${counted(shelf.kits.length, '# kit', '# kits')}, ${counted(shelf.pieces.length, '# piece', '# pieces')}, ${counted(shelf.films.length, '# film', '# films')}`}</p>
        </div>
        <div className="flex flex-wrap gap-3">
          <Link to="/shelf/rolls" className={buttonClass('plain')}>
            <Spool size={20} /> {t`Rolls`}
          </Link>
          <Link to="/shelf/blades" className={buttonClass('plain')}>
            <Slice size={20} /> {t`Blade book`}
          </Link>
          <Link to="/shelf/removed" className={buttonClass('plain')}>
            <ArchiveRestore size={20} /> {t`Taken off`}
          </Link>
          <KitImport shelf={shelf} />
          <Link to="/shelf/import" className={buttonClass('go')}>
            <FileInput size={20} /> {t`Bring in a pattern`}
          </Link>
        </div>
      </header>
      <div className="border-b border-hair px-6 py-3">
        <div className="max-w-md">
          <SearchInput
            label={t`Look on the shelf`}
            examples={t`Kit, piece, lot or film`}
            value={typed}
            most={60}
            onChange={setTyped}
          />
        </div>
        {found.kits.length > 0 || found.films.length > 0 || sought === '' ? null : (
          <p className="mt-3 leading-snug">{t`Nothing on the shelf has “${sought}” in its name or lot.`}</p>
        )}
      </div>
      {found.kits.map(({ kit, pieces }) => (
        <KitBox key={kit.id} kit={kit} shown={pieces} shelf={shelf} />
      ))}
      <NewKit shelf={shelf} />
      <section aria-labelledby="films-title" className="px-6 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <Heading id="films-title">{t`Films`}</Heading>
          <Link to="/shelf/films/new" className={buttonClass('plain')}>{t`A new film`}</Link>
        </div>
        <ul className="mt-2 grid gap-x-8 md:grid-cols-2">
          {found.films.map((film) => (
            <li key={film.id} className="border-t border-hair py-2 text-body">
              <Link to={`/shelf/films/${film.id}`} className="font-bold text-petrol underline">
                {film.name}
              </Link>
              <span className="text-quiet">{t`, ${film.type}, laid ${film.laid}, ${film.thicknessUm} µm. Gives ${Math.round(100 * film.handling.coldStretch)} % cold, ${Math.round(100 * film.handling.warmStretch)} % warm.${film.transmission === undefined ? '' : t` Lets ${Math.round(100 * film.transmission)} % of light through.`}`}</span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  )
}

interface KitBoxProps {
  readonly kit: Kit
  /** Those of its pieces that are looked for. */
  readonly shown: readonly Piece[]
  readonly shelf: Shelf
}

function KitBox({ kit, shown, shelf }: KitBoxProps) {
  const t = useWords()
  const pieces = shelf.pieces.filter((piece) => piece.kitId === kit.id)
  const [problem, setProblem] = useState<string | null>(null)
  const [save, { error }] = useSaveKitMutation()
  const give = async () => {
    try {
      const { writeBundle } = await import('@truelay/formats/bundle')
      const bare = pieces.map(({ pattern: _, ...rest }) => rest)
      saveFile(
        `${kit.id}.zip`,
        'application/zip',
        writeBundle({
          kind: 'kit',
          documents: { kit, pieces: bare },
          patterns: Object.fromEntries(pieces.map((piece) => [piece.id, piece.pattern])),
        }),
      )
    } catch {
      setProblem(t`The kit could not be written. Reload and try again.`)
    }
  }
  return (
    <section aria-label={kit.name} className="border-b border-hair px-6 py-4">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <Heading>{kit.name}</Heading>
        <span className="flex flex-wrap gap-2">
          <Button onClick={() => void give()}>{t`Save kit as file`}</Button>
          <RemoveThing kind="kits" id={kit.id} called={kit.name} />
        </span>
      </div>
      <p className="text-body text-quiet">{kit.note}</p>
      <ForRole least="installer" quietly>
        <label className="flex min-h-11 items-center gap-3 text-body">
          <input
            type="checkbox"
            checked={kit.comesCut === true}
            onChange={({ target }) => void save({ ...kit, comesCut: target.checked })}
            className="size-6 accent-petrol"
          />
          {t`Comes cut in its box: no film of our rolls is counted on for it`}
        </label>
        <WhatFailed error={error} />
      </ForRole>
      {problem === null ? null : (
        <Notice look="stop" role="alert">
          {problem}
        </Notice>
      )}
      <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(11.875rem,1fr))] gap-2">
        {shown.map((piece) => (
          <PieceCard key={piece.id} piece={piece} />
        ))}
      </ul>
    </section>
  )
}

function PieceCard({ piece }: { readonly piece: Piece }) {
  const t = useWords()
  return (
    <li>
      <Link
        to={`/shelf/pieces/${piece.id}`}
        className="flex h-full flex-col border border-hair bg-paper p-2 hover:border-petrol"
      >
        <PieceShape pattern={piece.pattern} className="h-24 w-full" />
        <span className="mt-1 text-body font-bold leading-tight">{piece.name}</span>
        <span className="text-note text-quiet">{t`lot ${piece.lot}${piece.spares > 0 ? t`, ${piece.spares} spare` : ''}`}</span>
      </Link>
    </li>
  )
}
