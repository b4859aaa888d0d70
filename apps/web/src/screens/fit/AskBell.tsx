import { readyBell } from '../../bench/waitBell.ts'
import { Button } from '../../ui/Button.tsx'
import { useTabletChoice } from '../../bench/useTabletChoice.ts'
import { useWords } from '../../ui/words.ts'

/** Asked once on each tablet, at its first wait. */
export function AskBell() {
  const t = useWords()
  const [sound, choose] = useTabletChoice('waits sound')
  if (sound !== 'not said') return null
  return (
    <section aria-label={t`The bell`} className="border border-hair bg-paper p-4">
      <p className="text-head font-bold">{t`Ring when a wait is over?`}</p>
      <p className="mt-1 text-body text-quiet">{t`With sound, a shake of the tablet, and a notice while another page is open.`}</p>
      <p className="mt-3 flex gap-3">
        <Button
          look="go"
          className="min-h-14"
          onClick={() => {
            readyBell()
            choose('yes')
          }}
        >{t`Ring`}</Button>
        <Button className="min-h-14" onClick={() => choose('no')}>{t`Stay quiet`}</Button>
      </p>
    </section>
  )
}
