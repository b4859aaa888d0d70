import { readFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { orderBySchool, setStage, usualHandling } from '@truelay/core/lay'
import { required } from '@truelay/core/result'
import { expect, test } from 'vitest'
import { sidesAfter } from './sidesAfter.ts'

const form = formDoc.parse(JSON.parse(readFileSync('demo/forms/finch-trim-1-left.json', 'utf8')))
const { surface } = required(setStage(form, { handling: usualHandling, laid: 'wet' }, 200))
const bySchool = (name: Parameters<typeof orderBySchool>[0]) => ({ order: orderBySchool(name, form, surface) })
const centre = bySchool('centre out')

test('what was found stands beside the best school', () => {
  const best = { order: { ...bySchool('spiral').order, made: 'by search' as const } }
  expect(sidesAfter({ best, school: centre }, { left: 'chosen', right: 'spiral' })).toEqual({
    left: 'centre out',
    right: 'found',
  })
})

test('where nothing beats it, it stands beside what was shown, never beside itself', () => {
  const none = { best: centre, school: centre }
  expect(sidesAfter(none, { left: 'chosen', right: 'spiral' })).toEqual({ left: 'centre out', right: 'spiral' })
  expect(sidesAfter(none, { left: 'spiral', right: 'centre out' })).toEqual({ left: 'centre out', right: 'spiral' })
  expect(sidesAfter(none, { left: 'centre out', right: 'spiral' })).toEqual({ left: 'centre out', right: 'spiral' })
  // Not even where the same school was chosen on both sides.
  expect(sidesAfter(none, { left: 'centre out', right: 'centre out' })).toEqual({
    left: 'centre out',
    right: 'one end and follow',
  })
})
