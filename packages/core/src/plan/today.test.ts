import { english, wordsIn } from '@truelay/words'
import { expect, test } from 'vitest'
import { calibrated, type GunDoc } from '../heat/index.ts'
import { required } from '../result/index.ts'
import { testContexts } from './testContexts.ts'
import { planOf, saidOf, testPart, tryPlan } from './testParts.ts'

const bonnet = testPart('pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece', 600)
const lamp = testPart('pipit-headlamp-left', 'dusk-glass-dry', null, 600)

test('cold damp air lengthens the waits of a plan and keeps film wet longer; ordinary air changes nothing', () => {
  const usual = planOf(bonnet, { room: { temperatureC: 20, humidityPercent: 50 } })
  const raw = planOf(bonnet, { room: { temperatureC: 12, humidityPercent: 85 } })
  const grab = (p: typeof usual) => p.steps.find((s) => s.id === 'grab')?.wait
  const float = (p: typeof usual) => p.steps.find((s) => s.id === 'float')?.driesInMinutes ?? 0
  expect(grab(usual)).toMatchObject({ kind: 'initialGrab', leastMinutes: 20, usualMinutes: 20, factor: 1 })
  expect(grab(raw)?.leastMinutes).toBeGreaterThan(40)
  expect(float(usual)).toBe(6)
  expect(float(raw)).toBeGreaterThan(float(usual))
  expect(raw.minutes).toBeGreaterThan(usual.minutes + 20)
})

test('what a shop has learned of a wait counts in its plans', () => {
  const learned = planOf(bonnet, { learned: { initialGrab: 1.5 } })
  expect(learned.steps.find((s) => s.id === 'grab')?.wait?.leastMinutes).toBeCloseTo(30, 6)
})

test('a panel is sealed at its edges, a dry lamp softened at its pulls and post-heated; shares add up', () => {
  expect(planOf(bonnet).heat.map((h) => h.use)).toEqual(['seal'])
  const heat = planOf(lamp).heat
  expect(heat.map((h) => h.use)).toEqual(['soften', 'seal', 'post-heat'])
  for (const { zones, words, steamSeconds, use } of heat) {
    expect(zones.reduce((sum, z) => sum + z.share, 0)).toBeCloseTo(1, 6)
    expect(english(words)).toContain('each way')
    expect(steamSeconds === null).toBe(use === 'post-heat')
  }
  const pull = planOf(lamp).steps.find((s) => s.id === 'pull-A')
  expect(pull?.heat).toBe('soften')
})

test('where heat is held most stands first, whatever comes first on the form', () => {
  const sealed = [...testContexts()].flatMap(([name, c]) =>
    c.heat.filter(({ use }) => use === 'seal').map(({ zones }) => ({ name, c, zones })),
  )
  const moved = sealed.filter(({ name, c, zones }) => {
    const shares = zones.map(({ share }) => share)
    expect(shares, name).toEqual(shares.toSorted((a, b) => b - a))
    const onForm = c.edges.map((e) => e.name).filter((edge) => zones.some((z) => z.kind === 'edge' && z.edge === edge))
    return onForm.join() !== zones.map((z) => (z.kind === 'edge' ? z.edge : '')).join()
  })
  expect(moved.length).toBeGreaterThan(0)
})

test('a gun that was read hotter than usual needs fewer passes or a lower setting', () => {
  const gun: GunDoc = {
    id: 'g',
    name: 'Bay gun',
    spotMm: 110,
    settings: [120, 260, 400, 540].map((outletC, i) => ({ name: String(i + 1), outletC })),
    readings: [
      {
        id: 'r',
        at: '2030-05-01T09:00:00Z',
        setting: '3',
        distanceMm: 90,
        speedMmS: 200,
        strokeMm: 200,
        passes: 6,
        material: 'painted plastic',
        filmUm: 180,
        ambientC: 20,
        surfaceC: 85,
        source: 'typed',
      },
    ],
  }
  const known = required(calibrated(gun))
  const [seal] = planOf(bonnet, { gun: known }).heat
  const [usual] = planOf(bonnet).heat
  expect(saidOf(seal?.gun)).toBe('Bay gun')
  expect(saidOf(seal?.words)).not.toBe(saidOf(usual?.words))
  const spread = (h: typeof seal) => (h?.passesRange[1] ?? 0) / (h?.passesRange[0] ?? 1)
  expect(spread(seal)).toBeLessThan(spread(usual))
})

test('a room that cannot be is refused, with the figure', () => {
  const plan = tryPlan(bonnet, { room: { temperatureC: 75, humidityPercent: 50 } })
  expect(plan.ok ? '' : english(plan.failure.sentence)).toContain('75')
})

test('temperatures are said in the shop’s unit', () => {
  const plan = planOf(lamp)
  const fahrenheit = wordsIn({ units: { length: 'mm', temperature: 'F', volume: 'mL' } })
  const sentences = [...plan.heat.map((h) => h.warning), ...plan.steps.flatMap((s) => [s.headline, s.detail])]
  const said = sentences.map((sentence) => (sentence === null ? '' : fahrenheit(sentence))).join(' ')
  expect(said).toContain('°F')
  expect(said).not.toContain('°C')
})
