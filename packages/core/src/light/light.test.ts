import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { lampLight } from './index.ts'

test('layers multiply and distance goes with the root', () => {
  const light = lampLight({
    layers: [{ transmission: 0.5 }, { transmission: 0.8 }],
    lampCandela: 1000,
    overlapLayers: 1,
  })
  if (!light.ok) throw new Error(english(light.failure.sentence))
  expect(light.value.outputRatio).toBeCloseTo(0.4, 12)
  expect(light.value.overlapRatio).toBeCloseTo(0.32, 12)
  expect(light.value.seeingDistanceRatio).toBeCloseTo(Math.sqrt(0.4), 12)
  expect(light.value.outputCandela).toBeCloseTo(400, 9)
  expect(light.value.words).toSay('Local law')
})

test.each([
  [[], 'LIGHT_NO_LAYER'],
  [[{ transmission: 0 }], 'LIGHT_OUT_OF_RANGE'],
  [[{ transmission: 35 }], 'LIGHT_OUT_OF_RANGE'],
])('%j is refused', (layers, code) => {
  const light = lampLight({ layers })
  expect(light.ok ? 'fine' : light.failure.code).toBe(code)
})
