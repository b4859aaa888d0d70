import { edgeCodeWords, type PartPlan } from '@truelay/core/plan'
import { length } from '@truelay/core/say'
import { Block } from '../../../ui/Block.tsx'
import { useWords } from '../../../ui/words.ts'

/** How each edge ends, and its rule. */
export function Edges({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  return (
    <Block title={t`Edges`}>
      <ul>
        {plan.edges.map((edge) => (
          <li key={edge.name} className="flex flex-wrap justify-between gap-x-3" title={t(edge.advice)}>
            <span>{edge.label}</span>
            <span className="ml-auto text-right">
              {t(edgeCodeWords[edge.code])}{' '}
              <span className="text-quiet">
                {edge.rule.maxMm < 0
                  ? t`${length(-edge.rule.maxMm)} to ${length(-edge.rule.minMm)} over`
                  : t`${length(edge.rule.minMm)} to ${length(edge.rule.maxMm)}`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </Block>
  )
}
