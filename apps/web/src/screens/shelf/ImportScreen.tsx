import { Title } from '../../ui/Title.tsx'
import { figure, length, name, say, type Sentence } from '@truelay/core/say'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import { type Form, idFromName, type Piece, partId, pieceDoc, type Shelf } from '@truelay/contract'
import { type Practice, practiceWith } from '@truelay/core/practice'
import type { PatternReading, Role } from '@truelay/formats/pattern'
import type { FileFailure } from '@truelay/formats/result'
import { useEffect, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { PieceShape } from '../../drawings/PieceShape.tsx'
import { useFormsQuery, useModelsQuery } from '../../remote/vehiclesApi.ts'
import { useSavePieceMutation, useShelfQuery } from '../../remote/shelfApi.ts'
import { useShopQuery } from '../../remote/api.ts'
import { useTakePieceMutation } from '../../remote/jobApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { readPatternFile } from '../../workers/openFormatsWorker.ts'
import { type PieceDraft, PieceFields } from './PieceFields.tsx'
import { RoleList } from './RoleList.tsx'
import { ForRole } from '../frame/ForRole.tsx'

type Unit = 'file' | 'mm' | 'cm' | 'in' | 'px'
const mmPer: Readonly<Record<Exclude<Unit, 'file'>, number>> = { mm: 1, cm: 10, in: 25.4, px: 25.4 / 96 }

interface Chosen {
  readonly name: string
  readonly kind: 'svg' | 'dxf'
  readonly text: string
}

/** A pattern from a drawing: what was understood is shown before anything is kept. */
export function ImportScreen() {
  const t = useWords()
  const [search] = useSearchParams()
  const { data: shelf, error } = useShelfQuery()
  const { data: forms } = useFormsQuery()
  const { data: models } = useModelsQuery()
  const { data: shop } = useShopQuery()
  if (shelf === undefined || forms === undefined || models === undefined || shop === undefined)
    return error === undefined ? <Busy text={t`Opening`} /> : <Failed {...failureOf(error)} />
  const replaced = shelf.pieces.find((p) => p.id === search.get('piece'))
  const usual = replaced ?? shelf.pieces[0]
  const draft: PieceDraft = {
    name: replaced?.name ?? '',
    side: usual?.side ?? 'middle',
    kitId: usual?.kitId ?? '',
    formId: usual?.formId ?? '',
    filmId: usual?.filmId ?? '',
    lot: usual?.lot ?? '',
    count: replaced?.count ?? 1,
    spares: replaced?.spares ?? 0,
  }
  return (
    <Importing
      shelf={shelf}
      forms={forms}
      practice={practiceWith(shop.practice)}
      first={draft}
      replaced={replaced}
      forPart={search.get('part')}
      ofJob={search.get('job')}
    />
  )
}

interface ImportingProps {
  readonly shelf: Shelf
  readonly forms: readonly Form[]
  readonly practice: Practice
  readonly first: PieceDraft
  readonly replaced: Piece | undefined
  readonly forPart: string | null
  readonly ofJob: string | null
}

function Importing({ shelf, forms, practice, first, replaced, forPart, ofJob }: ImportingProps) {
  const t = useWords()
  const navigate = useNavigate()
  const [file, setFile] = useState<Chosen | null>(null)
  const [unit, setUnit] = useState<Unit>('file')
  const [gapMm, setGapMm] = useState(practice.patternGap)
  const [thinMm, setThinMm] = useState(practice.patternThin)
  const [roles, setRoles] = useState<Readonly<Record<string, Role>>>({})
  const [reading, setReading] = useState<PatternReading | null>(null)
  const [failure, setFailure] = useState<FileFailure | null>(null)
  const [draft, setDraft] = useState(first)
  const [savePiece, saving] = useSavePieceMutation()
  const [takePiece] = useTakePieceMutation()
  const known = shelf.pieces.find((p) => p.formId === draft.formId)

  useEffect(() => {
    if (file === null) return
    let current = true
    const options = {
      name: draft.name || file.name.replace(/\.[^.]+$/, ''),
      gapMm,
      thinMm,
      roles,
      ...(unit === 'file' ? {} : { mmPerUnit: mmPer[unit] }),
    }
    void readPatternFile(file.kind, file.text, options).then((result) => {
      if (!current) return
      setReading(result.ok ? result.value : null)
      setFailure(result.ok ? null : result.failure)
    })
    return () => {
      current = false
    }
  }, [file, unit, gapMm, thinMm, roles, draft.name])

  const choose = async (chosen: File) => {
    const kind = /\.dxf$/i.test(chosen.name) ? 'dxf' : 'svg'
    setRoles({})
    setUnit('file')
    setFile({ name: chosen.name, kind, text: await chosen.text() })
    if (draft.name === '') setDraft((before) => ({ ...before, name: chosen.name.replace(/\.[^.]+$/, '').slice(0, 80) }))
  }
  const id = replaced?.id ?? idFromName(draft.name, new Set<string>(shelf.pieces.map((p) => p.id)))
  const piece =
    reading === null ? null : pieceDoc.safeParse({ ...draft, id, pattern: { ...reading.pattern, name: draft.name } })
  const keep = async () => {
    if (piece?.success !== true) return
    const saved = await savePiece(piece.data)
    if (saved.error !== undefined) return
    const part = partId.safeParse(forPart)
    if (part.success) {
      await takePiece({ partId: part.data, pieceId: piece.data.id })
      void navigate(`/jobs/${ofJob}/kit`)
      return
    }
    void navigate(`/shelf/pieces/${piece.data.id}`)
  }
  return (
    <ForRole least="installer">
      <div className="flex min-h-full flex-col lg:h-full lg:min-h-[43.75rem]">
        <header className="border-b border-hair bg-paper px-6 py-3">
          <p className="label text-note text-quiet">{t`Shelf`}</p>
          <Title>{replaced === undefined ? t`Bring in a pattern` : t`Another pattern for ${replaced.name}`}</Title>
        </header>
        <div className="grid min-h-0 flex-1 lg:grid-cols-[20.625rem_1fr_20.625rem]">
          <section
            aria-label={t`The file`}
            className="overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
          >
            <label className="block">
              <span className="label block text-body text-quiet">{t`Drawing, SVG or DXF`}</span>
              <input
                type="file"
                accept=".svg,.dxf"
                onChange={(event) => {
                  const [chosen] = event.target.files ?? []
                  if (chosen !== undefined) void choose(chosen)
                }}
                className="mt-1 w-full text-body file:mr-3 file:min-h-11 file:border file:border-ink/50 file:bg-paper file:px-3 file:text-body"
              />
            </label>
            {file === null ? null : (
              <>
                <p className="label mt-4 text-body text-quiet">{t`Drawn in`}</p>
                <Choice
                  label={t`Unit of the drawing`}
                  value={unit}
                  options={[
                    { value: 'file', text: t`as stated` },
                    { value: 'mm', text: 'mm' },
                    { value: 'cm', text: 'cm' },
                    { value: 'in', text: 'in' },
                    { value: 'px', text: 'px' },
                  ]}
                  onChange={setUnit}
                />
                <div className="mt-4 grid grid-cols-2 gap-4">
                  <NumberField
                    label={t`Close gaps up to`}
                    unit="mm"
                    value={gapMm}
                    digits={2}
                    min={0.05}
                    max={5}
                    onCommit={setGapMm}
                  />
                  <NumberField
                    label={t`Thin to`}
                    unit="mm"
                    value={thinMm}
                    digits={3}
                    min={0.005}
                    max={0.5}
                    onCommit={setThinMm}
                  />
                </div>
                {reading === null ? null : (
                  <RoleList
                    layers={reading.layers}
                    onRole={(layer, role) => setRoles((before) => ({ ...before, [layer]: role }))}
                  />
                )}
              </>
            )}
          </section>
          <section
            aria-label={t`What was understood`}
            className="flex min-h-[26.25rem] min-w-0 flex-col p-5 lg:min-h-0"
          >
            {failure !== null ? (
              <Notice look="stop" role="alert">
                <p className="text-lead font-bold">{t(failure.sentence)}</p>
                <p className="text-body">{t`${failure.fix} Nothing was kept.`}</p>
              </Notice>
            ) : reading === null ? (
              <p className="text-body text-quiet">{t`Choose a drawing. Its outline, cut-outs and marks are shown here, with what was mended and what was left out, before anything is kept.`}</p>
            ) : (
              <>
                <p className="text-title font-bold" data-testid="pattern-size">
                  {t`${length(reading.widthMm, 0)} x ${length(reading.heightMm, 0)}`}
                  {reading.unitStated || unit !== 'file' ? null : (
                    <span className="pl-3 text-body font-normal text-amber">{t`the file does not say its unit: check this size`}</span>
                  )}
                </p>
                <div className="min-h-0 flex-1 py-3">
                  <PieceShape
                    pattern={reading.pattern}
                    className="h-full w-full"
                    label={t`The pattern as understood`}
                  />
                </div>
                <ul className="text-body leading-snug">
                  {reading.understood.map((sentence) => (
                    <li key={t(sentence)}>{t(sentence)}</li>
                  ))}
                  {reading.mended.map((sentence) => (
                    <li key={t(sentence)} className="text-amber-ink">
                      {t(sentence)}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </section>
          <section
            aria-label={t`Where it belongs`}
            className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0"
          >
            <div className="min-h-0 flex-1 overflow-y-auto p-5">
              <PieceFields draft={draft} shelf={shelf} forms={forms} onChange={setDraft} />
              {known === undefined || reading === null ? null : (
                <p className="mt-3 text-body text-quiet">{t(sizeWords(reading, known))}</p>
              )}
            </div>
            <div className="border-t border-hair p-4">
              {saving.error === undefined ? null : (
                <Notice look="stop" role="alert">
                  {t(wholeFailure(failureOf(saving.error)))}
                </Notice>
              )}
              <Button
                look="go"
                disabled={piece?.success !== true || saving.isLoading}
                onClick={() => void keep()}
                className="min-h-14 w-full text-lead"
              >{t`Keep this pattern`}</Button>
            </div>
          </section>
        </div>
      </div>
    </ForRole>
  )
}

/** Whether the size is that of the piece which the shelf has for this part; a wrong unit shows at once. */
function sizeWords(reading: PatternReading, known: Piece): Sentence {
  const xs = known.pattern.outline.map((p) => p[0])
  const ys = known.pattern.outline.map((p) => p[1])
  const wanted = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
  const ratio = Math.hypot(reading.widthMm, reading.heightMm) / wanted
  const near = (value: number) => Math.abs(ratio / value - 1) < 0.12
  if (near(1)) return say`About the size of ${name(known.name)} on the shelf.`
  const [, unit] = (
    [
      [1 / 25.4, say`inches`],
      [96 / 25.4, say`pixels`],
      [0.1, say`centimetres`],
    ] as const
  ).find(([value]) => near(value)) ?? [0, null]
  if (unit !== null) return say`This part wants about ${length(wanted, 0)} across: the drawing seems to be in ${unit}.`
  return say`The piece of this part on the shelf is ${figure(1 / ratio, 2)} times as large.`
}
