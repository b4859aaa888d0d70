import type { PartKnown } from '@truelay/core/memory'
import { useRecall } from '../../bench/useRecall.ts'
import { useWho } from '../../bench/useWho.ts'
import { Heading } from '../../ui/Title.tsx'
import { say } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { type ArrivedPiece, type Form, type Kit, type Part, partQuestionOf, type Piece } from '@truelay/contract'
import { type Practice, practiceWith } from '@truelay/core/practice'
import { startingSides } from '@truelay/core/stock'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useKitCheckQuery, useSaveArrivedMutation } from '../../remote/kitCheckApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed, NothingYet } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useJobContext } from '../job/JobFrame.tsx'
import { CutChoice } from './CutChoice.tsx'
import { DryResult } from './DryResult.tsx'
import { LabelsDialog } from './LabelsDialog.tsx'
import { PartsTogether } from './PartsTogether.tsx'
import { PieceOrder } from './PieceOrder.tsx'
import { PieceRow } from './PieceRow.tsx'
import { ScanField } from './ScanField.tsx'
import { useDryCheck } from './useDryCheck.ts'

/** What came in the boxes, against their lists, and each piece held up to its part before anything is peeled. */
export function KitScreen() {
  const t = useWords()
  const { bundle } = useJobContext()
  const { job, kits, pieces, parts } = bundle
  const who = useWho(job.personId)
  const { data: check, error } = useKitCheckQuery(job.id)
  const [save, saving] = useSaveArrivedMutation()
  const { states, check: dryCheck } = useDryCheck()
  const [told, setTold] = useState<{ readonly look: 'good' | 'stop'; readonly text: string } | null>(null)
  const [labels, setLabels] = useState(false)
  const practice = useMemo(() => practiceWith(bundle.shop.practice), [bundle.shop.practice])
  const recalled = useRecall(
    parts.map(({ slot, pieceId }) => ({
      modelId: job.vehicle.modelId,
      slot,
      pieceId,
      body: job.vehicle.plate,
      hand: who,
    })),
    bundle.shop,
  )
  const sides = useMemo(() => startingSides(pieces, check?.arrived ?? []), [pieces, check])
  if (check === undefined)
    return error === undefined ? <Busy text={t`Opening the kit`} /> : <Failed {...failureOf(error)} />

  const knownOf = (piece: Piece) => recalled?.[parts.findIndex((p) => p.pieceId === piece.id)]
  const arrivedOf = (piece: Piece): ArrivedPiece | undefined => check.arrived.find((a) => a.pieceId === piece.id)
  const count = (piece: Piece, arrived: number, lot?: string) =>
    void save({
      jobId: job.id,
      pieceId: piece.id,
      draft: { arrived: Math.max(0, arrived), lot: lot ?? arrivedOf(piece)?.lot ?? piece.lot, personId: who },
    })
  const wanted = (piece: Piece) => parts.find((p) => p.pieceId === piece.id)
  const scanned = (piece: Piece, lot: string) => {
    const arrived = (arrivedOf(piece)?.arrived ?? 0) + 1
    count(piece, arrived, lot)
    const most = piece.count + piece.spares
    if (arrived > most)
      setTold({ look: 'stop', text: t`${piece.name}: ${arrived} now, but the list says ${most}. One too many.` })
    else if (wanted(piece) === undefined)
      setTold({
        look: 'stop',
        text: t`${piece.name} is in the box, but this job does not cover that part. Is it the wrong side?`,
      })
    else setTold({ look: 'good', text: t`${piece.name}: ${arrived} of ${most}, lot ${lot}.` })
  }
  const measured = parts.filter((p) => p.formId !== null)
  const withoutPiece = parts.filter((p) => p.pieceId === null)
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[1fr_23.75rem]">
      <div className="min-h-0 min-w-0 overflow-y-auto">
        {saving.error === undefined ? null : (
          <Notice look="stop" role="alert">
            {t(wholeFailure(failureOf(saving.error)))}
          </Notice>
        )}
        {kits.length === 0 && withoutPiece.length === 0 ? (
          <NothingYet
            sentence={say`No kit belongs to this job.`}
            next={say`Choose parts with a pattern, or cut from the roll.`}
          />
        ) : null}
        {kits.map((kit) => (
          <KitList
            key={kit.id}
            kit={kit}
            pieces={pieces.filter((p) => p.kitId === kit.id)}
            forms={bundle.forms}
            practice={practice}
            parts={parts}
            partOf={wanted}
            arrivedOf={arrivedOf}
            knownOf={knownOf}
            onCount={count}
          />
        ))}
        <PartsTogether bundle={bundle} />
        {withoutPiece.length === 0 ? null : (
          <section aria-label={t`From the roll`} className="border-b border-hair px-5 py-4">
            <Heading>{t`Cut from the roll`}</Heading>
            <ul>
              {withoutPiece.map((part) => (
                <li key={part.id} className="text-body">
                  {t`${part.name}: no pattern at hand.`}{' '}
                  {part.formId === null ? (
                    <Link
                      to={`/forms/new?part=${part.id}&job=${job.id}`}
                      className="text-petrol underline"
                    >{t`Measure it first`}</Link>
                  ) : (
                    <Link
                      to={`/shelf/import?part=${part.id}&job=${job.id}`}
                      className="text-petrol underline"
                    >{t`Bring in a pattern`}</Link>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <aside className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0">
        <div className="min-h-0 flex-1 overflow-y-auto">
          <ScanField
            pieces={pieces}
            nameOfKit={(id) => kits.find((k) => k.id === id)?.name ?? id}
            onPiece={scanned}
            onProblem={(text) => setTold({ look: 'stop', text })}
          />
          {told === null ? null : (
            <div className="px-5 pt-3">
              <Notice look={told.look} role={told.look === 'stop' ? 'alert' : 'status'}>
                <span className="text-body">{told.text}</span>
              </Notice>
            </div>
          )}
          {sides.length === 0 ? null : (
            <section aria-label={t`Where to start`} className="px-5 pt-4">
              <h2 className="label-strong text-body">{t`Where to start`}</h2>
              {sides.map((side) => (
                <p key={side.pieceId} className="mt-1 border-l-5 border-petrol pl-3 text-body leading-snug">
                  {t(side.words)}
                </p>
              ))}
            </section>
          )}
          <section aria-label={t`Dry check`} className="px-5 py-4">
            <h2 className="label-strong text-body">{t`Dry check, before peeling`}</h2>
            <p className="text-body text-quiet">{t`Each pattern against its part: does it cover, do holes meet features, is it the right side.`}</p>
            {measured.length === 0 ? null : (
              <Button
                look="go"
                className="mt-2 w-full"
                onClick={() => {
                  for (const part of measured) {
                    const question = partQuestionOf(bundle, part)
                    if (question !== null) dryCheck(checkKey(part), question)
                  }
                }}
              >
                {measured.length === 1 ? t`Check the part` : t`Check all ${measured.length} parts`}
              </Button>
            )}
            <ul className="mt-2">
              {parts.map((part) => (
                <DryRow key={part.id} part={part}>
                  {part.formId === null ? (
                    <p className="text-body text-quiet">{t`nobody has measured it yet`}</p>
                  ) : (
                    <>
                      <DryResult state={states[checkKey(part)]} />
                      <CutChoice part={part} />
                    </>
                  )}
                </DryRow>
              ))}
            </ul>
          </section>
        </div>
        {pieces.some((piece) => wanted(piece) !== undefined) || withoutPiece.some(({ formId }) => formId !== null) ? (
          <div className="border-t border-hair px-4 pt-4">
            <Link to={`/jobs/${job.id}/cut`} className={`${buttonClass()} w-full`}>{t`Cut what this job needs`}</Link>
          </div>
        ) : null}
        <div className="flex gap-2 p-4">
          <Button onClick={() => setLabels(true)} className="flex-1">{t`Print labels`}</Button>
          <Link
            to={`/jobs/${job.id}/lay-sheets/${parts[0]?.id ?? ''}`}
            className={`${buttonClass('go')} flex-1`}
          >{t`To the lay sheets`}</Link>
        </div>
      </aside>
      <LabelsDialog
        open={labels}
        pieces={pieces.map((piece) => ({ ...piece, lot: arrivedOf(piece)?.lot ?? piece.lot }))}
        onClose={() => setLabels(false)}
      />
    </div>
  )
}

/** What was chosen since asks for another check: the old one is not shown for it. */
const checkKey = ({ id, pieceId, choices }: Part) => JSON.stringify([id, pieceId, choices.cut, choices.ends])

function DryRow({ part, children }: { readonly part: Part; readonly children: React.ReactNode }) {
  return (
    <li className="border-t border-hair py-2">
      <span className="text-body font-bold">{part.name}</span>
      {children}
    </li>
  )
}

function KitList({
  kit,
  pieces,
  forms,
  practice,
  parts,
  partOf,
  arrivedOf,
  knownOf,
  onCount,
}: {
  readonly kit: Kit
  readonly pieces: readonly Piece[]
  readonly forms: readonly Form[]
  readonly practice: Practice
  readonly parts: readonly Part[]
  readonly partOf: (piece: Piece) => Part | undefined
  readonly arrivedOf: (piece: Piece) => ArrivedPiece | undefined
  /** What earlier fits of it taught. */
  readonly knownOf: (piece: Piece) => PartKnown | undefined
  readonly onCount: (piece: Piece, arrived: number) => void
}) {
  const t = useWords()
  const inJob = pieces.filter((piece) => partOf(piece) !== undefined)
  const beside = pieces.filter((piece) => partOf(piece) === undefined)
  const ticks = inJob.filter((piece) => (arrivedOf(piece)?.arrived ?? 0) >= piece.count).length
  /** Spares that did come, once the piece is counted. */
  const withSpares = (piece: Piece): Piece => {
    const arrived = arrivedOf(piece)?.arrived
    return arrived === undefined ? piece : { ...piece, spares: Math.max(0, arrived - piece.count) }
  }
  const row = (piece: Piece) => (
    <PieceRow
      key={piece.id}
      piece={piece}
      inJob={partOf(piece) !== undefined}
      arrived={arrivedOf(piece)}
      known={knownOf(piece)}
      onCount={(arrived) => onCount(piece, arrived)}
    />
  )
  return (
    <section aria-label={kit.name} className="border-b border-hair">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 px-5 pt-4">
        <Heading>{kit.name}</Heading>
        <p className="text-lead font-bold">{t`${ticks} of ${inJob.length} there`}</p>
        <p className="w-full text-body text-quiet">{kit.note}</p>
      </div>
      <div className="px-5 py-2">
        <Button
          onClick={() => {
            for (const piece of inJob) onCount(piece, piece.count + piece.spares)
          }}
        >{t`All there, as listed`}</Button>
      </div>
      <ul>{inJob.map(row)}</ul>
      <PieceOrder kit={kit} pieces={inJob.map(withSpares)} parts={parts} forms={forms} practice={practice} />
      {beside.length === 0 ? null : (
        <details className="px-5 pb-3">
          <summary className="label cursor-pointer py-2 text-body text-petrol">{t`${beside.length} more in this box, for parts that this job does not cover`}</summary>
          <ul className="-mx-5">{beside.map(row)}</ul>
        </details>
      )}
    </section>
  )
}
