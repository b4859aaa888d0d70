import type { Result } from '../result/index.ts'
import { count, counted, minutes, name, say, type Sentence } from '../say/index.ts'

/**
 * Every failure of a plan of a day: the facts it carries, the sentence it says, and what to do. They stand apart from those that a tablet meets:
 * days are reckoned elsewhere.
 */
const catalogue = {
  DAY_UNKNOWN: {
    says: (f: { what: Sentence; id: string; where: string }) =>
      say`“${name(f.where)}” names the ${f.what} “${name(f.id)}”, which is not in the list.`,
    fix: say`Correct the name, or put it into the list.`,
  },
  DAY_TWICE: {
    says: (f: { what: Sentence; id: string }) => say`There are two of the ${f.what} “${name(f.id)}”.`,
    fix: say`Give each a name of its own.`,
  },
  DAY_TOO_FEW_PEOPLE: {
    says: (f: { task: string; wanted: number; there: number }) =>
      say`“${name(f.task)}” needs ${counted(f.wanted, '# person', '# people')} at once; there are ${count(f.there)}.`,
    fix: say`Ask for fewer, or add people to the day.`,
  },
  DAY_NOBODY_CAN: {
    says: (f: { task: string; skill: string; wanted: number; there: number }) =>
      say`“${name(f.task)}” needs ${counted(f.wanted, '# person', '# people')} with the skill “${name(f.skill)}”; there are ${count(f.there)}.`,
    fix: say`Give somebody that skill, or leave it out of the task.`,
  },
  DAY_TOO_FEW_TOOLS: {
    says: (f: { task: string; tool: string; wanted: number; there: number }) =>
      say`“${name(f.task)}” needs ${count(f.wanted)} of “${name(f.tool)}” at once; there are ${count(f.there)}.`,
    fix: say`Ask for fewer, or raise the count of that tool.`,
  },
  DAY_WAIT_CROSSED: {
    says: (f: { task: string; after: string; least: number; most: number }) =>
      say`“${name(f.task)}” has to wait at least ${minutes(f.least)} after “${name(f.after)}” and at most ${minutes(f.most)}.`,
    fix: say`Give a greatest wait that is not below the least one, in whole minutes.`,
  },
  DAY_TIMES_CROSSED: {
    says: (f: { what: string; from: number; to: number }) =>
      say`“${name(f.what)}” is given from minute ${count(f.from)} to minute ${count(f.to)}: no time is left in it.`,
    fix: say`Let it end later, or begin earlier.`,
  },
  DAY_CIRCLE: {
    says: (f: { tasks: Sentence }) => say`The waits of ${f.tasks} go in a circle: no times can keep them all.`,
    fix: say`Lengthen a greatest wait among them, or shorten a least one.`,
  },
  DAY_WINDOW_MISSED: {
    says: (f: { task: string; end: number; notAfter: number }) =>
      say`“${name(f.task)}” cannot end before minute ${count(f.end)} by its waits alone; it has to by minute ${count(f.notAfter)}.`,
    fix: say`Let it end later, or shorten what comes before it.`,
  },
  DAY_NONE: {
    says: (f: { wishes: Sentence }) => say`No order keeps all of this: ${f.wishes}.`,
    fix: say`Give one of them more time.`,
  },
  DAY_NONE_BUT: {
    says: (f: { wishes: Sentence; helps: Sentence }) =>
      say`No order keeps all of this: ${f.wishes}. What would help: ${f.helps}.`,
    fix: say`Change that, or give one of them more time.`,
  },
  DAY_NOT_FOUND: {
    says: (f: { tried: number }) =>
      say`No order was found in the time given (${count(f.tried)} were tried). That does not say that there is none.`,
    fix: say`Give it more seconds, or more room in the waits.`,
  },
  DAY_LATE: {
    says: (f: { task: string; late: number }) =>
      say`No order was found in the time given that is never late; the nearest one ends “${name(f.task)}” ${minutes(f.late)} after its latest end. That does not say that there is none.`,
    fix: say`Give it more seconds, or a later end.`,
  },
} as const

type Catalogue = typeof catalogue
export type DayFailureCode = keyof Catalogue
type Facts<C extends DayFailureCode> = Parameters<Catalogue[C]['says']>[0]

export interface DayFailure {
  readonly code: DayFailureCode
  readonly facts: unknown
  readonly sentence: Sentence
  readonly fix: Sentence
}

export type DayResult<T> = Result<T, DayFailure>

export function failure<C extends DayFailureCode>(code: C, facts: Facts<C>): DayFailure {
  const { says, fix } = catalogue[code]
  return { code, facts, sentence: (says as (facts: Facts<C>) => Sentence)(facts), fix }
}
