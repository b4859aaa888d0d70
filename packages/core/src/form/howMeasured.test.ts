import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { howMeasured, measuredFrom } from './index.ts'

const fit = { worstMissMm: 0, unsureMm: 1.24, readings: 0, spots: 0, spotMiss: null }
const relief = { originMm: [0, 0] as const, stepMm: 4, columns: 2, heightsMm: [0, 0, 0, 0], errorMm: 0.3 }

test.each([
  [{}, { ...fit, readings: 10 }, 'From 10 bow readings; between them the form may be off by about 1.2 mm.'],
  [{}, { ...fit, readings: 1 }, 'From one bow reading; between them the form may be off by about 1.2 mm.'],
  [{}, { ...fit, spots: 26 }, 'From 26 targets in photographs; between them the form may be off by about 1.2 mm.'],
  [
    {},
    { ...fit, spots: 26, readings: 2 },
    'From 26 targets in photographs and 2 bow readings; between them the form may be off by about 1.2 mm.',
  ],
  [{}, { ...fit, unsureMm: Infinity }, 'From 0 bow readings: too few to say how it bends.'],
  [{ relief }, { ...fit, unsureMm: Infinity }, 'From a scan, kept to within 0.3 mm.'],
])('a form says from what it was measured', (form, bowFit, sentence) => {
  expect(english(howMeasured(form, bowFit))).toBe(sentence)
})

test('in a list of forms a few words are enough', () => {
  const spot = { name: 't', at: [0, 0] as const, heightMm: 0, sigmaMm: 0.1 }
  const reading = { name: 'r', from: [0, 0] as const, to: [1, 0] as const, sagittaMm: 1 }
  expect(english(measuredFrom({ bow: [reading, reading] }))).toBe('2 bow readings')
  expect(english(measuredFrom({ bow: [reading], spots: [spot] }))).toBe('from photographs')
  expect(english(measuredFrom({ bow: [], relief }))).toBe('scanned')
})
