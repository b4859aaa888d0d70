import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { buildSurface } from '../form/index.ts'
import { distance } from '../geometry/index.ts'
import { bulgedPart } from '../lay/testParts.ts'
import { required } from '../result/index.ts'
import { hardSpotsOf } from './lying.ts'
import { notesOf } from './notesOf.ts'
import { testContexts } from './testContexts.ts'

test('a spot that a piece is laid without is told with its edge, its size and what it would ask', () => {
  const surface = required(buildSurface(bulgedPart, { triangles: 400 }))
  const { triangle } = surface.mesh
  const { plan } = surface
  const near = (t: number) => distance([plan[2 * triangle[3 * t]!]!, plan[2 * triangle[3 * t]! + 1]!], [140, 0])
  const at = Array.from({ length: triangle.length / 3 }, (_, t) => t).reduce((a, b) => (near(b) < near(a) ? b : a))
  const spot = { triangle: at, stretch: 1.05, compression: 0.31, areaMm2: 180 }
  expect(hardSpotsOf(surface, { badSpots: [spot] })).toEqual([{ edge: 'right', areaMm2: 180, misfitPercent: 31 }])
  expect(hardSpotsOf(surface, { badSpots: [{ ...spot, stretch: 1.4 }] })[0]?.misfitPercent).toBeCloseTo(40, 9)
  expect(hardSpotsOf(surface, { badSpots: [] })).toEqual([])
})

test('its note says where, how large and what to do; without one there is none', () => {
  const [context] = testContexts().values()
  if (context === undefined) throw new Error('no context')
  const edge = context.form.edges[0]!
  const notes = (hardSpots: typeof context.hardSpots) =>
    notesOf({ ...context, hardSpots }).filter((n) => english(n.because) === 'hard spot')
  expect(notes([])).toEqual([])
  const spot = { edge: edge.name, areaMm2: 180, misfitPercent: 31 }
  expect(notes([spot, spot])).toHaveLength(2)
  const [note] = notes([spot])
  if (note === undefined) throw new Error('no note')
  const says = english(note.says)
  expect(says).toContain(edge.label)
  expect(says).toContain('31 %')
  expect(says).toContain('relieve it with a cut')
})
