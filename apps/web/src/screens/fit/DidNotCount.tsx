import { Link } from 'react-router'
import type { SetAside } from '../../remote/outboxStore.ts'
import { outbox } from '../../store/store.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'

/** What was pressed on this tablet and came too late: said aloud, and kept. */
export function DidNotCount({ late }: { readonly late: readonly SetAside[] }) {
  const t = useWords()
  const [first] = late
  if (first === undefined) return null
  return (
    <div
      role="alert"
      className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-l-8 border-stop bg-stop-tint px-6 py-3"
    >
      <p className="min-w-64 flex-1 text-lead leading-snug">
        <strong className="block">{t`What was pressed here did not count.`}</strong>
        {t(first.says)}
      </p>
      <Link to="/tablet" className={buttonClass('quiet')}>{t`What is kept here`}</Link>
      <Button look="plain" className="min-h-14 px-7" onClick={() => void outbox.seen(late)}>{t`I see`}</Button>
    </div>
  )
}
