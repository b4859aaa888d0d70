import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { faultKinds } from '../judge/index.ts'
import {
  type ExerciseDone,
  exerciseKinds,
  exerciseLevels,
  mistakesForDays,
  mistakesOf,
  nextUp,
  standingOf,
} from './index.ts'

const day = (n: number) => new Date(Date.UTC(2030, 4, 1 + n)).toISOString()
const gaps = (share: number, n: number, level: ExerciseDone['level'] = 1): ExerciseDone => ({
  kind: 'gaps',
  level,
  share,
  at: day(n),
})

describe('where somebody stands', () => {
  test('never done: the first level, due at once', () => {
    expect(standingOf('gaps', [])).toEqual({ kind: 'gaps', level: 1, times: 0, best: null, dueAt: null })
  })
  test('two good ones in a row lift the level, one does not, and a poor one between them begins anew', () => {
    expect(standingOf('gaps', [gaps(0.9, 0)]).level).toBe(1)
    expect(standingOf('gaps', [gaps(0.9, 0), gaps(0.85, 1)]).level).toBe(2)
    expect(standingOf('gaps', [gaps(0.9, 0), gaps(0.5, 1), gaps(0.9, 2)]).level).toBe(1)
    expect(standingOf('gaps', [gaps(0.9, 0), gaps(0.9, 1), gaps(0.9, 2, 2), gaps(0.9, 3, 2)]).level).toBe(3)
  })
  test('the best is that of the level that was reached', () => {
    const up = [gaps(0.9, 0), gaps(0.95, 1)]
    expect(standingOf('gaps', up)).toMatchObject({ level: 2, times: 2, best: null })
    expect(standingOf('gaps', [...up, gaps(0.5, 2, 2), gaps(0.6, 3, 2)])).toMatchObject({
      level: 2,
      times: 4,
      best: 0.6,
    })
  })
  test('two poor ones at the level lower it, never below the first', () => {
    const up = [gaps(0.9, 0), gaps(0.9, 1)]
    expect(standingOf('gaps', [...up, gaps(0.2, 2, 2), gaps(0.1, 3, 2)]).level).toBe(1)
    expect(standingOf('gaps', [gaps(0.1, 0), gaps(0.1, 1), gaps(0.1, 2)]).level).toBe(1)
  })
  test('a better one is due later than a poorer one, and each good one later than the one before', () => {
    const due = (...shares: number[]) =>
      Date.parse(
        standingOf(
          'gaps',
          shares.map((share, i) => gaps(share, 10 * i)),
        ).dueAt ?? '',
      )
    expect(due(0.95)).toBeGreaterThan(due(0.5))
    expect(due(0.5)).toBeGreaterThanOrEqual(due(0.1))
    const gap = (shares: number[]) => due(...shares) - Date.parse(day(10 * (shares.length - 1)))
    expect(gap([0.9, 0.9])).toBeGreaterThan(gap([0.9]))
    expect(gap([0.9, 0.9, 0.9])).toBeGreaterThan(gap([0.9, 0.9]))
  })
})

test('what was never done comes first, then what has been due longest; each exercise once, whatever was done', () => {
  expect(nextUp([]).map((one) => one.kind)).toEqual([...exerciseKinds])
  const done: ExerciseDone[] = [
    { kind: 'mix', level: 1, share: 0.2, at: day(0) },
    { kind: 'gaps', level: 1, share: 0.95, at: day(0) },
  ]
  expect(nextUp(done).map((one) => one.kind)).toEqual([
    ...exerciseKinds.filter((kind) => kind !== 'mix' && kind !== 'gaps'),
    'mix',
    'gaps',
  ])
  const any = fc.array(
    fc.record({
      kind: fc.constantFrom(...exerciseKinds),
      level: fc.constantFrom(...exerciseLevels),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      at: fc.integer({ min: 0, max: 400 }).map(day),
    }),
    { maxLength: 30 },
  )
  fc.assert(
    fc.property(any, (all) => {
      const up = nextUp(all)
      expect(new Set(up.map((one) => one.kind)).size).toBe(exerciseKinds.length)
      for (const one of up) {
        expect(one.times).toBe(all.filter((other) => other.kind === one.kind).length)
        expect(exerciseLevels).toContain(one.level)
        if (one.dueAt !== null) {
          const last = all
            .filter((other) => other.kind === one.kind)
            .map((other) => other.at)
            .sort()
            .at(-1)
          expect(one.dueAt >= (last ?? '')).toBe(true)
        }
      }
      // The order in which a list is read does not count, only when things were done.
      if (new Set(all.map((one) => one.at)).size === all.length) expect(nextUp([...all].reverse())).toEqual(up)
    }),
  )
})

describe('what went wrong in real fits', () => {
  const fit = (n: number, faults: readonly string[], more: { hand?: string; fingersAt?: string[] } = {}) => ({
    hand: 'bo',
    at: day(n),
    faults,
    fingersAt: [],
    ...more,
  })
  test('comes first, the latest before the others, until it has been practised since', () => {
    const mistakes = mistakesOf([fit(1, ['gap uneven']), fit(3, ['burnt film'])], 'bo', day(5))
    expect(nextUp([], mistakes).slice(0, 3)).toMatchObject([
      { kind: 'gun', because: { fault: 'burnt film', at: day(3) } },
      { kind: 'gaps', because: { fault: 'gap uneven' } },
      { kind: 'mix', because: null },
    ])
    const since: ExerciseDone = { kind: 'gun', level: 1, share: 0.2, at: day(4) }
    expect(nextUp([since], mistakes)[0]?.kind).toBe('gaps')
    expect(nextUp([since], mistakes).find((one) => one.kind === 'gun')?.because).toBeNull()
  })
  test('is of these hands and of late; what no exercise teaches is left out', () => {
    const of = (...fits: ReturnType<typeof fit>[]) =>
      mistakesOf(fits, 'bo', day(mistakesForDays + 10)).map(({ kind, fault }) => `${kind}: ${fault}`)
    expect(of(fit(20, ['haze', 'knife mark', 'torn piece', 'nothing known']))).toEqual(['mix: haze'])
    expect(of(fit(20, ['haze'], { hand: 'ines' }), fit(5, ['haze']))).toEqual([])
    expect(of(fit(20, [], { fingersAt: ['left corner', 'right corner'] }))).toEqual(['lay: fingers'])
  })
  test('every fault that an exercise teaches belongs to one that there is', () => {
    const kinds = faultKinds.flatMap((fault) => mistakesOf([fit(1, [fault])], 'bo', day(2)).map((one) => one.kind))
    expect(kinds.length).toBeGreaterThan(15)
    for (const kind of kinds) expect(exerciseKinds).toContain(kind)
  })
})
