import { Title } from '../../ui/Title.tsx'
import { wholeFailure } from '@truelay/core/result'
import { say, length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { type Form, formDoc } from '@truelay/contract'
import type { Spot3 } from '@truelay/core/form'
import type { PlaceOnMesh, TriangleMesh } from '@truelay/core/geometry'
import { scanKindOf } from '@truelay/formats/scan/kind'
import { lazy, Suspense, useMemo, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { readScanFile } from '../../workers/openFormatsWorker.ts'
import { useFormWorker } from '../../workers/useFormWorker.ts'
import { blankForm } from './editForm.ts'
import { type MadeFromScan, MadeOfScan } from './MadeOfScan.tsx'
import { NumberCell } from './NumberCell.tsx'
import { useKeyedSpot } from './useKeyedSpot.ts'

const ScanView = lazy(async () => ({ default: (await import('../../drawings/ScanView.tsx')).ScanView }))

type Unit = 'mm' | 'cm' | 'm' | 'in'
const toMm: Readonly<Record<Unit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4 }
const spotWords = [say`the middle`, say`a place to the right`, say`a place above`]

/** A part from a scan: unit, three places that say which way is which, then its outline and heights. */
export function ScanImport({ onMade }: { readonly onMade: (form: Form) => void }) {
  const t = useWords()
  const worker = useFormWorker()
  const [file, setFile] = useState<File | null>(null)
  const [unit, setUnit] = useState<Unit>('mm')
  const [mesh, setMesh] = useState<TriangleMesh | null>(null)
  const [spots, setSpots] = useState<readonly Spot3[]>([])
  const [stepMm, setStepMm] = useState(4)
  const [problem, setProblem] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const [made, setMade] = useState<MadeFromScan | null>(null)
  const size = useMemo(() => (mesh === null ? null : sizeOf(mesh)), [mesh])

  const load = async (chosen: File, as: Unit) => {
    const kind = scanKindOf(chosen.name)
    setSpots([])
    setMesh(null)
    setMade(null)
    if (kind === null) return setProblem(t`That is no scan: choose a file that ends in .obj, .stl or .ply.`)
    setBusy(true)
    const result = await readScanFile(kind, new Uint8Array(await chosen.arrayBuffer()), toMm[as])
    setBusy(false)
    setProblem(result.ok ? null : t(wholeFailure(result.failure)))
    if (result.ok) setMesh(result.value)
  }
  const pick = (place: Spot3) => {
    setMade(null)
    setSpots((before) => (before.length >= 3 ? [place] : [...before, place]))
  }
  const keyed = useKeyedSpot(mesh, pick)
  const make = async () => {
    if (mesh === null) return
    setBusy(true)
    const three = spots.length === 3 ? (spots as unknown as readonly [Spot3, Spot3, Spot3]) : null
    const result = await worker().fromScan(mesh, three, stepMm)
    setBusy(false)
    if (!result.ok) return setProblem(t(wholeFailure(result.failure)))
    const { errorMm, mended, ...scanned } = result.value
    const blank = blankForm('scanned-part', file?.name.replace(/\.[^.]+$/, '').slice(0, 60) || 'Scanned part')
    const whole = formDoc.safeParse({
      ...blank,
      ...scanned,
      marks: cornerMarks(scanned.outline.map((s) => s.to)),
    })
    if (!whole.success) return setProblem(t`The scan is too large or too fine for one form. Take a coarser grid.`)
    setProblem(null)
    setMade({ form: whole.data, stepMm: scanned.relief.stepMm, errorMm, mended })
  }
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[40rem]">
      <header className="border-b border-hair bg-paper px-6 py-3">
        <p className="label text-note text-quiet">{t`Forms`}</p>
        <Title>{t`A part from a scan`}</Title>
      </header>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[21.25rem_minmax(0,1fr)]">
        <section
          aria-label={t`The scan`}
          className="space-y-4 overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
        >
          <label className="block">
            <span className="label block text-body text-quiet">{t`Scan, OBJ, STL or PLY`}</span>
            <input
              type="file"
              accept=".obj,.stl,.ply"
              onChange={(event) => {
                const [chosen] = event.target.files ?? []
                if (chosen === undefined) return
                setFile(chosen)
                void load(chosen, unit)
              }}
              className="mt-1 w-full text-body file:mr-3 file:min-h-11 file:border file:border-ink/50 file:bg-paper file:px-3"
            />
          </label>
          <div>
            <p className="label pb-1 text-body text-quiet">{t`Scanned in`}</p>
            <Choice
              label={t`Unit of the scan`}
              value={unit}
              options={(Object.keys(toMm) as Unit[]).map((value) => ({ value, text: value }))}
              onChange={(as) => {
                setUnit(as)
                if (file !== null) void load(file, as)
              }}
            />
          </div>
          {size === null ? null : (
            <p className="text-head font-bold" data-testid="scan-size">
              {size.map((x) => t`${length(x, 0)}`).join(' x ')}
            </p>
          )}
          {mesh === null ? null : (
            <>
              <div>
                <p className="text-body">
                  {spots.length < 3 ? (
                    <>
                      {t`Tap`} <strong>{t`${spotWords[spots.length]}`}</strong> {t`on the part.`}
                    </>
                  ) : (
                    t`Three places chosen: the part is turned by them.`
                  )}
                </p>
                {made !== null ? null : (
                  <>
                    <p className="text-note text-quiet">{t`By keys: arrows move a cross over the view, Enter takes its place.`}</p>
                    <p className="text-note text-quiet">{t`Leave it out if the scan is seen straight on already. ${spots.length} of 3.`}</p>
                  </>
                )}
              </div>
              <NumberCell
                label={t`Heights every`}
                value={stepMm}
                min={0.5}
                max={50}
                onCommit={(mm) => {
                  setMade(null)
                  setStepMm(mm)
                }}
              />
              {made === null ? null : <MadeOfScan {...made} onTake={() => onMade(made.form)} />}
              <Button
                look={made === null ? 'go' : 'plain'}
                className="w-full"
                disabled={busy || spots.length === 1 || spots.length === 2}
                onClick={() => void make()}
              >{t`Make it a form`}</Button>
            </>
          )}
          {busy ? <p role="status">{t`Working on the scan`}</p> : null}
          {problem === null ? null : (
            <Notice look="stop" role="alert">
              {problem}
            </Notice>
          )}
        </section>
        <section aria-label={t`View`} className="min-h-[26.25rem] min-w-0">
          {mesh === null ? (
            <p className="p-6 text-body text-quiet">{t`The scan appears here. It is cut at its rim; clean away what does not belong to the part first.`}</p>
          ) : (
            <Suspense fallback={<p className="p-6 text-quiet">{t`Opening the view`}</p>}>
              <div
                className="h-full focus-visible:outline-3 focus-visible:outline-petrol"
                role="application"
                // biome-ignore lint/a11y/noNoninteractiveTabindex: its keys move the cross
                tabIndex={0}
                aria-label={t`Places by keys: arrows move the cross, Enter takes it`}
                onKeyDown={keyed.onKeyDown}
              >
                <ScanView
                  mesh={mesh}
                  spots={spots}
                  cross={keyed.cross}
                  onPick={(place: PlaceOnMesh) => pick(spotOf(mesh, place))}
                />
              </div>
            </Suspense>
          )}
        </section>
      </div>
    </div>
  )
}

function sizeOf({ position }: TriangleMesh): number[] {
  return [0, 1, 2].map((k) => {
    let low = Number.POSITIVE_INFINITY
    let high = Number.NEGATIVE_INFINITY
    for (let i = k; i < position.length; i += 3) {
      low = Math.min(low, position[i] ?? 0)
      high = Math.max(high, position[i] ?? 0)
    }
    return high - low
  })
}

function spotOf({ position, triangle }: TriangleMesh, place: PlaceOnMesh): Spot3 {
  const spot: [number, number, number] = [0, 0, 0]
  place.weight.forEach((weight, c) => {
    const v = triangle[3 * place.triangle + c] ?? 0
    for (let k = 0; k < 3; k++) spot[k] = (spot[k] ?? 0) + weight * (position[3 * v + k] ?? 0)
  })
  return spot
}

/** The four points of the outline that lie furthest out, as reference marks. */
function cornerMarks(points: readonly (readonly [number, number])[]) {
  const furthest = (sx: number, sy: number) =>
    points.reduce((best, p) => (sx * p[0] + sy * p[1] > sx * best[0] + sy * best[1] ? p : best), points[0] ?? [0, 0])
  const corners = [
    ['lower left', furthest(-1, -1)],
    ['lower right', furthest(1, -1)],
    ['upper right', furthest(1, 1)],
    ['upper left', furthest(-1, 1)],
  ] as const
  return corners.map(([name, at]) => ({
    name,
    label: `${name} corner`,
    at: [at[0], at[1]] as [number, number],
    weight: 1,
  }))
}
