import type { Job, PersonId } from '@truelay/contract'
import type { NestRequest } from '@truelay/core/nest'
import type { Cut } from '@truelay/formats/cutFile'
import type { FilmToCut } from './cutQuestion.ts'

/** What both ways of cutting need: on the plotter, and by a file. */
export interface CutWork {
  readonly job: Job
  readonly who: PersonId
  readonly film: FilmToCut
  readonly request: NestRequest
  readonly lot: string
  readonly ready: boolean
  /** The way of the knife for the layout as it stands; nothing better is looked for after that. */
  readonly take: () => Cut | null
  readonly onCounted: () => void
}
