import { english } from '@truelay/words'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { PatchMarch } from '../heat/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { practiceWith } from '../practice/index.ts'
import {
  bestMix,
  bestNext,
  bestPicks,
  bottleAfter,
  cellsOfPlace,
  exerciseLevels,
  gapsAfter,
  gunAt,
  type GunTask,
  makeGaps,
  makeGun,
  makeMeasure,
  makeMix,
  markGaps,
  markGun,
  markMeasure,
  markMix,
  type MixAct,
  moveAsked,
  readLine,
  unsureAfter,
} from './index.ts'

const practice = practiceWith()
const seeds = Array.from({ length: 200 }, (_, i) => 7919 * i + 13)
const mean = (shares: readonly number[]) => shares.reduce((sum, share) => sum + share, 0) / shares.length

test('the first parts to align are square, later ones lean', () => {
  const square = (seed: number, level: 1 | 2 | 3) => {
    const [a, b, c, d] = makeGaps(seed, level).part
    return a?.[0] === d?.[0] && b?.[0] === c?.[0] && a?.[1] === b?.[1] && c?.[1] === d?.[1]
  }
  for (let seed = 1; seed <= 20; seed++)
    expect([1, 2, 3].map((level) => square(seed, level as 1 | 2 | 3))).toEqual([true, false, false])
})

describe.each(exerciseLevels)('gaps, level %i', (level) => {
  test('the same seed makes the same; the piece lies off by more than a rule tells, and the move that the gaps ask for puts it right', () => {
    for (const seed of seeds) {
      const task = makeGaps(seed, level)
      expect(makeGaps(seed, level)).toEqual(task)
      const verdict = markGaps(task, moveAsked(task), practice)
      expect(verdict.share).toBe(1)
      expect(verdict.says).toHaveLength(1)
      for (const { gapMm, wantedMm } of gapsAfter(task, moveAsked(task)))
        expect(Math.abs(gapMm - wantedMm)).toBeLessThan(0.3)
      expect(Math.max(...task.gaps.map((gap) => Math.abs(gap.gapMm - gap.wantedMm)))).toBeGreaterThan(1)
    }
  })
  test('a gap read to half a millimetre is good enough; nothing said is worth nothing, and anything said at random little', () => {
    const shares = seeds.map((seed) => {
      const task = makeGaps(seed, level)
      const read = task.gaps.map((gap) => ({ ...gap, gapMm: Math.round(2 * gap.gapMm) / 2 }))
      return markGaps(task, moveAsked({ ...task, gaps: read }), practice).share
    })
    expect(mean(shares)).toBeGreaterThan(0.95)
    expect(Math.min(...shares)).toBeGreaterThan(0.75)
    const random = seeds.map((seed) => {
      const chance = seededRandom(seed + 1)
      const any = () => 12 * (chance() - 0.5)
      return markGaps(makeGaps(seed, level), { rightMm: any(), upMm: any(), clockwiseMm: any() }, practice).share
    })
    expect(mean(random)).toBeLessThan(0.2)
    for (const seed of seeds)
      expect(markGaps(makeGaps(seed, level), { rightMm: 0, upMm: 0, clockwiseMm: 0 }, practice).share).toBe(0)
  })
})

test('a piece that is moved or turned the wrong way is told so, and one whose turn was not seen', () => {
  const task = makeGaps(5, 2)
  const { found: _, ...asked } = moveAsked(task)
  const told = (said: typeof asked) => markGaps(task, said, practice).says.map(english).join(' ')
  expect(told({ ...asked, rightMm: -asked.rightMm, upMm: -asked.upMm })).toContain('moved the wrong way')
  expect(told({ ...asked, clockwiseMm: -asked.clockwiseMm })).toContain('turned the wrong way')
  expect(told({ ...asked, clockwiseMm: 0 })).toContain('The turn was not seen')
})

describe.each(exerciseLevels)('mix, level %i', (level) => {
  test('every one can be done: what the bench says fits the bottle, is enough, and is worth all', () => {
    for (const seed of seeds) {
      const task = makeMix(seed, level)
      expect(makeMix(seed, level)).toEqual(task)
      const { bottle, problem } = bottleAfter(task, bestMix(task))
      expect(problem).toBeNull()
      expect(bottle.volumeMl).toBeLessThanOrEqual(task.bottleMl + 1e-6)
      expect(markMix(task, bestMix(task)).share).toBeCloseTo(1, 6)
    }
  })
  test('an untouched bottle is worth little, and what is poured at random too', () => {
    for (const seed of seeds) expect(markMix(makeMix(seed, level), []).share).toBeLessThan(0.5)
    const random = seeds.map((seed) => {
      const task = makeMix(seed, level)
      const chance = seededRandom(seed + 1)
      const acts = Array.from({ length: 4 }, (): MixAct => {
        const ml = Math.round(chance() * 0.3 * task.bottleMl)
        const what = (['water', 'alcohol stock', 'soap'] as const)[Math.floor(3 * chance())] ?? 'water'
        return chance() < 0.2 ? { kind: 'pour off', ml } : { kind: 'pour', what, ml }
      })
      return markMix(task, acts).share
    })
    expect(mean(random)).toBeLessThan(0.15)
  })
})

describe('what a hand does with a bottle', () => {
  test('it runs over, and has no more than it has', () => {
    const task = makeMix(1, 2)
    const over = bottleAfter(task, [{ kind: 'pour', what: 'water', ml: task.bottleMl + 1 }])
    expect(over.problem === null ? '' : english(over.problem)).toContain('It runs over')
    expect(over.bottle.volumeMl).toBe(0)
    const dry = bottleAfter(task, [{ kind: 'pour off', ml: 10 }])
    expect(dry.problem === null ? '' : english(dry.problem)).toContain('There are only 0')
  })
  test('alcohol and soap are kept through all of it, whatever is poured in whatever order', () => {
    const pours = fc.array(
      fc.record({
        what: fc.constantFrom('water' as const, 'alcohol stock' as const, 'soap' as const),
        ml: fc.integer({ min: 0, max: 90 }),
      }),
      { maxLength: 5 },
    )
    fc.assert(
      fc.property(pours, (all) => {
        const task = makeMix(3, 2)
        const acts = all.map((one): MixAct => ({ kind: 'pour', ...one }))
        const { bottle } = bottleAfter(task, acts)
        const of = (what: string) => all.reduce((sum, one) => sum + (one.what === what ? one.ml : 0), 0)
        expect((bottle.volumeMl * bottle.strength.alcoholPercent) / 100).toBeCloseTo(
          (of('alcohol stock') * task.stock.alcoholPercent) / 100,
          6,
        )
        expect((bottle.volumeMl * bottle.strength.soapMlPerL) / 1000).toBeCloseTo(of('soap'), 6)
      }),
    )
  })
  test('more poured away than there was need to costs', () => {
    const task = seeds
      .map((seed) => makeMix(seed, 3))
      .find((one) => bestMix(one).some((act) => act.kind === 'pour off'))
    if (task === undefined) throw new Error('none has to pour off')
    const all: MixAct[] = [
      { kind: 'pour off', ml: task.has.volumeMl },
      ...bestMix({ ...task, has: { volumeMl: 0, strength: { alcoholPercent: 0, soapMlPerL: 0 } } }),
    ]
    const verdict = markMix(task, all)
    expect(verdict.share).toBeLessThan(0.95)
    expect(verdict.says.map(english).join(' ')).toContain('More was poured away')
  })
})

/** A hand that knows: always on to the coldest spot of the place, at a pace, and away when the place is warm. */
function byAHandThatKnows(task: GunTask) {
  const march = new PatchMarch(task)
  const cells = cellsOfPlace(task, march.across, march.down)
  const jet = gunAt(task, 90)
  const frameS = 0.1
  const at = (cell: number) =>
    [((cell % march.across) + 0.5) * task.cellMm, (Math.floor(cell / march.across) + 0.5) * task.cellMm] as const
  let gun = at(cells[0] ?? 0)
  for (let k = 0; k < task.seconds / frameS; k++) {
    const coldest = cells.reduce((a, b) => ((march.hottestC[b] ?? 0) < (march.hottestC[a] ?? 0) ? b : a))
    if ((march.hottestC[coldest] ?? 0) >= task.leastC) break
    const [x, y] = at(coldest)
    const way = Math.hypot(x - gun[0], y - gun[1])
    const step = Math.min(1, (300 * frameS) / Math.max(way, 1e-9))
    const to = [gun[0] + step * (x - gun[0]), gun[1] + step * (y - gun[1])] as const
    march.step(frameS, { jet, from: gun, to })
    gun = to
  }
  return markGun(task, march.hottestC, march.across)
}

test('a place for the gun: first a recess amidst the part, then edges and corners at its rim, at last edges alone, each with its heat', () => {
  const kindOf = ({ place, widthMm, heightMm }: GunTask) => {
    const below = place.topMm + place.heightMm === heightMm
    const beside = place.leftMm === 0 || place.leftMm + place.widthMm === widthMm
    return below && beside ? 'corner' : below ? 'edge' : beside ? 'side' : 'recess'
  }
  const told = { recess: /recess/, edge: /Seal the marked edge/, corner: /marked corner/, side: /never/ }
  const heat = { recess: practice.heatSoften, edge: practice.heatSeal, corner: practice.heatSoften, side: Number.NaN }
  for (const [level, kinds] of [
    [1, ['recess']],
    [2, ['corner', 'edge']],
    [3, ['edge']],
  ] as const) {
    const tasks = seeds.slice(0, 40).map((seed) => makeGun(seed, level, practice))
    expect([...new Set(tasks.map(kindOf))].sort()).toEqual(kinds)
    for (const task of tasks) {
      expect(english(task.says)).toMatch(told[kindOf(task)])
      expect((task.leastC + task.mostC) / 2).toBeCloseTo(heat[kindOf(task)], 9)
    }
  }
})

describe.each(exerciseLevels)('gun in hand, level %i', (level) => {
  const coarse = (seed: number) => ({ ...makeGun(seed, level, practice), cellMm: 6 })
  test('a hand that knows brings the place to its heat and burns nothing', () => {
    const shares = seeds.slice(0, 8).map((seed) => byAHandThatKnows(coarse(seed)).share)
    expect(Math.min(...shares)).toBeGreaterThan(0.8)
    expect(mean(shares)).toBeGreaterThan(0.9)
  })
  test('a gun that is waved about, held still or not taken up is worth little', () => {
    const waved = seeds.map((seed) => {
      const task = { ...coarse(seed), cellMm: 12 }
      const chance = seededRandom(seed + 1)
      const march = new PatchMarch(task)
      const place = () => [chance() * task.widthMm, chance() * task.heightMm] as const
      const jet = gunAt(task, 60 + 150 * chance())
      let from = place()
      for (let k = 0; k < 40; k++) {
        const to = place()
        march.step(0.25, { jet, from, to })
        from = to
      }
      return markGun(task, march.hottestC, march.across).share
    })
    expect(mean(waved)).toBeLessThan(0.2)
    const task = coarse(3)
    expect(markGun(task, new PatchMarch(task).hottestC, 100).share).toBe(0)
    const still = new PatchMarch(task)
    const at = [task.place.leftMm + task.place.widthMm / 2, task.place.topMm + task.place.heightMm / 2] as const
    for (let k = 0; k < 300; k++) still.step(0.1, { jet: gunAt(task, 50), from: at, to: at })
    const verdict = markGun(task, still.hottestC, still.across)
    expect(verdict.share).toBeLessThan(0.3)
    expect(verdict.says.map(english).join(' ')).toContain('Film was damaged')
  })
})

describe.each(exerciseLevels)('measure, level %i', (level) => {
  const some = seeds.slice(0, 60)
  test('the same seed makes the same; every reading makes the form surer; the best lines are worth all', () => {
    for (const seed of some) {
      const task = makeMeasure(seed, level)
      expect(makeMeasure(seed, level)).toEqual(task)
      const best = bestPicks(task)
      expect(new Set([...task.given, ...best]).size).toBe(task.given.length + task.picks)
      let before = mean(unsureAfter(task, []))
      best.forEach((_, i) => {
        const now = mean(unsureAfter(task, best.slice(0, i + 1)))
        expect(now).toBeLessThan(before + 1e-9)
        before = now
      })
      expect(markMeasure(task, best).share).toBe(1)
      expect(markMeasure(task, best).says).toHaveLength(1)
    }
  })
  test('a line that is read is known; lines at random are worth little', () => {
    const shares = some.map((seed) => {
      const task = makeMeasure(seed, level)
      const chance = seededRandom(seed + 1)
      const left = task.lines.map((_, i) => i).filter((i) => !task.given.includes(i))
      const picked = Array.from(
        { length: task.picks },
        () => left.splice(Math.floor(chance() * left.length), 1)[0] ?? 0,
      )
      const unsure = unsureAfter(task, picked)
      for (const line of picked) expect(unsure[line]).toBeLessThan(0.5)
      return markMeasure(task, picked).share
    })
    expect(mean(shares)).toBeLessThan(0.4)
  })
})

test('where the straightedge told little, the better line is named', () => {
  const task = makeMeasure(11, 2)
  const worst = task.lines
    .map((_, i) => i)
    .filter((i) => !task.given.includes(i))
    .map((line) => ({ line, unsure: mean(unsureAfter(task, [line])) }))
    .sort((a, b) => b.unsure - a.unsure)[0]
  if (worst === undefined) throw new Error('no line')
  const rest = [bestNext(task, [worst.line])]
  const says = markMeasure(task, [worst.line, ...rest, bestNext(task, [worst.line, ...rest])])
    .says.map(english)
    .join(' ')
  expect(says).toContain(
    `Line ${worst.line + 1} told little then; line ${bestNext(task, []) + 1} would have told most.`,
  )
})

test('what is read under the straightedge is the rise of the middle over its ends', () => {
  const flat = { acrossMm: 20, upMm: 0, twistMm: 0, swellMm: 0, swellAt: [0, 0] as const }
  const task = { ...makeMeasure(2, 1), truth: flat }
  task.lines.forEach(({ from, to }, i) => {
    const wide = (task.outline[1]?.[0] ?? 0) - (task.outline[0]?.[0] ?? 0)
    const across = Math.abs(to[0] - from[0]) / wide
    expect(readLine(task, i).sagittaMm).toBeCloseTo(20 * across * across, 0)
  })
})
