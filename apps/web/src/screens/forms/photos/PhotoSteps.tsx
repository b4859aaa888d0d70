import { barTargets, dotSizesMm } from '@truelay/core/photogrammetry'
import { count, length } from '@truelay/core/say'
import { Camera, Printer } from 'lucide-react'
import { Button, buttonClass } from '../../../ui/Button.tsx'
import { Choice } from '../../../ui/Choice.tsx'
import { FileButton } from '../../../ui/FileButton.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { useWords } from '../../../ui/words.ts'
import { PhotoList } from './PhotoList.tsx'
import { fewestPhotos, type MeasuredPhotos } from './useMeasuredPhotos.ts'

const printed = 60

/** What is done in its order: targets, bars, photographs, and then it is measured. */
export function PhotoSteps({ work }: { readonly work: MeasuredPhotos }) {
  const t = useWords()
  const { photos, used, few, busy, isReading } = work
  return (
    <>
      <Targets work={work} />
      <Bars work={work} />
      <Photographs work={work} />
      <Button
        look={work.found === null ? 'go' : 'plain'}
        className="min-h-14 w-full text-lead"
        disabled={busy !== null || isReading || few}
        onClick={work.measure}
      >
        {t`Measure`}
      </Button>
      {few && photos.length > 0 && !isReading ? (
        <p className="text-body text-quiet">{t`At least ${count(fewestPhotos)} that can be used are needed; there are ${count(used.photos.length)}.`}</p>
      ) : null}
      {work.problem === null ? null : (
        <Notice look="stop" role="alert">
          <span className="text-body">{work.problem}</span>
        </Notice>
      )}
      <PhotoList photos={photos} onTakeOut={work.takeOut} />
    </>
  )
}

interface StepProps {
  readonly work: MeasuredPhotos
}

function Targets({ work: { dot, setDot } }: StepProps) {
  const t = useWords()
  return (
    <div>
      <p className="label-strong border-b-2 border-ink text-lead">{t`1. Targets`}</p>
      <p className="mt-1 text-body">{t`Stick 30 to 60 all over the part, close together where it turns sharply, and a row along its rim whose paper touches the edge, none over another. The start plate lies beside it.`}</p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Choice
          label={t`Width of a dot`}
          value={String(dot)}
          options={dotSizesMm.map((mm) => ({ value: String(mm), text: t`${length(2 * mm, 0)}` }))}
          onChange={(value) => setDot(dotSizesMm.find((mm) => String(mm) === value) ?? dot)}
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
  )
}

function Bars({ work: { bars, setBars } }: StepProps) {
  const t = useWords()
  return (
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
            onCommit={(mm) => setBars(i === 0 ? [mm, bars[1]] : [bars[0], mm])}
          />
        ))}
      </div>
    </div>
  )
}

function Photographs({ work }: StepProps) {
  const t = useWords()
  const { photos, busy, takenOut } = work
  const read = photos.filter(({ read: one }) => one !== 'waiting').length
  return (
    <div>
      <p className="label-strong border-b-2 border-ink text-lead">{t`3. Photographs`}</p>
      <p className="mt-1 text-body">{t`Twelve from all sides, low and high, every second one with the tablet upright. They stay on this tablet.`}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <FileButton label={t`Photographs of the part`} accept="image/jpeg,image/png" multiple onFiles={work.add}>
          <Camera size={20} /> {t`Choose photographs`}
        </FileButton>
        {photos.length > 0 ? null : <Button onClick={() => void work.practise()}>{t`Practise on a headlamp`}</Button>}
      </div>
      {work.isReading || busy === 'measuring' ? (
        <p role="status" className="mt-2 flex items-center justify-between gap-3 text-body">
          {busy === 'measuring'
            ? t`Measuring`
            : t`Looking for targets: ${count(read)} of ${count(photos.length)} looked through`}
          <Button look="quiet" onClick={work.stop}>{t`Stop`}</Button>
        </p>
      ) : null}
      {takenOut === null ? null : (
        <p className="mt-2 flex items-center justify-between gap-3 text-body text-quiet">
          {t`${takenOut.file.name} is left out.`}
          <Button look="quiet" onClick={work.takeBack}>{t`Take it back`}</Button>
        </p>
      )}
    </div>
  )
}
