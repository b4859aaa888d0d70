import { expect, test } from 'vitest'
import { filmFigureKeys, filmProblem } from '../lay/index.ts'
import { filmTypes, usualFilmOf, waysLaid } from './index.ts'

test.each(filmTypes)('%s: its usual figures do not contradict each other and lie in their ranges', (type) => {
  for (const laid of waysLaid) {
    const film = usualFilmOf(type, laid)
    expect(film).toMatchObject({ type, laid })
    expect(filmProblem(film.handling)).toBeNull()
    expect(Object.keys(film.handling).sort()).toEqual([...filmFigureKeys].sort())
  }
})

test('vinyl gives most and springs back least; paint film shows glue lines first; only lens film tells its light', () => {
  const [paint, lens, vinyl] = [usualFilmOf('paint film'), usualFilmOf('lens tint'), usualFilmOf('trim vinyl')]
  expect(vinyl.handling.warmStretch).toBeGreaterThan(lens.handling.warmStretch)
  expect(lens.handling.warmStretch).toBeGreaterThan(paint.handling.warmStretch)
  expect(vinyl.handling.recovery).toBeLessThan(paint.handling.recovery)
  expect(paint.handling.glueLineStretch).toBeLessThan(vinyl.handling.glueLineStretch)
  expect(lens.transmission).toBeGreaterThan(0)
  expect([paint.transmission, vinyl.transmission]).toEqual([undefined, undefined])
})
