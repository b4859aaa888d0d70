import { describe, expect, test } from 'vitest'
import { orderBySchool, rehearse, type SchoolName, setStage } from '../lay/index.ts'
import { required } from '../result/index.ts'
import { demoFilm, demoForm } from './testParts.ts'

/** Largest less least, over the mean. */
const spread = (values: readonly number[]) =>
  (Math.max(...values) - Math.min(...values)) / (values.reduce((sum, x) => sum + x, 0) / values.length)

describe.each<[string, string, SchoolName[]]>([
  ['finch-headlamp-left', 'weir-smoke-wet', ['corners first', 'deepest first']],
  ['pipit-mirror-left', 'clearcoat-hull-180', ['spiral']],
  ['pipit-fog-left', 'weir-smoke-wet', ['one end and follow']],
])('an order for %s in %s', (part, film, schools) => {
  const stages = [1200, 2400, 4000].map((triangles) => required(setStage(demoForm(part), demoFilm(film), triangles)))
  test.each(schools)('%s: comes to the same whatever the mesh', (school) => {
    const troubles = stages.map(
      (stage) => rehearse(stage, orderBySchool(school, stage.form, stage.surface)).figures.trouble,
    )
    expect(spread(troubles), troubles.map((x) => x.toFixed(2)).join(' ')).toBeLessThan(0.1)
  })
})
