import { act, renderHook, waitFor } from '@testing-library/react'
import { type JobBundle, type Part, partQuestionOf } from '@truelay/contract'
import type { PartQuestion, Today } from '@truelay/core/plan'
import { english } from '@truelay/words'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { InShop, type OpenShop, openShop } from '../testing/openShop.tsx'
import { ThreadWorker } from '../testing/threadWorker.ts'
import { useLayRun } from './useLayRun.ts'

let shop: OpenShop
let bundle: JobBundle
let opened = 0
beforeAll(async () => {
  shop = await openShop()
  const asItCame = (await shop.bundle('0412')).bundle
  // A film that no other test has laid: what is laid is kept.
  bundle = { ...asItCame, films: stretching(asItCame.films, 0.97) }
  const Counted = class extends ThreadWorker {
    constructor(address: URL | string) {
      super(address)
      opened++
    }
  }
  Object.assign(globalThis, { Worker: Counted })
})
afterAll(() => shop.close())

const stretching = (films: JobBundle['films'], times: number) =>
  films.map((film) => ({ ...film, handling: { ...film.handling, coldStretch: film.handling.coldStretch * times } }))

const questionOf = (partId: string, change: Partial<JobBundle> = {}): PartQuestion => {
  const all = { ...bundle, ...change }
  const part = all.parts.find((p) => p.id === partId) as Part
  const question = partQuestionOf(all, part)
  if (question === null) throw new Error(`${partId} cannot be worked out`)
  return question
}
const today: Today = {
  shift: { xMm: 0, yMm: 0, turnDeg: 0 },
  room: { temperatureC: 20, humidityPercent: 50 },
  gun: null,
  learned: {},
}

interface Asked {
  readonly question: PartQuestion | null
  readonly today: Today
}
function openRun(first: Asked) {
  const phases: string[] = []
  const view = renderHook(
    ({ question, today }: Asked) => {
      const answer = useLayRun(question, today)
      phases.push(answer.run.phase)
      return answer
    },
    { wrapper: InShop, initialProps: first },
  )
  const run = () => view.result.current.run
  const laid = async () => {
    await waitFor(() => expect(run().phase).toBe('laid'))
    const now = run()
    if (now.phase !== 'laid') throw new Error('not laid')
    return now
  }
  return {
    ...view,
    run,
    laid,
    phases: () => [...new Set(phases)],
    since: (n: number) => phases.slice(n),
    told: () => phases.length,
  }
}

describe('a part is worked out storey by storey', () => {
  test('first as it lies by itself, then worked, then placed and planned', async () => {
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    expect(view.run().phase).toBe('building')
    const { first, full } = await view.laid()
    expect(view.phases()).toEqual(['building', 'working', 'laid'])
    expect(first.natural.lay.stretch.length).toBeGreaterThan(1000)
    expect(full.plan.steps).toHaveLength(23)
    expect(full.stale).toBeNull()
  })
  test('the same part is not laid again', async () => {
    const before = opened
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    await view.laid()
    expect(opened).toBe(before)
  })
  test('without a question nothing is asked', () => {
    const before = opened
    const view = openRun({ question: null, today })
    expect(view.run().phase).toBe('building')
    expect(view.result.current.worker).toBeNull()
    expect(opened).toBe(before)
  })
})

describe('what a storey does not hang on asks nothing of it', () => {
  test('another stock, other figures of mixing: only the plan is made anew', async () => {
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    const { full } = await view.laid()
    const before = opened
    const weaker = { shop: { ...bundle.shop, stockAlcoholPercent: 50 } }
    view.rerender({ question: questionOf('0412-bonnet', weaker), today })
    await waitFor(() => expect((view.run() as { full: typeof full }).full.plan).not.toBe(full.plan))
    const after = await view.laid()
    expect(opened).toBe(before)
    expect(after.full.placement).toBe(full.placement)
    const stock = (plan: typeof full.plan) =>
      plan.solutions.flatMap((s) => s.add.filter((a) => a.what === 'alcohol stock').map((a) => a.ml))[0] ?? 0
    expect(stock(after.full.plan) / stock(full.plan)).toBeCloseTo(70 / 50, 1)
  })
  test('a piece that was moved is planned for when it comes to rest', async () => {
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    const { full } = await view.laid()
    const before = opened
    const moved = { ...today, shift: { xMm: 2, yMm: 0, turnDeg: 0 } }
    const question = questionOf('0412-bonnet')
    view.rerender({ question, today: moved })
    expect((await view.laid()).full.plan).toBe(full.plan)
    await waitFor(() => expect((view.run() as { full: typeof full }).full.plan).not.toBe(full.plan))
    expect(opened).toBe(before)
  })
  test('another film is another lay', async () => {
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    const before = await view.laid()
    view.rerender({ question: questionOf('0412-bonnet', { films: stretching(bundle.films, 0.9) }), today })
    expect(view.run().phase).toBe('building')
    expect((await view.laid()).first).not.toBe(before.first)
  })
})

describe('what cannot be worked out', () => {
  const broken = () => {
    const question = questionOf('0412-bonnet')
    const [reading] = question.lay.form.bow
    if (reading === undefined) throw new Error('no reading')
    const bow = [{ ...reading, sagittaMm: 900 }, ...question.lay.form.bow.slice(1)]
    return { ...question, lay: { ...question.lay, form: { ...question.lay.form, bow } } }
  }
  test('is refused with its reason, and can be asked again', async () => {
    const view = openRun({ question: broken(), today })
    await waitFor(() => expect(view.run().phase).toBe('refused'))
    const now = view.run()
    if (now.phase !== 'refused') throw new Error('not refused')
    expect(english(now.failure.sentence)).toContain('contradict')
    const before = opened
    const told = view.told()
    act(() => view.result.current.again())
    await waitFor(() => expect(view.since(told)).toContain('building'))
    await waitFor(() => expect(view.run().phase).toBe('refused'))
    // The worker of the first try has nothing to do, and takes the second.
    expect(opened).toBe(before)
  })
  test('a plan that cannot be made anew leaves the last one, and says why', async () => {
    const view = openRun({ question: questionOf('0412-bonnet'), today })
    const { full } = await view.laid()
    view.rerender({
      question: questionOf('0412-bonnet'),
      today: { ...today, room: { temperatureC: 95, humidityPercent: 50 } },
    })
    await waitFor(() => expect((view.run() as { full: typeof full }).full.stale).not.toBeNull())
    const now = await view.laid()
    expect(now.full.plan.steps.length).toBe(full.plan.steps.length)
  })
})
