import type { Piece, Shelf } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { usePutRight } from '../../bench/usePutRight.ts'
import { useSavePieceMutation } from '../../remote/shelfApi.ts'
import { KeptText } from '../../ui/KeptText.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { FilmField, KitField, SideField } from './BelongsTo.tsx'

/** Where a piece belongs and how often it lies in its box, to be put right; each change can be taken back. */
export function PieceFacts({ piece, shelf }: { readonly piece: Piece; readonly shelf: Shelf }) {
  const t = useWords()
  const [save, { error }] = useSavePieceMutation()
  const putRight = usePutRight(piece, save, (back) => offerUndo({ said: say`Put right.`, back }))
  const put = (more: Partial<Piece>) => putRight(() => more)
  return (
    <ForRole least="installer">
      <div className="space-y-2.5">
        <WhatFailed error={error} />
        <KeptText
          label={t`Name of the piece`}
          value={piece.name}
          maxLength={80}
          needed
          onCommit={(name) => void put({ name })}
        />
        <div className="grid grid-cols-2 gap-3">
          <SideField value={piece.side} onChoose={(side) => void put({ side })} />
          <KeptText label={t`Lot`} value={piece.lot} maxLength={40} needed onCommit={(lot) => void put({ lot })} />
          <NumberField
            label={t`In the box`}
            unit=""
            digits={0}
            value={piece.count}
            min={1}
            max={20}
            onCommit={(count) => void put({ count: Math.round(count) })}
          />
          <NumberField
            label={t`Spares`}
            unit=""
            digits={0}
            value={piece.spares}
            min={0}
            max={20}
            onCommit={(spares) => void put({ spares: Math.round(spares) })}
          />
        </div>
        <FilmField shelf={shelf} value={piece.filmId} onChoose={(filmId) => void put({ filmId })} />
        <KitField shelf={shelf} value={piece.kitId} onChoose={(kitId) => void put({ kitId })} />
      </div>
    </ForRole>
  )
}
