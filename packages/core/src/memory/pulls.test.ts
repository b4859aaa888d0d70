import { english } from '@truelay/words'
import { describe, expect, test } from 'vitest'
import { practiceWith } from '../practice/index.ts'
import { bladeUsedWords, type FitFact, type PullMade, pullMadeWords, pullWords, recallPart } from './index.ts'

const fact = (...pulls: [string, PullMade][]): FitFact => ({
  partId: crypto.randomUUID(),
  at: '2030-01-01T10:00:00.000Z',
  modelId: 'pipit',
  slot: 'bonnet',
  pieceId: 'piece',
  body: 'one',
  hand: 'Ana',
  filmId: 'film',
  offset: null,
  fingersAt: [],
  faults: [],
  pace: null,
  laidAgain: 0,
  pulls: pulls.map(([place, needed]) => ({ place, needed })),
})
const said = (...facts: FitFact[]) =>
  pullWords(
    recallPart(facts, { modelId: 'pipit', slot: 'bonnet', pieceId: null, body: null, hand: null }, practiceWith({})),
  ).map(english)

describe('how far film had to be pulled in earlier fits', () => {
  test('more than planned in most of them is said, with how often', () => {
    expect(
      said(fact(['the nose edge', 'more']), fact(['the nose edge', 'more']), fact(['the nose edge', 'as planned'])),
    ).toEqual(['The pull at the nose edge needed more than planned 2 of 3 times: go a little past the mark.'])
  })
  test('less likewise, each place by itself, the most frequent first', () => {
    const both = fact(['the nose edge', 'less'], ['the rear edge', 'more'])
    const told = said(both, both, fact(['the rear edge', 'more']))
    expect(told).toHaveLength(2)
    expect(told[0]).toContain('the rear edge needed more than planned 3 of 3 times')
    expect(told[1]).toContain('the nose edge needed less than planned 2 of 2 times: stop short')
  })
  test('once is chance, and half of the time is no rule', () => {
    expect(said(fact(['the nose edge', 'more']))).toEqual([])
    const [more, less] = [fact(['the nose edge', 'more']), fact(['the nose edge', 'less'])]
    expect(said(more, less, more, less)).toEqual([])
  })
  test('fits from before it was asked say nothing', () => {
    const { pulls: _, ...before } = fact()
    expect(said(before, before)).toEqual([])
  })
  test.each([
    ['less', 'at the nose edge less far than planned'],
    ['as planned', 'at the nose edge as planned'],
    ['more', 'at the nose edge further than planned'],
  ] as const)('in one fit: %s', (needed, words) => {
    expect(english(pullMadeWords({ place: 'the nose edge', needed }))).toBe(words)
  })
})

test.each([
  [[{ fresh: false, cutMm: 300 }], '300 mm cut'],
  [
    [
      { fresh: true, cutMm: 300 },
      { fresh: false, cutMm: 40 },
    ],
    '1 fresh segment, 340 mm cut',
  ],
  [
    [
      { fresh: true, cutMm: 300 },
      { fresh: true, cutMm: 0 },
    ],
    '2 fresh segments, 300 mm cut',
  ],
] as const)('what was cut with a blade: %j', (strokes, words) => {
  expect(english(bladeUsedWords(strokes))).toBe(words)
})
