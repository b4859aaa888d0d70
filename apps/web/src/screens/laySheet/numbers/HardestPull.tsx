import type { PartPlan } from '@truelay/core/plan'
import { percent } from '@truelay/core/say'
import { Quantity } from '../../../ui/Quantity.tsx'
import { Notice } from '../../../ui/Notice.tsx'
import { useWords } from '../../../ui/words.ts'
import type { PlacedMargins } from '../usePlacedMargins.ts'
import { heatOfPull } from './pullWords.ts'

/** Room that makes the margin the lesser worry, mm, and stretch from which a pull is the greater one, per cent. */
const easyRoomMm = 3
const hardPullPercent = 2

/** Whether stretch is the hard part and not the margin. */
export const pullDecides = (plan: PartPlan, placed: PlacedMargins) =>
  (placed.edges[0]?.outsideMm ?? 0) < -easyRoomMm && (plan.pulls[0]?.percent ?? 0) >= hardPullPercent

/** Where stretch is the hard part, it comes first. */
export function HardestPull({ plan, placed }: { readonly plan: PartPlan; readonly placed: PlacedMargins }) {
  const t = useWords()
  const pull = plan.pulls[0]
  if (pull === undefined || !pullDecides(plan, placed)) return null
  const edge = plan.edges.find((e) => e.name === pull.edge)?.label ?? pull.edge
  return (
    <section className="border-b border-hair px-4 pb-3 pt-3">
      <h3 className="label text-note text-quiet">{t`Hardest pull, ${pull.letter}`}</h3>
      <p className="flex items-baseline gap-2.5">
        <strong className="text-figure leading-none">
          <Quantity of={percent(pull.percent, 1)} bare />
        </strong>
        <span className="text-body text-quiet">
          {pull.way === 'towards'
            ? t`% longer towards the ${edge}, ${heatOfPull[pull.heat]}`
            : t`% longer along the ${edge}, ${heatOfPull[pull.heat]}`}
        </span>
      </p>
      {pull.glueLineRisk ? (
        <div className="mt-2">
          <Notice look="caution">{t`Let it relax before laying: this much leaves a glue line if it is laid at once.`}</Notice>
        </div>
      ) : null}
    </section>
  )
}
