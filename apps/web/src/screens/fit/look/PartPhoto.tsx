import { type JobBundle, type Part, type Photo, standing } from '@truelay/contract'
import type { PlanStep } from '@truelay/core/plan'
import { Camera as CameraIcon } from 'lucide-react'
import { useState } from 'react'
import { useKeepPhotos } from '../../../bench/useKeepPhotos.ts'
import { photoUrl } from '../../../remote/photos.ts'
import { Button } from '../../../ui/Button.tsx'
import { FileButton } from '../../../ui/FileButton.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { useWords } from '../../../ui/words.ts'
import type { Fitting } from '../fitting.ts'
import type { Happened } from '../useFit.ts'
import { useCamera } from './useCamera.ts'

interface PartPhotoProps {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly step: PlanStep
  readonly when: 'before' | 'after'
  readonly happened: Happened
}

/** The picture that the next one is to be framed like: the last before the fit, else one of the walk-round. */
function earlierPhoto({ findings }: JobBundle, part: Part, state: Fitting): Photo | null {
  const before = standing(state, 'photographed').findLast((taken) => taken.when === 'before')?.photo
  const found = findings.filter((finding) => finding.partId === part.id).flatMap((finding) => finding.photos)
  return before ?? found[0] ?? null
}

/** The part before anything was done to it, or when all was, framed as it was before: the earlier picture shows through. */
export function PartPhoto({ bundle, part, state, step, when, happened }: PartPhotoProps) {
  const t = useWords()
  const [open, setOpen] = useState(false)
  const taken = standing(state, 'photographed').filter((photo) => photo.when === when)
  const { busy, problem, keep } = useKeepPhotos()
  const camera = useCamera(open)
  const earlier = when === 'after' ? earlierPhoto(bundle, part, state) : null
  const kept = async (file: File | null) => {
    if (file === null) return
    const [photo] = await keep([], [file])
    if (photo === undefined) return
    happened({ kind: 'photographed', stepId: step.id, when, photo })
    setOpen(false)
  }
  const says = when === 'before' ? t`Photo before` : t`Photo after`
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      <Button onClick={() => setOpen(true)} className="min-h-14 text-lead">
        <CameraIcon size={24} aria-hidden="true" /> {says}
      </Button>
      {taken.map(({ id, photo }) => (
        <img key={id} src={photoUrl(photo.smallId)} alt={says} className="h-14 w-20 object-cover" />
      ))}
      <Modal open={open} title={says} onClose={() => setOpen(false)}>
        <div className="relative aspect-[4/3] w-full overflow-hidden bg-ink">
          <video ref={camera.video} muted playsInline className="absolute inset-0 size-full object-cover" />
          {earlier === null ? null : (
            <img
              src={photoUrl(earlier.id)}
              alt={t`As it was before, to frame it alike`}
              className={`absolute inset-0 size-full object-cover ${camera.live ? 'opacity-35' : 'opacity-90'}`}
            />
          )}
        </div>
        <p className="mt-2 text-body text-quiet">
          {earlier !== null
            ? t`Stand where the earlier picture, which shows through, lies on the part.`
            : camera.live
              ? t`The whole part, from straight in front.`
              : t`No camera shows itself here: take a photo or choose one.`}
        </p>
        {problem === null ? null : (
          <p role="alert" className="mt-2 border-l-5 border-stop bg-stop-tint px-3 py-1.5 text-body">
            {t(problem)}
          </p>
        )}
        <div className="mt-4 flex flex-wrap gap-3">
          {camera.live ? (
            <Button
              look="go"
              disabled={busy > 0}
              onClick={() => void camera.shoot().then(kept)}
              className="min-h-14 flex-1 text-lead"
            >{t`Take it`}</Button>
          ) : null}
          <FileButton
            label={t`Photo from the tablet`}
            accept="image/*"
            camera
            disabled={busy > 0}
            onFiles={([file]) => void kept(file ?? null)}
            className="min-h-14"
          >
            {t`Photo from the tablet`}
          </FileButton>
        </div>
      </Modal>
    </div>
  )
}
