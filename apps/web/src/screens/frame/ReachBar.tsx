import { useEffect, useState } from 'react'
import { useAppSelector } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { useWords } from '../../ui/words.ts'

/** A server that starts anew is not worth a word. */
const patienceMs = 4000

/** Says that the server is away, or that a newer version of the app is there to be taken. */
export function ReachBar() {
  const t = useWords()
  const { server, newer } = useAppSelector((state) => state.reach)
  const [said, setSaid] = useState(false)
  useEffect(() => {
    if (server === 'here') return setSaid(false)
    const late = setTimeout(() => setSaid(true), patienceMs)
    return () => clearTimeout(late)
  }, [server])
  if (!said && !newer) return null
  return (
    <div
      role="status"
      className="no-print flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t border-hair bg-amber-tint px-6 py-2.5 text-body text-amber-ink"
    >
      {said ? (
        t`The server is away. What is shown is as it was. Fits, findings, photos, counts and bottles are kept here and go by themselves; anything else has to wait.`
      ) : (
        <>
          {t`A newer version of the app is here.`}
          <Button
            onClick={() => void import('../../remote/keepApp.ts').then(({ takeNewer }) => takeNewer())}
          >{t`Take it`}</Button>
        </>
      )}
    </div>
  )
}
