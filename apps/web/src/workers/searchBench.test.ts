import { readFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import {
  orderBySchool,
  type PreparedStage,
  rehearse,
  schoolNames,
  searchDefaults,
  setStage,
  type Trial,
  usualHandling,
} from '@truelay/core/lay'
import { failure, refused, required } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { beforeAll, expect, test, vi } from 'vitest'
import { type RemoteHand, searchBench } from './searchBench.ts'
import { type TrialHand, trialHand } from './trialHand.ts'

const how = { practice: searchDefaults.practice, rehearsal: searchDefaults.rehearsal }
const use = { tries: 10, fineTries: 2, atOnce: 2 }
let fine: PreparedStage
beforeAll(() => {
  const form = formDoc.parse(JSON.parse(readFileSync('demo/forms/pipit-fog-left.json', 'utf8')))
  fine = required(setStage(form, { handling: usualHandling, laid: 'wet' }, 300))
})

/** A hand in this thread that writes down what it does, and takes its time. */
function remoteHand(rests = 0, hand: TrialHand = trialHand()) {
  const did: { readonly made: Trial[]; readonly set: Trial['on'][]; readonly had: Trial['on'][] } = {
    made: [],
    set: [],
    had: [],
  }
  const later = async <T>(answer: T): Promise<T> => {
    for (let i = 0; i < rests; i++) await Promise.resolve()
    return answer
  }
  const remote: RemoteHand = {
    open: async (stage) => hand.open(stage),
    set: (on) => {
      did.set.push(on)
      return later(hand.set(on))
    },
    have: async (on, stage) => {
      did.had.push(on)
      hand.have(on, stage)
    },
    make: (trial, asked) => {
      did.made.push(trial)
      return later(hand.make(trial, asked))
    },
  }
  return { did, remote }
}
const quiet = () => ({ stop: new AbortController().signal, onNews: () => {} })

test('many hands find what one finds alone, however fast each is, and make no trial twice', async () => {
  const alone = remoteHand()
  const one = required(await searchBench(fine, how, [alone.remote]).search(use, quiet()))
  const several = [remoteHand(1), remoteHand(40), remoteHand(7)]
  const bench = searchBench(
    fine,
    how,
    several.map(({ remote }) => remote),
  )
  const many = required(await bench.search(use, quiet()))
  expect(many).toEqual(one)
  expect(alone.did.made).toHaveLength(one.tried)
  expect(several.flatMap(({ did }) => did.made)).toHaveLength(one.tried)
  // Whoever is quicker makes more.
  const [quick, slow] = several.map(({ did }) => did.made.length)
  expect(quick).toBeGreaterThan(slow ?? 0)
  // What one hand has set, the others are given.
  const set = several.flatMap(({ did }) => did.set)
  expect(set).toContain('coarse')
  expect(new Set(set).size).toBe(set.length)
  for (const { did } of several) expect([...did.set, ...did.had].sort()).toEqual([...set].sort())
})

test('made ready, it finds the same, and sets no stage and rehearses no school any more', async () => {
  const cold = required(await searchBench(fine, how, [remoteHand().remote]).search(use, quiet()))
  const hands = [remoteHand(3), remoteHand()]
  const bench = searchBench(
    fine,
    how,
    hands.map(({ remote }) => remote),
  )
  await bench.getReady()
  expect(hands.flatMap(({ did }) => did.set).sort()).toEqual([0, 1, 'coarse'])
  const schools = hands.flatMap(({ did }) => did.made.map(({ on, order }) => `${on} ${order}`))
  expect(schools.sort()).toEqual(['coarse', 'fine'].flatMap((on) => schoolNames.map((name) => `${on} ${name}`)).sort())
  for (const { did } of hands) for (const list of [did.set, did.made, did.had]) list.length = 0
  expect(required(await bench.search(use, quiet()))).toEqual(cold)
  expect(hands.flatMap(({ did }) => did.set)).toEqual([])
  const made = hands.flatMap(({ did }) => did.made)
  expect(made).toHaveLength(cold.tried - 2 * schoolNames.length)
  expect(made.filter(({ on, order }) => typeof order === 'string' && typeof on === 'string')).toEqual([])
  // Nor does the next search.
  await bench.search({ ...use, seed: 2 }, quiet())
  expect(hands.flatMap(({ did }) => did.set)).toEqual([])
})

test('a search that begins while it gets ready shares what is being made', async () => {
  const hands = [remoteHand(5), remoteHand(2)]
  const bench = searchBench(
    fine,
    how,
    hands.map(({ remote }) => remote),
  )
  const ready = bench.getReady()
  const found = required(await bench.search(use, quiet()))
  await ready
  expect(hands.flatMap(({ did }) => did.made)).toHaveLength(found.tried)
})

test('a school that was rehearsed before is not rehearsed again, for a search or by itself', async () => {
  const known = rehearse(fine, orderBySchool('spiral', fine.form, fine.surface))
  const hand = remoteHand()
  const bench = searchBench(fine, how, [hand.remote], new Map([['spiral', known]]))
  expect(await bench.school('spiral')).toBe(known)
  expect(hand.did.made).toEqual([])
  const { schools } = required(await bench.search(use, quiet()))
  expect(schools).toContain(known)
  expect(hand.did.made).not.toContainEqual({ on: 'fine', order: 'spiral' })
  const before = hand.did.made.length
  expect((await bench.school('centre out')).order.school).toBe('centre out')
  expect(hand.did.made).toHaveLength(before)
})

test('it tells of every trial, goes forward only, and stops between two trials', async () => {
  const told: { share: number; tried: number }[] = []
  const stopping = new AbortController()
  const hand = remoteHand()
  const result = await searchBench(fine, how, [hand.remote]).search(use, {
    stop: stopping.signal,
    onNews: ({ share, tried }) => {
      told.push({ share, tried })
      if (told.length === 9) stopping.abort()
    },
  })
  expect(result).toMatchObject({ ok: false, failure: { code: 'WORK_STOPPED' } })
  expect(told.map(({ tried }) => tried)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9])
  expect(told.map(({ share }) => share)).toEqual([...told.map(({ share }) => share)].sort((a, b) => a - b))
  await new Promise((resolve) => setTimeout(resolve, 20))
  // What the hand has already begun it ends; it begins nothing further.
  expect(hand.did.made.length).toBeLessThanOrEqual(10)
  expect(told).toHaveLength(9)
})

test('it answers that it was stopped at once, not when its hands have ended', async () => {
  const stopping = new AbortController()
  const never: RemoteHand = { ...remoteHand().remote, make: () => new Promise(() => {}) }
  const onNews = vi.fn()
  const search = searchBench(fine, how, [never]).search(use, { stop: stopping.signal, onNews })
  setTimeout(() => stopping.abort())
  expect(await search).toMatchObject({ ok: false, failure: { code: 'WORK_STOPPED' } })
  const stuck: RemoteHand = { ...never, set: () => new Promise(() => {}) }
  const again = new AbortController()
  const other = searchBench(fine, how, [stuck]).search(use, { stop: again.signal, onNews })
  setTimeout(() => again.abort())
  expect(await other).toMatchObject({ ok: false, failure: { code: 'WORK_STOPPED' } })
  expect(onNews).not.toHaveBeenCalled()
})

test('after one that was stopped the next goes on with what its hands have made', async () => {
  const stopping = new AbortController()
  const hand = remoteHand()
  const bench = searchBench(fine, how, [hand.remote])
  await bench.search(use, { stop: stopping.signal, onNews: () => stopping.abort() })
  const found = required(await bench.search(use, quiet()))
  expect(hand.did.made).toHaveLength(found.tried)
  expect(hand.did.set.filter((on) => on === 'coarse')).toHaveLength(1)
})

test('a stage that cannot be set ends it with its reason, made ready or not', async () => {
  const no = refused(failure('WORKER_LOST', { work: say`rehearsal` }))
  const hand = { ...remoteHand().remote, set: async () => no }
  const bench = searchBench(fine, how, [hand])
  expect(await bench.search(use, quiet())).toEqual(no)
  await bench.getReady()
  expect(await bench.search(use, quiet())).toEqual(no)
})

test('nothing is set or tried before the stage that it needs is set', () => {
  const hand = trialHand()
  const trial: Trial = { on: 'coarse', order: 'centre out' }
  expect(() => hand.set('coarse')).toThrow('not set: fine')
  hand.open(fine)
  expect(() => hand.make(trial, how)).toThrow('not set: coarse')
  const coarse = required(hand.set('coarse'))
  const { figures } = hand.make(trial, how)
  // What another hand set is as good, and another part begins anew.
  const other = trialHand()
  other.open(fine)
  other.have('coarse', structuredClone(coarse))
  expect(other.make(trial, how).figures).toEqual(figures)
  other.open(fine)
  expect(() => other.make(trial, how)).toThrow('not set: coarse')
})
