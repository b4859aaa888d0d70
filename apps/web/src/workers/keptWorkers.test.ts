import { describe, expect, test } from 'vitest'
import { keptWorkers } from './keptWorkers.ts'

function kept() {
  const made: { ended: boolean; end(): void }[] = []
  const workers = keptWorkers(() => {
    const worker = {
      ended: false,
      end() {
        worker.ended = true
      },
    }
    made.push(worker)
    return worker
  })
  return { made, workers }
}

describe('workers that are kept', () => {
  test('one that was given back is taken again, and is not taken twice', () => {
    const { made, workers } = kept()
    const first = workers.take()
    workers.giveBack(first)
    expect(workers.take()).toBe(first)
    expect(workers.take()).not.toBe(first)
    expect(made).toHaveLength(2)
  })

  test('no more than one is kept: the others end', () => {
    const { workers } = kept()
    const [one, two] = [workers.take(), workers.take()]
    workers.giveBack(one)
    workers.giveBack(two)
    expect([one.ended, two.ended]).toEqual([false, true])
  })

  test('one can be had ready beforehand, once', () => {
    const { made, workers } = kept()
    workers.warm()
    workers.warm()
    expect(made).toHaveLength(1)
    expect(workers.take()).toBe(made[0])
  })
})
