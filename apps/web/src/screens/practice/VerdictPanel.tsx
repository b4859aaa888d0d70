import { type ExerciseWords, mastered, type Verdict } from '@truelay/core/exercises'
import { percent } from '@truelay/core/say'
import { useEffect, useRef } from 'react'
import { Link, useLocation } from 'react-router'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'

interface VerdictPanelProps {
  readonly verdict: Verdict
  readonly words: ExerciseWords
  /** A new one of the same kind. */
  readonly onAnother: () => void
  /** The very same once more. */
  readonly onAgain: () => void
}

/** What came of an exercise: how well, what decided it, and what somebody says who has done it for years. */
export function VerdictPanel({ verdict, words, onAnother, onAgain }: VerdictPanelProps) {
  const t = useWords()
  const { pathname, search } = useLocation()
  const panel = useRef<HTMLElement>(null)
  useEffect(() => panel.current?.focus(), [])
  const look = verdict.share >= mastered ? 'text-good' : verdict.share < 0.4 ? 'text-stop' : 'text-amber'
  return (
    <section
      ref={panel}
      tabIndex={-1}
      aria-labelledby="verdict"
      className="border-t-4 border-ink bg-paper px-6 py-5 outline-none"
    >
      <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
        <h2 id="verdict" className="min-w-40">
          <span className={`block text-[4.5rem] font-bold leading-none ${look}`} data-testid="share">
            {t`${percent(Math.round(100 * verdict.share))}`}
          </span>
          <span className="text-body text-quiet">{t`of as well as it can be done`}</span>
        </h2>
        <div className="min-w-72 flex-1">
          {verdict.says.map((says, i) => (
            <p
              key={t(says)}
              className={i === 0 ? 'text-head font-semibold leading-snug' : 'mt-1 text-lead leading-snug'}
            >
              {t(says)}
            </p>
          ))}
          <p className="mt-3 border-l-5 border-petrol pl-3.5 text-lead leading-snug">{t(words.practitioner)}</p>
        </div>
      </div>
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="go" onClick={onAnother}>{t`Another one`}</Button>
        <Button onClick={onAgain}>{t`The same once more`}</Button>
        <Link
          to={`/guide/${words.page}?from=${encodeURIComponent(pathname + search)}`}
          className={buttonClass()}
        >{t`Read about it`}</Link>
        <Link to="/practice" className={buttonClass('quiet')}>{t`All exercises`}</Link>
      </div>
    </section>
  )
}
