import { z } from 'zod'

/** What a device does wrong: answers with an old measurement, not at all, or with a value that cannot be. */
export const fault = z.enum(['none', 'late', 'silent', 'nonsense'])

/** One simulated device, whole: what can be set on it, how the page names that, and what it answers. */
export interface StandIn<S extends z.ZodObject = z.ZodObject> {
  readonly label: string
  /** What it measures, as it is set. */
  readonly measures: S
  readonly names: Readonly<Record<keyof z.infer<S>, string>>
  readonly atFirst: z.infer<S>
  /** An answer where it is late is this old. */
  readonly lateHours: number
  readonly answer: (set: z.infer<S>, at: Date, odd: boolean) => unknown
}

export const defineStandIn = <S extends z.ZodObject>(standIn: StandIn<S>): StandIn<S> => standIn
