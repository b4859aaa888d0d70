import { type Form, formDoc } from '@truelay/contract'
import { type DrawingInSpace, drawingOfPoints, formFromPoints, outerRim, seenInDrawing } from '@truelay/core/form'
import { type DotSize, squarest, targetRadii } from '@truelay/core/photogrammetry'
import { wholeFailure } from '@truelay/core/result'
import { count } from '@truelay/core/say'
import { useState } from 'react'
import type { PhotoUnder } from '../../../drawings/FormSketch.tsx'
import { useWords } from '../../../ui/words.ts'
import type { MeasuredSet } from '../../../workers/photoWork.ts'
import { blankForm } from '../editForm.ts'
import { pointsOfPart } from './pointsOfPart.ts'
import { practiceBarsMm, practicePhotos } from './practicePhotos.ts'
import { type ChosenPhoto, usePhotos } from './usePhotos.ts'

/** A form takes no fewer photographs than this. */
export const fewestPhotos = 6
/** The form that is being made, until it is kept under a name of its own. */
export const photographedId = formDoc.shape.id.parse('photographed-part')
const usualDot: DotSize = 5
const usualBarsMm = [1000, 0] as const

interface Found {
  readonly measured: MeasuredSet
  /** In the order of the set. */
  readonly photos: readonly ChosenPhoto[]
  readonly inSpace: DrawingInSpace
}

/** Photographs, what is measured of them, and the form that is made of it. Whatever they are changed by takes the measurement away, never them. */
export function useMeasuredPhotos(onMade: (form: Form, photo: PhotoUnder | null) => void) {
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
  const few = work.used.photos.length < fewestPhotos
  const changed = () => {
    setFound(null)
    setProblem(null)
  }

  const measure = async () => {
    const { set, photos } = work.used
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
    setFound({ measured, photos, inSpace: inSpace.value })
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
    const blank = blankForm(photographedId, t`Photographed part`)
    const whole = formDoc.safeParse({ ...blank, ...made.value, marks })
    if (!whole.success)
      return setProblem(t`That makes no form. Is the rim named one after the other, all the way round?`)
    setBusy('making')
    const photo = await photoUnder(whole.data, found, work.straighten)
    setBusy(null)
    onMade(whole.data, photo)
  }
  return {
    ...work,
    dot,
    setDot,
    bars,
    setBars: (next: readonly [number, number]) => {
      changed()
      setBars(next)
    },
    found,
    rim,
    setRim,
    turn: () => setFound((now) => (now === null ? now : { ...now, inSpace: turnedByQuarter(now.inSpace) })),
    busy,
    problem,
    few,
    isEnough: !few && work.guidance?.surety.problem === null,
    measure: () => void measure(),
    make: () => void make(),
    add: (files: readonly File[]) => {
      changed()
      work.add(files)
    },
    takeOut: (photo: ChosenPhoto) => {
      changed()
      work.takeOut(photo)
    },
    takeBack: () => {
      changed()
      work.takeBack()
    },
    stop: () => {
      work.stop()
      setBusy(null)
    },
    practise: async () => {
      const files = await practicePhotos()
      if (files === null) return setProblem(t`The photographs to practise with cannot be had just now.`)
      changed()
      setBars(practiceBarsMm)
      work.add(files)
    },
  }
}

export type MeasuredPhotos = ReturnType<typeof useMeasuredPhotos>

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
  straighten: ReturnType<typeof usePhotos>['straighten'],
): Promise<PhotoUnder | null> {
  const taken = squarest(found.taken, inSpace.origin, inSpace.z)
  const file = taken === null ? undefined : photos[taken.photo]?.file
  if (taken === null || file === undefined) return null
  const straight = await straighten(file, { form, inSpace, taken, lens: found.lens }).catch(() => null)
  if (straight === null) return null
  const { widthPx, heightPx, mmPerPx } = straight
  return { url: URL.createObjectURL(straight.file), widthPx, heightPx, mmPerPx }
}
