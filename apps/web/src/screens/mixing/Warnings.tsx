import { distinct, type Sentence } from '@truelay/core/say'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'

/** Cautions of a mix, each in its own bar. */
export function Warnings({ warnings }: { readonly warnings: readonly (Sentence | null)[] }) {
  const t = useWords()
  const said = distinct(warnings.filter((w) => w !== null))
  if (said.length === 0) return null
  return (
    <div className="mt-3 grid gap-2">
      {said.map((warning) => (
        <Notice key={t(warning)} look="caution">
          {t(warning)}
        </Notice>
      ))}
    </div>
  )
}
