import { expect, test } from 'vitest'
import { handsFor } from './handsFor.ts'

test.each([
  [1, 1],
  [2, 2],
  [8, 4],
  [undefined, 2],
])('%s processors: %i hands', (processors, hands) => expect(handsFor(processors)).toBe(hands))
