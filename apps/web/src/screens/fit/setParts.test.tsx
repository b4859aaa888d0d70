import type { JobBundle, Part, PartProgress } from '@truelay/contract'
import { verbatim } from '@truelay/core/say'
import { renderToStaticMarkup } from 'react-dom/server'
import { MemoryRouter } from 'react-router'
import { describe, expect, test } from 'vitest'
import { Meanwhile } from './Meanwhile.tsx'
import { SetStrip } from './SetStrip.tsx'
import { ofSet, type PartsOfSet, type SetPart } from './useSet.ts'

const now = new Date('2030-05-01T10:00:00')
const in10 = '2030-05-01T10:10:00'
const ago = '2030-05-01T09:50:00'
const bundle = { job: { id: '0414' } } as unknown as JobBundle

const member = (id: string, progress: Partial<PartProgress> | null, own = false): SetPart => ({
  part: { id, name: `Lamp ${id}` } as unknown as Part,
  progress:
    progress === null
      ? null
      : ({
          state: 'fitting',
          stepsDone: 3,
          stepsTotal: 20,
          nextStep: null,
          readyAt: null,
          ...progress,
        } as PartProgress),
  own,
})
const dries = member('dries', { readyAt: in10 })
const due = member('due', { readyAt: ago, nextStep: verbatim('Cut in the gap') })
const done = member('done', { state: 'done' })
const fresh = member('fresh', { state: 'waiting' })
const own = member('own', { readyAt: in10 }, true)
const words = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')
const strip = (set: PartsOfSet) =>
  renderToStaticMarkup(
    <MemoryRouter>
      <SetStrip bundle={bundle} set={set} now={now} />
    </MemoryRouter>,
  )
const meanwhile = (set: PartsOfSet) =>
  renderToStaticMarkup(
    <MemoryRouter>
      <Meanwhile bundle={bundle} set={set} />
    </MemoryRouter>,
  )

describe('a set in the fit', () => {
  test('each part says how far it is: in hand, drying until when, due, done, not begun', () => {
    const says = words(strip(ofSet('to and fro', [own, dries, due, done, fresh], now)))
    expect(says).toMatch(
      /1 Lamp own in hand 2 Lamp dries dries until 10:10 3 Lamp due due: Cut in the gap 4 Lamp done done 5 Lamp fresh not begun/,
    )
  })
  test('a part that is being fitted and does not wait says its step', () => {
    expect(words(strip(ofSet('to and fro', [own, member('b', {})], now)))).toContain('step 4 of 20')
  })
  test('each part leads to its fit, and the one in hand is marked', () => {
    const markup = strip(ofSet('to and fro', [own, dries], now))
    expect(markup).toContain('href="/jobs/0414/fit/dries"')
    expect(markup).toMatch(
      /aria-current="step"[^>]*href="\/jobs\/0414\/fit\/own"|href="\/jobs\/0414\/fit\/own"[^>]*aria-current="step"/,
    )
  })
  test('meanwhile one goes on with the first that is neither done nor drying', () => {
    expect(words(meanwhile(ofSet('to and fro', [own, done, dries, fresh], now)))).toMatch(
      /Meanwhile: Lamp fresh begin it/,
    )
    expect(words(meanwhile(ofSet('to and fro', [own, due, fresh], now)))).toMatch(
      /Meanwhile: Lamp due next there: Cut in the gap/,
    )
  })
  test('where all others are done or dry there is nothing to go on with', () => {
    for (const others of [[done], [dries], [done, dries], []])
      expect(meanwhile(ofSet('to and fro', [own, ...others], now))).toBe('')
  })
  test('after the last step the next is what is due, else what can be begun, else what still dries', () => {
    expect(ofSet('to and fro', [own, dries, due], now).due.map((d) => d.part.id)).toEqual(['due'])
    expect(ofSet('to and fro', [own, dries], now).next?.part.id).toBe('dries')
    expect(ofSet('to and fro', [own, done], now).next).toBeNull()
  })
})
