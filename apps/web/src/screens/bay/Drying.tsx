import { useWords } from '../../ui/words.ts'
import type { PartProgress } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { useWaitBell } from '../../bench/useWaitBell.ts'
import { clockText, countText } from '../../ui/clockText.ts'
import { goBackTo } from '../../ui/goBackTo.ts'

interface DryingProps {
  /** Of which a wait runs. */
  readonly parts: readonly PartProgress[]
  readonly all: readonly PartProgress[]
  readonly now: Date
}

/** Waits that run now, the one that ends first on top; a bell for those, and for what must not wait any longer. */
export function Drying({ parts, all, now }: DryingProps) {
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
  useWaitBell(
    goBackTo(all).map(({ part, near }) => ({
      id: `${part.partId} by ${part.mustBy}`,
      until: near,
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
                  {part.mustBy === undefined ? null : (
                    <strong className="block">{t`at the latest ${clockText(part.mustBy)}`}</strong>
                  )}
                </p>
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}
