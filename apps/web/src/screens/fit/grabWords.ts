import { type FitEventOf, standing } from '@truelay/contract'
import type { Practice } from '@truelay/core/practice'
import { whyItGrabs } from '@truelay/core/wait'
import type { Air } from '../../bench/useAir.ts'
import type { Fitting } from './fitting.ts'
import { paragraph, say, type Sentence } from '@truelay/core/say'

type Problem = FitEventOf<'problemSeen'>['problem']

/** Why film grabs as it does here and now: the bottles in hand, the air, and how long it has floated; null for other troubles. */
export function grabWords(
  problem: Problem,
  { plan, logged, done, startedAt }: Pick<Fitting, 'plan' | 'logged' | 'done' | 'startedAt'>,
  air: Pick<Air, 'temperatureC' | 'humidityPercent'>,
  practice: Practice,
  now: Date,
): Sentence | null {
  if (problem !== 'grabbed too early' && problem !== 'will not grab') return null
  const strengthOf = (use: 'slip' | 'tack') => {
    const taken = standing({ logged }, 'bottleTaken')
      .filter((b) => b.use === use)
      .at(-1)
    if (taken !== undefined) return { alcoholPercent: taken.alcoholPercent, soapMlPerL: taken.soapMlPerL }
    return plan.solutions.find((s) => s.use === use)?.strength
  }
  const slip = strengthOf('slip')
  if (slip === undefined) return null
  const lastAt = new Date(done[done.length - 1]?.at ?? startedAt)
  const [first] = whyItGrabs(
    problem === 'grabbed too early' ? 'too early' : 'not at all',
    {
      slip,
      tackAlcoholPercent: strengthOf('tack')?.alcoholPercent ?? 0,
      climate: { roomC: air.temperatureC, humidityPercent: air.humidityPercent },
      minutesSinceWet: Math.max(0, (now.getTime() - lastAt.getTime()) / 60_000),
    },
    practice,
  )
  return first === undefined
    ? say`Liquids and air are as usual: look for wax, a coating or dust under it.`
    : paragraph(first.cause, first.change)
}
