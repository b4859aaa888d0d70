import type { PartPlan } from '@truelay/core/plan'
import { percent } from '@truelay/core/say'
import { Quantity } from '../../../ui/Quantity.tsx'
import { Block } from '../../../ui/Block.tsx'
import { pullWords } from './pullWords.ts'
import { useWords } from '../../../ui/words.ts'

/** Where film has to be pulled, and how far. */
export function Pulls({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  return (
    <Block title={t`Pull`}>
      {plan.pulls.length === 0 ? (
        <p>{t`Nowhere: it lies down by itself.`}</p>
      ) : (
        <ul>
          {plan.pulls.map((pull) => (
            <li key={pull.letter} className="flex justify-between gap-3">
              <span>
                <strong>{pull.letter}</strong> {t(pullWords(pull, plan))}
              </span>
              <strong className="whitespace-nowrap">
                <Quantity of={percent(pull.percent, 1)} />
              </strong>
            </li>
          ))}
        </ul>
      )}
    </Block>
  )
}
