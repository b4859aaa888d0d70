import { metricUnits } from '@truelay/core/units'
import { wordsIn } from '@truelay/words'
import { pseudo } from '@truelay/words/pseudo'
import { type ReactNode, useEffect, useMemo } from 'react'
import { useShopQuery } from '../remote/api.ts'
import { UnitsContext } from '../ui/units.ts'
import { screenWords, WordsContext } from '../ui/words.ts'

/** Set by whoever looks for words that no catalogue reaches: every sentence then stands in marks. */
const marked = () => localStorage.getItem('truelay-words') === 'pseudo'

/** The shop's units, words and theme, for everything below. */
export function ShopSettings({ children }: { readonly children: ReactNode }) {
  const { data: shop } = useShopQuery()
  const theme = shop?.theme
  useEffect(() => {
    if (theme !== undefined) document.documentElement.dataset.theme = theme
  }, [theme])
  const units = shop?.units ?? metricUnits
  const words = useMemo(
    () => screenWords(wordsIn({ units, unbroken: true, ...(marked() ? { catalogue: pseudo } : {}) })),
    [units],
  )
  return (
    <UnitsContext value={units}>
      <WordsContext value={words}>{children}</WordsContext>
    </UnitsContext>
  )
}
