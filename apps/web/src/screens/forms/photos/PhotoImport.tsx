import type { Form } from '@truelay/contract'
import { Camera } from 'lucide-react'
import { useEffect, useRef } from 'react'
import type { PhotoUnder } from '../../../drawings/FormSketch.tsx'
import { AskBeforeLosing } from '../../../ui/AskBeforeLosing.tsx'
import { Button } from '../../../ui/Button.tsx'
import { FileButton } from '../../../ui/FileButton.tsx'
import { Title } from '../../../ui/Title.tsx'
import { useWords } from '../../../ui/words.ts'
import { BeforeTheSecond } from './BeforeTheSecond.tsx'
import { MeasuredPart } from './MeasuredPart.tsx'
import { PhotoGuide } from './PhotoGuide.tsx'
import { PhotoSteps } from './PhotoSteps.tsx'
import { type MeasuredPhotos, useMeasuredPhotos } from './useMeasuredPhotos.ts'

interface PhotoImportProps {
  /** Made before and not kept yet. */
  readonly left: Form | null
  readonly onMade: (form: Form, photo: PhotoUnder | null) => void
  /** What was made before is gone on with. */
  readonly onLeft: (form: Form) => void
}

/** A part from photographs of targets that are stuck on it: printed, photographed, measured, and its rim named. */
export function PhotoImport({ left, onMade, onLeft }: PhotoImportProps) {
  const t = useWords()
  const work = useMeasuredPhotos(onMade)
  const { photos, found } = work
  const known = useRef<HTMLElement>(null)
  const isMeasured = found !== null
  // On a tablet held upright it stands above what was tapped.
  useEffect(() => {
    if (isMeasured) known.current?.scrollIntoView({ block: 'start' })
  }, [isMeasured])
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[40rem]">
      <AskBeforeLosing when={() => photos.length > 0 && work.busy === null} />
      <header className="border-b border-hair bg-paper px-6 py-3">
        <p className="label text-note text-quiet">{t`Forms`}</p>
        <Title>{t`A part from photographs`}</Title>
        <p className="text-body text-quiet">{t`So far only simulated: nobody has checked it on a measured part yet. Check a span with the straightedge.`}</p>
      </header>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[26rem_minmax(0,1fr)]">
        <section
          aria-label={t`The photographs`}
          className="space-y-4 overflow-y-auto border-b border-hair p-5 lg:border-b-0 lg:border-r"
        >
          {left === null || photos.length > 0 ? null : (
            <p className="flex flex-wrap items-center gap-3 bg-amber-tint px-3 py-2 text-body text-amber-ink">
              {t`${left.name} was made before and is not kept yet.`}
              <Button onClick={() => onLeft(left)}>{t`Go on with it`}</Button>
            </p>
          )}
          <PhotoSteps work={work} />
        </section>
        <section
          ref={known}
          aria-label={t`What was measured`}
          // On a tablet held upright, where to stand comes before what was read long ago.
          className={`min-h-[34rem] min-w-0 p-5 ${photos.length > 0 ? 'order-first lg:order-none' : ''}`}
        >
          <WhatIsKnown work={work} />
        </section>
      </div>
    </div>
  )
}

/** The measurement, or where to stand for the next photograph, or what it is to look like. */
function WhatIsKnown({ work }: { readonly work: MeasuredPhotos }) {
  const t = useWords()
  const { found, guidance, used, isEnough, busy } = work
  if (found !== null)
    return (
      <MeasuredPart
        measured={found.measured}
        photoNames={found.photos.map(({ file }) => file.name)}
        inSpace={found.inSpace}
        rim={work.rim}
        onRim={work.setRim}
        onTurn={work.turn}
        isMaking={busy === 'making'}
        onMake={work.make}
      />
    )
  if (guidance !== null)
    return (
      <PhotoGuide guidance={guidance} photoNames={used.photos.map(({ file }) => file.name)} isEnough={isEnough}>
        <FileButton label={t`The next photograph`} accept="image/jpeg,image/png" camera onFiles={work.add}>
          <Camera size={20} /> {t`Take the next one`}
        </FileButton>
        {isEnough ? <Button look="go" disabled={busy !== null} onClick={work.measure}>{t`Measure`}</Button> : null}
      </PhotoGuide>
    )
  return (
    <BeforeTheSecond>
      {work.isGuiding
        ? t`Working out where to stand next`
        : used.photos.length > 1 && !work.isReading
          ? t`No two photographs see the whole start plate: step back so that it is in the next one.`
          : t`After the second photograph it says here where to stand for the next one.`}
    </BeforeTheSecond>
  )
}
