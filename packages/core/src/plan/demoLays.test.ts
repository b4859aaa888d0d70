import { describe, expect, test } from 'vitest'
import { buildSurface } from '../form/index.ts'
import { usualHandling, workedLay, workedOptions } from '../lay/index.ts'
import { required } from '../result/index.ts'
import { demoForm } from './testParts.ts'

/** Stretch of the middle triangle of all, ratio. */
const middling = (stretch: Float64Array) => {
  const larger = [...stretch].filter((_, i) => i % 2 === 0).sort((a, b) => a - b)
  return larger[Math.floor(larger.length / 2)] ?? 0
}

describe.each(['drover-tail-left', 'drover-tail-right', 'drover-grille-top'])('the worked lay of %s', (id) => {
  test.each([1200, 1500, 1900, 3000])(
    'stretches no more of the film than its hollow asks for, on %i triangles',
    (triangles) => {
      const { mesh } = required(buildSurface(demoForm(id), { triangles, wallRows: true }))
      const lay = required(workedLay(mesh, workedOptions(usualHandling)))
      expect(lay.neededStretch).toBeGreaterThan(1.05)
      expect(middling(lay.stretch)).toBeLessThan(1.02)
      // And holds what it promises.
      for (let t = 0; t < lay.stretch.length / 2; t++) {
        expect(lay.stretch[2 * t]).toBeLessThan(1 + 1.1 * (lay.neededStretch - 1))
        expect(1 - lay.stretch[2 * t + 1]!).toBeLessThan(lay.leftCompression + 1e-9)
      }
    },
  )
})
