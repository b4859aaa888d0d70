import { type JobBundle, type Part, partQuestionOf } from '@truelay/contract'
import { anyDay, type PartQuestion, type Today } from '@truelay/core/plan'
import { afterAll, afterEach, beforeAll, describe, expect, test, vi } from 'vitest'
import { type OpenShop, openShop } from '../testing/openShop.tsx'
import { ThreadWorker } from '../testing/threadWorker.ts'
import { followLay, type Lay, layAhead } from './lays.ts'

let shop: OpenShop
let bundle: JobBundle
const workers: { ended: boolean }[] = []
beforeAll(async () => {
  shop = await openShop()
  bundle = (await shop.bundle('0412')).bundle
  const Counted = class extends ThreadWorker {
    ended = false
    constructor(address: URL | string) {
      super(address)
      workers.push(this)
    }
    override terminate() {
      this.ended = true
      super.terminate()
    }
  }
  Object.assign(globalThis, { Worker: Counted })
})
afterAll(() => shop.close())

const today: Today = { ...anyDay, room: { temperatureC: 20, humidityPercent: 50 } }
const left: (() => void)[] = []
afterEach(() => {
  vi.useRealTimers()
  for (const leave of left.splice(0)) leave()
})

let stretched = 0
/** A part with a film that nobody else has laid: what is laid is kept. */
function another(partId = '0412-bonnet'): PartQuestion {
  const by = 1 + ++stretched / 1000
  const films = bundle.films.map((film) => ({
    ...film,
    handling: { ...film.handling, coldStretch: film.handling.coldStretch * by },
  }))
  const question = partQuestionOf({ ...bundle, films }, bundle.parts.find((p) => p.id === partId) as Part)
  if (question === null) throw new Error('no question')
  return question
}
function followed(question: PartQuestion) {
  const heard: Lay[] = []
  const leave = followLay(question, (lay) => heard.push(lay))
  left.push(leave)
  const laid = () => expect.poll(() => heard.at(-1)?.phase).toBe('laid')
  return { heard, leave, laid }
}

describe('a lay', () => {
  test('is worked out once for all who wait for it, and kept', async () => {
    const question = another()
    const before = workers.length
    const [one, two] = [followed(question), followed(question)]
    await Promise.all([one.laid(), two.laid()])
    expect(workers.length).toBe(before + 1)
    expect(one.heard[0]?.phase).toBe('building')
    const later = followed(question)
    expect(later.heard.map(({ phase }) => phase)).toEqual(['laid'])
    expect(later.heard[0]).toEqual(two.heard.at(-1))
  })
  test('that nobody waits for any more is ended; as long as one does, it goes on', async () => {
    const question = another()
    const [one, two] = [followed(question), followed(question)]
    one.leave()
    await two.laid()
    expect(one.heard.map(({ phase }) => phase)).not.toContain('laid')
    const next = followed(another())
    const worker = workers.at(-1)
    next.leave()
    expect(worker?.ended).toBe(true)
  })
  test('that is refused is told so, and worked out again when it is asked for again', async () => {
    const question = another()
    const bow = question.lay.form.bow.map((reading, i) => (i === 0 ? { ...reading, sagittaMm: 900 } : reading))
    const broken = { ...question, lay: { ...question.lay, form: { ...question.lay.form, bow } } }
    const one = followed(broken)
    await expect.poll(() => one.heard.at(-1)?.phase).toBe('refused')
    expect(followed(broken).heard[0]?.phase).toBe('building')
  })
})

describe('a lay that was begun ahead', () => {
  test('is gone on with by whoever asks for it', async () => {
    const question = another()
    left.push(layAhead(question, today))
    const begun = workers.length
    const one = followed(question)
    await one.laid()
    expect(workers.length).toBe(begun)
  })
  test('is there at once when it was done before it was asked for', async () => {
    const question = another()
    left.push(layAhead(question, today))
    const one = followed(question)
    await one.laid()
    one.leave()
    expect(followed(question).heard.map(({ phase }) => phase)).toEqual(['laid'])
  })
  test('is the part to which the stages of an open job lead', async () => {
    const [part] = bundle.parts
    const question = partQuestionOf(bundle, part as Part)
    if (question === null) throw new Error('no question')
    const { sees } = shop.visit('/jobs/0412/kit')
    await sees('Dry check')
    const phase = () => {
      const one = followed(question)
      one.leave()
      return one.heard[0]?.phase
    }
    await expect.poll(phase, { interval: 3000 }).toBe('laid')
  })
  test('ends when somebody waits for another one', async () => {
    const question = another()
    left.push(layAhead(question, today))
    const worker = workers.at(-1)
    const other = followed(another('0412-headlamp-left'))
    expect(worker?.ended).toBe(true)
    await other.laid()
    expect(followed(question).heard[0]?.phase).toBe('building')
  })
  test('is not begun while somebody waits', async () => {
    const one = followed(another())
    const before = workers.length
    left.push(layAhead(another(), today))
    expect(workers.length).toBe(before)
    await one.laid()
  })
  test('goes on where its screen asks for it again, as when the air has changed', () => {
    vi.useFakeTimers()
    const question = another()
    const leave = layAhead(question, today)
    const worker = workers.at(-1)
    leave()
    const leaveAgain = layAhead(question, { ...today, room: { temperatureC: 21, humidityPercent: 50 } })
    vi.advanceTimersByTime(5000)
    expect(worker?.ended).toBe(false)
    expect(workers.at(-1)).toBe(worker)
    leaveAgain()
    vi.advanceTimersByTime(2000)
    expect(worker?.ended).toBe(true)
  })
  test('goes on for a moment when its screen was left, and ends then', () => {
    vi.useFakeTimers()
    const question = another()
    const leave = layAhead(question, today)
    const worker = workers.at(-1)
    leave()
    vi.advanceTimersByTime(1000)
    expect(worker?.ended).toBe(false)
    vi.advanceTimersByTime(1000)
    expect(worker?.ended).toBe(true)
  })
})
