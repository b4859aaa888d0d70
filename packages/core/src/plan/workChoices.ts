import type { EdgeCode, FormDoc } from '../form/index.ts'
import type { LiquidSchool } from '../mix/index.ts'
import { type LightChoice, plainLens } from '../light/index.ts'
import { say, type Sentence } from '../say/index.ts'

/** What film floats on, and what flushes it. */
export interface LiquidPair {
  readonly slip: LiquidSchool
  readonly tack: LiquidSchool
}

/** Where the film of a part comes from: the kit's piece, the same enlarged along its edges, or a sheet off the roll. */
export const cutWays = ['pre-cut', 'enlarged', 'from the roll'] as const
export type CutWay = (typeof cutWays)[number]
export const cutWayWords: Readonly<Record<CutWay, Sentence>> = {
  'pre-cut': say`the piece as it comes`,
  enlarged: say`the piece, enlarged`,
  'from the roll': say`from the roll`,
}

/** How many work on it. */
export type Hands = 1 | 2

/** What an installer has chosen for one part where the trade is split; what is not chosen is as usual. */
export interface WorkChoices {
  /** How an edge or an opening ends, by its name, where it is not as the form says. */
  readonly ends: Readonly<Record<string, EdgeCode>>
  readonly liquids: LiquidPair | null
  readonly cut: CutWay | null
  readonly hands: Hands | null
  /** What the light of a lamp passes, and how dark it is wished; null = a clear lens, one layer, no wish. */
  readonly light: LightChoice | null
}

/** What is chosen otherwise than so far. What is not named stays as it is; an edge with null ends as its form says. */
export interface WorkChange {
  readonly ends?: Readonly<Record<string, EdgeCode | null>>
  readonly liquids?: LiquidPair | null
  readonly cut?: CutWay | null
  readonly hands?: Hands | null
  readonly light?: Partial<LightChoice> | null
}

export const nothingChosen: WorkChoices = { ends: {}, liquids: null, cut: null, hands: null, light: null }

/** What is chosen after a change: whoever changes one thing leaves the others as they stand. */
export function withChange(choices: WorkChoices, change: WorkChange): WorkChoices {
  const ends = Object.entries({ ...choices.ends, ...change.ends }).filter(
    (end): end is [string, EdgeCode] => end[1] !== null,
  )
  const { liquids = choices.liquids, cut = choices.cut, hands = choices.hands, light: wish } = change
  const light = wish === undefined ? choices.light : wish && { ...plainLens, ...choices.light, ...wish }
  return { ends: Object.fromEntries(ends), liquids, cut, hands, light }
}

type Ended = Pick<FormDoc['edges'][number], 'name' | 'code' | 'marginMinMm' | 'marginMaxMm'>

/** The form with its edges as they were chosen to end. A margin of its own goes with the way that it was given for. */
export function withEnds(form: FormDoc, ends: WorkChoices['ends']): FormDoc {
  const changed = <E extends Ended>(edge: E): E => {
    const code = ends[edge.name]
    return code === undefined || code === edge.code
      ? edge
      : { ...edge, code, marginMinMm: undefined, marginMaxMm: undefined }
  }
  return Object.keys(ends).length === 0
    ? form
    : { ...form, edges: form.edges.map(changed), holes: form.holes.map(changed) }
}
