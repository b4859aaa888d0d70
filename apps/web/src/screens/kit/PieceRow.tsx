import { useWords } from '../../ui/words.ts'
import { type ArrivedPiece, lotsOf, type Piece } from '@truelay/contract'
import { fingerWords, type PartKnown } from '@truelay/core/memory'
import { count, counted, list, name, say, type Sentence } from '@truelay/core/say'
import { sideWords, standingOf } from '@truelay/core/stock'
import { Link } from 'react-router'
import { PieceShape } from '../../drawings/PieceShape.tsx'
import { CountStepper } from '../../ui/CountStepper.tsx'

interface PieceRowProps {
  readonly piece: Piece
  readonly inJob: boolean
  readonly arrived: ArrivedPiece | undefined
  /** What earlier fits of it taught; left out where it is not known. */
  readonly known?: PartKnown | undefined
  readonly onCount: (arrived: number) => void
}

/** What to mind with this piece before it is peeled. */
const hintWords = (known: PartKnown): Sentence[] => [
  ...fingerWords(known).slice(0, 1),
  ...(known.laidAgain === 0
    ? []
    : [
        say`${counted(known.laidAgain, '# was', '# were')} spoilt in ${counted(known.fits, '# fit', '# fits')}: have another at hand.`,
      ]),
]

const sideLetter = { left: 'D', right: 'P', middle: 'M' } as const

/** One piece of the list: its shape, its side, how many there should be and how many there are. */
export function PieceRow({ piece, inJob, arrived, known, onCount }: PieceRowProps) {
  const t = useWords()
  const most = piece.count + piece.spares
  const standing = standingOf(piece, arrived === undefined ? [] : [arrived])
  const now = arrived?.arrived ?? 0
  const lots = arrived === undefined ? [] : lotsOf(arrived)
  const says = (() => {
    switch (standing.standing) {
      case 'not counted':
        return { text: t`not counted`, tone: 'text-quiet' }
      case 'missing':
        return { text: t`${standing.missing} missing`, tone: 'text-stop font-bold' }
      case 'spare missing':
        return { text: t`there, but its spare is missing`, tone: 'text-amber font-bold' }
      case 'extra':
        return { text: t`${standing.extra} more than listed`, tone: 'text-amber font-bold' }
      case 'all there':
        return { text: standing.spares > 0 ? t`there, with its spare` : t`there`, tone: 'text-good font-bold' }
    }
  })()
  return (
    <li className="grid grid-cols-[5.75rem_1fr] items-center gap-x-4 gap-y-2 border-t border-hair px-5 py-2 sm:grid-cols-[5.75rem_1fr_auto]">
      <PieceShape pattern={piece.pattern} className="h-14 w-23" />
      <div className="min-w-0">
        <p className="text-body font-bold leading-tight">
          <span
            title={t(sideWords[piece.side])}
            className="mr-2 inline-flex size-6 items-center justify-center border border-ink/60 text-note"
          >
            {sideLetter[piece.side]}
          </span>
          <Link to={`/shelf/pieces/${piece.id}`} className="hover:text-petrol hover:underline">
            {piece.name}
          </Link>
        </p>
        <p className="text-body">
          <span className={says.tone}>{inJob || arrived !== undefined ? says.text : t`not for this job`}</span>
          <span className="text-quiet">
            {piece.spares > 0
              ? t`, ${piece.count} and ${piece.spares} spare listed, lot ${lots[0] ?? piece.lot}`
              : t`, ${piece.count} listed, lot ${lots[0] ?? piece.lot}`}
          </span>
        </p>
        {arrived?.lots === undefined ? null : (
          <p className="border-l-5 border-amber pl-2 text-body leading-snug">
            {t`Of several lots: ${list(arrived.lots.map(({ lot, count: n }) => say`${count(n)} of ${name(lot)}`))}. They can differ in colour and gloss: lay neighbours from one.`}
          </p>
        )}
        {known === undefined
          ? null
          : hintWords(known).map((hint) => (
              <p key={t(hint)} className="border-l-5 border-petrol pl-2 text-body leading-snug">
                {t(hint)}
              </p>
            ))}
      </div>
      <div className="col-start-2 justify-self-start sm:col-start-auto">
        <CountStepper of={piece.name} count={now} most={40} onCount={onCount} testId={`count-${piece.id}`}>
          <span className="inline-block min-w-16">
            {arrived === undefined ? '?' : now}
            <span className="text-body font-normal text-quiet"> / {most}</span>
          </span>
        </CountStepper>
      </div>
    </li>
  )
}
