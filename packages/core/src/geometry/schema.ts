import { z } from 'zod'

const coordinateMm = z.number().min(-20_000).max(20_000)

/** A point, mm. */
export const point = z.tuple([coordinateMm, coordinateMm]).readonly()
export const polygon = z.array(point).min(3).max(20_000)
