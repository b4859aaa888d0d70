import { readFileSync } from 'node:fs'
import { say } from '@truelay/core/say'
import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { z } from 'zod'
import { asIssue, ownRule, sayProblem } from './failure.ts'
import { formDoc } from './formDoc.ts'

const bonnet = JSON.parse(readFileSync('demo/forms/pipit-bonnet.json', 'utf8'))
const problemOf = (document: unknown) => {
  const read = formDoc.safeParse(document)
  if (read.success) throw new RangeError('it passes')
  return read.error
}

describe('what is wrong with a document', () => {
  test('by a rule of our own is that rule in words', () => {
    const lost = { name: 'lost', label: 'lost mark', at: [4000, 0], weight: 1 }
    const rule = ownRule(problemOf({ ...bonnet, marks: [lost] }))
    expect(rule === null ? null : english(rule)).toBe(
      '"lost" lies outside the part; drag it onto the drawing, or remove it',
    )
  })
  test.each([
    ['a figure out of range', { ...bonnet, start: [Number.NaN, 0] }],
    ['a name too long', { ...bonnet, name: 'x'.repeat(400) }],
    ['a field of nonsense', { ...bonnet, family: 'boat' }],
  ])('%s breaks no rule of our own, and its field is told', (_, document) => {
    const error = problemOf(document)
    expect(ownRule(error)).toBeNull()
    expect(sayProblem(error).where).toMatch(/^(start|name|family)/)
  })
  test('a rule that is a sentence stands without its field', () => {
    const twice = z.array(z.number()).refine((all) => new Set(all).size === all.length, asIssue(say`One stands twice.`))
    const read = z.strictObject({ places: twice }).safeParse({ places: [1, 1] })
    if (read.success) throw new RangeError('it passes')
    expect(english(sayProblem(read.error).sentence)).toBe('One stands twice.')
    expect(sayProblem(read.error).where).toBe('places')
  })
})
