import { faultStageOf, type JobBundle, type Part, whatIsKnown } from '@truelay/contract'
import type { Vec2 } from '@truelay/core/geometry'
import { boundsOf } from '@truelay/core/geometry'
import { type FaultAnswers, type FaultKind, type Judgement, judgeFault } from '@truelay/core/judge'
import type { FindingKind, NamedPlace, PlanStep } from '@truelay/core/plan'
import type { PartKnown } from '@truelay/core/memory'
import { practiceWith } from '@truelay/core/practice'
import type { Result } from '@truelay/core/result'
import { useMemo } from 'react'
import type { Air } from '../../../bench/useAir.ts'
import type { Fitting } from '../fitting.ts'

export interface WrongThere {
  readonly fault: FaultKind
  readonly place: Pick<NamedPlace, 'edge'>
  readonly at: Vec2 | null
  readonly answers: FaultAnswers
  /** What the thermometer read there. */
  readonly readC: number | null
}

interface JudgedParts {
  readonly bundle: JobBundle
  readonly part: Part
  readonly state: Fitting
  readonly step: PlanStep
  readonly air: Pick<Air, 'temperatureC' | 'humidityPercent'>
  readonly seen: WrongThere
  /** What earlier fits say of this part; null while it is worked out. */
  readonly known: PartKnown | null
}

/** What lies all over a part, wherever it was tapped. */
const everywhere = new Set<FindingKind>([
  'coating',
  'repaint',
  'previous film',
  'sprayed tint',
  'out of true',
  'crazed lens',
  'cracked lens',
])
/** Findings are tapped on the unfolded vehicle, and that is not truer than a quarter of the part. */
const nearShare = 0.25

/** What is wrong there, judged from all that is known at this moment. */
export function useJudged({ bundle, part, state, step, air, seen, known }: JudgedParts): Result<Judgement> {
  const { fault, place, at, answers, readC } = seen
  return useMemo(() => {
    const practice = practiceWith(bundle.shop.practice)
    const film = bundle.films.find((f) => f.id === part.filmId)
    const evidence = whatIsKnown({
      state,
      step,
      place,
      at,
      readC,
      ...(film === undefined
        ? {}
        : { film: { glueLineStretch: film.handling.glueLineStretch, damageC: film.damageC } }),
      bladeLastsMm: practice.bladeAlong,
      earlier: known === null ? null : earlierOf(known, fault, place),
      air,
      found: foundNear(bundle, part, state, at),
      answers,
      now: new Date(),
    })
    return judgeFault(
      {
        fault,
        stage: faultStageOf(state),
        school: state.plan.begin,
        film: { ...state.plan.film, ...(film?.patterned === undefined ? {} : { patterned: film.patterned }) },
        evidence,
        takesHeat: state.plan.heat.length > 0,
      },
      practice,
    )
  }, [bundle, part, state, step, air, fault, place, at, answers, readC, known])
}

/** In how many earlier fits the same was seen: fingers at this very edge, anything else somewhere on the part. */
const earlierOf = ({ fits, fingers, faults }: PartKnown, fault: FaultKind, { edge }: Pick<NamedPlace, 'edge'>) => ({
  fits,
  same:
    fault === 'fingers'
      ? (fingers.find(({ place }) => place === edge?.label)?.times ?? 0)
      : (faults.find((seen) => seen.fault === fault)?.times ?? 0),
})

function foundNear(bundle: JobBundle, part: Part, { plan }: Fitting, at: Vec2 | null): FindingKind[] {
  const { min, max } = boundsOf(plan.drawing.part)
  const share = at === null ? null : [(at[0] - min[0]) / (max[0] - min[0]), (max[1] - at[1]) / (max[1] - min[1])]
  return bundle.findings
    .filter(({ partId }) => partId === part.id)
    .filter(
      ({ kind, at: [x, y] }) =>
        everywhere.has(kind) || (share !== null && Math.hypot((share[0] ?? 0) - x, (share[1] ?? 0) - y) <= nearShare),
    )
    .map(({ kind }) => kind)
}
