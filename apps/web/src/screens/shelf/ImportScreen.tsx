import { Title } from '../../ui/Title.tsx'
import { wholeFailure } from '@truelay/core/result'
import { type ScreenWords, useWords } from '../../ui/words.ts'
import { type Form, idFromName, type Piece, partId, pieceDoc, type Shelf } from '@truelay/contract'
import { type Practice, practiceWith } from '@truelay/core/practice'
import type { PatternResult, Role } from '@truelay/formats/pattern'
import { useEffect, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
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
import { ControlMeasure } from './ControlMeasure.tsx'
import { type PieceDraft, PieceFields } from './PieceFields.tsx'
import { RoleList } from './RoleList.tsx'
import { sizeWords } from './sizeWords.ts'
import { Understood } from './Understood.tsx'
import { ForRole } from '../frame/ForRole.tsx'

type Unit = 'file' | 'measured' | 'mm' | 'cm' | 'in' | 'px'
const mmPer: Readonly<Record<Exclude<Unit, 'file' | 'measured'>, number>> = { mm: 1, cm: 10, in: 25.4, px: 25.4 / 96 }

/** What a drawing without a unit is usually drawn in. */
const usualUnit = { svg: 'px', dxf: 'mm' } as const

/** As the file states it first; where it does not, what is usual for its kind. */
function unitChoices(unstated: Chosen['kind'] | null, unit: Unit, t: ScreenWords): { value: Unit; text: string }[] {
  const usual = unstated === null ? null : usualUnit[unstated]
  return [
    { value: 'file', text: usual ?? t`as stated` },
    ...(['mm', 'cm', 'in', 'px'] as const)
      .filter((own) => own !== usual || unit === own)
      .map((own) => ({ value: own, text: own })),
    ...(unit === 'measured' ? [{ value: 'measured' as const, text: t`measured` }] : []),
  ]
}

interface Chosen {
  readonly name: string
  readonly kind: 'svg' | 'dxf'
  readonly bytes: Uint8Array
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
  const [result, setResult] = useState<PatternResult | null>(null)
  /** Millimetres in one unit, by a side that was measured. */
  const [measured, setMeasured] = useState(1)
  /** The size that somebody has said is right, mm. */
  const [agreed, setAgreed] = useState<number | null>(null)
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
      ...(unit === 'file' ? {} : { mmPerUnit: unit === 'measured' ? measured : mmPer[unit] }),
    }
    void readPatternFile(file.kind, file.bytes, options).then((answer) => {
      if (current) setResult(answer)
    })
    return () => {
      current = false
    }
  }, [file, unit, measured, gapMm, thinMm, roles, draft.name])

  const choose = async (chosen: File) => {
    const kind = /\.dxf$/i.test(chosen.name) ? 'dxf' : 'svg'
    setRoles({})
    setUnit('file')
    setAgreed(null)
    setFile({ name: chosen.name, kind, bytes: new Uint8Array(await chosen.arrayBuffer()) })
    if (draft.name === '') setDraft((before) => ({ ...before, name: chosen.name.replace(/\.[^.]+$/, '').slice(0, 80) }))
  }
  const reading = result?.ok === true ? result.value : null
  const layers = result === null ? [] : result.ok ? result.value.layers : result.layers
  const longestMm = reading === null ? 0 : Math.max(reading.widthMm, reading.heightMm)
  // A file that names its unit is believed; one that does not has to be measured once.
  const sure = reading !== null && (reading.unitStated || (agreed !== null && Math.abs(agreed - longestMm) < 0.5))
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
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[20.625rem_minmax(0,1fr)_20.625rem]">
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
                  options={unitChoices(reading?.unitStated !== false ? null : file.kind, unit, t)}
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
                {layers.length === 0 ? null : (
                  <RoleList
                    layers={layers}
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
            {result === null ? (
              <p className="text-body text-quiet">{t`Choose a drawing. Its outline, cut-outs and marks are shown here, with what was mended and what was left out, before anything is kept.`}</p>
            ) : result.ok ? (
              <Understood reading={result.value}>
                <ControlMeasure
                  key={`${file?.name} ${longestMm}`}
                  longestMm={longestMm}
                  asked={!result.value.unitStated}
                  sure={sure}
                  onRight={() => setAgreed(longestMm)}
                  onMeasured={(mm) => {
                    setMeasured((result.value.mmPerUnit * mm) / longestMm)
                    setUnit('measured')
                    setAgreed(mm)
                  }}
                />
              </Understood>
            ) : (
              <Notice look="stop" role="alert">
                <p className="text-lead font-bold">{t(result.failure.sentence)}</p>
                <p className="text-body">{t`${result.failure.fix} Nothing was kept.`}</p>
                {layers.length > 1 ? (
                  <p className="text-body">{t`If a layer was taken for something else than it is, put that right in the list of layers.`}</p>
                ) : null}
              </Notice>
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
              {reading === null || sure ? null : (
                <p className="mb-2 text-body text-amber-ink">{t`First say whether its size is right.`}</p>
              )}
              <Button
                look="go"
                disabled={piece?.success !== true || !sure || saving.isLoading}
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
