import { readFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { type PreparedStage, searchDefaults, setStage, type Trial, usualHandling } from '@truelay/core/lay'
import { failure, refused, required } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { beforeAll, expect, test } from 'vitest'
import { type RemoteHand, searchInHands } from './searchInHands.ts'
import { type TrialHand, trialHand } from './trialHand.ts'

const options = { ...searchDefaults, tries: 10, fineTries: 2, atOnce: 2 }
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
    open: async (...asked) => hand.open(...asked),
    set: (on) => {
      did.set.push(on)
      return later(hand.set(on))
    },
    have: async (on, stage) => {
      did.had.push(on)
      hand.have(on, stage)
    },
    make: (trial) => {
      did.made.push(trial)
      return later(hand.make(trial))
    },
  }
  return { did, remote }
}
const quiet = { stopped: () => false, onNews: () => {} }

test('many hands find what one finds alone, however fast each is, and make no trial twice', async () => {
  const alone = remoteHand()
  const one = required(await searchInHands(fine, options, [alone.remote], quiet))
  const several = [remoteHand(1), remoteHand(40), remoteHand(7)]
  const many = required(
    await searchInHands(
      fine,
      options,
      several.map(({ remote }) => remote),
      quiet,
    ),
  )
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

test('it tells of every trial, goes forward only, and is stopped between two trials', async () => {
  const told: { share: number; tried: number }[] = []
  const hand = remoteHand()
  const result = await searchInHands(fine, options, [hand.remote], {
    stopped: () => told.length >= 3,
    onNews: ({ share, tried }) => told.push({ share, tried }),
  })
  expect(result).toMatchObject({ ok: false, failure: { code: 'WORK_STOPPED' } })
  expect(hand.did.made).toHaveLength(3)
  expect(told.map(({ tried }) => tried)).toEqual([1, 2, 3])
  expect(told.map(({ share }) => share)).toEqual([...told.map(({ share }) => share)].sort((a, b) => a - b))
})

test('stopped at the end of a round it does not begin another', async () => {
  let made = 0
  const hand = remoteHand()
  const stop = await searchInHands(fine, options, [hand.remote], {
    stopped: () => made >= 8,
    onNews: () => {
      made++
    },
  })
  expect(stop).toMatchObject({ ok: false, failure: { code: 'WORK_STOPPED' } })
  expect(hand.did.made).toHaveLength(8)
})

test('a stage that cannot be set ends it with its reason', async () => {
  const no = refused(failure('WORKER_LOST', { work: say`rehearsal` }))
  const hand = { ...remoteHand().remote, set: async () => no }
  expect(await searchInHands(fine, options, [hand], quiet)).toEqual(no)
})

test('a hand tries nothing before a part is open, nor on a stage that it does not have', () => {
  const hand = trialHand()
  const trial: Trial = { on: 'coarse', order: 'centre out' }
  expect(() => hand.set('coarse')).toThrow('before a part was opened')
  hand.open(fine, options)
  expect(() => hand.make(trial)).toThrow('not set: coarse')
  const coarse = required(hand.set('coarse'))
  const figures = hand.make(trial).figures
  // What another hand set is as good, and another part begins anew.
  const other = trialHand()
  other.open(fine, options)
  other.have('coarse', structuredClone(coarse))
  expect(other.make(trial).figures).toEqual(figures)
  other.open(fine, options)
  expect(() => other.make(trial)).toThrow('not set: coarse')
})
