import type { Practice } from '../practice/index.ts'
import { done, failure, outOfRange, type Result, refused } from '../result/index.ts'
import { bondOver } from './bond.ts'
import { type Climate, climateProblem } from './climate.ts'
import { hours, say, type Sentence, temperature } from '../say/index.ts'

/** What is forecast outside from a moment on. */
export interface ForecastHour {
  readonly at: Date
  readonly temperatureC: number
}

export interface ReleaseQuestion {
  /** When the last edge was finished. */
  readonly finishedAt: Date
  readonly room: Climate
  /** In order of time, an hour apart or so. */
  readonly forecast: readonly ForecastHour[]
}

export interface Release {
  readonly at: Date
  readonly kind: 'same day' | 'after a night indoors' | 'later'
  /** Share of the final bond by then. */
  readonly bondFraction: number
  /** Lowest outside temperature while the film is still young, after the release. */
  readonly coldestC: number
  readonly because: Sentence
}

const hourMs = 3_600_000

/**
 * The first hour at which the vehicle may go outside: either the film has grabbed and the hours after stay above the shop's limit,
 * or it has spent a night's worth of room air indoors. Can be refused: `WAIT_NO_FORECAST`, `WAIT_OUT_OF_RANGE`.
 */
export function releaseAt({ finishedAt, room, forecast }: ReleaseQuestion, practice: Practice): Result<Release> {
  const problem = climateProblem(room)
  if (problem !== null) return refused(problem)
  const ahead = forecast
    .filter((hour) => hour.at.getTime() > finishedAt.getTime() - hourMs)
    .sort((a, b) => a.at.getTime() - b.at.getTime())
  const [first, last] = [ahead[0], ahead[ahead.length - 1]]
  const watchHours = practice.releaseWatch / 60
  if (first === undefined || last === undefined || last.at.getTime() < finishedAt.getTime() + watchHours * hourMs)
    return refused(failure('WAIT_NO_FORECAST', {}))
  const bondAt = (at: Date) =>
    bondOver([{ minutes: Math.max(0, at.getTime() - finishedAt.getTime()) / 60_000, climate: room }], practice)
  const coldestFrom = (at: Date) =>
    Math.min(
      ...ahead
        .filter(
          (h) => h.at.getTime() >= at.getTime() - hourMs / 2 && h.at.getTime() <= at.getTime() + watchHours * hourMs,
        )
        .map((h) => h.temperatureC),
    )
  const nightBond = bondOver(
    [{ minutes: practice.releaseIndoors, climate: { roomC: 20, humidityPercent: 50 } }],
    practice,
  )
  const grabBond = bondOver([{ minutes: practice.releaseLeast, climate: { roomC: 20, humidityPercent: 50 } }], practice)
  for (let quarter = 0; quarter <= 4 * 24 * 7; quarter++) {
    const at = new Date(finishedAt.getTime() + (quarter * hourMs) / 4)
    const bondFraction = bondAt(at)
    const coldestC = coldestFrom(at)
    // What nobody has forecast is not promised.
    const foreseen = last.at.getTime() >= at.getTime() + watchHours * hourMs - hourMs / 2
    if (bondFraction >= grabBond && foreseen && coldestC >= practice.releaseOutside)
      return done({
        at,
        kind: at.getTime() - finishedAt.getTime() < 12 * hourMs ? 'same day' : 'later',
        bondFraction,
        coldestC,
        because: say`Outside stays at ${temperature(coldestC)} or more for ${hours(Math.round(watchHours))} after.`,
      })
    if (bondFraction >= nightBond) {
      const coldest = Number.isFinite(coldestC) ? coldestC : last.temperatureC
      return done({
        at,
        kind: 'after a night indoors',
        bondFraction,
        coldestC: coldest,
        because:
          coldest < practice.releaseOutside
            ? say`Outside goes down to ${temperature(coldest)}, below ${temperature(practice.releaseOutside)}: it stays indoors until the adhesive holds.`
            : say`The forecast does not reach as far as the film is young: it stays indoors until the adhesive holds.`,
      })
    }
  }
  return refused(outOfRange('WAIT_OUT_OF_RANGE', say`room temperature`, temperature, [room.roomC, 5, 50]))
}
