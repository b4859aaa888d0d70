import type { FaultKind } from '../judge/index.ts'
import type { ExerciseKind } from './exercise.ts'

/** What a real fit left to be learned. */
export interface Mistake {
  readonly kind: ExerciseKind
  readonly fault: FaultKind
  /** ISO moment of the fit. */
  readonly at: string
}

/** What a finished fit tells of the hand that made it. */
export interface FitSeen {
  readonly hand: string
  readonly at: string
  /** Where fingers were seen. */
  readonly fingersAt: readonly string[]
  readonly faults: readonly string[]
}

/** The exercise that teaches most of what leads to each fault. What spoils a lens, and what comes from a blade, none of them teaches. */
const taughtIn: Readonly<Record<FaultKind, ExerciseKind | null>> = {
  fingers: 'lay',
  crease: 'lay',
  'overheated wrinkle': 'gun',
  'stuck to itself': null,
  'air bubble': 'what',
  'water bubble': 'what',
  haze: 'mix',
  silvering: 'what',
  'dirt or hair': 'what',
  'dust under film': 'what',
  fingerprint: 'what',
  'glue line': 'lay',
  'stop line': 'what',
  'lifting edge': 'gun',
  'lifting after the cut': 'gun',
  bridging: 'lay',
  'knife mark': null,
  'jagged cut': null,
  'uncut bridge': null,
  'gap uneven': 'gaps',
  'off its mark': 'gaps',
  'chrome showing': 'gaps',
  'colour seam showing': 'gaps',
  'pattern warped': 'lay',
  'grabbed too early': 'mix',
  'will not grab': 'mix',
  'torn piece': null,
  'burnt film': 'gun',
  'lens crazed': null,
}

/** So far back a fit still says what to practise, days. */
export const mistakesForDays = 60

/** What went wrong in the fits of one person, the latest first. */
export function mistakesOf(fits: readonly FitSeen[], hand: string, now: string): Mistake[] {
  const since = Date.parse(now) - mistakesForDays * 86_400_000
  return fits
    .filter((fit) => fit.hand === hand && Date.parse(fit.at) >= since)
    .flatMap(({ at, faults, fingersAt }) =>
      [...faults, ...(fingersAt.length > 0 ? ['fingers'] : [])].flatMap((fault) => {
        const kind = taughtIn[fault as FaultKind] ?? null
        return kind === null ? [] : [{ kind, fault: fault as FaultKind, at }]
      }),
    )
    .sort((a, b) => b.at.localeCompare(a.at))
}
