import { wordsIn } from '@truelay/words'
import { pseudo } from '@truelay/words/pseudo'
import { beforeAll, describe, expect, test } from 'vitest'
import { isEmpty, saidIn, type Sentence } from '../say/index.ts'
import { findingKinds, inHandWords, type PartPlan } from './index.ts'
import { planOf, sentencesIn, testPart } from './testParts.ts'

const parts = [
  ['pipit-bonnet', 'clearcoat-hull-180', 'pipit-bonnet-piece'],
  ['pipit-bumper', 'clearcoat-hull-180', 'pipit-bumper'],
  ['pipit-headlamp-left', 'dusk-glass-dry', 'pipit-headlamp-left-piece'],
  ['skua-tail-outer-left', 'weir-smoke-wet', 'skua-tail-outer-left'],
  ['drover-grille-bar', 'ebony-cast-dry', 'drover-grille-bar'],
] as const

describe.each(parts)('everything that a plan of %s says', (form, film, piece) => {
  let plan: PartPlan
  let sentences: Sentence[] = []
  beforeAll(() => {
    const found = findingKinds.map((kind, i) => ({ kind, at: [0.1 + i / 20, 0.5] as const, sizeMm: 40 }))
    plan = planOf(testPart(form, film, piece, 500), { found, low: true })
    sentences = [...sentencesIn(plan), ...plan.steps.flatMap(inHandWords)]
    expect(sentences.length).toBeGreaterThan(100)
  })

  test('in inches, degrees Fahrenheit and fluid ounces leaves no millimetre, degree Celsius or millilitre behind', () => {
    const words = wordsIn({ units: { length: 'in', temperature: 'F', volume: 'fl oz' } })
    for (const sentence of sentences) expect(words(sentence)).not.toMatch(/\d ?(mm|cm|m|mL|L|°C)\b/)
  })

  test('goes through a catalogue, all but names', () => {
    const words = wordsIn({ catalogue: pseudo })
    for (const sentence of sentences) {
      let rest = words(sentence)
      const names = [...saidIn(sentence)].flatMap((said) => (said.kind === 'name' ? [said.name] : []))
      for (const name of names.sort((a, b) => b.length - a.length))
        rest = rest.replace(new RegExp(name.replace(/[^\p{L}\d ]/gu, '.'), 'iu'), '')
      rest = rest.replace(/\b(mm|cm|mL|L|m²|m|N|s|min|h|C|F|and|in|fl|oz)\b/g, '')
      expect(rest, sentence.text).not.toMatch(/[a-z]{3,}/)
    }
  })

  test('is never half said', () => {
    const words = wordsIn()
    for (const sentence of sentences) {
      if (isEmpty(sentence)) continue
      expect(words(sentence)).not.toMatch(/undefined|NaN|Infinity|\{|\[object/)
      expect(words(sentence)).not.toMatch(/ {2}| ,| \./)
    }
  })
})
