import { counted } from '@truelay/core/say'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { Finding, WalkRound } from '@truelay/contract'
import { findingMeanings } from '@truelay/core/plan'
import { format } from 'date-fns'
import { Lock, PenLine } from 'lucide-react'
import { photoUrl } from '../../remote/photos.ts'
import { Button } from '../../ui/Button.tsx'
import { clockText } from '../../ui/clockText.ts'
import { ForRole } from '../frame/ForRole.tsx'

interface FindingListProps {
  readonly walk: WalkRound
  readonly nameOf: (slot: string) => string
  readonly onOpen: (id: string) => void
  readonly onSign: () => void
}

/** What was found, what follows from it, and what was found on earlier visits. */
export function FindingList({ walk, nameOf, onOpen, onSign }: FindingListProps) {
  const t = useWords()
  const { findings, signOff, earlier } = walk
  const before = earlier.filter((visit) => visit.findings.length > 0)
  return (
    <>
      <div className="min-h-0 flex-1 overflow-y-auto">
        <Heading className="flex items-baseline justify-between px-5 pt-4">
          {t`Found`}
          <span className="label text-body font-medium text-quiet">
            {findings.length === 0 ? t`nothing yet` : t`${counted(findings.length, '# place', '# places')}`}
          </span>
        </Heading>
        {findings.length === 0 ? (
          <p className="px-5 pt-1 text-body text-quiet">{t`Chips, repaint, coatings, old film, cracks, casting marks: what is noted now is not argued about later, and changes how the parts are worked.`}</p>
        ) : (
          <ol className="mt-2">
            {findings.map((finding, i) => (
              <Row key={finding.id} finding={finding} number={i + 1} place={nameOf(finding.slot)} onOpen={onOpen} />
            ))}
          </ol>
        )}
        {before.map((visit) => (
          <section key={visit.jobId} className="border-t border-hair px-5 py-3">
            <h3 className="label-strong text-body">{t`Seen on ${format(new Date(visit.arrivedAt), 'd MMMM yyyy')}, job ${visit.number}`}</h3>
            <ul className="text-body leading-snug text-quiet">
              {visit.findings.map((finding) => (
                <li key={finding.id} className="mt-1">
                  <span className="text-ink">
                    {nameOf(finding.slot)}: {t(findingMeanings[finding.kind].says)}
                  </span>
                  {finding.note === '' ? '' : `. ${finding.note}`}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <div className="border-t border-hair p-4">
        {signOff === null ? (
          <ForRole least="installer">
            <Button look="go" onClick={onSign} className="min-h-14 w-full text-lead">
              <PenLine size={22} /> {t`Customer reads and signs`}
            </Button>
          </ForRole>
        ) : (
          <p className="flex items-center gap-3 text-body">
            <Lock size={22} className="shrink-0 text-good" />
            <span>
              {t`Signed by`} <strong>{signOff.name}</strong>{' '}
              {signOff.strokes.length === 0 ? t`with the typed name ` : ''}
              {t`at ${clockText(signOff.signedAt)}. What comes now is marked as found later.`}
            </span>
          </p>
        )}
      </div>
    </>
  )
}

function Row({
  finding,
  number,
  place,
  onOpen,
}: {
  readonly finding: Finding
  readonly number: number
  readonly place: string
  readonly onOpen: (id: string) => void
}) {
  const t = useWords()
  const meaning = findingMeanings[finding.kind]
  const first = finding.photos[0]
  return (
    <li className="border-t border-hair">
      <button
        type="button"
        onClick={() => onOpen(finding.id)}
        className="grid w-full grid-cols-[2.125rem_1fr_auto] gap-x-3 px-5 py-2.5 text-left hover:bg-petrol-tint"
      >
        <span
          className={`mt-0.5 flex size-8 items-center justify-center bg-amber text-body font-bold text-paper ${finding.later ? '' : 'rounded-full'}`}
        >
          {number}
        </span>
        <span className="min-w-0 leading-snug">
          <span className="block text-lead font-bold first-letter:uppercase">{t(meaning.says)}</span>
          <span className="block text-body">
            {place}
            {finding.later ? t`, found later` : ''}
          </span>
          <span className="block text-note text-quiet">{t(meaning.follows)}</span>
        </span>
        {first === undefined ? null : (
          <img src={photoUrl(first.smallId)} alt="" className="size-16 object-cover" loading="lazy" />
        )}
      </button>
    </li>
  )
}
