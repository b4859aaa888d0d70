import { Title } from '../../ui/Title.tsx'
import { name, say, length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { PiecePattern } from '@truelay/core/align'
import { boundsOf } from '@truelay/core/geometry'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { PieceShape } from '../../drawings/PieceShape.tsx'
import { useFormsQuery } from '../../remote/vehiclesApi.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useShopQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { PieceFacts } from './PieceFacts.tsx'
import { EnlargePiece } from './EnlargePiece.tsx'
import { RemoveThing } from './RemoveThing.tsx'
import { saveFile } from './saveFile.ts'

/** One piece: its pattern, where it belongs, and the pattern as a file. */
export function PieceScreen() {
  const t = useWords()
  const { pieceId = '' } = useParams()
  const { data: shelf, error } = useShelfQuery()
  const { data: forms } = useFormsQuery()
  const { data: shop } = useShopQuery()
  const [enlarged, setEnlarged] = useState<PiecePattern | null>(null)
  if (shelf === undefined)
    return error === undefined ? <Busy text={t`Opening the piece`} /> : <Failed {...failureOf(error)} />
  const piece = shelf.pieces.find((p) => p.id === pieceId)
  if (piece === undefined)
    return (
      <Failed sentence={say`There is no piece "${name(pieceId)}" on the shelf.`} fix={say`Choose one there.`}>
        <Link to="/shelf" className={buttonClass('go')}>{t`To the shelf`}</Link>
      </Failed>
    )
  const pattern = enlarged ?? piece.pattern
  const form = forms?.find((f) => f.id === piece.formId)
  const { min, max } = boundsOf(pattern.outline)
  const film = shelf.films.find((f) => f.id === piece.filmId)
  const kit = shelf.kits.find((k) => k.id === piece.kitId)
  const svg = async () =>
    saveFile(`${piece.id}.svg`, 'image/svg+xml', (await import('@truelay/formats/svg')).writeSvg(pattern))
  const dxf = async () =>
    saveFile(`${piece.id}.dxf`, 'image/vnd.dxf', (await import('@truelay/formats/dxf')).writeDxf(pattern))
  return (
    <div className="flex min-h-full flex-col">
      <header className="border-b border-hair bg-paper px-6 py-4">
        <p className="label text-note text-quiet">
          <Link to="/shelf" className="underline">{t`Shelf`}</Link>, {kit?.name}
        </p>
        <Title>{piece.name}</Title>
      </header>
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_22.5rem]">
        <div className="flex min-h-[26.25rem] items-center p-6">
          <PieceShape pattern={pattern} className="h-full max-h-[35rem] w-full" label={t`Pattern of ${piece.name}`} />
        </div>
        <aside className="border-t border-hair bg-paper p-5 lg:border-l lg:border-t-0">
          <PieceFacts key={`facts of ${piece.id}`} piece={piece} shelf={shelf} />
          <dl className="mt-4 space-y-2 text-body">
            <Row term={t`Size`}>
              <Quantity of={length(max[0] - min[0], 0)} /> x <Quantity of={length(max[1] - min[1], 0)} />
            </Row>
            <Row term={t`Cut-outs`}>{pattern.cutOuts.length}</Row>
            <Row term={t`Reference marks`}>{pattern.marks.map((m) => m.name).join(', ') || t`none`}</Row>
          </dl>
          {form === undefined || film === undefined || shop === undefined ? null : (
            <EnlargePiece
              key={piece.id}
              piece={piece}
              form={form}
              film={film}
              shop={shop}
              enlarged={enlarged !== null}
              onEnlarged={setEnlarged}
            />
          )}
          <div className="mt-5 grid grid-cols-2 gap-2">
            <Button onClick={() => void svg()}>{t`Save as SVG`}</Button>
            <Button onClick={() => void dxf()}>{t`Save as DXF`}</Button>
            <Link
              to={`/shelf/import?piece=${piece.id}`}
              className={`${buttonClass()} col-span-2`}
            >{t`Bring in another pattern for it`}</Link>
            <RemoveThing kind="pieces" id={piece.id} called={piece.name} to="/shelf" />
          </div>
        </aside>
      </div>
    </div>
  )
}

function Row({ term, children }: { readonly term: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex justify-between gap-4 border-b border-hair pb-1">
      <dt className="text-quiet">{term}</dt>
      <dd className="text-right font-bold">{children}</dd>
    </div>
  )
}
