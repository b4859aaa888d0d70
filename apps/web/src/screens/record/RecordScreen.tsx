import { causeOf, cureStep, faultWords } from '@truelay/core/judge'
import { count, counted, length, minutes, say, temperature, volume } from '@truelay/core/say'
import { bladeUsedWords, pullMadeWords } from '@truelay/core/memory'
import { useWords } from '../../ui/words.ts'
import { becameOf, curedBy, spoilWords, type PartRecord, type Shop } from '@truelay/contract'
import { strengthWords } from '@truelay/core/mix'
import { Download, Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { photoUrl } from '../../remote/photos.ts'
import { useRecordQuery } from '../../remote/recordApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { clockText, dayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useJobContext } from '../job/JobFrame.tsx'
import { PartTabs } from '../job/PartTabs.tsx'

/** What is kept of a part, on paper or screen. */
export function RecordScreen() {
  const t = useWords()
  const { bundle, part } = useJobContext()
  const { data: record, error } = useRecordQuery(part.id, { refetchOnMountOrArgChange: true })
  return (
    <>
      <PartTabs bundle={bundle} stage="record" />
      {record === undefined ? (
        error === undefined ? (
          <Busy text={t`Opening the record`} />
        ) : (
          <Failed {...failureOf(error)} />
        )
      ) : (
        <RecordPaper record={record} shop={bundle.shop} />
      )}
    </>
  )
}

function RecordPaper({ record, shop }: { readonly record: PartRecord; readonly shop: Shop }) {
  const t = useWords()
  const { job, part } = record
  const {
    batchMixed: batches,
    bottleTaken: bottles,
    waitSet: air,
    bladeUsed: strokes,
    problemSeen: problems,
    spoilSettled,
  } = record.lines
  if (record.state === 'not begun')
    return (
      <div className="p-8">
        <h2 className="text-title font-bold">{t`${part.name} has not been begun.`}</h2>
        <p className="mt-1 max-w-xl text-body text-quiet">{t`The record writes itself while you fit: film and lot, batches, every step with its time, gaps before and after.`}</p>
        <Link
          to={`/jobs/${job.id}/lay-sheets/${part.id}`}
          className={`${buttonClass('go')} mt-4`}
        >{t`To the lay sheet`}</Link>
      </div>
    )
  return (
    <div className="min-h-0 flex-1 overflow-auto bg-bench print:overflow-visible">
      <div className="no-print mx-auto flex max-w-[51.25rem] justify-end gap-3 py-3">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> {t`Print`}
        </Button>
        <a
          href={`/api/parts/${part.id}/record.pdf`}
          className={buttonClass('go')}
          download={`${job.number}-${part.id}.pdf`}
        >
          <Download size={18} aria-hidden="true" /> {t`PDF`}
        </a>
      </div>
      <article className="mx-auto mb-8 max-w-[51.25rem] border border-hair bg-paper px-12 py-9 print:border-0 print:p-0">
        <header className="flex items-start justify-between gap-6 border-b-2 border-ink pb-3">
          <div>
            <p className="label text-note text-quiet">{t`${shop.name}, record of a fitted part`}</p>
            {shop.address === '' ? null : (
              <p className="whitespace-pre-line text-note leading-tight text-quiet">{shop.address}</p>
            )}
            <h2 className="text-title font-bold leading-tight">
              {job.vehicle.model}, {part.name}
            </h2>
            <p className="text-quiet">{t`Job ${job.number}, ${job.customer}, ${job.vehicle.plate}, ${job.vehicle.colour}`}</p>
          </div>
          <p className="whitespace-nowrap text-right">
            <strong className="block text-head">
              {record.state === 'finished' ? t`Finished` : t`${record.steps.length} of ${record.stepsTotal} steps`}
            </strong>
            {record.startedAt === null ? null : (
              <span className="text-quiet">
                {dayText(record.startedAt)}
                <br />
                {clockText(record.startedAt)}
                {record.finishedAt === null ? t`, not finished` : t` to ${clockText(record.finishedAt)}`}
              </span>
            )}
          </p>
        </header>

        <Part title={t`Film`}>
          <Line label={t`film`}>
            <strong>{record.film.name}</strong>, {record.film.type}
          </Line>
          <Line label={t`kit and lot`}>
            {record.kit === null ? t`cut from the roll` : t`${record.kit}, piece ${record.piece}`}
            {record.lot === null ? null : (
              <>
                {t`, lot`} <strong>{record.lot}</strong>
              </>
            )}
          </Line>
          <Line label={t`room`}>
            <Quantity of={temperature(job.room.temperatureC, 1)} />, {job.room.humidityPercent} %
          </Line>
          {record.schools.map((s) => (
            <Line key={t(s.question)} label={t(s.question)}>
              {t(s.choice)}
            </Line>
          ))}
          {record.light === null ? null : <Line label={t`light`}>{t(record.light)}</Line>}
        </Part>

        {batches.length === 0 ? null : (
          <Part title={t`Batches`}>
            {batches.map((b) => (
              <Line key={`${b.number}-${b.at}`} label={b.number}>
                {t(b.says)}, <Quantity of={volume(b.batchMl)} />, {t(strengthWords(b))}
                <span className="text-quiet">
                  , {b.by}, {clockText(b.at)}
                </span>
              </Line>
            ))}
          </Part>
        )}

        {bottles.length === 0 ? null : (
          <Part title={t`Bottles in hand`}>
            {bottles.map((b) => (
              <Line key={`${b.number}-${b.at}`} label={t`${b.use}, ${b.number}`}>
                {t(b.says)}
                {b.asPlanned ? '' : <strong className="text-amber">{t`, not the planned one`}</strong>}
                <span className="text-quiet">
                  , {b.by}, {clockText(b.at)}
                </span>
              </Line>
            ))}
          </Part>
        )}

        {air.length + strokes.length + record.lines.heatRead.length + record.lines.pullMade.length === 0 ? null : (
          <Part title={t`Air and blades`}>
            {air.map((a) => (
              <Line key={a.at} label={clockText(a.at)}>
                <Quantity of={temperature(a.roomC, 1)} />, {Math.round(a.humidityPercent)} %
                <span className="text-quiet"> {t`(${a.source}): wait of ${Math.round(a.minutes)} min`}</span>
              </Line>
            ))}
            {record.lines.heatRead.map((read) => (
              <Line key={read.at} label={t`thermometer`}>
                {t`${temperature(read.readC)}, planned ${temperature(read.wantedC)}`}
                <span className="text-quiet">{t`, during “${read.during}”, ${read.by}`}</span>
              </Line>
            ))}
            {record.lines.pullMade.map((pull) => (
              <Line key={pull.at} label={t`pull`}>
                {t(pullMadeWords(pull))}
                <span className="text-quiet">
                  , {pull.by}, {clockText(pull.at)}
                </span>
              </Line>
            ))}
            {strokes.length === 0 ? null : <Line label={t`blade`}>{t(bladeUsedWords(strokes))}</Line>}
          </Part>
        )}

        {record.lines.gapsMeasured.length === 0 ? null : (
          <Part title={t`Gaps`}>
            <GapTable record={record} />
          </Part>
        )}

        {problems.length === 0 ? null : (
          <Part title={t`Found during the fit`}>
            {problems.map((p) => (
              <Line key={`${p.at}-${p.place}`} label={t(faultWords(p.problem))}>
                {p.place}
                {p.cause === undefined ? '' : t`, by ${causeOf(p.cause).says}`}
                {t`; ${becameOf(p, record.lines)}`}
                {(curedBy(p, record.lines) ?? []).map((id) => (
                  <span key={id} className="block pl-4 text-quiet">
                    {t(cureStep(id).says)}
                  </span>
                ))}
                {(p.photos ?? []).map((photo) => (
                  <img
                    key={photo.id}
                    src={photoUrl(photo.smallId)}
                    alt={t`${faultWords(p.problem)}, ${p.place}`}
                    className="my-1 mr-2 inline-block size-20 object-cover"
                  />
                ))}
                <span className="text-quiet">{t`, during “${p.during}”, ${p.by}, ${clockText(p.at)}`}</span>
              </Line>
            ))}
            {spoilSettled.map((settled) => (
              <Line key={settled.at} label={t`The piece`}>
                <span className="first-letter:uppercase">{t(spoilWords(settled))}</span>
                <span className="text-quiet">{t`, ${settled.by}, ${clockText(settled.at)}`}</span>
              </Line>
            ))}
          </Part>
        )}

        {record.lines.photographed.length === 0 ? null : (
          <Part title={t`Before and after`}>
            {record.lines.photographed.map(({ at, by, when, photo }) => (
              <figure key={photo.id} className="mr-4 inline-block">
                <img
                  src={photoUrl(photo.smallId)}
                  alt={when === 'before' ? t`The part before the fit` : t`The part after the fit`}
                  className="h-36 w-48 object-cover"
                />
                <figcaption className="text-quiet">
                  {when === 'before' ? t`before` : t`after`}, {by}, {clockText(at)}
                </figcaption>
              </figure>
            ))}
          </Part>
        )}

        {record.lines.lookedAt.length === 0 ? null : (
          <Part title={t`The last look`}>
            <LastLook record={record} />
          </Part>
        )}

        <Part title={t`Steps, ${record.steps.length} of ${record.stepsTotal}`}>
          <WorkedLine steps={record.steps} />
          {record.steps.map((s) => (
            <Line key={`${s.at}-${t(s.headline)}`} label={clockText(s.at)}>
              {t(s.headline)}
              <span className="text-quiet">, {s.by}</span>
              {s.workedMinutes === null ? null : (
                <span className="text-quiet">{t`, ${minutes(Math.round(s.workedMinutes))}, planned ${minutes(Math.round(s.plannedMinutes))}`}</span>
              )}
              {s.earlySeconds === null ? null : (
                <span className="text-amber">
                  {' '}
                  {t`(wait after it cut short by ${Math.ceil(s.earlySeconds / 60)} min)`}
                </span>
              )}
            </Line>
          ))}
        </Part>

        {record.aftercare.length === 0 ? null : (
          <Part title={t`What the customer was told`}>
            {record.aftercare.map((words) => (
              <p key={t(words)} className="py-1">
                {t(words)}
              </p>
            ))}
          </Part>
        )}
        {shop.warranty === '' ? null : (
          <Part title={t`What the shop promises`}>
            <p className="whitespace-pre-line py-1">{shop.warranty}</p>
            {shop.warrantyLevel === undefined || shop.warrantyLevel === '' ? null : (
              <p className="whitespace-pre-line py-1">{t`For what lies flat: ${shop.warrantyLevel}`}</p>
            )}
          </Part>
        )}
      </article>
    </div>
  )
}

/** All of the work against its plan, by the steps that tell. */
function WorkedLine({ steps }: Pick<PartRecord, 'steps'>) {
  const t = useWords()
  const told = steps.filter((step) => step.workedMinutes !== null)
  if (told.length === 0) return null
  const worked = told.reduce((sum, step) => sum + (step.workedMinutes ?? 0), 0)
  const planned = told.reduce((sum, step) => sum + step.plannedMinutes, 0)
  return (
    <Line label={t`work`}>
      <strong>{t`${minutes(Math.round(worked))}`}</strong>
      {t`, planned ${minutes(Math.round(planned))}, waits not counted`}
      {told.length === steps.length ? null : (
        <span className="text-quiet">{t`; ${counted(steps.length - told.length, '# step was interrupted', '# steps were interrupted')}`}</span>
      )}
    </Line>
  )
}

/** What was said on the walk round the part, what was read there once more, and the photos. */
function LastLook({ record }: { readonly record: PartRecord }) {
  const t = useWords()
  const looked = record.lines.lookedAt
  const last = [...new Map(looked.map((line) => [line.stop, line])).values()]
  const wrong = last.filter(({ verdict }) => verdict === 'fault').length
  return (
    <>
      <Line label={t`walked round`}>
        {t`${counted(last.length, '# place', '# places')}: ${wrong === 0 ? say`all good` : say`something was found at ${count(wrong)}`}`}
        <span className="text-quiet">{t`, ${looked.at(-1)?.by}, ${clockText(looked.at(-1)?.at ?? '')}`}</span>
      </Line>
      {last
        .flatMap(({ readings }) => readings)
        .map((reading) => (
          <Line key={t(reading.label)} label={t(reading.label)}>
            <strong>{t`${length(reading.measuredMm)}`}</strong>
            <span
              className={reading.right ? 'text-quiet' : 'text-amber'}
            >{t`, wanted ${length(reading.wantedMm)}`}</span>
          </Line>
        ))}
      {last
        .flatMap(({ photos }) => photos)
        .map((photo) => (
          <img
            key={photo.id}
            src={photoUrl(photo.smallId)}
            alt={t`The part after the fit`}
            className="my-1 mr-2 inline-block size-28 object-cover"
          />
        ))}
    </>
  )
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mt-5 break-inside-avoid-page">
      <h3 className="label-strong border-b border-hair pb-0.5 text-lead">{title}</h3>
      <div className="mt-1">{children}</div>
    </section>
  )
}

function Line({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div className="grid break-inside-avoid grid-cols-[9.375rem_1fr] gap-4 py-0.5">
      <span className="block text-quiet first-letter:lowercase">{label}</span>
      <span>{children}</span>
    </div>
  )
}

const mostRounds = 4

/** Rounds of measuring beside each other: before and after at a glance. */
function GapTable({ record }: { readonly record: PartRecord }) {
  const t = useWords()
  const all = record.lines.gapsMeasured
  // The first and the last tell the story; more do not stand side by side on a page.
  const gaps = all.length <= mostRounds ? all : [...all.slice(0, 1), ...all.slice(1 - mostRounds)]
  const labels = [...new Set(gaps.flatMap((round) => round.readings.map((r) => t(r.label))))]
  const tolerance = record.gapToleranceMm ?? 0
  return (
    <>
      <table className="w-full">
        <thead>
          <tr className="label text-left text-note text-quiet">
            <th className="font-medium">{t`place`}</th>
            <th className="text-right font-medium">{t`wanted`}</th>
            {gaps.map((round, i) => (
              <th key={round.at} className="text-right font-medium">
                {i === 0 ? t`first` : i === 1 ? t`after` : t`after ${i}`}, {clockText(round.at)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {labels.map((label) => {
            const wanted = gaps.flatMap((r) => r.readings).find((r) => t(r.label) === label)?.wantedMm
            return (
              <tr key={label} className="border-t border-hair">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {label}
                </th>
                <td className="text-right text-quiet">
                  {wanted === undefined ? '' : <Quantity of={length(wanted)} />}
                </td>
                {gaps.map((round) => {
                  const reading = round.readings.find((r) => t(r.label) === label)
                  const off =
                    reading !== undefined && Math.abs(reading.measuredMm - reading.wantedMm) > tolerance + 1e-9
                  return (
                    <td key={round.at} className={`text-right ${off ? 'font-bold text-amber' : 'font-bold'}`}>
                      {reading === undefined ? '' : <Quantity of={length(reading.measuredMm)} />}
                      {off ? ' ✕' : ''}
                    </td>
                  )
                })}
              </tr>
            )
          })}
        </tbody>
      </table>
      {all.length > gaps.length ? (
        <p className="mt-1 text-quiet">{t`${counted(all.length, '# round', '# rounds')} in all; the first and the last are shown.`}</p>
      ) : null}
      <ul className="mt-1.5">
        {gaps.map((round, i) => (
          <li key={round.at}>
            <span className="text-quiet">{i === 0 ? t`first` : t`after`}:</span> {t(round.words)}
          </li>
        ))}
      </ul>
    </>
  )
}
