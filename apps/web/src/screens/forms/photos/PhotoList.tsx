import { photoProblem, type ReadPhoto, seesPlate } from '@truelay/core/photogrammetry'
import { counted } from '@truelay/core/say'
import { X } from 'lucide-react'
import { useWords } from '../../../ui/words.ts'
import { problemWords } from './photoWords.ts'
import type { ChosenPhoto } from './usePhotos.ts'

interface PhotoListProps {
  readonly photos: readonly ChosenPhoto[]
  readonly onTakeOut: (photo: ChosenPhoto) => void
}

/** The photographs with what was found in each; one that cannot be used says why. */
export function PhotoList({ photos, onTakeOut }: PhotoListProps) {
  const read = photos.flatMap(({ read: one }) => (typeof one === 'string' ? [] : [one]))
  return (
    <ul className="mt-2">
      {photos.map((photo) => (
        <PhotoRow key={photo.id} photo={photo} all={read} onTakeOut={() => onTakeOut(photo)} />
      ))}
    </ul>
  )
}

interface PhotoRowProps {
  readonly photo: ChosenPhoto
  readonly all: readonly ReadPhoto[]
  readonly onTakeOut: () => void
}

function PhotoRow({ photo: { file, read }, all, onTakeOut }: PhotoRowProps) {
  const t = useWords()
  return (
    <li className="flex min-h-11 items-center gap-2 border-b border-hair text-body">
      <span className="min-w-0 flex-1 py-1 leading-tight">
        <span className="block truncate font-semibold">{file.name}</span>
        <Found read={read} all={all} />
      </span>
      <button
        type="button"
        aria-label={t`Leave out ${file.name}`}
        onClick={onTakeOut}
        className="flex min-h-11 min-w-11 items-center justify-center text-quiet hover:text-stop"
      >
        <X size={20} aria-hidden />
      </button>
    </li>
  )
}

function Found({ read, all }: { readonly read: ChosenPhoto['read']; readonly all: readonly ReadPhoto[] }) {
  const t = useWords()
  if (read === 'waiting') return <span className="text-quiet">{t`not looked through yet`}</span>
  const problem = read === 'no picture' ? read : photoProblem(read, all)
  if (problem !== null || typeof read === 'string')
    return <span className="text-stop">{t(problemWords[problem ?? 'no picture'])}</span>
  return (
    <span className="text-quiet">
      {seesPlate(read)
        ? t`${counted(read.targets.length, '# target', '# targets')}, start plate seen`
        : t`${counted(read.targets.length, '# target', '# targets')}, start plate not seen`}
    </span>
  )
}
