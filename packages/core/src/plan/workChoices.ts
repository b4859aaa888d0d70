import type { EdgeCode, FormDoc } from '../form/index.ts'
import type { LiquidSchool } from '../mix/index.ts'

/** What film floats on, and what flushes it. */
export interface LiquidPair {
  readonly slip: LiquidSchool
  readonly tack: LiquidSchool
}

/** What an installer has chosen for one part where the trade is split; what is not chosen is as usual. */
export interface WorkChoices {
  /** How an edge or an opening ends, by its name, where it is not as the form says. */
  readonly ends: Readonly<Record<string, EdgeCode>>
  readonly liquids: LiquidPair | null
}

export const nothingChosen: WorkChoices = { ends: {}, liquids: null }

/** The form with its edges as they were chosen to end. A margin of its own goes with the way that it was given for. */
export function withEnds(form: FormDoc, ends: WorkChoices['ends']): FormDoc {
  const changed = <E extends { readonly name: string; readonly code: EdgeCode }>(edge: E): E => {
    const code = ends[edge.name]
    if (code === undefined || code === edge.code) return edge
    const { marginMinMm: _, marginMaxMm: __, ...own } = edge as E & { marginMinMm?: number; marginMaxMm?: number }
    return { ...own, code } as unknown as E
  }
  return Object.keys(ends).length === 0
    ? form
    : { ...form, edges: form.edges.map(changed), holes: form.holes.map(changed) }
}
