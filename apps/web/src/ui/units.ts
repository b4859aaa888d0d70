import { metricUnits, type UnitChoice } from '@truelay/core/units'
import { createContext, use } from 'react'

export const UnitsContext = createContext<UnitChoice>(metricUnits)
export const useUnits = (): UnitChoice => use(UnitsContext)
