import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { edgeCodes } from '../form/index.ts'
import { plainLens } from '../light/index.ts'
import { practiceWith } from '../practice/index.ts'
import { liquidOptions, nothingChosen, partQuestion, withChange, withEnds, type WorkChoices } from './index.ts'
import { planOf, saidOf, stepOf, type TestPart, testPart } from './testParts.ts'

const bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', null, 500)
const tail = testPart('skua-tail-outer-left', 'weir-smoke-wet', null, 400)
const lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', null, 400)
const ids = (part: TestPart, choices: Partial<WorkChoices>) =>
  planOf(part, { choices: { ...nothingChosen, ...choices } }).steps.map((s) => s.id)

describe('a change of what is chosen', () => {
  const before: WorkChoices = {
    ends: { nose: 'wrap', tail: 'tuck' },
    liquids: { slip: 'heavy slip', tack: 'strong tack' },
    cut: 'from the roll',
    hands: 2,
    light: { ...plainLens, layers: 2 },
  }
  test('leaves what it does not name', () => {
    expect(withChange(before, {})).toEqual(before)
    expect(withChange(before, { hands: 1 })).toEqual({ ...before, hands: 1 })
  })
  test('takes back what it names as null', () => {
    const nothing = { ends: { nose: null, tail: null }, liquids: null, cut: null, hands: null, light: null }
    expect(withChange(before, nothing)).toEqual(nothingChosen)
    expect(withChange(before, { ends: { nose: null } }).ends).toEqual({ tail: 'tuck' })
  })
  test('of one edge or one thing about the light leaves the others', () => {
    expect(withChange(before, { ends: { nose: 'stop-short' } }).ends).toEqual({ nose: 'stop-short', tail: 'tuck' })
    expect(withChange(before, { light: { mostShare: 0.5 } }).light).toEqual({ ...plainLens, layers: 2, mostShare: 0.5 })
    expect(withChange(nothingChosen, { light: { layers: 3 } }).light).toEqual({ ...plainLens, layers: 3 })
  })
  test('two changes of different things come to the same whichever is first', () => {
    const [a, b] = [
      { cut: null, ends: { nose: null } },
      { hands: 1, ends: { side: 'wrap' } },
    ] as const
    expect(withChange(withChange(before, a), b)).toEqual(withChange(withChange(before, b), a))
  })
})

describe('how an edge ends is chosen for a part', () => {
  test('nothing chosen: the form as it is', () => {
    expect(withEnds(bonnet.facts.form, {})).toBe(bonnet.facts.form)
  })
  test('a margin of its own goes with the way that it was given for', () => {
    const [first] = bonnet.facts.form.edges
    if (first === undefined) throw new Error('no edge')
    const form = { ...bonnet.facts.form, edges: [{ ...first, marginMinMm: 1, marginMaxMm: 7 }] }
    expect(withEnds(form, { [first.name]: first.code }).edges[0]).toMatchObject({ marginMaxMm: 7 })
    const wrapped = withEnds(form, { [first.name]: 'wrap' }).edges[0]
    expect(wrapped).toMatchObject({ name: first.name, label: first.label, code: 'wrap' })
    expect(wrapped?.marginMaxMm).toBeUndefined()
  })
  test('the steps follow it: a nose that is wrapped is trimmed, dried and turned', () => {
    expect(ids(bonnet, {})).not.toContain('turn-wrap')
    const steps = ids(bonnet, { ends: { nose: 'wrap' } })
    expect(steps).toEqual(expect.arrayContaining(['trim-wrap', 'grab', 'turn-wrap']))
    const plan = planOf(bonnet, { choices: { ...nothingChosen, ends: { nose: 'wrap' } } })
    expect(plan.edges.find((e) => e.name === 'nose')).toMatchObject({ code: 'wrap', rule: { minMm: -20, maxMm: -12 } })
    expect(plan.edges.filter((e) => e.code === 'wrap').length).toBe(1)
    expect(saidOf(stepOf(plan, 'turn-wrap')?.headline)).toBe('Turn nose edge')
  })
  test.each(edgeCodes)('every edge ended as “%s” gives a plan', (code) => {
    const ends = Object.fromEntries(tail.facts.form.edges.map((e) => [e.name, code]))
    const plan = planOf(tail, { choices: { ...nothingChosen, ends } })
    expect(plan.edges.every((e) => e.code === code)).toBe(true)
    expect(plan.steps.at(-1)?.id).toBe('hand-on')
  })
  test('the lay is not asked anew: its key is the same', () => {
    const usual = partQuestion(bonnet.facts)
    const wrapped = partQuestion({ ...bonnet.facts, choices: { ...nothingChosen, ends: { nose: 'wrap' } } })
    expect(wrapped.lay).toEqual(usual.lay)
    expect(wrapped.place).not.toEqual(usual.place)
  })
  test('a piece from the roll is cut for it', () => {
    const reach = (choices: WorkChoices) => Math.min(...planOf(bonnet, { choices }).drawing.piece.map(([, y]) => y))
    expect(reach(nothingChosen) - reach({ ...nothingChosen, ends: { nose: 'wrap' } })).toBeGreaterThan(10)
  })
})

describe('on what a part floats', () => {
  const practice = practiceWith()
  const room = { temperatureC: 20, humidityPercent: 50 }
  const options = ({ facts }: TestPart, more: object = {}) => liquidOptions({ ...facts, room, ...more }, practice)
  const called = (part: TestPart, says: string, more: object = {}) => {
    const option = options(part, more).find((o) => english(o.says) === says)
    if (option === undefined) throw new Error(`no way called ${says}`)
    return option
  }
  test('soap slides longer and holds later; hybrid slides for a moment', () => {
    const light = called(bonnet, 'light slip, weak tack')
    const heavy = called(bonnet, 'heavy slip, strong tack')
    const hybrid = called(bonnet, 'hybrid')
    expect(light.slidesMinutes).toBeCloseTo(practice.waitWetFilm, 6)
    expect(heavy.slidesMinutes ?? 0).toBeGreaterThan(1.5 * (light.slidesMinutes ?? 0))
    expect(hybrid.slidesMinutes ?? 99).toBeLessThan(light.slidesMinutes ?? 0)
    expect(hybrid.grabsMinutes ?? 99).toBeLessThan(heavy.grabsMinutes ?? 0)
  })
  test('cold damp air lengthens both', () => {
    const cold = { room: { temperatureC: 10, humidityPercent: 85 } }
    const [usual, raw] = [called(bonnet, 'hybrid'), called(bonnet, 'hybrid', cold)]
    expect(raw.slidesMinutes ?? 0).toBeGreaterThan(usual.slidesMinutes ?? 99)
    expect(raw.grabsMinutes ?? 0).toBeGreaterThan(usual.grabsMinutes ?? 99)
  })
  test('film for dry laying is refused every liquid, film for wet laying is refused none', () => {
    const refused = (part: TestPart) =>
      options(part)
        .filter((o) => o.refused !== null)
        .map((o) => english(o.says))
    expect(refused(bonnet)).toEqual(['dry'])
    expect(refused(lamp).length).toBe(options(lamp).length - 1)
    expect(called(lamp, 'dry').refused).toBeNull()
  })
  test('strong alcohol is refused on a lens, all alcohol on a damaged one, with the reason', () => {
    const strong = practiceWith({ strongTackAlcohol: 20, lensAlcohol: 12 })
    const option = (of: TestPart) =>
      liquidOptions({ ...of.facts, room }, strong).find((o) => english(o.says) === 'heavy slip, strong tack')
    expect(saidOf(option(tail)?.refused)).toContain('20 % alcohol crazes lens plastic; at most 12 % there.')
    expect(option(bonnet)?.refused).toBeNull()
    const cracked = options(tail, { found: [{ kind: 'cracked lens', at: [0.5, 0.5] }] })
    const left = cracked.filter((o) => o.refused === null).map((o) => english(o.says))
    expect(left).toContain('water only')
    expect(left).toContain('light slip, rinsed out with water')
    expect(left.some((says) => /tack|hybrid/.test(says))).toBe(false)
  })
  test('each way that can be gives a plan that mixes it', () => {
    for (const part of [bonnet, tail])
      for (const { slip, tack, refused } of options(part)) {
        if (refused !== null) continue
        const plan = planOf(part, { choices: { ...nothingChosen, liquids: { slip, tack } } })
        expect(plan.solutions.map((s) => s.school)).toEqual(slip === tack ? [slip] : [slip, tack])
        expect(plan.steps.map((s) => s.id)).toContain('mix')
      }
  })
  test('what was found since may forbid it: the usual way is taken, and that is said', () => {
    const liquids = { slip: 'hybrid', tack: 'hybrid' } as const
    const plan = planOf(tail, {
      choices: { ...nothingChosen, liquids },
      found: [{ kind: 'crazed lens', at: [0.5, 0.5] }],
    })
    expect(plan.solutions.map((s) => s.school)).toEqual(['water only'])
    expect(plan.notes.map((n) => english(n.says))).toContain('No alcohol on this lens: it is damaged.')
  })
  test('the choice is named with its reason on the lay sheet', () => {
    const plan = planOf(bonnet, { choices: { ...nothingChosen, liquids: { slip: 'hybrid', tack: 'hybrid' } } })
    expect(saidOf(plan.schools[0]?.choice)).toBe('hybrid')
  })
})
