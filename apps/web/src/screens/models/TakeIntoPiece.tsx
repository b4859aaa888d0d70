import type { Piece } from '@truelay/contract'
import type { KnownOffset } from '@truelay/core/memory'
import { say, type Sentence } from '@truelay/core/say'
import { useSavePieceMutation } from '../../remote/shelfApi.ts'
import { Button } from '../../ui/Button.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

interface TakeIntoPieceProps {
  readonly piece: Piece
  readonly offset: KnownOffset
}

/**
 * What fits have shown of a piece is taken into it: every new job begins with it, until it is taken back. Not what is put down to one vehicle or to
 * one hand.
 */
export function TakeIntoPiece({ piece, offset: { begin, cause } }: TakeIntoPieceProps) {
  const t = useWords()
  const [save, { error }] = useSavePieceMutation()
  const { sits, ...before } = piece
  if (begin === null && sits === undefined) return null
  const put = async (next: Piece, said: Sentence) => {
    const outcome = await save(next)
    if (outcome.error === undefined) offerUndo({ said, back: () => save(piece) })
  }
  const same =
    begin !== null &&
    sits !== undefined &&
    sits.xMm === begin.xMm &&
    sits.yMm === begin.yMm &&
    sits.turnDeg === begin.turnDeg
  return (
    <ForRole least="installer">
      <div className="flex flex-wrap items-center gap-3">
        {sits === undefined ? null : (
          <span className="text-good">{t`New jobs begin with what was taken into the piece.`}</span>
        )}
        {begin === null || same || cause === 'body' || cause === 'hand' ? null : (
          <Button
            onClick={() => void put({ ...piece, sits: begin }, say`New jobs begin with it.`)}
          >{t`Take it into the piece`}</Button>
        )}
        {sits === undefined ? null : (
          <Button
            look="quiet"
            onClick={() => void put(before, say`New jobs begin where the pattern has it.`)}
          >{t`Begin where the pattern has it`}</Button>
        )}
        <WhatFailed error={error} />
      </div>
    </ForRole>
  )
}
