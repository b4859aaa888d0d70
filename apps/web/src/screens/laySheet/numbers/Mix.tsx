import { ingredientWords, strengthWords } from '@truelay/core/mix'
import type { PartPlan } from '@truelay/core/plan'
import { volume } from '@truelay/core/say'
import { Link } from 'react-router'
import { Block } from '../../../ui/Block.tsx'
import { Quantity } from '../../../ui/Quantity.tsx'
import { useWords } from '../../../ui/words.ts'
import { useLaidPart } from '../LaidFrame.tsx'
import { LiquidChoice } from './LiquidChoice.tsx'

/** The liquids of this part: how strong, and how much of what. */
export function Mix({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  const { bundle, part } = useLaidPart()
  const { lensRules } = bundle.shop
  return (
    <Block title={t`Mix for this part`}>
      {plan.solutions.length === 0 ? (
        <p>{t`Nothing: it is laid dry. The part must be bone dry.`}</p>
      ) : (
        <ul className="space-y-1.5">
          {plan.solutions.map((batch) => (
            <li key={batch.use}>
              <p className="flex justify-between gap-3">
                <span>
                  {t(batch.says)} <span className="text-quiet">{t(strengthWords(batch.strength))}</span>
                </span>
                <strong>
                  <Quantity of={volume(batch.batchMl)} />
                </strong>
              </p>
              <p className="text-note text-quiet">
                {batch.add.map((a, i) => (
                  <span key={a.what}>
                    {i > 0 ? ' + ' : ''}
                    {t(ingredientWords[a.what])} <Quantity of={volume(a.ml)} />
                  </span>
                ))}
              </p>
            </li>
          ))}
        </ul>
      )}
      <LiquidChoice />
      {plan.light === null ? null : (
        <>
          <p className="mt-2 border-t border-hair pt-2 text-note leading-snug">{t(plan.light.words)}</p>
          {lensRules === '' ? null : (
            <p className="mt-1 whitespace-pre-line border-l-5 border-amber pl-3 text-note leading-snug">{lensRules}</p>
          )}
          <Link
            to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}/light`}
            className="label-strong flex min-h-11 items-center text-body text-petrol underline"
          >{t`How dark it is wished, and who has read it`}</Link>
        </>
      )}
    </Block>
  )
}
