import { exerciseRuns } from '@truelay/contract'
import {
  bestMix,
  bestMorning,
  bestPicks,
  bestWhat,
  causeWords,
  cureWords,
  makeGaps,
  makeMeasure,
  makeMix,
  makeMorning,
  makeWhat,
  moveAsked,
  picturedLooks,
  picturedWords,
} from '@truelay/core/exercises'
import { practiceWith } from '@truelay/core/practice'
import { atStart, say } from '@truelay/core/say'
import { english } from '@truelay/words'
import { smallPlan, smallStep } from '@truelay/contract/testing'
import { fireEvent, screen, within } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest'
import { keptWrites } from '../../store/store.ts'
import { type OpenShop, openShop, says } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const runsOf = async (personId: string) =>
  exerciseRuns.parse((await shop.server.get('/api/exercises')).body).filter((run) => run.personId === personId)

describe('what is best practised now', () => {
  test('stands first; each person has their own, and the lead sees all', async () => {
    const visit = shop.visit('/practice')
    await visit.sees(/Gaps ?The piece lies off.*level 1 ?never done/)
    const team = within(screen.getByRole('table'))
    expect(says(team.getByRole('row', { name: /^Tarek/ }))).toMatch(/level 3, best 78 %/)
    expect(team.getByRole('row', { name: /^Ines/ }).textContent).toMatch(/^Ines–+by their role$/)
    await visit.chooses('who practises', 'Bo')
    await visit.sees(/Gun in hand.*level 1, best 44 %/)
    await visit.presses('Begin: Mix')
    await visit.isAt(/^\/practice\/mix\?who=bo&level=2&seed=\d+$/)
    await visit.sees('Mix, level 2')
  })
  test('a lead confirms that a new hand may stretch film, and takes it back; nobody else can', async () => {
    const visit = shop.visit('/practice')
    await visit.chooses('who practises', 'Bo')
    const bo = () => within(screen.getByRole('table')).getByRole('row', { name: /^Bo/ })
    await visit.sees('not yet; a lead confirms it')
    expect(within(bo()).queryByRole('button')).toBeNull()
    await visit.chooses('who practises', 'Tarek')
    await visit.presses('Confirm: Bo may stretch film')
    await visit.sees(/since .*, by Tarek/)
    const people = async () => (await shop.server.get('/api/people')).body as { id: string; confirmed?: object[] }[]
    const ofBo = async () => (await people()).find(({ id }) => id === 'bo')?.confirmed
    await expect.poll(ofBo).toMatchObject([{ skill: 'stretch film', by: 'tarek' }])
    await visit.presses('Take back: Bo')
    await visit.sees('not yet')
    await expect.poll(ofBo).toEqual([])
  })
  test('what went wrong in a fit comes first, with when it was', async () => {
    const fact = {
      partId: 'p-1',
      at: new Date(Date.now() - 3 * 86_400_000).toISOString(),
      modelId: 'm',
      slot: 's',
      pieceId: null,
      body: 'b',
      hand: 'ines',
      filmId: 'f',
      offset: null,
      fingersAt: [],
      faults: ['burnt film'],
      pace: null,
      laidAgain: 0,
    }
    const reach = globalThis.fetch
    globalThis.fetch = (input, init) =>
      input instanceof Request && input.url.endsWith('/api/memory')
        ? Promise.resolve(Response.json({ facts: [fact], borrowed: [], forgotten: [] }))
        : reach(input, init)
    try {
      const visit = shop.visit('/practice')
      await visit.sees(/Gun in hand.*Since your fit of .*: burnt film\./)
      expect(screen.getAllByRole('article')[0]?.textContent).toContain('Gun in hand')
    } finally {
      globalThis.fetch = reach
    }
  })
  test('seed and level stand in the address from the beginning; nonsense in it is replaced', async () => {
    const visit = shop.visit('/practice/gaps?who=tarek&seed=many&level=9')
    await visit.sees('Gaps, level 3')
    await visit.isAt(/^\/practice\/gaps\?who=tarek&seed=\d+&level=3$/)
  })
  test('an exercise that there is not is told', async () => {
    const visit = shop.visit('/practice/flying')
    await visit.sees('There is no such exercise.')
  })
})

describe('gaps', () => {
  const asked = moveAsked(makeGaps(12, 2))
  test('the move that the gaps ask for is worth all; it is kept, and the piece lies right', async () => {
    const visit = shop.visit('/practice/gaps?seed=12&level=2&who=ines')
    await visit.sees('Gaps, level 2')
    expect(screen.getByRole('img', { name: /Gap 3: film hangs over by 4\.\d\smm/ })).toBeTruthy()
    await visit.types('to the right', asked.rightMm.toFixed(1))
    await visit.types('upward', asked.upMm.toFixed(1))
    await visit.types('clockwise, at its corners', asked.clockwiseMm.toFixed(1))
    await visit.presses('Move it')
    await visit.sees('100 %of as well as it can be done')
    await visit.sees(/The worst gap was \d.* off its wish, now it is 0/)
    await visit.sees('Read every gap before anything moves')
    for (const number of [1, 4, 8])
      expect(
        screen.getByRole('img', { name: new RegExp(`Gap ${number}: the rule shows (1\\.[6-9]|2(\\.[0-4])?)\\smm`) }),
      ).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Move it' })).toBeNull()
    await expect
      .poll(async () => (await runsOf('ines')).at(-1))
      .toMatchObject({
        kind: 'gaps',
        level: 2,
        seed: 12,
        share: 1,
      })
  })
  test('in a shop of inches the rule is one of inches, and so is the move', async () => {
    await shop.chooseUnits({ length: 'in', temperature: 'F', volume: 'fl oz' })
    const visit = shop.visit('/practice/gaps?seed=12&level=2&who=ines')
    await visit.sees('¼')
    await visit.types('to the right', (asked.rightMm / 25.4).toFixed(2))
    await visit.types('upward', (asked.upMm / 25.4).toFixed(2))
    await visit.types('clockwise, at its corners', (asked.clockwiseMm / 25.4).toFixed(2))
    await visit.presses('Move it')
    await visit.sees(/(9[5-9]|100) %of as well as it can be done/)
    await visit.sees(/The worst gap was 0\.\d+ in off its wish/)
    await shop.chooseUnits({ length: 'mm', temperature: 'C', volume: 'mL' })
  })
  test('the wrong way is told so, and the very same can be done once more', async () => {
    const visit = shop.visit('/practice/gaps?seed=12&level=2&who=ines')
    await visit.types('to the right', (-asked.rightMm).toFixed(1))
    await visit.types('upward', (-asked.upMm).toFixed(1))
    await visit.presses('Move it')
    await visit.sees('It was moved the wrong way')
    await visit.sees('The turn was not seen')
    await visit.presses('The same once more')
    await visit.seesNo('It was moved the wrong way')
    await visit.isAt(/seed=12&level=2/)
    expect(screen.getByLabelText('to the right')).toHaveProperty('value', '0.0')
    await visit.presses('Move it')
    await visit.sees('0 %of as well as it can be done')
    await visit.presses('Another one')
    await visit.isAt(/seed=(?!12&)\d+&level=\d/)
  })
})

describe('mix', () => {
  const task = makeMix(4, 3)
  const words = { water: 'water', 'alcohol stock': 'alcohol stock', soap: 'soap' } as Record<string, string>
  test('a wrong batch put right as the bench says is worth all, whatever else was tried and taken back', async () => {
    const visit = shop.visit('/practice/mix?seed=4&level=3&who=bo')
    await visit.sees(/At least 690 mL of 10 % alcohol/)
    await visit.types('how much', String(task.bottleMl))
    await visit.presses('Pour it in')
    await visit.sees(/It runs over: only .* still fit/)
    await visit.types('how much', '50')
    await visit.presses('soap')
    await visit.presses('Pour it in')
    await visit.presses('Take the last back')
    await visit.sees('Nothing yet.')
    for (const act of bestMix(task)) {
      if (act.ml < 0.1) continue
      await visit.types('how much', act.ml.toFixed(1))
      if (act.kind === 'pour') await visit.presses(words[act.what] ?? act.what)
      await visit.presses(act.kind === 'pour' ? 'Pour it in' : 'Pour it away')
    }
    await visit.presses('It is as it should be')
    await visit.sees('100 %of as well as it can be done')
    await visit.sees(/It holds .* with 10 % alcohol/)
    await expect.poll(async () => (await runsOf('bo')).at(-1)).toMatchObject({ kind: 'mix', level: 3, seed: 4 })
  })
  test('what was poured wrong is told with what was right', async () => {
    const visit = shop.visit('/practice/mix?seed=4&level=3&who=bo')
    await visit.types('how much', '20')
    await visit.presses('Pour it in')
    await visit.presses('It is as it should be')
    await visit.sees(/Right was: .* of alcohol stock/)
    await visit.presses('All exercises')
    await visit.isAt(/^\/practice$/)
  })
})

describe('gun in hand', () => {
  test('time that runs out over the film ends it: the thermometer reads nothing, and it is marked', async () => {
    const visit = shop.visit('/practice/gun?seed=3&level=2&who=ines')
    await visit.sees('Seal the marked edge')
    const patch = screen.getByTestId('patch')
    patch.getBoundingClientRect = () => new DOMRect(0, 0, 400, 200)
    fireEvent(patch, new MouseEvent('pointermove', { clientX: 200, clientY: 190, bubbles: true }))
    const spot = () => screen.getByText('Thermometer, at the spot').parentElement?.querySelector('strong')?.textContent
    await expect.poll(spot).toMatch(/\d °C$/)
    const now = performance.now()
    const later = vi.spyOn(performance, 'now').mockReturnValue(now + 120_000)
    await visit.sees('of as well as it can be done')
    later.mockRestore()
    expect(spot()).toBe('–')
    expect(screen.queryByRole('button', { name: 'Gun down: done' })).toBeNull()
  })
})

describe('measure', () => {
  test('the lines that tell most are worth all; a line is read once, and can be taken back', async () => {
    const best = bestPicks(makeMeasure(11, 2))
    const visit = shop.visit('/practice/measure?seed=11&level=2&who=ines')
    await visit.sees('3 more readings')
    expect(screen.getByRole('button', { name: 'That is the form' })).toHaveProperty('disabled', true)
    const given = makeMeasure(11, 2).given[0] ?? 0
    expect(screen.getByRole('button', { name: `Line ${given + 1}` })).toHaveProperty('disabled', true)
    const other = [0, 1, 2].find((line) => line !== given) ?? 0
    await visit.presses(`Line ${other + 1}`)
    await visit.sees('2 more readings')
    await visit.presses('Take the last back')
    for (const line of best) await visit.presses(`Line ${line + 1}`)
    await visit.sees('All readings are done')
    await visit.presses('That is the form')
    await visit.sees('100 %of as well as it can be done')
    await visit.sees(/the surface is known to .*; .* could be reached/)
    await expect.poll(async () => (await runsOf('ines')).at(-1)).toMatchObject({ kind: 'measure', level: 2, share: 1 })
  })
})

describe('what is this', () => {
  const practice = practiceWith()
  const task = makeWhat(5, 2, practice)
  const best = bestWhat(task, practice)
  const start = (of: ReturnType<typeof picturedWords>) => english(say`${atStart(of)}`)
  test('name, cause and cure as the judge has them are worth all; what is known of the place is told', async () => {
    const visit = shop.visit('/practice/what?seed=5&level=2&who=ines')
    await visit.sees('What is it?')
    expect(screen.getByRole('img', { name: english(picturedLooks(task.shown)) })).toBeTruthy()
    for (const one of task.known) await visit.sees(start(one))
    expect(screen.getByRole('button', { name: 'That is what I say' })).toHaveProperty('disabled', true)
    for (const answer of [
      start(picturedWords(best.name)),
      start(causeWords(best.cause)),
      english(cureWords(best.cure)),
    ])
      fireEvent.click(await screen.findByRole('radio', { name: answer }))
    await visit.presses('That is what I say')
    await visit.sees('100 %of as well as it can be done')
    await expect.poll(async () => (await runsOf('ines')).at(-1)).toMatchObject({ kind: 'what', level: 2, share: 1 })
  })
  test('a wrong name is told with what it is, and stands beside the right one', async () => {
    const visit = shop.visit('/practice/what?seed=5&level=2&who=ines')
    await visit.sees('What is it?')
    const other = task.names.find((one) => one !== best.name)
    if (other === undefined) throw new Error('one name only')
    for (const answer of [start(picturedWords(other)), start(causeWords(best.cause)), english(cureWords(best.cure))])
      fireEvent.click(await screen.findByRole('radio', { name: answer }))
    await visit.presses('That is what I say')
    await visit.sees('60 %of as well as it can be done')
    await visit.sees(`It is ${english(picturedWords(best.name))}.`)
    expect(screen.getByRole('radio', { name: new RegExp(`^${start(picturedWords(other))} ?yours`) })).toBeTruthy()
    await visit.presses('The same once more')
    await visit.sees('What is it?')
    expect(screen.queryAllByRole('radio', { checked: true })).toHaveLength(0)
  })
})

describe('plan the morning', () => {
  const task = makeMorning(5, 1)
  const best = bestMorning(task, () => performance.now())
  const names = ['You', 'Colleague'] as const
  const stepOf = (work: string) => task.works.find((one) => one.id === work)
  const giveAll = async (visit: ReturnType<OpenShop['visit']>, all: typeof best) => {
    for (const { work, hands } of all) {
      const { step, vehicle } = stepOf(work) ?? { step: '', vehicle: -1 }
      await visit.presses(`${step}, vehicle ${vehicle + 1}: ${names[hands]}`)
    }
  }
  const run = async (visit: ReturnType<OpenShop['visit']>) => {
    // The scheduler plans meanwhile.
    const button = await screen.findByRole('button', { name: 'Let the morning run' })
    await expect.poll(() => (button as HTMLButtonElement).disabled).toBe(false)
    await visit.presses('Let the morning run')
  }
  test("given as the scheduler would it is worth all, and the scheduler's stands beside it", async () => {
    const visit = shop.visit('/practice/morning?seed=5&level=1&who=ines')
    await visit.sees('12 more to give')
    expect(screen.getByRole('button', { name: 'Let the morning run' })).toHaveProperty('disabled', true)
    expect(screen.queryByRole('button', { name: 'lay, vehicle 1: You' })).toBeNull()
    await giveAll(visit, best)
    await visit.sees(/By plan all is done after \d+/)
    await run(visit)
    await visit.sees('100 %of as well as it can be done')
    await visit.sees('the scheduler would not have been sooner')
    const board = within(screen.getByRole('region', { name: 'The scheduler’s' }))
    expect(board.getAllByRole('listitem')).toHaveLength(12)
    await expect.poll(async () => (await runsOf('ines')).at(-1)).toMatchObject({ kind: 'morning', share: 1 })
  })
  test('one after the other by one alone is told where people stood; the last can be taken back', async () => {
    const visit = shop.visit('/practice/morning?seed=5&level=1&who=ines')
    await visit.presses('wash, vehicle 2: Colleague')
    await visit.sees('11 more to give')
    await visit.presses('Take the last back')
    await visit.sees('12 more to give')
    await giveAll(
      visit,
      task.works.map((work) => ({ work: work.id, hands: 0 })),
    )
    await run(visit)
    await visit.sees('0 %of as well as it can be done')
    await visit.sees(/by the scheduler’s plan it would have been/)
    await visit.sees(/beside film that dried/)
  })
})

describe('a page that is opened anew', () => {
  test('goes on with what was done of the exercise; another one, and the same once more, begin anew', async () => {
    const first = shop.visit('/practice/mix?seed=4&level=3&who=bo')
    await first.types('how much', '30')
    await first.presses('Pour it in')
    await first.sees(/Poured so far ?water ?30 mL/)
    const again = shop.visit('/practice/mix?seed=4&level=3&who=bo', 'the same')
    await again.sees(/Poured so far ?water ?30 mL/)
    const other = shop.visit('/practice/mix?seed=5&level=3&who=bo', 'the same')
    await other.sees('Nothing yet.')
    const back = shop.visit('/practice/mix?seed=4&level=3&who=bo', 'the same')
    await back.presses('It is as it should be')
    await back.presses('The same once more')
    await back.sees('Nothing yet.')
    const marked = shop.visit('/practice/mix?seed=4&level=3&who=bo', 'the same')
    await marked.sees('Nothing yet.')
  })
  test('what cannot be of this exercise is left alone', async () => {
    localStorage.setItem('truelay draft exercise', JSON.stringify({ exercise: 'measure 2 11', done: [99] }))
    const visit = shop.visit('/practice/measure?seed=11&level=2&who=bo', 'the same')
    await visit.sees('3 more readings')
  })
})

describe('while a part dries', () => {
  test('the exercise shows how long still, and that it is ready then, with the way back', async () => {
    const { parts } = (await shop.bundle('0415')).bundle
    const part = parts[0]
    if (part === undefined) throw new Error('no part')
    const grab = { label: say`grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 }
    const steps = [smallStep('float', { wait: grab }), smallStep('seal')]
    const event = (n: number, more: object) => ({
      id: `00000000-0000-4000-8000-00000000970${n}`,
      partId: part.id,
      personId: 'bo',
      at: new Date().toISOString(),
      ...more,
    })
    const begun = await shop.server.send('POST', `/api/parts/${part.id}/fit`, [
      event(1, { kind: 'fitStarted', plan: smallPlan(steps, { partId: part.id, partName: part.name }) }),
      event(2, { kind: 'stepDone', stepId: 'float' }),
    ])
    expect(begun.status).toBe(200)
    const fit = `/jobs/0415/fit/${part.id}`
    const waiting = shop.visit(fit)
    await waiting.presses(/^Five minutes\? Practise: /)
    await waiting.isAt(new RegExp(`^/practice/\\w+\\?who=\\w+&level=\\d&from=${encodeURIComponent(fit)}`))
    await waiting.sees('Back to the part')
    const visit = shop.visit(`/practice/gaps?seed=12&level=1&from=${fit}`)
    await visit.sees(new RegExp(`${part.name}: (20:00|19:\\d\\d) left`))
    vi.setSystemTime(Date.now() + 21 * 60_000)
    await visit.sees(`${part.name} is ready: go back`)
    await visit.presses(new RegExp(`${part.name} is ready: go back`))
    await visit.isAt(fit)
  })
})

test('without the server it is marked all the same, and what was done is sent once it is back', async () => {
  const visit = shop.visit('/practice/gaps?seed=12&level=1&who=tarek')
  await visit.sees('Gaps, level 1')
  const before = (await runsOf('tarek')).length
  shop.away(true)
  await visit.presses('Move it')
  await visit.sees('0 %of as well as it can be done')
  await expect.poll(() => keptWrites.waits()).toBe(true)
  shop.away(false)
  keptWrites.sendNow()
  await expect.poll(() => keptWrites.waits()).toBe(false)
  const after = await runsOf('tarek')
  expect(after).toHaveLength(before + 1)
  expect(after.at(-1)).toMatchObject({ kind: 'gaps', level: 1, seed: 12, share: 0 })
})

test('a fit that waits is gone back to', async () => {
  const visit = shop.visit('/practice/gaps?seed=12&level=1&from=/jobs/0412/fit/0412-bonnet')
  await visit.sees('Back to the part')
  await visit.presses('Back to the part')
  await visit.isAt('/jobs/0412/fit/0412-bonnet')
  shop.visit('/practice/gaps?seed=12&level=1&from=https://elsewhere.example/')
  await visit.sees('Gaps, level 1')
  await visit.seesNo('Back to the part')
})
