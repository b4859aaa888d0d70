import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { boundsOf, contains, distance } from '../../geometry/index.ts'
import {
  isSmallPart,
  orderBySchool,
  orderDefaults,
  orderMatters,
  orderSearch,
  progressIn,
  type Rehearsal,
  rehearse,
  rehearseTrial,
  schoolNames,
  searchDefaults,
  type SearchOptions,
  searchOrder,
  type SearchRound,
  type Trial,
} from '../index.ts'
import { bulgedPart, flatPart, hollowPart, softFilm, stageOf } from '../testParts.ts'

const stages = [
  ['flat', stageOf(flatPart, softFilm, 300)],
  ['bulged', stageOf(bulgedPart)],
  ['hollow', stageOf(hollowPart)],
] as const

describe.each(schoolNames)('the order of “%s”', (school) => {
  test.each(stages)('on a %s part begins on the part, and says by what it was made', (_, stage) => {
    const order = orderBySchool(school, stage.form, stage.surface)
    const { polygon } = stage.surface.outline
    const { min, max } = boundsOf(polygon)
    expect(order).toMatchObject({ school, made: 'by school' })
    expect(order.anchors.length).toBeGreaterThan(0)
    for (const { at, pullShare } of order.anchors) {
      expect(contains(polygon, at) || polygon.some((p) => distance(p, at) < 0.2 * distance(min, max))).toBe(true)
      expect([0, 1]).toContain(pullShare)
    }
    expect(order.from.length).toBeGreaterThan(0)
    expect(order.strokeMm).toBeGreaterThan(0)
    expect(order.strokeMm).toBeLessThanOrEqual(distance(min, max))
  })
})

describe('what tells the schools apart', () => {
  const [, stage] = stages[1]
  const { min, max } = boundsOf(stage.surface.outline.polygon)
  const long = Math.max(max[0] - min[0], max[1] - min[1])
  const by = (school: (typeof schoolNames)[number], practice = orderDefaults) =>
    orderBySchool(school, stage.form, stage.surface, practice)
  test('corners first fixes every corner with the film taut, and sweeps from an edge that stops short', () => {
    const order = by('corners first')
    expect(order.anchors).toHaveLength(4)
    expect(order.anchors.every((a) => a.pullShare === 1)).toBe(true)
    expect(order.fromLabel === null ? '' : english(order.fromLabel)).toMatch(/^the /)
  })
  test('all others let film float where they begin', () => {
    for (const school of schoolNames.filter((s) => s !== 'corners first'))
      expect(by(school).anchors.every((a) => a.pullShare === 0)).toBe(true)
  })
  test('only one winds round, only one lays the flats first', () => {
    expect(schoolNames.filter((s) => by(s).spiral)).toEqual(['spiral'])
    expect(schoolNames.filter((s) => by(s).flatFirst > 0)).toEqual(['flattest first'])
  })
  test('strokes go with the part and with the figures of the shop', () => {
    expect(by('one end and follow').strokeMm).toBeCloseTo(long / 12, 9)
    expect(by('one end and follow', { ...orderDefaults, sweeps: 6 }).strokeMm).toBeCloseTo(long / 6, 9)
    expect(by('hinge and release').strokeMm).toBeCloseTo(Math.min(300, long / 4), 9)
    expect(by('hinge and release', { ...orderDefaults, releaseMm: 40 }).strokeMm).toBe(40)
  })
  test('centre out begins at one spot, one end and follow along a line', () => {
    expect(by('centre out').from).toHaveLength(1)
    expect(by('centre out').fromLabel).toBeNull()
    expect(by('one end and follow').from.length).toBeGreaterThan(1)
  })
})

describe('the search', () => {
  const coarse = stageOf(hollowPart, softFilm, 200)
  const fine = stageOf(hollowPart, softFilm, 400)
  const options = { tries: 16, fineTries: 4, atOnce: 1 }
  function search(more: Parameters<typeof searchOrder>[1] = {}, judges: readonly (typeof fine)[] = []) {
    const run = searchOrder({ coarse, fine, judges }, { ...options, ...more })
    const shares: number[] = []
    let step = run.next()
    while (step.done !== true) {
      shares.push(step.value.share)
      // Nothing is the best before all schools have been tried.
      const { best, tried } = step.value
      if (tried <= schoolNames.length) expect(best).toBeNull()
      else expect(best === null ? '' : english(best)).toMatch(/\.$/)
      expect(step.value.trouble).toBeGreaterThanOrEqual(0)
      step = run.next()
    }
    return { ...step.value, shares }
  }
  const found = search()
  test('is never worse than the best school, and turns nothing over', () => {
    expect(found.schools).toHaveLength(schoolNames.length)
    const troubles = found.schools.map((s) => s.figures.trouble)
    expect(troubles).toEqual([...troubles].sort((a, b) => a - b))
    expect(found.best.figures.trouble).toBeLessThanOrEqual(troubles[0] ?? 0)
    expect(found.best.flipped).toBe(0)
  })
  test('what it gives is what a rehearsal of that order gives', () => {
    expect(rehearse(fine, found.best.order).figures).toEqual(found.best.figures)
  })
  test('goes forward only, from nothing to the whole', () => {
    expect(found.shares).toEqual([...found.shares].sort((a, b) => a - b))
    expect(found.shares[0]).toBeGreaterThan(0)
    expect(found.shares[found.shares.length - 1]).toBeLessThanOrEqual(1)
    // What is changed into something that was tried is not tried again.
    expect(found.tried).toBeGreaterThan(2 * schoolNames.length)
    expect(found.tried).toBe(found.shares.length)
  })
  test('finds the same with the same seed', () => {
    const again = search()
    expect(again.best.order).toEqual(found.best.order)
    expect(again.best.figures).toEqual(found.best.figures)
  })
  test('no order of it fixes more than six spots or takes longer strokes than two hands keep level', () => {
    for (const seed of [2, 3]) {
      const { best } = search({ seed })
      expect(best.order.anchors.length).toBeLessThanOrEqual(6)
      if (best.order.made === 'by search') expect(best.order.strokeMm).toBeLessThanOrEqual(orderDefaults.releaseMm)
    }
  })
  test('where film lies down by itself the best school stays', () => {
    const [, flat] = stages[0]
    const run = searchOrder({ coarse: flat, fine: flat, judges: [] }, options)
    let step = run.next()
    while (step.done !== true) step = run.next()
    expect(step.value.best.figures.trouble).toBeLessThan(0.1)
  })
  test('what wins on one mesh only is not called better', () => {
    expect(found.best.order.made).toBe('by search')
    // On a flat part nothing is better than anything else.
    const [, flat] = stages[0]
    expect(search({}, [flat]).best.order.made).toBe('by school')
    // On itself it wins again.
    expect(search({}, [fine]).best.order).toEqual(found.best.order)
  })
  test('what saves less than is worth it is not called better', () => {
    const school = found.schools[0]?.figures.trouble ?? 0
    const saved = (school - found.best.figures.trouble) / school
    const worth = (worthShare: number) => search({ practice: { ...orderDefaults, worthShare } }).best
    expect(worth(saved - 1e-6).order).toEqual(found.best.order)
    expect(worth(saved + 1e-6).order).toEqual(found.schools[0]?.order)
    // It is the mean over all meshes that counts.
    expect(search({ practice: { ...orderDefaults, worthShare: saved - 1e-6 } }, [fine, fine]).best.order).toEqual(
      found.best.order,
    )
  })
})

describe('the trials that a search asks for', () => {
  const coarse = stageOf(hollowPart, softFilm, 200)
  const fine = stageOf(hollowPart, softFilm, 400)
  const judge = stageOf(hollowPart, softFilm, 300)
  const options = { ...searchDefaults, tries: 20, fineTries: 8, atOnce: 2 }
  const stageFor = ({ on }: Trial) => (on === 'coarse' ? coarse : on === 'fine' ? fine : judge)
  function run(inWhatOrder: (trials: Trial[]) => Trial[], more: Partial<SearchOptions> = {}) {
    const rounds: SearchRound[] = []
    const search = orderSearch({ ...fine, judges: 2 }, { ...options, ...more })
    let round = search.next()
    while (round.done !== true) {
      const { trials } = round.value
      rounds.push(round.value)
      const made = new Map(
        inWhatOrder([...trials]).map((trial) => [trial, rehearseTrial(stageFor(trial), trial, options)]),
      )
      round = search.next(trials.flatMap((trial) => made.get(trial) ?? []))
    }
    return { rounds, ...round.value }
  }
  const forwards = run((trials) => trials)
  const { rounds, best, schools, tried } = forwards
  const asked = (on: Trial['on']) => rounds.flatMap(({ trials }) => trials).filter((trial) => trial.on === on)

  test('of one round do not wait for each other: made last first, all comes out the same', () => {
    const backwards = run((trials) => trials.reverse())
    expect(backwards.best.order).toEqual(best.order)
    expect(backwards.rounds).toEqual(rounds)
  })
  test('are all schools on both forms first, then changes, so many at once and never more than are planned', () => {
    const [first, ...others] = rounds
    expect(first?.trials).toEqual(schoolNames.map((order) => ({ on: 'coarse', order })))
    const fineRound = others.find(({ trials }) => trials[0]?.on === 'fine')
    expect(fineRound?.trials.slice(0, schoolNames.length).map(({ order }) => order)).toEqual([...schoolNames])
    for (const { trials } of others.filter((round) => round !== fineRound && typeof round.trials[0]?.on !== 'number'))
      expect(trials.length).toBeLessThanOrEqual(options.atOnce)
    expect(asked('coarse').length).toBeLessThanOrEqual(options.tries)
    expect(asked('fine').length).toBeLessThanOrEqual(schoolNames.length + 3 + options.fineTries)
    for (const { tried: before, planned, trials } of rounds) expect(before + trials.length).toBeLessThanOrEqual(planned)
    expect(tried).toBe(rounds.flatMap(({ trials }) => trials).length)
  })
  test.each(['coarse', 'fine'] as const)('on the %s form none is asked for twice', (on) => {
    const orders = asked(on).map(({ order }) => JSON.stringify(order))
    expect(new Set(orders).size).toBe(orders.length)
  })
  test('before both judges come the best school and what was found, one mesh after the other', () => {
    expect(best.order.made).toBe('by search')
    const judged = rounds.filter(({ trials }) => typeof trials[0]?.on === 'number')
    expect(judged[0]?.trials.map(({ on }) => on)).toEqual([0, 0, 1, 1])
    const [school, found] = judged[0]?.trials ?? []
    expect(school?.order).toBe(schools[0]?.order.school)
    expect(judged[0]?.trials[2]?.order).toBe(school?.order)
    expect(judged[0]?.trials[3]?.order).toBe(found?.order)
    for (const { trials } of judged.slice(1)) expect(trials.map(({ on }) => on)).toEqual([0, 1])
  })
  test('a change is made of the best so far: one at a time, each of what came before it', () => {
    const single = run((trials) => trials, { atOnce: 1 })
    expect(
      Math.max(...single.rounds.slice(1).map(({ trials }) => trials.filter((t) => typeof t.order !== 'string').length)),
    ).toBeLessThanOrEqual(3)
    expect(single.rounds.length).toBeGreaterThan(rounds.length)
  })
  test('tell how far the search is, and its best so far', () => {
    const [first, second] = rounds
    if (first === undefined || second === undefined) throw new Error('no rounds')
    expect(progressIn(first, 0)).toMatchObject({ share: 0, tried: 0 })
    expect(progressIn(first, 3).best).toBeNull()
    expect(progressIn(second, 2)).toMatchObject({
      tried: schoolNames.length + 2,
      share: (schoolNames.length + 2) / second.planned,
    })
    const leastOnCoarse = Math.min(
      ...schoolNames.map((order) => rehearseTrial(coarse, { on: 'coarse', order }, options).figures.trouble),
    )
    expect(progressIn(second, 0).trouble).toBe(leastOnCoarse)
    const troubles = rounds
      .filter(({ trials }) => trials[0]?.on === 'fine')
      .slice(1)
      .map(({ trouble }) => trouble)
    expect(troubles).toEqual([...troubles].sort((a, b) => b - a))
  })
})

describe('whether the order matters', () => {
  const small = stages[1][1]
  const large = {
    outline: { ...small.surface.outline, polygon: small.surface.outline.polygon.map(([x, y]) => [2 * x, y] as const) },
  }
  const troubles = (...values: number[]) => values.map((trouble) => ({ figures: { trouble } }) as unknown as Rehearsal)
  test('on a large part it always does', () => {
    expect(isSmallPart(large, 450)).toBe(false)
    expect(orderMatters(large, troubles(2, 2, 2, 2, 2, 2, 2, 2))).toBe(true)
  })
  test('on a small one where the best school stands out', () => {
    expect(isSmallPart(small.surface, 450)).toBe(true)
    expect(isSmallPart(small.surface, 200)).toBe(false)
    expect(orderMatters(small.surface, troubles(2.0, 2.1, 2.2, 2.3, 2.4, 2.5, 2.6, 9))).toBe(false)
    expect(orderMatters(small.surface, troubles(1.0, 2.1, 2.2, 2.3, 2.4, 2.5, 2.6, 9))).toBe(true)
  })
})
