import { verbatim } from '@truelay/core/say'
import { english } from '@truelay/words'
import { readFileSync } from 'node:fs'
import { buildSurface, type FormDoc } from '@truelay/core/form'
import { expect, test } from 'vitest'
import { heatOfVertices } from './heatOfVertices.ts'
import { secondsWords } from '../../ui/secondsWords.ts'

const form = JSON.parse(readFileSync('demo/forms/pipit-bonnet.json', 'utf8')) as FormDoc
const built = buildSurface(form, { triangles: 800 })
if (!built.ok) throw new Error(english(built.failure.sentence))
const surface = built.value

test('an edge is warm along itself and cold in the middle of the part', () => {
  const heat = heatOfVertices(surface, [{ kind: 'edge', label: verbatim('rear edge'), edge: 'rear', share: 1 }])
  const at = (near: (x: number, y: number) => number) => {
    let best = 0
    for (let v = 1; v < heat.length; v++)
      if (
        near(surface.plan[2 * v] ?? 0, surface.plan[2 * v + 1] ?? 0) <
        near(surface.plan[2 * best] ?? 0, surface.plan[2 * best + 1] ?? 0)
      )
        best = v
    return heat[best] ?? 0
  }
  const ys = surface.outline.polygon.map((p) => p[1])
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  expect(Math.max(...heat)).toBeCloseTo(1, 6)
  expect(at((x, y) => Math.hypot(x, y - (low + high) / 2))).toBeLessThan(0.01)
})

test('of two spots the one with more of the time is the hotter', () => {
  const spot = (x: number, share: number) => ({
    kind: 'spot' as const,
    label: verbatim('s'),
    at: [x, 300] as const,
    onForm: [x, 300] as const,
    radiusMm: 120,
    share,
  })
  const [a, b] = [heatOfVertices(surface, [spot(-300, 0.8), spot(300, 0.2)]), heatOfVertices(surface, [spot(-300, 1)])]
  expect(Math.max(...a)).toBeGreaterThan(0.7)
  expect(a.filter((h) => h > 0.2).length).toBeGreaterThan(b.filter((h) => h > 0.2).length - 1)
})

test('short times as one counts them', () => {
  expect([null, 0.4, 12, 99, 250].map((seconds) => english(secondsWords(seconds)))).toEqual([
    'does not',
    'at once',
    '12 s',
    '99 s',
    '4 min',
  ])
})
