import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { type WaitKind, waitOf } from './index.ts'

const kinds: WaitKind[] = ['initialGrab', 'beforeWrap', 'beforeTrim', 'coolBeforeCut', 'edgeLook', 'fullBond']

test.each(kinds)('%s has a length and a name', (kind) => {
  const wait = waitOf(kind, practiceWith())
  expect(wait.minutes).toBeGreaterThan(0)
  expect(english(wait.label).length).toBeGreaterThan(5)
})

test('the shop’s own figures count, and the order of the trade holds', () => {
  expect(waitOf('initialGrab', practiceWith({ waitInitialGrab: 35 })).minutes).toBe(35)
  const minutes = (kind: WaitKind) => waitOf(kind, practiceWith()).minutes
  expect(minutes('coolBeforeCut')).toBeLessThan(minutes('beforeTrim'))
  expect(minutes('edgeLook')).toBeLessThan(minutes('fullBond'))
  expect(minutes('fullBond')).toBe(72 * 60)
})
