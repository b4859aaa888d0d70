import { z } from 'zod'
import { partId } from './ids.ts'

/** Something was changed on the server: by which write, and of which fit it was; null where it was anything else. */
export const newsItem = z.strictObject({ by: z.uuid().nullable(), fitOf: partId.nullable() })
export type NewsItem = z.infer<typeof newsItem>

/** What a screen that is open hears of, soon after it happened. */
export const news = z.array(newsItem)
