import { figure, say, type Sentence, verbatim } from '../say/index.ts'
import { cutting } from './groups/cutting.ts'
import { day } from './groups/day.ts'
import { edges } from './groups/edges.ts'
import { greatestWaits } from './groups/greatestWaits.ts'
import { faults } from './groups/faults.ts'
import { heat } from './groups/heat.ts'
import { lay } from './groups/lay.ts'
import { liquids } from './groups/liquids.ts'
import { memory } from './groups/memory.ts'
import { measuring } from './groups/measuring.ts'
import { minutesAtEdges } from './groups/minutesAtEdges.ts'
import { minutesBefore } from './groups/minutesBefore.ts'
import { minutesLaying } from './groups/minutesLaying.ts'
import { plotter } from './groups/plotter.ts'
import { room } from './groups/room.ts'
import { waits } from './groups/waits.ts'
import type { PracticeFigure } from './practiceFigure.ts'

/** Every group, in the order in which a shop reads them. */
const groups = {
  edges,
  cutting,
  plotter,
  liquids,
  waits,
  greatestWaits,
  room,
  heat,
  lay,
  measuring,
  faults,
  memory,
  minutesBefore,
  minutesLaying,
  minutesAtEdges,
  day,
}
export type PracticeGroupName = keyof typeof groups

type KeysOf<G> = G extends { readonly figures: Readonly<Record<infer K extends string, PracticeFigure>> } ? K : never
export type PracticeKey = KeysOf<(typeof groups)[PracticeGroupName]>
export type Practice = Readonly<Record<PracticeKey, number>>

/** A shop's own figures, where they differ from the defaults. */
export type OwnPractice = Readonly<Partial<Record<PracticeKey, number>>>
export type PracticeChange = Readonly<Partial<Record<PracticeKey, number | null>>>

/** Every group with its title and the figures in it. */
export const practiceGroups: readonly {
  readonly name: PracticeGroupName
  readonly title: Sentence
  readonly keys: readonly PracticeKey[]
}[] = (Object.keys(groups) as PracticeGroupName[]).map((name) => ({
  name,
  title: groups[name].title,
  keys: Object.keys(groups[name].figures) as PracticeKey[],
}))

/** Every figure with its range and reason. */
export const practiceTable = Object.assign({}, ...Object.values(groups).map((group) => group.figures)) as Readonly<
  Record<PracticeKey, PracticeFigure>
>
export const practiceKeys = Object.keys(practiceTable) as PracticeKey[]

/** The defaults, with the shop's own figures in their place where they lie in range. */
export function practiceWith(own: OwnPractice = {}): Practice {
  return Object.fromEntries(practiceKeys.map((key) => [key, own[key] ?? practiceTable[key].value])) as Practice
}

/** A shop's own figures after a change: what is null goes back to the default, and what is not named stays. */
export function practiceChanged(own: OwnPractice, change: PracticeChange): OwnPractice {
  const kept = Object.entries({ ...own, ...change }).filter(([, value]) => typeof value === 'number')
  return Object.fromEntries(kept) as OwnPractice
}

/** What is wrong with a shop's own figure, or null. */
export function practiceProblem(key: PracticeKey, value: number): Sentence | null {
  const { label, unit, min, max } = practiceTable[key]
  if (value >= min && value <= max) return null
  const shown = (x: number) => say`${figure(x, 4)} ${verbatim(unit)}`
  return say`${label}: ${shown(value)} is outside ${figure(min, 4)} to ${shown(max)}.`
}
