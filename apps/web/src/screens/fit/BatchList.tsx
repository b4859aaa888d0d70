import { strengthWords } from '@truelay/core/mix'
import type { PlannedBatch } from '@truelay/core/plan'
import { Quantity } from '../../ui/Quantity.tsx'

/** What to pour, in the order of pouring, big. */
export function BatchList({ batches }: { readonly batches: readonly PlannedBatch[] }) {
  return (
    <div className="mt-4 grid gap-4">
      {batches.map((batch) => (
        <section key={batch.use} aria-label={batch.says}>
          <h3 className="label-strong border-b border-ink/40 text-[22px]">
            {batch.says}, <Quantity volumeMl={batch.batchMl} />{' '}
            <span className="text-quiet">{strengthWords(batch.strength)}</span>
          </h3>
          <ol>
            {batch.add.map((addition) => (
              <li
                key={addition.what}
                className="flex items-baseline justify-between border-b border-hair py-1 text-[24px]"
              >
                {addition.what}
                <strong className="text-[32px] leading-none">
                  <Quantity volumeMl={addition.ml} />
                </strong>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  )
}
