import { Heading } from '../../ui/Title.tsx'
import { wholeFailure } from '@truelay/core/result'
import { say, type Sentence, temperature, percent } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobBundle } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { dewPointC, type WaitKind, waitNow, usualClimate } from '@truelay/core/wait'
import { CalendarPlus } from 'lucide-react'
import { useMemo } from 'react'
import { useLearnedQuery } from '../../remote/airApi.ts'
import { useBayQuery } from '../../remote/api.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useNow } from '../../ui/useNow.ts'
import { useJobContext } from '../job/JobFrame.tsx'
import { useAir } from '../../bench/useAir.ts'
import { BondCourse } from './BondCourse.tsx'
import { minutesWords, whenWords } from '../../ui/minutesWords.ts'
import { PartsBonding } from './PartsBonding.tsx'
import { ReleaseAdvice } from './ReleaseAdvice.tsx'

/** What each wait is for, and from when it counts. */
const rows: readonly { readonly kind: WaitKind; readonly says: Sentence }[] = [
  { kind: 'initialGrab', says: say`Before heat or a finger comes near the edge.` },
  { kind: 'beforeWrap', says: say`Before an edge is turned. Or steam it and press with a towel.` },
  { kind: 'beforeTrim', says: say`Before a wet lens or edge is cut.` },
  { kind: 'waterLaid', says: say`Lens tint laid on clean water.` },
  { kind: 'haze', says: say`Small haze and pin-size bubbles are gone; larger pockets want a syringe.` },
  { kind: 'edgeLook', says: say`Press and look at edges until then.` },
  { kind: 'beforeWash', says: say`No washing, no solvents until then.` },
  { kind: 'fullBond', says: say`The adhesive has wetted out.` },
]

/** The waits of a job in the air of now, as clock times; bond over days; when the vehicle may go out. */
export function WaitsScreen() {
  const t = useWords()
  const { bundle } = useJobContext()
  const { job, shop } = bundle
  const now = useNow(15_000)
  const air = useAir(job)
  const practice = useMemo(() => practiceWith(shop.practice), [shop.practice])
  const { data: learned } = useLearnedQuery()
  const climate = { roomC: air.temperatureC, humidityPercent: air.humidityPercent }
  const tackPercent = practice.weakTackAlcohol
  const finishedAt = useFinishedAt(bundle) ?? now
  const dewC = dewPointC(air.temperatureC, Math.max(1, air.humidityPercent))
  return (
    <div className="flex-1 lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] lg:overflow-auto">
      <section aria-labelledby="waits-title" className="border-hair px-6 py-4 lg:border-r">
        <Heading id="waits-title">{t`Waits in this air`}</Heading>
        <p className="text-body text-quiet">{t`At ${temperature(air.temperatureC)} and ${Math.round(air.humidityPercent)} %. Water settles on parts colder than ${temperature(dewC)}.`}</p>
        <ul className="mt-2">
          {rows.map(({ kind, says }) => {
            const factor = learned?.waits.find((w) => w.kind === kind)
            const atEdge = kind === 'initialGrab' || kind === 'beforeWrap' || kind === 'beforeTrim'
            const wait = waitNow(
              { kind, ...climate, alcoholPercent: atEdge ? tackPercent : undefined, learned: factor?.factor },
              practice,
            )
            if (!wait.ok)
              return (
                <li key={kind}>
                  <Notice look="stop" role="alert">
                    {t(wholeFailure(wait.failure))}
                  </Notice>
                </li>
              )
            const { label, minutes, usualMinutes } = wait.value
            const ratio = minutes / usualMinutes
            return (
              <li
                key={kind}
                data-testid={`wait-${kind}`}
                className="grid grid-cols-[1fr_auto] items-baseline gap-x-5 border-t border-hair py-2"
              >
                <p className="text-lead leading-snug">
                  <strong className="block first-letter:uppercase">{t(label)}</strong>
                  <span className="block text-note text-quiet">
                    {t(says)}{' '}
                    {Math.abs(ratio - 1) < 0.04
                      ? t`As usual.`
                      : t`Usually ${minutesWords(usualMinutes)}; ${ratio > 1 ? t`${ratio.toFixed(1)} times as long` : t`${Math.round(100 * ratio)} % of it`} now.`}
                    {factor === undefined
                      ? ''
                      : t` Learned from ${factor.answers} ${factor.answers === 1 ? t`answer` : t`answers`}.`}
                  </span>
                </p>
                <p className="text-right">
                  <strong className={`text-title leading-none ${ratio > 1.5 ? 'text-amber' : ''}`}>
                    {t(minutesWords(minutes))}
                  </strong>
                  <span className="block text-note text-quiet">
                    {minutes < 300 ? t`from now ` : ''}
                    {whenWords(new Date((minutes < 300 ? now : finishedAt).getTime() + minutes * 60_000), now)}
                  </span>
                </p>
              </li>
            )
          })}
        </ul>
        <p className="mt-3 text-note leading-snug text-quiet">{t`Drying by the air’s room for water (and the vapour of the alcohol), the rest by the adhesive’s creep; through the shop’s own figures at ${temperature(usualClimate.roomC)} and ${percent(usualClimate.humidityPercent)}. A model: press and look before you go on.`}</p>
      </section>
      <div className="min-w-0 px-6 py-4">
        <ReleaseAdvice job={job} room={climate} finishedAt={finishedAt} practice={practice} />
        <section aria-labelledby="bond-title" className="mt-5 border-t border-hair pt-4">
          <Heading id="bond-title">{t`Bond over the days`}</Heading>
          <div className="h-[12.5rem]">
            <BondCourse room={climate} practice={practice} />
          </div>
        </section>
        <PartsBonding bundle={bundle} now={now} room={climate} practice={practice} />
        <section aria-labelledby="looks-title" className="mt-4 border-t border-hair pt-4">
          <Heading id="looks-title">{t`Edge looks`}</Heading>
          <p className="text-body">
            {t`Three times over ${Math.round(practice.waitEdgeLook / 60)} hours after each part, the last one`}{' '}
            <strong>{whenWords(new Date(finishedAt.getTime() + practice.waitEdgeLook * 60_000), now)}</strong>.
          </p>
          <a href={`/api/jobs/${job.id}/edge-looks.ics`} className={`${buttonClass('plain')} mt-3`} download>
            <CalendarPlus size={20} aria-hidden="true" /> {t`Into the calendar`}
          </a>
        </section>
      </div>
    </div>
  )
}

/** When the last part of the job was finished; null while none is. */
function useFinishedAt({ job }: JobBundle): Date | null {
  const { data: bay } = useBayQuery()
  const times = (bay?.jobs.find((j) => j.job.id === job.id)?.parts ?? []).flatMap((p) =>
    p.finishedAt === null ? [] : [p.finishedAt],
  )
  const last = times.sort()[times.length - 1]
  return useMemo(() => (last === undefined ? null : new Date(last)), [last])
}
