import type { Nested, NestRequest } from '@truelay/core/nest'
import { done, type Result } from '@truelay/core/result'
import { act, renderHook } from '@testing-library/react'
import { expect, test } from 'vitest'
import { useLayout } from './useLayout.ts'

const request = { sheets: [], pieces: [], gapMm: 4, why: 'late news' } as unknown as NestRequest
const layout = (usedMm: number) => ({ usedMm, placements: [] }) as unknown as Nested

test('what a worker still tells after the answer was given does not begin the search anew', async () => {
  let better: (nested: Nested) => void = () => {}
  let answers: (answer: Result<Nested>) => void = () => {}
  const open = ((_request: NestRequest, _seconds: number, onBetter: typeof better) => {
    better = onBetter
    const answer = new Promise<Result<Nested>>((resolve) => {
      answers = resolve
    })
    return { answer, stop: () => answers(done(layout(1370))) }
  }) as unknown as Parameters<typeof useLayout>[2]
  const view = renderHook(() => useLayout(request, 5, open))
  act(() => better(layout(1500)))
  expect(view.result.current).toMatchObject({ searching: true, nested: { usedMm: 1500 } })
  await act(async () => view.result.current.stop())
  expect(view.result.current).toMatchObject({ searching: false, nested: { usedMm: 1370 } })
  act(() => better(layout(1400)))
  expect(view.result.current).toMatchObject({ searching: false, nested: { usedMm: 1370 } })
})
