import type { Photo } from '@truelay/contract'
import { Camera } from 'lucide-react'
import { useKeepPhotos } from '../../../bench/useKeepPhotos.ts'
import { photoUrl } from '../../../remote/photos.ts'
import { FileButton } from '../../../ui/FileButton.tsx'
import { useWords } from '../../../ui/words.ts'

interface PhotoOfItProps {
  readonly photos: readonly Photo[]
  readonly of: string
  readonly onPhotos: (photos: readonly Photo[]) => void
}

const most = 6

/** A photo of what is wrong, if one likes; it goes into the record. */
export function PhotoOfIt({ photos, of, onPhotos }: PhotoOfItProps) {
  const t = useWords()
  const { busy, problem, keep } = useKeepPhotos()
  const add = async (files: readonly File[]) => onPhotos((await keep(photos, files)).slice(0, most))
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <FileButton
        label={t`Photo of it`}
        accept="image/*"
        camera
        disabled={busy > 0 || photos.length >= most}
        onFiles={(files) => void add(files)}
      >
        <Camera size={22} aria-hidden="true" /> {t`Photo of it`}
      </FileButton>
      {photos.map((photo) => (
        <img key={photo.id} src={photoUrl(photo.smallId)} alt={of} className="size-14 object-cover" />
      ))}
      {busy > 0 ? <span role="status" className="text-body text-quiet">{t`Keeping the photo`}</span> : null}
      {problem === null ? null : (
        <span role="alert" className="text-body text-stop">
          {t(problem)}
        </span>
      )}
    </div>
  )
}
