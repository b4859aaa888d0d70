import {
  bothHands,
  type Done,
  type Hands,
  type Morning,
  morningStepWords,
  type MorningTask,
} from '@truelay/core/exercises'
import { minutes } from '@truelay/core/say'
import { useWords } from '../ui/words.ts'

interface MorningBoardProps {
  readonly label: string
  readonly task: MorningTask
  readonly morning: Morning
  readonly names: readonly [string, string]
  /** How many minutes the board is wide. */
  readonly span: number
}

/** By these a vehicle is known again. */
const shades = ['bg-petrol', 'bg-violet', 'bg-good'] as const
export const shadeOfVehicle = (vehicle: number): string => shades[vehicle % shades.length] ?? shades[0]

const tickMinutes = 30
/** A figure further to the right than this would be cut off. */
const tickEnds = 0.98

/** Two people over the minutes of a morning, and when the gun is in somebody's hands. */
export function MorningBoard({ label, task, morning, names, span }: MorningBoardProps) {
  const t = useWords()
  const share = (of: number) => `${((100 * of) / span).toFixed(3)}%`
  const ticks = Array.from({ length: Math.floor(span / tickMinutes) + 1 }, (_, i) => i * tickMinutes)
  return (
    <section aria-label={label} className="grid grid-cols-[6.5rem_1fr] items-center gap-x-3 gap-y-1.5">
      <h2 className="label-strong text-lead leading-tight">
        {label} <span className="block text-note text-quiet">{t`minutes`}</span>
      </h2>
      <div className="relative h-6 self-end" aria-hidden="true">
        {ticks
          .filter((at) => at < tickEnds * span)
          .map((at) => (
            <span
              key={at}
              className={`absolute whitespace-nowrap text-note text-quiet ${at === 0 ? '' : '-translate-x-1/2'}`}
              style={{ left: share(at) }}
            >
              {at}
            </span>
          ))}
      </div>
      {bothHands.map((hands) => (
        <Row key={hands} name={names[hands]} hands={hands} task={task} morning={morning} share={share} />
      ))}
    </section>
  )
}

interface RowProps {
  readonly name: string
  readonly hands: Hands
  readonly task: MorningTask
  readonly morning: Morning
  readonly share: (minutes: number) => string
}

function Row({ name, hands, task, morning, share }: RowProps) {
  const t = useWords()
  const workOf = (one: Done) => task.works.find((work) => work.id === one.work)
  return (
    <>
      <span className="truncate text-lead font-bold">{name}</span>
      <ol className="relative h-12 bg-bench" aria-label={t`Work of ${name}`}>
        {morning.done
          .filter((one) => one.hands === hands)
          .map((one) => {
            const work = workOf(one)
            if (work === undefined) return null
            const step = morningStepWords[work.step]
            return (
              <li
                key={one.work}
                className={`absolute inset-y-0 overflow-hidden border-r border-paper px-1 text-on-petrol ${shadeOfVehicle(work.vehicle)}`}
                style={{ left: share(one.from), width: share(one.to - one.from) }}
              >
                <span className="sr-only">
                  {t`Vehicle ${work.vehicle + 1}: ${step}, from ${minutes(one.from)} to ${minutes(one.to)}`}
                </span>
                <span aria-hidden="true" className="block text-note leading-tight">
                  <strong className="block text-body leading-none">{work.vehicle + 1}</strong>
                  {t(step)}
                </span>
                {work.gun ? <span aria-hidden="true" className="absolute inset-x-0 bottom-0 h-1 bg-amber" /> : null}
              </li>
            )
          })}
      </ol>
    </>
  )
}
