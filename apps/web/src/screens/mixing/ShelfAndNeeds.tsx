import { Heading } from '../../ui/Title.tsx'
import { say, type Sentence, volume } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Liquids } from '@truelay/contract'
import { type Ingredient, outlook } from '@truelay/core/mix'
import { useSaveSupplyMutation } from '../../remote/benchApi.ts'
import { NumberField } from '../../ui/NumberField.tsx'

const names: Readonly<Record<Ingredient, Sentence>> = {
  water: say`Distilled water`,
  'alcohol stock': say`Alcohol stock`,
  soap: say`Clear shampoo`,
  'activator concentrate': say`Activator concentrate`,
}

/** What is on the shelf, what the open jobs take of it, and what will run out first. */
export function ShelfAndNeeds({ liquids }: { readonly liquids: Liquids }) {
  const t = useWords()
  const [save] = useSaveSupplyMutation()
  const rows = outlook(
    liquids.supplies,
    liquids.needs.map(({ number, needs }) => ({ job: number, needs })),
  )
  const { learned } = liquids
  return (
    <section
      aria-labelledby="supplies-title"
      className="grid gap-x-12 gap-y-6 border-t border-hair px-6 py-5 lg:grid-cols-2"
    >
      <div>
        <Heading id="supplies-title">{t`On the shelf`}</Heading>
        <ul>
          {rows.map((row) => (
            <li
              key={row.what}
              aria-label={t(names[row.what])}
              className="grid grid-cols-[1fr_8.75rem] items-center gap-x-6 border-t border-hair py-2"
            >
              <p className="text-body leading-snug">
                <strong>{t(names[row.what])}</strong>
                <span className={`block text-body ${row.runsOutAt === null ? 'text-quiet' : 'text-amber'}`}>
                  {row.runsOutAt !== null
                    ? t`runs out at job ${row.runsOutAt}: ${volume(-row.afterMl)} short`
                    : row.neededMl > 0
                      ? t`open jobs take ${volume(row.neededMl)}`
                      : t`no open job takes any`}
                </span>
              </p>
              <NumberField
                label={t`Left`}
                unit="mL"
                digits={0}
                value={row.leftMl}
                min={0}
                max={100_000}
                onCommit={(leftMl) => void save({ what: row.what, leftMl })}
              />
            </li>
          ))}
        </ul>
      </div>
      <div>
        <Heading>{t`What the open jobs need`}</Heading>
        <ul>
          {liquids.needs.map((need) => (
            <li
              key={need.jobId}
              className="flex items-baseline justify-between gap-4 border-t border-hair py-2 text-body"
            >
              <span>
                <strong>{need.number}</strong> {need.vehicle}
              </span>
              <span className="whitespace-nowrap">
                {need.slipMl + need.tackMl < 1 ? (
                  <span className="text-quiet">{t`laid dry`}</span>
                ) : (
                  t`slip ${volume(need.slipMl)}, tack ${volume(need.tackMl)}`
                )}
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-note leading-snug text-quiet">
          {learned.uses === 0
            ? t`From areas, edges and the shop’s figures. Note what is left in a bottle after a fit, and the app learns what this shop really uses.`
            : t`Learned from ${learned.uses} ${learned.uses === 1 ? t`bottle` : t`bottles`}: this shop uses ${learned.factor.toFixed(2)} times what is worked out, give or take ${Math.round(100 * learned.sigma)} %.`}
        </p>
      </div>
    </section>
  )
}
