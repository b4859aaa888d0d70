import { type Form, formDoc } from '@truelay/contract'
import { formFromPoints, type PointInSpace } from '@truelay/core/form'
import {
  barTargets,
  type DotSize,
  dotSizesMm,
  type Measured,
  type PhotoProblem,
  photoProblem,
  photoSet,
  plateMm,
  suretyOf,
} from '@truelay/core/photogrammetry'
import { wholeFailure } from '@truelay/core/result'
import { count, length, percent, say, type Sentence } from '@truelay/core/say'
import { Camera, Printer, X } from 'lucide-react'
import { useState } from 'react'
import { TargetsFromAbove } from '../../drawings/TargetsFromAbove.tsx'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { blankForm } from './editForm.ts'
import { type ChosenPhoto, usePhotos } from './usePhotos.ts'

const problemWords: Readonly<Record<PhotoProblem | 'no picture', Sentence>> = {
  'few targets': say`too few targets: go nearer, or hold it still`,
  'no plate': say`the start plate is not in it: step back`,
  'another size': say`of another camera or size: take all with one`,
  'no picture': say`no picture that can be read`,
}

/** A form takes no fewer photographs than this. */
const fewestPhotos = 6
const printed = 60
const usualDot: DotSize = 5
/** Targets of the part itself: neither the plate's nor the bars'. */
const ofPart = (target: number) => !plateMm.has(target) && !barTargets.flat().includes(target as never)

/** A part from photographs of targets that are stuck on it: printed, photographed, measured, and its rim named. */
export function PhotoImport({ onMade }: { readonly onMade: (form: Form) => void }) {
  const t = useWords()
  const [dot, setDot] = useState<DotSize>(usualDot)
  const [bars, setBars] = useState<readonly [number, number]>([1000, 0])
  const [found, setFound] = useState<Measured | null>(null)
  const [rim, setRim] = useState<readonly number[]>([])
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const { photos, add, remove, measure } = usePhotos(() =>
    setProblem(t`The work on the photographs was cut off. Begin again.`),
  )
  const read = photos.flatMap(({ read: one }) => (typeof one === 'string' ? [] : [one]))
  const set = photoSet(
    read,
    bars.map((mm) => (mm > 0 ? mm : null)),
  )
  const used = set?.photographs.length ?? 0
  const reading = photos.some((one) => one.read === 'reading')
  const surety = found === null ? null : suretyOf(found, bars[0] > 0)

  const work = async () => {
    if (set === null) return
    setBusy(true)
    setProblem(null)
    const result = await measure(set)
    setBusy(false)
    setRim([])
    setFound(result)
    if (result === null) setProblem(t`Nothing could be measured: the start plate has to be in every photograph.`)
  }
  const make = () => {
    if (found === null) return
    const points = found.points.flatMap(({ target, atMm, sigmaMm }): PointInSpace[] =>
      ofPart(target) ? [{ name: t`target ${target}`, at: atMm, sigmaMm }] : [],
    )
    const made = formFromPoints(
      points,
      rim.map((target) => t`target ${target}`),
      [1, 0, 0],
      [0, 0, 1],
    )
    if (!made.ok) return setProblem(t(wholeFailure(made.failure)))
    const whole = formDoc.safeParse({ ...blankForm('photographed-part', t`Photographed part`), ...made.value, bow: [] })
    if (!whole.success)
      return setProblem(t`That makes no form. Is the rim named one after the other, all the way round?`)
    onMade(whole.data)
  }
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[40rem]">
      <header className="border-b border-hair bg-paper px-6 py-3">
        <p className="label text-note text-quiet">{t`Forms`}</p>
        <Title>{t`A part from photographs`}</Title>
        <p className="text-body text-quiet">{t`So far only simulated: nobody has checked it on a measured part yet. Check a span with the straightedge.`}</p>
      </header>
      <div className="grid min-h-0 flex-1 lg:grid-cols-[24rem_1fr]">
        <section
          aria-label={t`The photographs`}
          className="space-y-5 overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
        >
          <div>
            <p className="label-strong border-b-2 border-ink text-lead">{t`1. Targets`}</p>
            <p className="mt-1 text-body">{t`Stick 30 to 60 all over the part, more where it turns, and a row along its rim. The plate lies beside it, a bar on each of two sides.`}</p>
            <div className="mt-2 flex flex-wrap items-center gap-3">
              <Choice
                label={t`Size of a dot`}
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
            <p className="mt-1 text-body">{t`From dot to dot, measured with a steel rule. The second one checks the first; 0 = none.`}</p>
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
                    setFound(null)
                    setBars(i === 0 ? [mm, bars[1]] : [bars[0], mm])
                  }}
                />
              ))}
            </div>
          </div>
          <div>
            <p className="label-strong border-b-2 border-ink text-lead">{t`3. Photographs`}</p>
            <p className="mt-1 text-body">{t`Twelve, from all sides and at two heights, the plate in each; every second one with the tablet upright. They stay on this tablet.`}</p>
            <FileButton
              label={t`Photographs of the part`}
              accept="image/*"
              multiple
              className="mt-2 w-full"
              onFiles={(files) => {
                setFound(null)
                void add(files)
              }}
            >
              <Camera size={20} /> {t`Choose photographs`}
            </FileButton>
            <ul className="mt-2">
              {photos.map((photo) => (
                <PhotoRow key={photo.id} photo={photo} first={read[0]} onRemove={() => remove(photo.id)} />
              ))}
            </ul>
          </div>
          <Button
            look={found === null ? 'go' : 'plain'}
            className="min-h-14 w-full text-lead"
            disabled={busy || reading || used < fewestPhotos || bars[0] === 0}
            onClick={() => void work()}
          >
            {busy ? t`Measuring` : t`Measure`}
          </Button>
          {used < fewestPhotos && photos.length > 0 && !reading ? (
            <p className="text-body text-quiet">{t`${count(fewestPhotos - used)} more that can be used are needed.`}</p>
          ) : null}
          {problem === null ? null : (
            <Notice look="stop" role="alert">
              {problem}
            </Notice>
          )}
        </section>
        <section aria-label={t`What was measured`} className="min-h-[26.25rem] min-w-0 p-5">
          {found === null || surety === null ? (
            <p className="text-body text-quiet">{t`The targets appear here, each as large as it is unsure.`}</p>
          ) : (
            <div className="flex h-full flex-col gap-3">
              <Notice look={surety.problem === null ? 'good' : 'caution'} role="status">
                <p className="text-lead font-bold">
                  {surety.worst === null
                    ? t`Nothing was measured.`
                    : t`${count(found.points.filter(({ target }) => ofPart(target)).length)} targets, the least sure to ${length(2 * surety.worst.sigmaMm, 1)} (target ${surety.worst.target}).`}
                </p>
                {surety.barOff === null ? null : (
                  <p className="text-body">{t`The second bar comes out ${percent(100 * Math.abs(surety.barOff), 2)} off its length.`}</p>
                )}
                {surety.problem === 'bars contradict' ? (
                  <p className="text-body">{t`The two bars contradict each other: measure them again.`}</p>
                ) : null}
                {surety.problem === 'unsure' ? (
                  <p className="text-body">{t`That is too unsure for film: take more photographs, from the sides and lower down.`}</p>
                ) : null}
              </Notice>
              <div className="min-h-0 flex-1">
                <TargetsFromAbove
                  targets={found.points
                    .filter(({ target }) => ofPart(target))
                    .map(({ target, atMm, sigmaMm }) => ({
                      target,
                      at: [atMm[0], atMm[1]],
                      unsureMm: 2 * Math.hypot(...sigmaMm),
                    }))}
                  rim={rim}
                  onPick={(target) =>
                    setRim(rim.includes(target) ? rim.filter((one) => one !== target) : [...rim, target])
                  }
                />
              </div>
              <p className="text-body">{t`4. Tap the targets of the rim one after the other, all the way round. ${count(rim.length)} so far.`}</p>
              <div className="flex flex-wrap gap-3">
                <Button look="go" disabled={rim.length < 3 || surety.problem !== null} onClick={make}>
                  {t`Make it a form`}
                </Button>
                {rim.length === 0 ? null : (
                  <Button look="quiet" onClick={() => setRim(rim.slice(0, -1))}>{t`Take the last back`}</Button>
                )}
              </div>
            </div>
          )}
        </section>
      </div>
    </div>
  )
}

function PhotoRow({
  photo: { name, read },
  first,
  onRemove,
}: {
  readonly photo: ChosenPhoto
  readonly first: Parameters<typeof photoProblem>[1] | undefined
  readonly onRemove: () => void
}) {
  const t = useWords()
  const problem =
    read === 'reading' ? null : read === 'no picture' ? read : first === undefined ? null : photoProblem(read, first)
  return (
    <li className="flex min-h-11 items-center gap-2 border-b border-hair text-body">
      <span className="min-w-0 flex-1">
        <span className="block truncate font-semibold">{name}</span>
        {read === 'reading' ? (
          <span className="text-quiet">{t`being read`}</span>
        ) : problem !== null ? (
          <span className="text-stop">{t(problemWords[problem])}</span>
        ) : typeof read === 'string' ? null : (
          <span className="text-quiet">{t`${count(read.targets.length)} targets`}</span>
        )}
      </span>
      <button
        type="button"
        aria-label={t`Leave out ${name}`}
        onClick={onRemove}
        className="flex min-h-11 min-w-11 items-center justify-center text-quiet hover:text-stop"
      >
        <X size={20} aria-hidden />
      </button>
    </li>
  )
}
