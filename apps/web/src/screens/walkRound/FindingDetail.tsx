import { Heading } from '../../ui/Title.tsx'
import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Finding, FindingDraft } from '@truelay/contract'
import { findingMeanings } from '@truelay/core/plan'
import { Camera, Images, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { useKeepPhotos } from '../../bench/useKeepPhotos.ts'
import { photoUrl } from '../../remote/photos.ts'
import { Button } from '../../ui/Button.tsx'
import { FileButton } from '../../ui/FileButton.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { handySizesMm } from './findingsFor.ts'

interface FindingDetailProps {
  readonly finding: Finding
  readonly number: number
  readonly place: string
  /** The part of the job it lies on, if any. */
  readonly part: string | null
  readonly locked: boolean
  readonly onChange: (more: Partial<FindingDraft>) => void
  readonly onRemove: () => void
  /** Something else on the same part, however small it is drawn. */
  readonly onOneMore: () => void
  readonly onDone: () => void
}

/** One finding: it is kept already; size, photos and a note can be added. */
export function FindingDetail({
  finding,
  number,
  place,
  part,
  locked,
  onChange,
  onRemove,
  onOneMore,
  onDone,
}: FindingDetailProps) {
  const t = useWords()
  const [note, setNote] = useState(finding.note)
  const { busy, problem, keep } = useKeepPhotos()
  const meaning = findingMeanings[finding.kind]
  const addPhotos = async (files: readonly File[]) => onChange({ photos: await keep(finding.photos, files) })
  return (
    <section aria-label={t`Finding ${number}`} className="flex min-h-0 flex-1 flex-col">
      <div className="min-h-0 flex-1 overflow-y-auto px-5 pt-4">
        <Heading className="flex items-center gap-3">
          <span className="flex size-9 shrink-0 items-center justify-center rounded-full bg-amber text-body text-paper">
            {number}
          </span>
          <span className="first-letter:uppercase">{t(meaning.says)}</span>
        </Heading>
        <p className="mt-1 text-body">
          {place}
          {finding.later ? t`, found after the customer signed` : ''}
        </p>
        <Button look="quiet" className="-ml-4" onClick={onOneMore}>{t`Something else on this part`}</Button>
        <div className="mt-3">
          <Notice look="caution">
            <strong>{part === null ? t`On record.` : t`Changes the plan of ${part}.`}</strong> {t(meaning.follows)}
          </Notice>
        </div>
        {locked ? (
          <p className="mt-3 text-body text-quiet">{t`The customer has signed this; it cannot be changed any more.`}</p>
        ) : (
          <>
            <fieldset className="mt-4">
              <legend className="label text-body text-quiet">{t`How large?`}</legend>
              <div className="mt-1 flex flex-wrap gap-1.5">
                {handySizesMm.map((size) => (
                  <button
                    key={size}
                    type="button"
                    aria-pressed={finding.sizeMm === size}
                    onClick={() => onChange({ sizeMm: finding.sizeMm === size ? null : size })}
                    className="label-strong min-h-11 min-w-14 border border-ink/40 px-2 text-body aria-pressed:border-petrol aria-pressed:bg-petrol aria-pressed:text-on-petrol"
                  >
                    <Quantity of={length(size, 0)} />
                  </button>
                ))}
              </div>
            </fieldset>
            <label htmlFor="finding-note" className="label mt-4 block text-body text-quiet">{t`Note, if needed`}</label>
            <textarea
              id="finding-note"
              value={note}
              maxLength={300}
              rows={2}
              onChange={(event) => setNote(event.target.value)}
              onBlur={() => {
                if (note.trim() !== finding.note) onChange({ note: note.trim() })
              }}
              className="w-full border border-ink/40 bg-chalk p-2 text-body"
            />
          </>
        )}
        <div className="mt-3 grid grid-cols-4 gap-2">
          {finding.photos.map((photo) => (
            <a key={photo.id} href={photoUrl(photo.id)} target="_blank" rel="noreferrer">
              <img
                src={photoUrl(photo.smallId)}
                alt={t`${meaning.says}, ${place}`}
                className="aspect-square w-full object-cover"
                loading="lazy"
              />
            </a>
          ))}
        </div>
        {busy > 0 ? (
          <p
            role="status"
            className="mt-2 text-body text-quiet"
          >{t`Keeping ${busy} ${busy === 1 ? t`photo` : t`photos`}`}</p>
        ) : null}
        {problem === null ? null : (
          <div className="mt-2">
            <Notice look="stop" role="alert">
              {t(problem)}
            </Notice>
          </div>
        )}
      </div>
      <div className="grid grid-cols-[1fr_auto] gap-2 border-t border-hair p-4">
        {locked ? null : (
          <>
            <div className="grid grid-cols-2 gap-2">
              <FileButton
                label={t`Camera`}
                accept="image/*"
                camera
                className="min-h-14 text-lead"
                disabled={busy > 0}
                onFiles={(files) => void addPhotos(files)}
              >
                <Camera size={22} /> {t`Camera`}
              </FileButton>
              <FileButton
                label={t`Photos of the finding`}
                accept="image/*"
                multiple
                className="min-h-14 text-lead"
                disabled={busy > 0}
                onFiles={(files) => void addPhotos(files)}
              >
                <Images size={22} /> {t`Photos`}
              </FileButton>
            </div>
            <Button onClick={onRemove} aria-label={t`Remove this finding`} className="min-h-14">
              <Trash2 size={22} />
            </Button>
          </>
        )}
        <Button look="go" onClick={onDone} className="col-span-2 min-h-14 text-lead">{t`Done`}</Button>
      </div>
    </section>
  )
}
