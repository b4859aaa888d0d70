import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { namedPlace } from './index.ts'

const corner = (x: number, y: number): Vec2 => [x, y]
const part = [corner(0, 0), corner(1000, 0), corner(1000, 600), corner(0, 600)]
const plan = {
  drawing: {
    part,
    holes: [],
    piece: part,
    cutOuts: [],
    edges: [
      { name: 'nose', line: [corner(0, 0), corner(1000, 0)] },
      { name: 'rear', line: [corner(0, 600), corner(1000, 600)] },
    ],
  },
  edges: ['nose', 'rear'].map((name) => ({ name, label: `${name} edge` })),
  anchors: [{ number: 1, label: { text: 'nose corner', with: [] }, at: corner(990, 10) }],
} as unknown as Parameters<typeof namedPlace>[0]

test.each([
  [[500, 20], 'nose edge', 'nose'],
  [[500, 590], 'rear edge', 'rear'],
  [[500, 300], 'in the middle', null],
  [[980, 30], 'nose corner', 'nose'],
  [[0, 300], 'in the middle', null],
] as const)('a spot at %j is called: %s', ([x, y], says, edge) => {
  const place = namedPlace(plan, [x, y])
  expect(english(place.says)).toBe(says)
  expect(place.edge?.name ?? null).toBe(edge)
})
