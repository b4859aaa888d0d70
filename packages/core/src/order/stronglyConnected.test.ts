import { expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { broken } from './testBroken.ts'
import { stronglyConnected } from './stronglyConnected.ts'
import { type Day, planDay } from './index.ts'
import { required } from '../result/index.ts'

const sorted = (groups: number[][]) =>
  groups.map((g) => [...g].sort((a, b) => a - b)).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0))

test('a circle is one group, a line is none', () => {
  expect(sorted(stronglyConnected([[1], [2], [0, 3], []]))).toEqual([[0, 1, 2], [3]])
  expect(sorted(stronglyConnected([[1], [2], []]))).toEqual([[0], [1], [2]])
})
test('groups are just what can be reached from each other, on random graphs', () => {
  const random = seededRandom(3)
  for (let run = 0; run < 30; run++) {
    const size = 2 + Math.floor(12 * random())
    const follow = Array.from({ length: size }, (_, i) =>
      Array.from({ length: size }, (_, j) => j).filter((j) => j !== i && random() < 0.18),
    )
    const reaches = follow.map((_, from) => {
      const seen = new Set([from])
      for (const node of seen) for (const next of follow[node] ?? []) seen.add(next)
      return seen
    })
    const groups = stronglyConnected(follow)
    for (let a = 0; a < size; a++)
      for (let b = 0; b < size; b++) {
        const together = groups.some((g) => g.includes(a) && g.includes(b))
        expect(together).toBe(reaches[a]?.has(b) === true && reaches[b]?.has(a) === true)
      }
  }
})
test('a step between two that are tied by a greatest wait is placed with them', () => {
  // Soak; carry for two; lay within five minutes of soaking: the carrying lies between.
  const part = (id: string): Day['tasks'] => [
    { id: `${id} soak`, minutes: 3, people: 1, tools: [], after: [] },
    { id: `${id} carry`, minutes: 1, people: 2, tools: [], after: [{ task: `${id} soak`, minMinutes: 0 }] },
    {
      id: `${id} lay`,
      minutes: 20,
      people: 1,
      tools: [],
      after: [
        { task: `${id} carry`, minMinutes: 0 },
        { task: `${id} soak`, minMinutes: 0, maxMinutes: 5 },
      ],
    },
  ]
  const day: Day = {
    people: [{ id: 'Ines' }, { id: 'Tarek' }],
    tools: [],
    tasks: Array.from({ length: 25 }, (_, k) => part(`p${k}`)).flat(),
    breaks: [{ from: 100, to: 160 }],
  }
  let spent = 0
  const plan = required(planDay(day, { seconds: 1, spentMs: () => (spent += 10) }))
  expect(broken(day, plan)).toEqual([])
})
