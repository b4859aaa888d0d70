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

test('the words say what is left, how far it reaches, and where pieces overlap', () => {
  const said = (overlapLayers: number) => {
    const light = lampLight({ layers: [{ transmission: 0.5 }], overlapLayers })
    return light.ok ? english(light.value.words) : english(light.failure.sentence)
  }
  expect(said(0)).toBe(
    '50 % of the light is left; it reaches, and is seen, about 71 % as far. Local law and the inspection decide whether that is allowed.',
  )
  expect(said(1)).toContain('Where pieces overlap only 25 % is left.')
})

test('clear film lets all light through; the layer that cannot be is named', () => {
  const clear = lampLight({ layers: [{ transmission: 1 }] })
  expect(clear.ok && clear.value.outputRatio).toBe(1)
  const wrong = lampLight({ layers: [{ transmission: 0.5 }, { transmission: 1.2 }] })
  expect(wrong.ok ? '' : english(wrong.failure.sentence)).toMatch(/\b2\b/)
})

test.each([
  [[], 'LIGHT_NO_LAYER'],
  [[{ transmission: 0 }], 'LIGHT_OUT_OF_RANGE'],
  [[{ transmission: 35 }], 'LIGHT_OUT_OF_RANGE'],
])('%j is refused', (layers, code) => {
  const light = lampLight({ layers })
  expect(light.ok ? 'fine' : light.failure.code).toBe(code)
})

test('a lamp that lights the road is told by how far one sees, one that is seen by from how far', () => {
  const words = (use: 'lights the road' | 'is seen' | null) => {
    const light = lampLight({ use, layers: [{ transmission: 0.36 }] })
    return light.ok ? english(light.value.left) : ''
  }
  expect(words('lights the road')).toBe('36 % of the light is left; the road is seen about 60 % as far.')
  expect(words('is seen')).toBe('36 % of the light is left; the vehicle is seen from about 60 % as far.')
  expect(words(null)).toContain('it reaches, and is seen, about 60 % as far')
})
