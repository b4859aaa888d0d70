import { cleanup, renderHook } from '@testing-library/react'
import { smallFit, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { wordsIn } from '@truelay/words'
import { metricUnits } from '@truelay/core/units'
import { addMinutes, subMinutes } from 'date-fns'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { screenWords } from '../../ui/words.ts'
import { aloudWords } from './aloudWords.ts'
import type { Fitting } from './fitting.ts'
import { useAloud } from './useAloud.ts'

describe('reading aloud', () => {
  const said: string[] = []
  beforeEach(() => {
    said.length = 0
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        lang = ''
        constructor(readonly text: string) {}
      },
    )
    Object.defineProperty(window, 'speechSynthesis', {
      value: { speak: ({ text }: { text: string }) => said.push(text), cancel: () => said.push('—') },
      configurable: true,
    })
  })
  afterEach(() => {
    cleanup()
    localStorage.clear()
    vi.unstubAllGlobals()
    Reflect.deleteProperty(window, 'speechSynthesis')
  })

  test('is off until this tablet is told to', () => {
    renderHook(() => useAloud(['Wash, clay, wipe']))
    expect(said).toEqual([])
  })
  test('says what is new, and that once; what was being said gives way', () => {
    localStorage.setItem('truelay reads aloud', 'yes')
    const { rerender } = renderHook(({ words }) => useAloud(words), {
      initialProps: { words: ['Lay the film', null] as (string | null)[] },
    })
    rerender({ words: ['Lay the film', null] })
    rerender({ words: ['Lay the film', 'The film dries in two minutes.'] })
    rerender({ words: ['Trim', null] })
    expect(said.filter((words) => words !== '—')).toEqual(['Lay the film', 'The film dries in two minutes.', 'Trim'])
    expect(said[0]).toBe('—')
  })
})

describe('what is read', () => {
  const now = new Date('2030-05-01T12:00:00.000Z')
  const t = screenWords(wordsIn({ units: metricUnits }))
  const step = smallStep('lay', { headline: say`Lay the film`, driesInMinutes: 8 })
  const wetted = (minutesAgo: number) => {
    const { plan, ...fit } = smallFit(smallPlan([smallStep('spray', { wets: true }), step]))
    const done = [{ stepId: 'spray', at: subMinutes(now, minutesAgo).toISOString(), personId: 'ines' }]
    return { ...fit, plan, phase: 'fitting', done } as Fitting
  }
  const state = wetted(1)
  const gaps = { plan: state.plan, last: undefined }
  const read = (more: Partial<Parameters<typeof aloudWords>[0]>) =>
    aloudWords({ t, state, step, now, waiting: false, wait: null, gaps, ...more })

  test('is the step with its cautions', () => {
    const cautious = { ...step, cautions: [{ about: 'heat' as const, says: say`Never above 90 °C.` }] }
    expect(read({ step: cautious })[0]).toBe('Lay the film Never above 90 °C.')
  })
  test('a wait is named, and told again two minutes before its end', () => {
    const wait = { label: say`edges dry`, until: addMinutes(now, 10) }
    expect(read({ waiting: true, wait })).toEqual(['Wait: edges dry', null, null])
    expect(read({ waiting: true, wait, now: addMinutes(now, 8.5) })[1]).toBe('Two minutes left.')
  })
  test('film that dries is told in time, and once it is dry', () => {
    expect(read({ state: wetted(7) })[1]).toBe('The film dries in two minutes.')
    expect(read({ state: wetted(9) })[1]).toBe('Wet the film again now.')
  })
})
