import { type FormDoc, symmetrize } from '@truelay/core/form'
import type { Vec2 } from '@truelay/core/geometry'
import { expect, test } from 'vitest'
import { formDoc } from './formDoc.ts'
import { workChange } from './workChoices.ts'

const side = 'the side along the wing, over the arch and down to the sill'
const called = (what: string, i: number) => `${what} ${i}`.padEnd(60, '.')
const many = <T>(count: number, make: (i: number, at: Vec2) => T): T[] =>
  Array.from({ length: count }, (_, i) => make(i, [-190 + (i % 20) * 9, -140 + Math.floor(i / 20) * 14]))
const triangleAt = ([x, y]: Vec2, mm: number): Vec2[] => [
  [x, y],
  [x + mm, y],
  [x, y + mm],
]

/** The left half of a plate, with as much on it as one half may have, called as long as it may be. */
const half: FormDoc = {
  id: 'plate',
  version: 1,
  name: 'plate',
  family: 'panel',
  material: 'painted steel',
  directions: { up: 'windscreen', right: 'passenger’s side', down: 'nose', left: 'driver’s side' },
  start: [0, 150],
  outline: [
    { kind: 'line', to: [-200, 150], edge: 'top' },
    ...many(497, (i) => ({ kind: 'line' as const, to: [-200, 150 - (300 * (i + 1)) / 497] as const, edge: side })),
    { kind: 'line', to: [0, -150], edge: 'bottom' },
    { kind: 'line', to: [0, 150], edge: 'middle' },
  ],
  edges: ['top', side, 'bottom', 'middle'].map((name) => ({ name, label: name, code: 'stop-short' as const })),
  bow: many(100, (i, at) => ({ name: called('reading', i), from: at, to: [at[0], at[1] + 20], sagittaMm: 0 })),
  spots: many(200, (i, at) => ({ name: called('target', i), at, heightMm: 0, sigmaMm: 0.2 })),
  bodyLines: many(20, (i, at) => ({
    name: called('line', i),
    along: [at, [at[0] + 5, at[1] + 9]],
    turnDeg: 4,
    radiusMm: 8,
    reachMm: 40,
  })),
  recesses: many(20, (i, at) => ({ name: called('recess', i), outline: triangleAt(at, 6), depthMm: 1, wallDeg: 30 })),
  holes: many(20, (i, at) => ({
    name: called('hole', i),
    label: called('hole', i),
    outline: triangleAt(at, 6),
    code: 'stop-short' as const,
  })),
  marks: many(40, (i, at) => ({ name: called('mark', i), label: called('mark', i), at, weight: 1 })),
}

test('half a part with all that it may have is kept as a whole too', () => {
  expect(formDoc.safeParse(half).error).toBeUndefined()
  const whole = symmetrize(half)
  if (!whole.ok) throw new Error(whole.failure.code)
  expect([whole.value.spots?.length, whole.value.bow.length, whole.value.outline.length]).toEqual([400, 200, 998])
  expect(formDoc.safeParse(whole.value).error).toBeUndefined()
})

test('an edge of its right half may be chosen to end otherwise', () => {
  const right = `${side} (right)`
  expect(right.length).toBeGreaterThan(60)
  expect(workChange.safeParse({ ends: { [right]: 'wrap' } }).error).toBeUndefined()
  expect(workChange.safeParse({ ends: { ['x'.repeat(81)]: 'wrap' } }).success).toBe(false)
})
