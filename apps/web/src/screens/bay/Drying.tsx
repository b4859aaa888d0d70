import { useWords } from '../../ui/words.ts'
import type { PartProgress } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { useWaitBell } from '../../bench/useWaitBell.ts'
import { clockText, countText } from '../../ui/clockText.ts'

/** Waits that run now, the one that ends first on top. */
export function Drying({ parts, now }: { readonly parts: readonly PartProgress[]; readonly now: Date }) {
  const t = useWords()
  const running = parts
    .flatMap((p) => (p.readyAt === null ? [] : [{ part: p, readyAt: new Date(p.readyAt) }]))
    .sort((a, b) => a.readyAt.getTime() - b.readyAt.getTime())
  useWaitBell(
    running.map(({ part, readyAt }) => ({
      id: `${part.partId} ${part.readyAt}`,
      until: readyAt,
      words: t`${part.name}: ${part.nextStep ?? say`ready`}`,
    })),
    now,
  )
  return (
    <section aria-labelledby="drying-title" className="px-5 py-4">
      <h2 id="drying-title" className="label-strong text-body">{t`Drying`}</h2>
      {running.length === 0 ? (
        <p className="mt-2 text-quiet">{t`Nothing is drying. Waits of a fit run here, so that other work can fill them.`}</p>
      ) : (
        <ul className="mt-2 space-y-3">
          {running.map(({ part, readyAt }) => {
            const left = readyAt.getTime() - now.getTime()
            return (
              <li key={part.partId}>
                <p className="text-title font-bold leading-none">{left > 0 ? countText(left) : t`Ready`}</p>
                <p className="mt-1">
                  {part.name},{' '}
                  <span className="text-quiet">{t`ready at ${clockText(readyAt)}, then ${part.nextStep}`}</span>
                </p>
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}
