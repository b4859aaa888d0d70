import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { distance } from '../../geometry/index.ts'
import {
  compareOrders,
  fingerProfile,
  orderBySchool,
  orderWords,
  pullsOfRehearsal,
  rehearse,
  type SchoolName,
  schoolNames,
  searchOrder,
  workedLay,
} from '../index.ts'
import { bulgedPart, flatPart, hollowPart, rolledPart, softFilm, squarePart, stageOf } from '../testParts.ts'

const bulge = stageOf(bulgedPart)
const hollow = stageOf(hollowPart)
const inOrder = (stage: typeof bulge, school: SchoolName, more: Parameters<typeof rehearse>[2] = {}) =>
  rehearse(stage, orderBySchool(school, stage.form, stage.surface), more)

describe.each(schoolNames)('%s', (school) => {
  test.each([
    ['bulged', bulge],
    ['hollow', hollow],
  ])('lays all of a %s part, step after step, nothing turned over', (_, stage) => {
    const { steps, stepOfVertex, flipped } = inOrder(stage, school)
    expect(flipped).toBe(0)
    expect(Math.min(...stepOfVertex)).toBe(1)
    expect(Math.max(...stepOfVertex)).toBe(steps.length)
    expect(steps.map((s) => s.number)).toEqual(steps.map((_s, i) => i + 1))
    for (const [i, step] of steps.entries())
      expect(step.laidShare).toBeGreaterThan(i === 0 ? 0 : (steps[i - 1]?.laidShare ?? 1))
    expect(steps[steps.length - 1]?.laidShare).toBe(1)
  })
  test.each([
    ['flat', flatPart],
    ['rolled', rolledPart],
  ])('a %s part needs no pull and no lift', (_, form) => {
    const { figures } = inOrder(stageOf(form, softFilm, 300), school)
    expect(figures.lifts).toBe(0)
    expect(figures.worstFingersMmPer100).toBeLessThan(0.05)
    expect(figures.largestStretch).toBeLessThan(0.003)
    expect(figures.trouble - 0.1 * (figures.anchors - 1)).toBeLessThan(0.1)
  })
})

describe('how much lies after a step', () => {
  // A recess has many small triangles at its walls: they count by what they cover, not by how many they are.
  test('goes by area: strokes from one end each lay as much of a panel', () => {
    const { steps } = inOrder(hollow, 'one end and follow')
    const sweeps = steps.filter((s) => s.kind === 'sweep')
    sweeps.forEach((step, i) => {
      expect(Math.abs(step.laidShare - (i + 1) / sweeps.length), `after stroke ${i + 1}`).toBeLessThan(0.025)
    })
  })
})

describe('film that is taut between anchors', () => {
  test('corners set where a piece is cut for them leave less over than corners that were let go', () => {
    const order = orderBySchool('corners first', bulge.form, bulge.surface)
    const loose = { ...order, anchors: order.anchors.map((a) => ({ ...a, pullShare: 0 })) }
    const taut = rehearse(bulge, order).figures
    expect(order.anchors.map((a) => a.pullShare)).toEqual([1, 1, 1, 1])
    expect(taut.worstFingersMmPer100).toBeLessThan(rehearse(bulge, loose).figures.worstFingersMmPer100)
    expect(taut.wrinkledShare).toBeLessThan(rehearse(bulge, loose).figures.wrinkledShare)
  })
  test('comes near to the best that all hands together could do', () => {
    const { figures } = inOrder(bulge, 'corners first')
    const worked = workedLay(bulge.surface.mesh, { take: softFilm.take })
    if (!worked.ok) throw new Error(english(worked.failure.sentence))
    expect(figures.largestStretch).toBeLessThan(2.5 * (worked.value.neededStretch - 1))
  })
})

describe('what is laid stays', () => {
  test('an anchor lies where the floating film has it, or where the worked lay asks for it', () => {
    const order = orderBySchool('corners first', bulge.form, bulge.surface)
    const spread = (shares: number) => {
      const anchors = order.anchors.map((a) => ({ ...a, pullShare: shares }))
      const { flat, stepOfVertex } = rehearse(bulge, { ...order, anchors })
      return [...stepOfVertex].flatMap((step, v) => {
        if (step > order.anchors.length) return []
        const wanted = (shares === 0 ? bulge.natural : bulge.worked).flat
        return [Math.hypot(flat[2 * v]! - wanted[2 * v]!, flat[2 * v + 1]! - wanted[2 * v + 1]!)]
      })
    }
    for (const shares of [0, 1]) {
      expect(spread(shares).length).toBeGreaterThan(3)
      expect(Math.max(...spread(shares))).toBeLessThan(1e-9)
    }
  })
  test('what was stretched once stays stretched: the largest stretch never falls from step to step', () => {
    const { steps, stretch } = inOrder(bulge, 'one end and follow')
    const most = steps.map((s) => s.mostStretch)
    expect(most).toEqual([...most].sort((a, b) => a - b))
    expect(most[most.length - 1]).toBeCloseTo(Math.max(...stretch), 9)
  })
})

describe('a bulge', () => {
  test('nobody pulls: film is left over; pulled, much less; and every pull is within what the film gives', () => {
    for (const school of ['centre out', 'one end and follow', 'flattest first'] as const) {
      const loose = inOrder(bulge, school, { pulls: 'none' })
      const pulled = inOrder(bulge, school)
      expect(loose.figures.lifts).toBe(0)
      expect(loose.figures.worstFingersMmPer100).toBeGreaterThan(2 * pulled.figures.worstFingersMmPer100)
      expect(pulled.figures.lifts).toBeGreaterThan(0)
      expect(Math.max(...pulled.stretch)).toBeLessThan((1 + softFilm.warmStretch) * 1.02)
    }
  })
  test('figures tell the truth about the lay', () => {
    const { figures, stretch } = inOrder(bulge, 'centre out')
    const beyond = (compression: number) => {
      let over = 0
      let all = 0
      for (let t = 0; t < stretch.length / 2; t++) {
        all += bulge.film.area[t]!
        if (stretch[2 * t + 1]! < 1 - compression) over += bulge.film.area[t]!
      }
      return over / all
    }
    // What is beyond by a little counts by degrees: between what is beyond at all and what is beyond twice as far.
    expect(figures.wrinkledShare).toBeLessThanOrEqual(beyond(softFilm.take))
    expect(figures.wrinkledShare).toBeGreaterThanOrEqual(beyond(2.1 * softFilm.take))
    expect(beyond(softFilm.take)).toBeGreaterThan(0)
    expect(figures.largestStretch + 1).toBeLessThanOrEqual(Math.max(...stretch))
  })
  test('film that takes more up needs no more pulling', () => {
    const more = stageOf(bulgedPart, { ...softFilm, take: 0.02 })
    expect(inOrder(more, 'centre out').figures.lifts).toBeLessThan(inOrder(bulge, 'centre out').figures.lifts)
    expect(inOrder(more, 'centre out').figures.largestStretch).toBeLessThan(
      inOrder(bulge, 'centre out').figures.largestStretch,
    )
  })
  test('a cold pull comes before a warm one', () => {
    const stiff = stageOf(bulgedPart, { ...softFilm, coldStretch: 0.2 })
    expect(inOrder(stiff, 'centre out').figures.warmPulls).toBe(0)
    expect(inOrder(bulge, 'centre out').figures.warmPulls).toBeGreaterThan(0)
  })
  test('the same input gives the same bits', () => {
    expect(inOrder(bulge, 'spiral').flat).toEqual(inOrder(bulge, 'spiral').flat)
  })
  test('fingers are drawn only where film is left over, pointing out of the part', () => {
    const loose = inOrder(bulge, 'centre out', { pulls: 'none' })
    const spots = fingerProfile(bulge.surface, loose, softFilm.take)
    expect(spots.length).toBeGreaterThan(8)
    for (const { at, outward, step } of spots) {
      expect(at[0] * outward[0] + at[1] * outward[1]).toBeGreaterThan(0)
      expect(step).toBeGreaterThan(0)
    }
    expect(fingerProfile(bulge.surface, { ...loose, flat: bulge.worked.flat }, softFilm.take).length).toBeLessThan(
      spots.length / 4,
    )
  })
  test('its pulls carry letters in the order of the work and lie beside edges that the form has', () => {
    const rehearsal = inOrder(bulge, 'one end and follow')
    const pulls = pullsOfRehearsal(bulge.surface, rehearsal, softFilm)
    expect(pulls.length).toBeGreaterThan(0)
    expect(pulls.map((p) => p.letter)).toEqual([...'ABCDEFGH'].slice(0, pulls.length))
    for (const pull of pulls) {
      expect(bulgedPart.edges.map((e) => e.name)).toContain(pull.edge)
      expect(pull.percent).toBeLessThanOrEqual(100 * softFilm.warmStretch * 1.05)
      expect(pull.heat === 'warm' || pull.percent <= 100 * softFilm.coldStretch * 1.3).toBe(true)
      const { areaMm2 } = bulge.surface.figures
      const laid = (number: number) => rehearsal.steps[number - 1]?.laidShare ?? 0
      const ofSteps = pull.steps.reduce((sum, number) => sum + laid(number) - laid(number - 1), 0)
      expect(pull.areaMm2).toBeCloseTo(areaMm2 * ofSteps, 6)
      expect(pull.percent).toBeCloseTo(
        100 * Math.max(...pull.steps.map((number) => rehearsal.steps[number - 1]?.pull?.stretch ?? 0)),
        9,
      )
    }
  })
})

describe('a hollow', () => {
  test('laid from its bottom it cannot bridge; laid over from one end its rim lies first', () => {
    const deep = inOrder(hollow, 'deepest first').figures.hollows[0]
    const over = inOrder(hollow, 'hinge and release').figures.hollows[0]
    expect(deep).toMatchObject({ name: 'grip', floorFirst: true })
    expect(deep?.stretch).toBeGreaterThan(0.005)
    expect(over?.stretch).toBeGreaterThan(0)
  })
  test('the front starts at its bottom', () => {
    const order = orderBySchool('deepest first', hollow.form, hollow.surface)
    expect(distance(order.anchors[0]?.at ?? [0, 0], [40, 20])).toBeLessThan(1)
    expect(english(orderWords(order))).toBe('Fix the bottom of the grip, then outward from there.')
  })
})

describe('two orders', () => {
  const a = inOrder(bulge, 'corners first')
  const b = inOrder(bulge, 'centre out')
  test('differ the other way round with the signs turned', () => {
    const there = compareOrders(bulgedPart, a.figures, b.figures)
    const back = compareOrders(bulgedPart, b.figures, a.figures)
    expect(there.length).toBeGreaterThan(1)
    expect(back.map((d) => d.what).sort()).toEqual(there.map((d) => d.what).sort())
    expect(there.filter((d) => d.better).length).toBe(back.filter((d) => !d.better).length)
    const weights = there.map((d) => d.weight)
    expect(weights).toEqual([...weights].sort((p, q) => q - p))
  })
  test('an order differs in nothing from itself', () =>
    expect(compareOrders(bulgedPart, a.figures, a.figures)).toEqual([]))
  test('a pattern is spoken of only where the film has one', () => {
    const warped = { ...b.figures, patternWarp: b.figures.patternWarp + 0.2 }
    expect(compareOrders(bulgedPart, a.figures, warped).some((d) => d.what === 'warp')).toBe(false)
    expect(compareOrders(bulgedPart, a.figures, warped, true).some((d) => d.what === 'warp')).toBe(true)
  })
})

describe('the search', () => {
  const coarse = stageOf(bulgedPart, softFilm, 250)
  const fine = stageOf(bulgedPart, softFilm, 400)
  const run = (seed: number) => {
    const shares: number[] = []
    const search = searchOrder({ coarse, fine, judges: [] }, { tries: 24, seed })
    for (;;) {
      const next = search.next()
      if (next.done) return { result: next.value, shares }
      shares.push(next.value.share)
    }
  }
  const { result, shares } = run(3)
  test('is never worse than the best school, and knows every school', () => {
    expect(result.schools.map((s) => s.order.school).sort()).toEqual([...schoolNames].sort())
    const least = Math.min(...result.schools.map((s) => s.figures.trouble))
    expect(result.best.figures.trouble).toBeLessThanOrEqual(least)
    expect(result.schools[0]?.figures.trouble).toBe(least)
  })
  test('says how far it is, and the same seed finds the same', () => {
    expect(shares).toEqual([...shares].sort((p, q) => p - q))
    expect(shares[shares.length - 1]).toBeLessThanOrEqual(1)
    expect(run(3).result.best.order).toEqual(result.best.order)
  })
  test('can be left at any time', () => {
    const search = searchOrder({ coarse, fine, judges: [] }, { tries: 24 })
    expect(search.next().done).toBe(false)
    expect(search.return(undefined as never).done).toBe(true)
  })
})

test('a found order tells the strokes that were really made, and comes to the same when it is laid again', () => {
  const order = {
    ...orderBySchool('centre out', bulgedPart, bulge.surface),
    made: 'by search' as const,
    strokeMm: 4000,
  }
  const once = rehearse(bulge, order)
  // Three strokes at least, however long one is wished.
  expect(once.steps.filter((step) => step.kind === 'sweep').length).toBeGreaterThanOrEqual(3)
  expect(once.order.strokeMm).toBeLessThan(150)
  const again = rehearse(bulge, once.order)
  expect(again.order.strokeMm).toBeCloseTo(once.order.strokeMm, 9)
  expect(again.flat).toEqual(once.flat)
})

describe('film left over along the front', () => {
  const saddlePart = squarePart([
    { name: 'across', from: [-150, 0], to: [150, 0], sagittaMm: 12 },
    { name: 'up', from: [0, -150], to: [0, 150], sagittaMm: -12 },
    { name: 'slanting', from: [-150, -150], to: [150, 150], sagittaMm: 0 },
  ])
  const excess = (form: typeof flatPart) => {
    const stage = stageOf(form, softFilm, 800)
    const order = { ...orderBySchool('centre out', form, stage.surface), strokeMm: 40 }
    return rehearse(stage, order, { pulls: 'none' }).steps.map((step) => step.frontExcessMmPer100)
  }
  test('none where a part is flat or rolled, and none once all of it lies', () => {
    for (const form of [flatPart, rolledPart]) for (const mm of excess(form)) expect(Math.abs(mm)).toBeLessThan(0.002)
    expect(excess(bulgedPart).at(-1)).toBe(0)
  })
  test('on a ball its middle wants film and its rim has too much; on a saddle it is the other way round', () => {
    const [ball, saddle] = [excess(bulgedPart), excess(saddlePart)]
    expect(ball[0]).toBeLessThan(-0.3)
    expect(ball.at(-2)).toBeGreaterThan(0.15)
    expect(saddle[0]).toBeGreaterThan(0.12)
    expect(saddle.at(-2)).toBeLessThan(-0.08)
  })
  test('in the middle of a ball as in that of a disc of its size: K a² / 16 without narrowing, within a sixth', () => {
    const radiusMm = (150 ** 2 + 18 ** 2) / 36
    const disc2 = 300 ** 2 / Math.PI
    expect(-(excess(bulgedPart)[0] ?? 0) / (100 * (disc2 / radiusMm ** 2 / 16))).toBeGreaterThan(5 / 6)
    expect(-(excess(bulgedPart)[0] ?? 0) / (100 * (disc2 / radiusMm ** 2 / 16))).toBeLessThan(7 / 6)
  })
})
