import { type Form, formDoc } from '@truelay/contract'
import { type DrawingInSpace, drawingOfPoints, formFromPoints, outerRim, seenInDrawing } from '@truelay/core/form'
import { barTargets, type DotSize, dotSizesMm, squarest, targetRadii } from '@truelay/core/photogrammetry'
import { wholeFailure } from '@truelay/core/result'
import { count, length } from '@truelay/core/say'
import { Camera, Printer } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import type { PhotoUnder } from '../../../drawings/FormSketch.tsx'
import { AskBeforeLosing } from '../../../ui/AskBeforeLosing.tsx'
import { Button, buttonClass } from '../../../ui/Button.tsx'
import { Choice } from '../../../ui/Choice.tsx'
import { FileButton } from '../../../ui/FileButton.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { Title } from '../../../ui/Title.tsx'
import { useWords } from '../../../ui/words.ts'
import type { MeasuredSet } from '../../../workers/photoWork.ts'
import { blankForm } from '../editForm.ts'
import { MeasuredPart } from './MeasuredPart.tsx'
import { PhotoGuide } from './PhotoGuide.tsx'
import { PhotoList } from './PhotoList.tsx'
import { pointsOfPart } from './pointsOfPart.ts'
import { practiceBarsMm, practicePhotos, practicePicture } from './practicePhotos.ts'
import { type ChosenPhoto, usePhotos } from './usePhotos.ts'

/** A form takes no fewer photographs than this. */
const fewestPhotos = 6
const printed = 60
const usualDot: DotSize = 5
const usualBarsMm = [1000, 0] as const

interface Found {
  readonly measured: MeasuredSet
  /** In the order of the set. */
  readonly photos: readonly ChosenPhoto[]
  readonly inSpace: DrawingInSpace
}

/** A part from photographs of targets that are stuck on it: printed, photographed, measured, and its rim named. */
export function PhotoImport({ onMade }: { readonly onMade: (form: Form, photo: PhotoUnder | null) => void }) {
  const t = useWords()
  const [dot, setDot] = useState<DotSize>(usualDot)
  const [bars, setBars] = useState<readonly [number, number]>(usualBarsMm)
  const [found, setFound] = useState<Found | null>(null)
  const [rim, setRim] = useState<readonly number[]>([])
  const [busy, setBusy] = useState<'measuring' | 'making' | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const work = usePhotos(
    bars.map((mm) => (mm > 0 ? mm : null)),
    () => setProblem(t`The work on the photographs was cut off. Begin again.`),
  )
  const { photos, used, guidance } = work
  const read = photos.filter(({ read: one }) => one !== 'waiting').length
  const few = used.photos.length < fewestPhotos
  const isEnough = !few && guidance?.surety.problem === null
  const changed = () => {
    setFound(null)
    setProblem(null)
  }

  const measure = async () => {
    const { set, photos: of } = used
    if (set === null) return
    setBusy('measuring')
    changed()
    const measured = await work.measure(set)
    setBusy(null)
    if (measured === null)
      return setProblem(t`Nothing could be measured: the start plate has to be seen whole in two photographs at least.`)
    const points = pointsOfPart(measured.found)
    const inSpace = drawingOfPoints(
      points.map(({ atMm }) => atMm),
      [1, 0, 0],
      towardsEyes(measured),
    )
    if (!inSpace.ok) return setProblem(t(wholeFailure(inSpace.failure)))
    setFound({ measured, photos: of, inSpace: inSpace.value })
    const spots = points.map(({ atMm }) => seenInDrawing(inSpace.value, atMm).at)
    setRim(outerRim(spots).flatMap((i) => points[i]?.target ?? []))
  }
  const make = async () => {
    if (found === null) return
    const named = (target: number) => t`target ${target}`
    const made = formFromPoints(
      pointsOfPart(found.measured.found).map(({ target, atMm, sigmaMm }) => ({
        name: named(target),
        at: atMm,
        sigmaMm,
      })),
      rim.map(named),
      found.inSpace,
      { paperMm: targetRadii.margin * dot },
    )
    if (!made.ok) return setProblem(t(wholeFailure(made.failure)))
    const marks = made.value.outline.map(({ to }, i) => ({
      name: `corner ${i + 1}`,
      label: t`corner ${count(i + 1)}`,
      at: to,
      weight: 1,
    }))
    const blank = blankForm('photographed-part', t`Photographed part`)
    const whole = formDoc.safeParse({ ...blank, ...made.value, marks })
    if (!whole.success)
      return setProblem(t`That makes no form. Is the rim named one after the other, all the way round?`)
    setBusy('making')
    const photo = await photoUnder(whole.data, found, work)
    setBusy(null)
    onMade(whole.data, photo)
  }
  const stop = () => {
    work.stop()
    setBusy(null)
  }
  const practise = async () => {
    const files = await practicePhotos()
    if (files === null) return setProblem(t`The photographs to practise with cannot be had just now.`)
    changed()
    setBars(practiceBarsMm)
    work.add(files)
  }
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[40rem]">
      <AskBeforeLosing when={() => photos.length > 0 && busy === null} />
      <header className="border-b border-hair bg-paper px-6 py-3">
        <p className="label text-note text-quiet">{t`Forms`}</p>
        <Title>{t`A part from photographs`}</Title>
        <p className="text-body text-quiet">{t`So far only simulated: nobody has checked it on a measured part yet. Check a span with the straightedge.`}</p>
      </header>
      <div className="grid min-h-0 flex-1 lg:grid-cols-[26rem_1fr]">
        <section
          aria-label={t`The photographs`}
          className="space-y-4 overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
        >
          <div>
            <p className="label-strong border-b-2 border-ink text-lead">{t`1. Targets`}</p>
            <p className="mt-1 text-body">{t`Stick 30 to 60 all over the part, close together where it turns sharply, and a row along its rim whose paper touches the edge, none over another. The start plate lies beside it.`}</p>
            <div className="mt-2 flex flex-wrap items-center gap-3">
              <Choice
                label={t`Width of a dot`}
                value={String(dot)}
                options={dotSizesMm.map((mm) => ({ value: String(mm), text: t`${length(2 * mm, 0)}` }))}
                onChange={(value) => setDot(dotSizesMm.find((mm) => String(mm) === value) ?? usualDot)}
              />
              <a
                href={`/api/targets.pdf?dot=${dot}&count=${printed}`}
                target="_blank"
                rel="noreferrer"
                className={buttonClass()}
              >
                <Printer size={20} /> {t`Print`}
              </a>
            </div>
          </div>
          <div>
            <p className="label-strong border-b-2 border-ink text-lead">{t`2. Bars`}</p>
            <p className="mt-1 text-body">{t`From dot to dot, by a steel rule. The second one checks the first; 0 = none.`}</p>
            <div className="mt-1 grid grid-cols-2 gap-4">
              {barTargets.map(([a, b], i) => (
                <NumberField
                  key={a}
                  label={t`${a} to ${b}`}
                  unit="mm"
                  digits={1}
                  min={0}
                  max={4000}
                  value={bars[i] ?? 0}
                  onCommit={(mm) => {
                    changed()
                    setBars(i === 0 ? [mm, bars[1]] : [bars[0], mm])
                  }}
                />
              ))}
            </div>
          </div>
          <div>
            <p className="label-strong border-b-2 border-ink text-lead">{t`3. Photographs`}</p>
            <p className="mt-1 text-body">{t`Twelve from all sides, low and high, every second one with the tablet upright. They stay on this tablet.`}</p>
            <div className="mt-2 flex flex-wrap gap-3">
              <FileButton
                label={t`Photographs of the part`}
                accept="image/jpeg,image/png"
                multiple
                onFiles={(files) => {
                  changed()
                  work.add(files)
                }}
              >
                <Camera size={20} /> {t`Choose photographs`}
              </FileButton>
              {photos.length > 0 ? null : <Button onClick={() => void practise()}>{t`Practise on a headlamp`}</Button>}
            </div>
            {work.isReading || busy === 'measuring' ? (
              <p role="status" className="mt-2 flex items-center justify-between gap-3 text-body">
                {busy === 'measuring'
                  ? t`Measuring`
                  : t`Looking for targets: ${count(read)} of ${count(photos.length)} looked through`}
                <Button look="quiet" onClick={stop}>{t`Stop`}</Button>
              </p>
            ) : null}
            {work.takenOut === null ? null : (
              <p className="mt-2 flex items-center justify-between gap-3 text-body text-quiet">
                {t`${work.takenOut.file.name} is left out.`}
                <Button
                  look="quiet"
                  onClick={() => {
                    changed()
                    work.takeBack()
                  }}
                >{t`Take it back`}</Button>
              </p>
            )}
          </div>
          <Button
            look={found === null ? 'go' : 'plain'}
            className="min-h-14 w-full text-lead"
            disabled={busy !== null || work.isReading || few}
            onClick={() => void measure()}
          >
            {t`Measure`}
          </Button>
          {few && photos.length > 0 && !work.isReading ? (
            <p className="text-body text-quiet">{t`At least ${count(fewestPhotos)} that can be used are needed; there are ${count(used.photos.length)}.`}</p>
          ) : null}
          {problem === null ? null : (
            <Notice look="stop" role="alert">
              <span className="text-body">{problem}</span>
            </Notice>
          )}
          <PhotoList
            photos={photos}
            onTakeOut={(photo) => {
              changed()
              work.takeOut(photo)
            }}
          />
        </section>
        <section
          aria-label={t`What was measured`}
          // On a tablet held upright, where to stand comes before what was read long ago.
          className={`min-h-[34rem] min-w-0 p-5 ${photos.length > 0 ? 'order-first lg:order-none' : ''}`}
        >
          {found !== null ? (
            <MeasuredPart
              measured={found.measured}
              photoNames={found.photos.map(({ file }) => file.name)}
              inSpace={found.inSpace}
              rim={rim}
              onRim={setRim}
              onTurn={() => setFound({ ...found, inSpace: turnedByQuarter(found.inSpace) })}
              isMaking={busy === 'making'}
              onMake={() => void make()}
            />
          ) : guidance !== null ? (
            <PhotoGuide guidance={guidance} photoNames={used.photos.map(({ file }) => file.name)} isEnough={isEnough}>
              <FileButton
                label={t`The next photograph`}
                accept="image/jpeg,image/png"
                camera
                onFiles={(files) => {
                  changed()
                  work.add(files)
                }}
              >
                <Camera size={20} /> {t`Take the next one`}
              </FileButton>
              {isEnough ? (
                <Button look="go" disabled={busy !== null} onClick={() => void measure()}>{t`Measure`}</Button>
              ) : null}
            </PhotoGuide>
          ) : (
            <BeforeTheSecond>
              {work.isGuiding
                ? t`Working out where to stand next`
                : used.photos.length > 1 && !work.isReading
                  ? t`No two photographs see the whole start plate: step back so that it is in the next one.`
                  : t`After the second photograph it says here where to stand for the next one.`}
            </BeforeTheSecond>
          )}
        </section>
      </div>
    </div>
  )
}

/** What it looks like when everything is in place; with what happens next. */
function BeforeTheSecond({ children }: { readonly children: ReactNode }) {
  const t = useWords()
  return (
    <div className="flex h-full flex-col gap-3">
      <p className="text-lead">{children}</p>
      <figure className="min-h-0 flex-1">
        <img
          src={practicePicture}
          alt={t`A headlamp with targets all over it, the start plate in front of it and a bar on each of two sides`}
          className="max-h-[30rem] w-full object-contain object-left-top"
        />
        <figcaption className="mt-1 text-body text-quiet">{t`Targets on the part, the start plate and two bars beside it: everything lies still until the last photograph is taken.`}</figcaption>
      </figure>
    </div>
  )
}

/** From the part to those who looked at it, all together. */
function towardsEyes({ found }: MeasuredSet): [number, number, number] {
  const points = pointsOfPart(found)
  const along = (k: 0 | 1 | 2) =>
    found.taken.reduce((sum, { from }) => sum + from[k], 0) / Math.max(1, found.taken.length) -
    points.reduce((sum, { atMm }) => sum + atMm[k], 0) / Math.max(1, points.length)
  return [along(0), along(1), along(2)]
}

/** The drawing turned to the right by a quarter. */
const turnedByQuarter = ({ x, y, ...rest }: DrawingInSpace): DrawingInSpace => ({
  ...rest,
  x: y,
  y: [-x[0], -x[1], -x[2]],
})

/** The squarest of the photographs under the form's drawing; without one it can be measured as well. */
async function photoUnder(
  form: Form,
  { measured: { found }, photos, inSpace }: Found,
  { straighten }: ReturnType<typeof usePhotos>,
): Promise<PhotoUnder | null> {
  const taken = squarest(found.taken, inSpace.origin, inSpace.z)
  const file = taken === null ? undefined : photos[taken.photo]?.file
  if (taken === null || file === undefined) return null
  const straight = await straighten(file, { form, inSpace, taken, lens: found.lens }).catch(() => null)
  if (straight === null) return null
  const { widthPx, heightPx, mmPerPx } = straight
  return { url: URL.createObjectURL(straight.file), widthPx, heightPx, mmPerPx }
}
