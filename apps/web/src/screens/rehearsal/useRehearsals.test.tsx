import { act, renderHook, waitFor } from '@testing-library/react'
import { readFileSync } from 'node:fs'
import { formDoc, partQuestionOf } from '@truelay/contract'
import { english } from '@truelay/words'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { InShop, type OpenShop, openShop } from '../../testing/openShop.tsx'
import type { RehearsalQuestion } from '../../workers/rehearsalWork.ts'
import { useRehearsals } from './useRehearsals.ts'

let shop: OpenShop
let question: RehearsalQuestion
let lamp: RehearsalQuestion
beforeAll(async () => {
  shop = await openShop()
  const { bundle, part } = await shop.bundle('0412')
  const asked = partQuestionOf(bundle, part)
  if (asked === null) throw new Error('the bonnet cannot be worked out')
  question = { form: asked.lay.form, film: asked.lay.film, practice: asked.work.practice }
  lamp = { ...question, form: formDoc.parse(JSON.parse(readFileSync('demo/forms/pipit-fog-left.json', 'utf8'))) }
})
afterAll(() => shop.close())

async function open(first: RehearsalQuestion = question) {
  const view = renderHook((asked: RehearsalQuestion) => useRehearsals(asked, null), {
    wrapper: InShop,
    initialProps: first,
  })
  await waitFor(() => expect(view.result.current.stage.phase).not.toBe('asked'))
  return { ...view, now: () => view.result.current }
}

test('a stage is built once; an order is rehearsed when it is asked for, and stays known', async () => {
  const view = await open()
  expect(view.now().stage.phase).toBe('known')
  expect(view.now().known).toEqual({})
  await act(() => view.now().ask('corners first'))
  await waitFor(() => expect(view.now().known['corners first']).toBeDefined())
  const shown = view.now().known['corners first']
  expect(shown?.rehearsal.figures.largestStretch).toBeGreaterThan(0)
  expect(shown === undefined ? '' : english(shown.words)).toMatch(/^Fix /)
})

test('an order that nobody has chosen or found is not asked for', async () => {
  const view = await open()
  await act(() => view.now().ask('chosen'))
  await act(() => view.now().ask('found'))
  expect(view.now().known).toEqual({})
})

test('a search tells how far it is, and can be stopped', async () => {
  const view = await open()
  act(() => void view.now().look())
  await waitFor(() => {
    const { search } = view.now()
    expect(search.phase === 'looking' ? search.news.share : 0).toBeGreaterThan(0)
  })
  act(() => view.now().stop())
  await waitFor(() => expect(view.now().search.phase).toBe('idle'))
  expect(view.now().known.found).toBeUndefined()
})

test('looked for again, other changes are tried, and the best of all searches stays', async () => {
  const view = await open(lamp)
  const found = async () => {
    await act(() => view.now().look())
    const { search } = view.now()
    if (search.phase !== 'found') throw new Error(`not found: ${search.phase}`)
    return search
  }
  const once = await found()
  const twice = await found()
  expect([once.times, twice.times]).toEqual([1, 2])
  expect(twice.found.tried).toBeGreaterThan(once.found.tried + 16)
  const troubles = [once, twice].map((search) => search.found.best.rehearsal.figures.trouble)
  expect(troubles[1]).toBeLessThanOrEqual(troubles[0] ?? 0)
  // One that is stopped leaves what was found.
  act(() => void view.now().look())
  await waitFor(() => expect(view.now().search.phase).toBe('looking'))
  act(() => view.now().stop())
  await waitFor(() => expect(view.now().search).toEqual(twice))
})

test('a form that makes no sense is refused with its reason', async () => {
  const [first, ...bow] = question.form.bow
  if (first === undefined) throw new Error('no reading')
  const view = await open({ ...question, form: { ...question.form, bow: [{ ...first, sagittaMm: 900 }, ...bow] } })
  const { stage } = view.now()
  expect(stage.phase).toBe('refused')
  expect(stage.phase === 'refused' ? english(stage.failure.sentence) : '').toContain('contradict')
})

test('another film is another stage, on which nothing is known', async () => {
  const view = await open()
  await act(() => view.now().ask('centre out'))
  await waitFor(() => expect(view.now().known['centre out']).toBeDefined())
  view.rerender({ ...question, film: { ...question.film, handling: { ...question.film.handling, take: 0.001 } } })
  await waitFor(() => expect(view.now().known).toEqual({}))
  await waitFor(() => expect(view.now().stage.phase).toBe('known'))
})
