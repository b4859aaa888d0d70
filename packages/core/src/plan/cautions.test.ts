import { english } from '@truelay/words'
import { beforeAll, describe, expect, test } from 'vitest'
import { type FindingKind, findingKinds, type FoundOnPart, heats, type PartPlan, type PlanStep } from './index.ts'
import { planOf, testPart } from './testParts.ts'

const at = (kind: FindingKind): FoundOnPart => ({ kind, at: [0.4, 0.5] })
const bars = (kinds: readonly FindingKind[]) => kinds.some((k) => k === 'cracked lens' || k === 'crazed lens')
const pairs = findingKinds.flatMap((a, i) => findingKinds.slice(i + 1).map((b) => [a, b] as const))

const films = {
  'a clear film on a door': ['pipit-door-left', 'clearcoat-hull-180'],
  'a dry tint on a lamp': ['pipit-headlamp-left', 'dusk-glass-dry'],
  'a wet tint on a tail lamp': ['skua-tail-outer-left', 'weir-smoke-wet'],
  'a clear film on a fog lamp': ['pipit-fog-left', 'clear-dome-dry'],
  'a bar in black': ['skua-trim-left', 'ebony-cast-dry'],
} as const

const aboutHeat = new Set<string>(['heat', 'no heat'])
const aboutLiquid = new Set<string>(['alcohol', 'vapour', 'solvent', 'liquid'])
const noAlcohol = ({ solutions }: PartPlan) => solutions.every((s) => s.strength.alcoholPercent === 0)
const holds = (step: PlanStep, about: string) => step.cautions.some((c) => c.about === about)

describe.each(Object.entries(films))('%s', (_, [form, film]) => {
  const alone = new Map<FindingKind, PartPlan>()
  const together: { readonly kinds: readonly FindingKind[]; readonly plan: PartPlan }[] = []
  beforeAll(() => {
    const part = testPart(form, film, null, 400)
    for (const kind of findingKinds) alone.set(kind, planOf(part, { found: [at(kind)] }))
    for (const kinds of pairs) together.push({ kinds, plan: planOf(part, { found: kinds.map(at) }) })
  })

  test('with any two findings every step that holds heat, a blade or alcohol cautions of it', () => {
    for (const { kinds, plan } of together) {
      for (const step of plan.steps) {
        const where = `${kinds.join(' and ')}: ${step.id}`
        if (step.tools.some(heats)) {
          expect(holds(step, 'heat'), where).toBe(true)
          expect(bars(kinds), where).toBe(false)
        }
        if (step.records === 'blade') expect(holds(step, 'blade'), where).toBe(true)
        if (step.heat !== undefined) expect(plan.heat.map((h) => h.use)).toContain(step.heat)
      }
    }
  })

  test('wherever a gun is in hand, what to keep heat off: of a lens its cracks, of a body its airbags', () => {
    const lens = form.includes('lamp') || form.includes('tail') || form.includes('fog')
    const hot = together.flatMap(({ plan }) => plan.steps.filter((step) => step.tools.some(heats)))
    expect(hot.length).toBeGreaterThan(0)
    for (const step of hot) {
      const said = step.cautions.map((c) => english(c.says)).join(' ')
      expect(said.includes('cracked or crazed lens'), step.id).toBe(lens)
      expect(said.includes('airbags'), step.id).toBe(!lens)
    }
  })

  test('no finding takes away a caution that another one brings, unless it takes away what the caution is about', () => {
    for (const { kinds, plan: both } of together) {
      for (const kind of kinds)
        for (const before of alone.get(kind)?.steps ?? []) {
          const step = both.steps.find((s) => s.id === before.id)
          if (step === undefined) continue
          const now = new Set(step.cautions.map((c) => english(c.says)))
          for (const caution of before.cautions) {
            const otherLiquid = String(step.liquids) !== String(before.liquids) || noAlcohol(both)
            const takenAway =
              bars(kinds) && (aboutHeat.has(caution.about) || (otherLiquid && aboutLiquid.has(caution.about)))
            if (!takenAway) expect(now, `${kinds.join(' and ')}: ${step.id}`).toContain(english(caution.says))
          }
        }
    }
  })
})
