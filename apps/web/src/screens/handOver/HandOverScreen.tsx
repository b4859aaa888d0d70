import type { HandOver, JobBundle } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { CalendarPlus, Download } from 'lucide-react'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useAir } from '../../bench/useAir.ts'
import { earliestEnd, useRelease } from '../../bench/useRelease.ts'
import { useHandOverQuery } from '../../remote/handOverApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { clockText, dayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { heldTogether } from '../../ui/heldTogether.ts'
import { whenWords } from '../../ui/minutesWords.ts'
import { Notice } from '../../ui/Notice.tsx'
import { BondCourse } from '../waits/BondCourse.tsx'
import { Heading } from '../../ui/Title.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useWords } from '../../ui/words.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { CloseJob } from './CloseJob.tsx'
import { HandedParts } from './HandedParts.tsx'

/** One screen closes a job: what was done, what stands in the way, what its owner is told, and who takes it. */
export function HandOverScreen() {
  const t = useWords()
  const { bundle } = useJobContext()
  const { data: sheet, error } = useHandOverQuery(bundle.job.id, { refetchOnMountOrArgChange: true })
  if (sheet === undefined)
    return error === undefined ? <Busy text={t`Looking at the parts`} /> : <Failed {...failureOf(error)} />
  return (
    <div className="grid flex-1 gap-x-10 gap-y-6 overflow-y-auto px-6 py-5 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <div>
        <OutOfTheShop bundle={bundle} sheet={sheet} />
        <HandedParts sheet={sheet} jobId={bundle.job.id} />
        {sheet.told === null ? null : <Bonding bundle={bundle} />}
      </div>
      <div>
        <Told bundle={bundle} sheet={sheet} />
        <Papers bundle={bundle} sheet={sheet} />
        <CloseJob bundle={bundle} sheet={sheet} />
      </div>
    </div>
  )
}

interface SheetProps {
  readonly bundle: JobBundle
  readonly sheet: HandOver
}

/** When it may go out, held against what was promised. */
function OutOfTheShop({ bundle, sheet }: SheetProps) {
  const t = useWords()
  const { job, shop } = bundle
  const now = useNow(30_000)
  const air = useAir(job)
  const practice = useMemo(() => practiceWith(shop.practice), [shop.practice])
  const { release } = useRelease({
    room: { roomC: air.temperatureC, humidityPercent: air.humidityPercent },
    finishedAt: earliestEnd(sheet.parts, now),
    practice,
    expectedC: null,
  })
  const dueAt = new Date(job.dueAt)
  const open = sheet.parts.some(({ finishedAt }) => finishedAt === null)
  if (job.closedAt !== null)
    return (
      <section aria-labelledby="out-title">
        <Heading id="out-title">{t`Out of the shop`}</Heading>
        <p className="mt-1 text-figure font-bold leading-none">{dayText(job.closedAt)}</p>
        <p className="mt-1.5 text-lead">{t`at ${clockText(job.closedAt)}; promised for ${dayText(dueAt)}, ${clockText(dueAt)}.`}</p>
      </section>
    )
  return (
    <section aria-labelledby="out-title">
      <Heading id="out-title">{t`Out of the shop`}</Heading>
      {release === null || !release.ok ? (
        <p className="mt-1 text-lead">
          {t`Promised for ${whenWords(dueAt, now)}. No forecast is to be had.`}{' '}
          <Link
            to={`/jobs/${job.id}/waits`}
            className="inline-flex min-h-11 items-center text-petrol underline"
          >{t`Say how cold it gets`}</Link>
        </p>
      ) : (
        <>
          <p className="mt-1 text-figure font-bold leading-none">{whenWords(release.value.at, now)}</p>
          <p className="mt-1.5 text-lead leading-snug">
            {open ? t`At the earliest, if all were done now.` : null} {heldTogether(t(release.value.because))}
          </p>
          {release.value.at > dueAt ? (
            <div className="mt-2">
              <Notice look="caution" role="status">
                <strong>{t`Promised for ${whenWords(dueAt, now)}: tell the customer, or warm the room until then.`}</strong>
              </Notice>
            </div>
          ) : (
            <p className="mt-1 text-body text-good">{t`As promised: ${whenWords(dueAt, now)}.`}</p>
          )}
        </>
      )}
    </section>
  )
}

/** How the bond grows from the last part on. */
function Bonding({ bundle: { job, shop } }: Pick<SheetProps, 'bundle'>) {
  const t = useWords()
  const { temperatureC: roomC, humidityPercent } = useAir(job)
  const practice = useMemo(() => practiceWith(shop.practice), [shop.practice])
  return (
    <section aria-labelledby="bonding-title" className="mt-6">
      <Heading id="bonding-title">{t`Bond over the days`}</Heading>
      <div className="mt-1 h-[12.5rem]">
        <BondCourse room={{ roomC, humidityPercent }} practice={practice} />
      </div>
    </section>
  )
}

/** What the owner is told, the dates first. */
function Told({ bundle: { job }, sheet: { told } }: SheetProps) {
  const t = useWords()
  return (
    <section aria-labelledby="told-title">
      <Heading id="told-title">{t`To the owner`}</Heading>
      {told === null ? (
        <p className="mt-1 text-lead text-quiet">
          {job.visitOf === undefined
            ? t`Once a part is finished, the dates stand here.`
            : t`Nothing was lifted or warmed on this visit: what was said before still holds.`}
        </p>
      ) : (
        <>
          <dl className="mt-2 grid grid-cols-3 gap-4">
            <OnDay of={told.washFrom} label={t`washing from`} />
            <OnDay dayOnly of={told.edgesUntil} label={t`edges looked at until`} />
            <OnDay dayOnly of={told.bondedAt} label={t`holds fully from`} />
          </dl>
          <ul className="mt-3 space-y-2">
            {told.lines.map(({ about, says }) => (
              <li key={about} className="border-l-5 border-petrol pl-3 text-body leading-snug">
                {t(says)}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

interface OnDayProps {
  readonly of: string
  readonly label: string
  readonly dayOnly?: boolean
}

function OnDay({ of, label, dayOnly = false }: OnDayProps) {
  return (
    <div className="flex flex-col-reverse justify-end">
      <dt className="label text-body text-quiet">{label}</dt>
      <dd className="text-head font-bold leading-tight">
        {dayText(of)} {dayOnly ? null : <span className="whitespace-nowrap">{clockText(of)}</span>}
      </dd>
    </div>
  )
}

function Papers({ bundle: { job }, sheet }: SheetProps) {
  const t = useWords()
  const begun = sheet.parts.some(({ state }) => state !== 'waiting')
  return (
    <section aria-label={t`Papers`} className="mt-5 flex flex-wrap gap-3">
      <a
        href={`/api/jobs/${job.id}/hand-over.pdf`}
        download={`hand-over-${job.number}.pdf`}
        className={buttonClass('plain')}
      >
        <Download size={18} aria-hidden="true" /> {t`Page for the owner`}
      </a>
      {begun ? (
        <a
          href={`/api/jobs/${job.id}/record.pdf`}
          download={`record-${job.number}.pdf`}
          className={buttonClass('plain')}
        >
          <Download size={18} aria-hidden="true" /> {t`Whole record`}
        </a>
      ) : null}
      {sheet.looks.length > 0 ? (
        <a href={`/api/jobs/${job.id}/edge-looks.ics`} download className={buttonClass('plain')}>
          <CalendarPlus size={18} aria-hidden="true" /> {t`Edge looks into the calendar`}
        </a>
      ) : null}
    </section>
  )
}
