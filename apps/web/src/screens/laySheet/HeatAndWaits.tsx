import { temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobId } from '@truelay/contract'
import type { PartPlan } from '@truelay/core/plan'
import type { WaitKind } from '@truelay/core/wait'
import { Link } from 'react-router'
import { Quantity } from '../../ui/Quantity.tsx'
import { heatUseWords } from '../../ui/heatUseWords.ts'
import { minutesWords } from '../../ui/minutesWords.ts'
import { Block } from '../../ui/Block.tsx'

/** How to hold the gun, use by use; the whole of it stands on the view of its own. */
export function HeatBlock({ plan, sheet }: { readonly plan: PartPlan; readonly sheet: string }) {
  const t = useWords()
  const heat = plan.heat
  return (
    <Block title={t`Heat`}>
      {heat.length === 0 ? (
        <p>{t`None on this part.`}</p>
      ) : (
        <ul className="space-y-1.5">
          {heat.map((h) => (
            <li key={h.use} className="leading-snug">
              <span className="flex justify-between gap-3">
                <strong>{t(heatUseWords[h.use])}</strong>
                <strong className="whitespace-nowrap">
                  <Quantity of={temperature((h.leastC + h.mostC) / 2)} />
                </strong>
              </span>
              <span className="text-note">{t(h.words)}</span>
              {h.warning === null ? null : <span className="block text-note text-amber">{t(h.warning)}</span>}
            </li>
          ))}
        </ul>
      )}
      <Link
        to={`${sheet}/heat`}
        className="label-strong inline-block py-1.5 text-note text-petrol underline"
      >{t`Where, and the temperatures`}</Link>
    </Block>
  )
}

const shown: readonly WaitKind[] = ['initialGrab', 'waterLaid', 'beforeTrim', 'beforeWrap', 'fullBond']

/** The waits of this part in the air of now. */
export function WaitsBlock({ plan, jobId }: { readonly plan: PartPlan; readonly jobId: JobId }) {
  const t = useWords()
  const inSteps = new Set(plan.steps.flatMap((s) => (s.wait?.kind === undefined ? [] : [s.wait.kind])))
  const waits = plan.waits.filter((w) => shown.includes(w.kind) && (inSteps.has(w.kind) || w.kind === 'fullBond'))
  return (
    <Block title={t`Waits in this air`}>
      <ul>
        {waits.map((wait) => (
          <li key={wait.kind} className="flex justify-between gap-3">
            <span>
              {t(wait.label)}
              {Math.abs(wait.factor * wait.learned - 1) < 0.04 ? null : (
                <span className="text-quiet">{t`, usually ${minutesWords(wait.usualMinutes)}`}</span>
              )}
            </span>
            <strong className="whitespace-nowrap">{t(minutesWords(wait.minutes))}</strong>
          </li>
        ))}
      </ul>
      <Link
        to={`/jobs/${jobId}/waits`}
        className="label-strong inline-block py-1.5 text-note text-petrol underline"
      >{t`As clock times, and when it may go out`}</Link>
    </Block>
  )
}
