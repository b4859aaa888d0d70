import { type HandOrder, makeLay, placesToFix, type Verdict } from '@truelay/core/exercises'
import { practiceWith } from '@truelay/core/practice'
import { act, renderHook, waitFor } from '@testing-library/react'
import { english } from '@truelay/words'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { InShop, type OpenShop, openShop } from '../../testing/openShop.tsx'
import type { ShownRehearsal } from '../../workers/rehearsalWork.ts'
import { useLayIt } from './useLayIt.ts'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const task = makeLay(21, 2)
const practice = practiceWith()

test('a part is built, laid as it is told, and marked against the best that is found; the same is marked the same', async () => {
  const view = renderHook(() => useLayIt(task, practice), { wrapper: InShop })
  await waitFor(() => expect(view.result.current.stage.phase).toBe('known'))
  const { stage } = view.result.current
  if (stage.phase !== 'known') throw new Error('no part')
  const { surface } = stage.value
  expect(placesToFix(task, surface).length).toBeGreaterThan(5)
  const hand: HandOrder = {
    anchors: [{ place: 2, draw: 'floats' }],
    edge: null,
    run: 'outward',
    stroke: 'middle',
    pulls: 'cold',
  }
  const laid: (ShownRehearsal | null)[] = []
  await act(async () => {
    laid.push(await view.result.current.lay(hand, stage.value))
    laid.push(await view.result.current.lay({ ...hand, run: 'flats first' }, stage.value))
  })
  const [first, second] = laid
  if (first == null || second == null) throw new Error('not laid')
  expect(first.rehearsal.figures.trouble).not.toBe(second.rehearsal.figures.trouble)
  expect(english(first.words)).toMatch(/^Fix .*the /)
  const verdicts: (Verdict | null)[] = []
  await act(async () => {
    verdicts.push(await view.result.current.mark(first, stage.value))
    verdicts.push(await view.result.current.mark(first, stage.value))
  })
  expect(verdicts[0]).toEqual(verdicts[1])
  expect(verdicts[0]?.share).toBeGreaterThanOrEqual(0)
  expect(view.result.current.marked).toBeNull()
})
