import { readFileSync } from 'node:fs'
import { formDoc } from '@truelay/contract'
import { type PreparedStage, searchDefaults, setStage, type Trial, usualHandling } from '@truelay/core/lay'
import { failure, refused, required } from '@truelay/core/result'
import { say } from '@truelay/core/say'
import { beforeAll, expect, test } from 'vitest'
import { type RemoteHand, searchInHands, type StagesSet } from './searchInHands.ts'
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
    make: (trial, how) => {
      did.made.push(trial)
      return later(hand.make(trial, how))
    },
  }
  return { did, remote }
}
const known = (): StagesSet => new Map([['fine', fine]])
const quiet = { stopped: () => false, onNews: () => {} }

test('many hands find what one finds alone, however fast each is, and make no trial twice', async () => {
  const alone = remoteHand()
  const one = required(await searchInHands(known(), options, [alone.remote], quiet))
  const stages = known()
  const several = [remoteHand(1), remoteHand(40), remoteHand(7)]
  const many = required(
    await searchInHands(
      stages,
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
  // What one hand has set, the others are given, and the next search has.
  const set = several.flatMap(({ did }) => did.set)
  expect(set).toContain('coarse')
  expect(new Set(set).size).toBe(set.length)
  expect([...stages.keys()].sort()).toEqual(['fine', ...set].sort())
  for (const { did } of several) expect([...did.set, ...did.had].sort()).toEqual([...set].sort())
})

test('it tells of every trial, goes forward only, and is stopped between two trials', async () => {
  const told: { share: number; tried: number }[] = []
  const hand = remoteHand()
  const result = await searchInHands(known(), options, [hand.remote], {
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
  const stop = await searchInHands(known(), options, [hand.remote], {
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
  expect(await searchInHands(known(), options, [hand], quiet)).toEqual(no)
})

test('what was set for one search is not set again for the next', async () => {
  const stages = known()
  const first = remoteHand()
  await searchInHands(stages, options, [first.remote], quiet)
  expect(first.did.set).toContain('coarse')
  const next = remoteHand()
  await searchInHands(stages, options, [next.remote], quiet)
  expect(next.did.set).toEqual([])
})

test('nothing is searched, set or tried before the stage that it needs is set', async () => {
  await expect(searchInHands(new Map(), options, [remoteHand().remote], quiet)).rejects.toThrow('fine stage')
  const hand = trialHand()
  const trial: Trial = { on: 'coarse', order: 'centre out' }
  expect(() => hand.set('coarse')).toThrow('not set: fine')
  hand.open(known())
  expect(() => hand.make(trial, options)).toThrow('not set: coarse')
  const coarse = required(hand.set('coarse'))
  const { figures } = hand.make(trial, options)
  // What another hand set is as good, and another part begins anew.
  const other = trialHand()
  other.open(known())
  other.have('coarse', structuredClone(coarse))
  expect(other.make(trial, options).figures).toEqual(figures)
  other.open(known())
  expect(() => other.make(trial, options)).toThrow('not set: coarse')
})
