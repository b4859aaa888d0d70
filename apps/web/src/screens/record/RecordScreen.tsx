import type { PartRecord } from '@truelay/contract'
import { strengthWords } from '@truelay/core/mix'
import { Download, Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useRecordQuery } from '../../remote/api.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { clockText, dayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { useJobContext } from '../job/JobFrame.tsx'
import { PartTabs } from '../job/PartTabs.tsx'

/** What is kept of a part, on paper or screen. */
export function RecordScreen() {
  const { bundle, part } = useJobContext()
  const { data: record, error } = useRecordQuery(part.id, { refetchOnMountOrArgChange: true })
  return (
    <>
      <PartTabs bundle={bundle} stage="record" />
      {record === undefined ? (
        error === undefined ? (
          <Busy text="Opening the record" />
        ) : (
          <Failed {...failureOf(error)} />
        )
      ) : (
        <RecordPaper record={record} shopName={bundle.shop.name} />
      )}
    </>
  )
}

function RecordPaper({ record, shopName }: { readonly record: PartRecord; readonly shopName: string }) {
  const { job, part } = record
  if (record.state === 'not begun')
    return (
      <div className="p-8">
        <h2 className="text-[26px] font-bold">{part.name} has not been begun.</h2>
        <p className="mt-1 max-w-xl text-[17px] text-quiet">
          The record writes itself while you fit: film and lot, batches, every step with its time, gaps before and
          after.
        </p>
        <Link to={`/jobs/${job.id}/lay-sheets/${part.id}`} className={`${buttonClass('go')} mt-4`}>
          To the lay sheet
        </Link>
      </div>
    )
  return (
    <div className="min-h-0 flex-1 overflow-auto bg-bench print:overflow-visible">
      <div className="no-print mx-auto flex max-w-[820px] justify-end gap-3 py-3">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
        <a
          href={`/api/parts/${part.id}/record.pdf`}
          className={buttonClass('go')}
          download={`${job.number}-${part.id}.pdf`}
        >
          <Download size={18} aria-hidden="true" /> PDF
        </a>
      </div>
      <article className="mx-auto mb-8 max-w-[820px] border border-hair bg-paper px-12 py-9 print:border-0 print:p-0">
        <header className="flex items-start justify-between gap-6 border-b-2 border-ink pb-3">
          <div>
            <p className="label text-[15px] text-quiet">{shopName}, record of a fitted part</p>
            <h2 className="text-[30px] font-bold leading-tight">
              {job.vehicle.model}, {part.name}
            </h2>
            <p className="text-quiet">
              Job {job.number}, {job.customer}, {job.vehicle.plate}, {job.vehicle.colour}
            </p>
          </div>
          <p className="whitespace-nowrap text-right">
            <strong className="block text-[22px]">
              {record.state === 'finished' ? 'Finished' : `${record.steps.length} of ${record.stepsTotal} steps`}
            </strong>
            {record.startedAt === null ? null : (
              <span className="text-quiet">
                {dayText(record.startedAt)}
                <br />
                {clockText(record.startedAt)}
                {record.finishedAt === null ? ', not finished' : ` to ${clockText(record.finishedAt)}`}
              </span>
            )}
          </p>
        </header>

        <Part title="Film">
          <Line label="film">
            <strong>{record.film.name}</strong>, {record.film.type}
          </Line>
          <Line label="kit and lot">
            {record.kit}, piece {record.piece}, lot <strong>{record.lot}</strong>
          </Line>
          <Line label="room">
            <Quantity temperatureC={job.room.temperatureC} digits={1} />, {job.room.humidityPercent} %
          </Line>
          {record.schools.map((s) => (
            <Line key={s.question} label={s.question.toLowerCase()}>
              {s.choice}
            </Line>
          ))}
          {record.light === null ? null : <Line label="light">{record.light}</Line>}
        </Part>

        {record.batches.length === 0 ? null : (
          <Part title="Batches">
            {record.batches.map((b) => (
              <Line key={`${b.number}-${b.at}`} label={b.number}>
                {b.says}, <Quantity volumeMl={b.batchMl} />, {strengthWords(b)}
                <span className="text-quiet">
                  , {b.by}, {clockText(b.at)}
                </span>
              </Line>
            ))}
          </Part>
        )}

        {record.bottles.length === 0 ? null : (
          <Part title="Bottles in hand">
            {record.bottles.map((b) => (
              <Line key={`${b.number}-${b.at}`} label={`${b.use}, ${b.number}`}>
                {b.says}
                {b.asPlanned ? '' : <strong className="text-amber">, not the planned one</strong>}
                <span className="text-quiet">
                  , {b.by}, {clockText(b.at)}
                </span>
              </Line>
            ))}
          </Part>
        )}

        {record.air.length + record.blades.segments === 0 ? null : (
          <Part title="Air and blades">
            {record.air.map((a) => (
              <Line key={a.at} label={clockText(a.at)}>
                <Quantity temperatureC={a.roomC} digits={1} />, {Math.round(a.humidityPercent)} %
                <span className="text-quiet">
                  {' '}
                  ({a.source}): wait of {Math.round(a.minutes)} min
                </span>
              </Line>
            ))}
            {record.blades.segments === 0 ? null : (
              <Line label="blade">
                {record.blades.segments} fresh {record.blades.segments === 1 ? 'segment' : 'segments'},{' '}
                <Quantity lengthMm={record.blades.cutMm} digits={0} /> cut
              </Line>
            )}
          </Part>
        )}

        {record.gaps.length === 0 ? null : (
          <Part title="Gaps">
            <GapTable record={record} />
          </Part>
        )}

        {record.problems.length === 0 ? null : (
          <Part title="Found during the fit">
            {record.problems.map((p) => (
              <Line key={`${p.at}-${p.place}`} label={p.problem}>
                {p.place}
                {p.comeBack ? ', come-back list' : ''}
                <span className="text-quiet">
                  , during “{p.during}”, {p.by}, {clockText(p.at)}
                </span>
              </Line>
            ))}
          </Part>
        )}

        <Part title={`Steps, ${record.steps.length} of ${record.stepsTotal}`}>
          {record.steps.map((s) => (
            <Line key={`${s.at}-${s.headline}`} label={clockText(s.at)}>
              {s.headline}
              <span className="text-quiet">, {s.by}</span>
              {s.earlySeconds === null ? null : (
                <span className="text-amber"> (wait after it cut short by {Math.ceil(s.earlySeconds / 60)} min)</span>
              )}
            </Line>
          ))}
        </Part>

        {record.aftercare.length === 0 ? null : (
          <Part title="What the customer was told">
            {record.aftercare.map((words) => (
              <p key={words} className="py-1">
                {words}
              </p>
            ))}
          </Part>
        )}
      </article>
    </div>
  )
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mt-5 break-inside-avoid-page">
      <h3 className="label-strong border-b border-hair pb-0.5 text-[19px]">{title}</h3>
      <div className="mt-1">{children}</div>
    </section>
  )
}

function Line({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div className="grid break-inside-avoid grid-cols-[150px_1fr] gap-4 py-0.5">
      <span className="text-quiet">{label}</span>
      <span>{children}</span>
    </div>
  )
}

/** Every round of measuring beside the others: before and after at a glance. */
function GapTable({ record }: { readonly record: PartRecord }) {
  const labels = [...new Set(record.gaps.flatMap((round) => round.readings.map((r) => r.label)))]
  const tolerance = record.gapToleranceMm ?? 0
  return (
    <>
      <table className="w-full">
        <thead>
          <tr className="label text-left text-[15px] text-quiet">
            <th className="font-medium">place</th>
            <th className="text-right font-medium">wanted</th>
            {record.gaps.map((round, i) => (
              <th key={round.at} className="text-right font-medium">
                {i === 0 ? 'first' : i === 1 ? 'after' : `after ${i}`}, {clockText(round.at)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {labels.map((label) => {
            const wanted = record.gaps.flatMap((r) => r.readings).find((r) => r.label === label)?.wantedMm
            return (
              <tr key={label} className="border-t border-hair">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {label}
                </th>
                <td className="text-right text-quiet">{wanted === undefined ? '' : <Quantity lengthMm={wanted} />}</td>
                {record.gaps.map((round) => {
                  const reading = round.readings.find((r) => r.label === label)
                  const off =
                    reading !== undefined && Math.abs(reading.measuredMm - reading.wantedMm) > tolerance + 1e-9
                  return (
                    <td key={round.at} className={`text-right ${off ? 'font-bold text-amber' : 'font-bold'}`}>
                      {reading === undefined ? '' : <Quantity lengthMm={reading.measuredMm} />}
                      {off ? ' ✕' : ''}
                    </td>
                  )
                })}
              </tr>
            )
          })}
        </tbody>
      </table>
      <ul className="mt-1.5">
        {record.gaps.map((round, i) => (
          <li key={round.at}>
            <span className="text-quiet">{i === 0 ? 'first' : 'after'}:</span> {round.words}
          </li>
        ))}
      </ul>
    </>
  )
}
