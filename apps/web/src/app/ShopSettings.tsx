import { metricUnits } from '@truelay/core/units'
import { type ReactNode, useEffect } from 'react'
import { useShopQuery } from '../remote/api.ts'
import { UnitsContext } from '../ui/units.ts'

/** The shop's units and theme, for everything below. */
export function ShopSettings({ children }: { readonly children: ReactNode }) {
  const { data: shop } = useShopQuery()
  const theme = shop?.theme
  useEffect(() => {
    if (theme !== undefined) document.documentElement.dataset.theme = theme
  }, [theme])
  return <UnitsContext value={shop?.units ?? metricUnits}>{children}</UnitsContext>
}
