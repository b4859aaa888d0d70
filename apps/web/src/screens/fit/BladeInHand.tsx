import { length } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { Choice } from '../../ui/Choice.tsx'

interface BladeInHandProps {
  readonly fresh: boolean
  readonly cutMm: number
  readonly onFresh: (fresh: boolean) => void
}

/** Whether a fresh segment is in the knife; it goes into the blade book with what is cut. */
export function BladeInHand({ fresh, cutMm, onFresh }: BladeInHandProps) {
  const t = useWords()
  return (
    <section
      aria-label={t`Blade in hand`}
      className="mt-3 flex flex-wrap items-center gap-4 border-l-5 border-petrol bg-paper px-4 py-2.5"
    >
      <p className="text-lead leading-tight">
        {t`About`} <strong>{t`${length(cutMm)}`}</strong> {t`to cut. In the knife:`}
      </p>
      <Choice
        label={t`Segment in the knife`}
        value={fresh ? 'fresh' : 'same'}
        onChange={(value) => onFresh(value === 'fresh')}
        options={[
          { value: 'fresh', text: t`a fresh segment` },
          { value: 'same', text: t`the same as before` },
        ]}
      />
    </section>
  )
}
