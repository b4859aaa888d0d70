import { say } from '@truelay/core/say'
import { expect, test } from 'vitest'
import { batchDraft } from './liquids.ts'

const complaintsOf = (leftMl: number) => {
  const read = batchDraft.safeParse({
    id: 'x',
    says: say`weak tack`,
    school: 'weak tack',
    strength: { alcoholPercent: 10, soapMlPerL: 0 },
    bottleMl: 500,
    leftMl,
    waterKind: 'distilled',
    add: [],
    personId: 'ines',
  })
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'))
}

test.each([
  ['nothing', 0, []],
  ['all of it', 500, []],
  ['more than the bottle holds', 500.5, ['leftMl']],
  ['less than nothing', -1, ['leftMl']],
])('what is left in a bottle: %s', (_, leftMl, complaints) => {
  expect(complaintsOf(leftMl)).toEqual(complaints)
})
