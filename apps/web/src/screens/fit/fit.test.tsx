import { screen, waitFor } from '@testing-library/react'
import { name, say } from '@truelay/core/say'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest'
import { store } from '../../store/store.ts'
import { type OpenShop, openShop, page, type Visit } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const fitOf = (part: string) => shop.visit(`/jobs/0412/fit/${part}`)
const log = async (part: string): Promise<{ kind: string; stepId?: string }[]> =>
  (await shop.server.get(`/api/parts/${part}/fit`)).body.events
const headline = () => screen.queryByTestId('headline')?.textContent ?? ''
const settled = () => expect.poll(() => store.getState().outbox.waiting.length).toBe(0)

/** Which step is shown, and which stop of the last walk; none on the first and the last page. */
const place = () => {
  const step = /step \d+ of \d+/.exec(page())?.[0]
  return step === undefined
    ? undefined
    : `${step} ${screen.queryByRole('navigation', { name: 'The walk so far' }) === null ? '' : headline()}`
}

/** Goes on with the foot pedal until the page says something. */
async function goOnTo(visit: Visit, wanted: RegExp) {
  await visit.sees(/step \d+ of \d+/)
  for (let i = 0; i < 60 && !wanted.test(page()); i++) {
    const before = place()
    if (/^Measure the gaps/.test(headline())) {
      // A step that wants gaps is gone on from as it is, once it has some.
      for (const id of ['P', 'R'])
        await visit.user.type(screen.getByLabelText(new RegExp(`^${id} `), { selector: 'input' }), '2.5')
      await visit.presses(/How do I move it|Measured again/)
      await visit.sees('Leave it.')
    }
    await visit.pedal()
    if (screen.queryByRole('button', { name: 'It is ready already' }) !== null)
      await visit.presses('It is ready already')
    await waitFor(() => expect(place()).not.toBe(before))
    // The clock of the shop goes on, so that no two presses are the same moment.
    vi.setSystemTime(Date.now() + 1000)
  }
  await visit.sees(wanted)
}

describe('a fit from the first step to the last', () => {
  test('begins with the whole plan, worked out for the piece as it lies', async () => {
    const visit = fitOf('0412-bonnet')
    await visit.sees(/23 steps, about \d+ minutes with the waits\. Hullskin 180 clear\./)
    await visit.presses(/^Start/)
    await visit.sees('step 1 of 23')
    expect(headline()).toBe('Wash, clay, wipe')
    await settled()
    expect((await log('0412-bonnet')).map((e) => e.kind)).toEqual(['fitStarted'])
  })
  test('space and the foot pedal go on, Page Up goes back', async () => {
    const visit = fitOf('0412-bonnet')
    await visit.sees('step 1 of 23')
    await visit.pedal()
    await visit.sees('step 2 of 23')
    // Whoever goes by ear is brought to what is new.
    expect(document.activeElement).toBe(screen.getByTestId('headline'))
    await visit.user.keyboard(' ')
    await visit.sees('read this step, then press again')
    await visit.pedal()
    await visit.sees('step 3 of 23')
    await visit.user.keyboard('{PageUp}')
    await visit.sees('step 2 of 23')
    await visit.presses(/^Done/)
    await visit.sees('step 3 of 23')
  })
  test('the batches get numbers and stand on the bench', async () => {
    const visit = fitOf('0412-bonnet')
    await visit.sees('Mix slip and tack')
    await visit.sees(/light slip, ?1\.4 L.*water.*soap/)
    await visit.presses(/^Done/)
    await visit.sees('step 4 of 23')
    await settled()
    const { batches } = (await shop.server.get('/api/liquids')).body
    expect(batches.map((b: { number: string }) => b.number)).toEqual(expect.arrayContaining(['0412.1-1', '0412.1-2']))
  })
  test('a closed browser loses nothing', async () => {
    const { sees } = fitOf('0412-bonnet')
    await sees('step 4 of 23')
  })
  test('gaps are typed and answered with a move; right ones are left alone', async () => {
    const visit = fitOf('0412-bonnet')
    await goOnTo(visit, /Measure the gaps/)
    await visit.sees('wanted 2.5 mm everywhere')
    const field = (id: string) => screen.getByLabelText<HTMLInputElement>(new RegExp(`^${id} `), { selector: 'input' })
    await visit.user.type(field('P'), '3,6')
    await visit.user.type(field('R'), '1.4')
    await visit.presses(/How do I move it/)
    await visit.sees(/(Move|Turn) the film .* mm towards/)
    await visit.user.type(field('P'), '2.5')
    await visit.user.type(field('R'), '2.5')
    await visit.presses(/Measured again/)
    await visit.sees('Within 0.5 mm everywhere now. Leave it.')
    await visit.presses(/^Done/)
    await visit.sees('step 9 of 23')
  })
  test('a gap that is none is said at once, and nothing is kept', async () => {
    const before = (await log('0412-bonnet')).length
    const visit = fitOf('0412-bonnet')
    await visit.presses('Back one step')
    await visit.sees('Measure the gaps')
    await visit.user.type(screen.getByLabelText(/^P /, { selector: 'input' }), 'two')
    await visit.presses(/How do I move it/)
    await visit.sees('P: "two" is no gap. Give it like this: 2.5 mm.')
    await settled()
    expect((await log('0412-bonnet')).length).toBe(before + 1)
    await visit.user.clear(screen.getByLabelText(/^P /, { selector: 'input' }))
    await visit.user.type(screen.getByLabelText(/^P /, { selector: 'input' }), '2.5')
    await visit.presses(/How do I move it/)
    await visit.sees('Measure at least two places, best far apart.')
    await visit.user.type(screen.getByLabelText(/^R /, { selector: 'input' }), '2.4')
    await visit.presses(/How do I move it/)
    await visit.sees('Leave it.')
  })
  test('something wrong: what, where, and the app says why and what to do; it is come back to by itself', async () => {
    const visit = fitOf('0412-bonnet')
    await visit.presses('Something is wrong')
    await visit.sees('What do you see?')
    await visit.sees('Seen most at this stage')
    await visit.presses(/^Crease/i)
    await visit.sees('Crease: where?')
    await visit.presses('At a corner')
    await visit.sees('Why, most likely')
    await visit.sees(/More film than the form takes there ?\d+ %/)
    await visit.sees('Lift it back to before the place, flat and slowly.')
    await visit.sees('Do it now: once it has bonded this way is closed.')
    await visit.presses('Come back to it before the cut')
    await visit.sees('Noted: crease, at a corner; come back to before the cut.')
    await settled()
    expect((await log('0412-bonnet')).find((e) => e.kind === 'problemSeen')).toMatchObject({
      problem: 'crease',
      when: 'before the cut',
      comeBack: true,
      cause: 'folded by the squeegee',
    })
  })
  test('which bottle is in hand is asked, and a wrong one is told', async () => {
    const visit = fitOf('0412-bonnet')
    await goOnTo(visit, /Which tack is in your hand\?/)
    await visit.presses(/^0412\.1-1/)
    await visit.sees(/not what was planned|slip|Planned/)
  })
  test('a wait counts down; cut short early it is only a skip', async () => {
    const visit = fitOf('0412-bonnet')
    for (let i = 0; i < 40 && screen.queryByTestId('countdown') === null; i++) {
      const before = place()
      await visit.pedal()
      await waitFor(() => expect(place()).not.toBe(before))
      vi.setSystemTime(Date.now() + 1000)
    }
    await visit.sees(/Wait: initial grab.*Ready at/)
    expect(document.activeElement?.textContent).toBe('Wait: initial grab')
    expect(screen.getByTestId('countdown').textContent).toMatch(/^1\d:\d\d$/)
    const bay = shop.visit('/')
    await bay.sees(/drying until/)
    await bay.sees(/Drying.*1\d:\d\d/)
    const again = fitOf('0412-bonnet')
    await again.presses('It is ready already')
    await again.seesNo('Ready at')
    await settled()
    const kinds = (await log('0412-bonnet')).map((e) => e.kind)
    expect(kinds).toContain('waitEnded')
    expect(kinds).not.toContain('waitAnswered')
  })
  test('at the end one walks round it, edge by edge, and what is found there goes on the record', async () => {
    const visit = fitOf('0412-bonnet')
    await goOnTo(visit, /step 22 of 23/)
    expect(headline()).toMatch(/^Finger along: /)
    await visit.sees('Nothing lifts, no finger, and the gap is even.')
    const first = headline()
    // A gap that is none keeps the stop where it is, with what is wrong and how to give it.
    const [gap] = screen.getAllByRole('textbox')
    if (gap === undefined) throw new Error('there is no gap to read')
    await visit.user.type(gap, 'wide')
    await visit.presses(/^Good/)
    await visit.sees('"wide" is no gap. Give it like this: 2.5 mm.')
    expect(headline()).toBe(first)
    await visit.user.clear(gap)
    // The foot pedal says good and goes to the next edge.
    await visit.pedal()
    await waitFor(() => expect(headline()).not.toBe(first))
    const second = headline()
    // A fault at an edge needs no place any more.
    await visit.presses('Something is wrong')
    await visit.presses(/^lifting edge/i)
    await visit.sees(new RegExp(`Lifting edge, ${second.replace('Finger along: ', '')}`))
    await visit.presses('It is good again')
    await waitFor(() => expect(headline()).not.toBe(second))
    await visit.sees('put right.')
    // Back goes to the stop before, and a stop can be said anew.
    await visit.presses('Back one step')
    expect(headline()).toBe(second)
    await visit.presses(/^Good/)
    await waitFor(() => expect(headline()).not.toBe(second))
    // What was said last is on its way when the next edge is shown.
    await waitFor(async () => {
      const looked = (await log('0412-bonnet')).filter(({ kind }) => kind === 'lookedAt') as unknown as {
        stop: string
        verdict: string
      }[]
      expect(looked.map(({ verdict }) => verdict)).toEqual(['good', 'fault', 'good'])
      expect(looked[1]?.stop).toBe(looked[2]?.stop)
    })
  })
  test('ends with what was done and what comes next, and can still go back', async () => {
    const visit = fitOf('0412-bonnet')
    await goOnTo(visit, /Bonnet is done/)
    await visit.sees(/23 steps in .*\. 1 on the come-back list\..*crease, at a corner: before the cut/)
    // What was left open is a tap from its end, after the last step too.
    await visit.presses('Come back to it now')
    await visit.sees(/Crease, at a corner/)
    await visit.presses('The customer takes it as it is')
    await visit.sees(/crease, at a corner: the customer has seen it and takes it/)
    await visit.sees('Nothing stands on the come-back list.')
    await visit.sees('Next: Headlamp, driver’s side')
    await visit.presses('Back one step')
    await visit.sees('step 23 of 23')
    await visit.pedal()
    await visit.sees('Bonnet is done')
    await settled()
  })
})

describe('the record', () => {
  test('has written itself', async () => {
    const { sees } = shop.visit('/jobs/0412/record/0412-bonnet')
    await sees(/Quayside Film Works, record of a fitted part ?The old rope store Harbour quay 3 ?Velmora Pipit, Bonnet/)
    await sees(/film ?Hullskin 180 clear/)
    await sees(/Batches.*0412\.1-1/)
    await sees(/Gaps.*first.*after/)
    await sees(
      /Found during the fit.*crease.*at a corner, by the squeegee ran into a wrinkle.*the customer has seen it and takes it/i,
    )
    await sees('Steps, 23 of 23')
    await sees(/wait after it cut short by \d+ min/)
  })
  test('a part that is not begun has none', async () => {
    const { sees } = shop.visit('/jobs/0412/record/0412-headlamp-left')
    await sees('Headlamp, driver’s side has not been begun.')
  })
})

describe('a torn piece on the list', () => {
  test('the part is not done before somebody says what becomes of it', async () => {
    const [part] = (await shop.bundle('0415')).bundle.parts
    if (part === undefined) throw new Error('job 0415 has parts')
    const plan = smallPlan([smallStep('lay it'), smallStep('hand it on')], { partId: part.id, partName: part.name })
    expect((await shop.server.send('POST', `/api/parts/${part.id}/fit`, smallEvents(plan))).status).toBe(200)
    const visit = shop.visit(`/jobs/0415/fit/${part.id}`)
    await visit.sees('step 1 of 2')
    await visit.presses('Something is wrong')
    await visit.presses(/^Torn piece/i)
    await visit.presses('At a corner')
    await visit.sees('That cannot be mended: a new piece, or the customer takes it as it is.')
    await visit.presses(/^Note it/)
    await visit.sees('Noted: torn piece')
    await visit.presses(/^Done/)
    await visit.sees(/step 2 of 2.*torn piece, at a corner ?What becomes of it\?/)
    await visit.pedal()
    await visit.sees('say first what becomes of the piece')
    await visit.presses(/^Cut another from the roll/)
    await visit.seesNo('What becomes of it?')
    await visit.sees('step 1 of 2')
    await visit.sees('Another piece: take the spoilt film off flat and slowly')
    await visit.presses(/^Done/)
    await visit.sees('step 2 of 2')
    await visit.seesNo('Another piece: take the spoilt film off')
    await visit.presses(/^Done/)
    await visit.sees(/is done/)
    await settled()
    expect((await log(part.id)).map((e) => e.kind)).toEqual([
      'fitStarted',
      'problemSeen',
      'stepDone',
      'stepReopened',
      'spoilSettled',
      'stepDone',
      'stepDone',
    ])
    await shop
      .visit(`/jobs/0415/record/${part.id}`)
      .sees(/The piece ?it comes off and is laid again, with a new piece off the roll, (Bo|Ines)/i)
  })
})

describe('a cure', () => {
  test('is gone through step by step, by foot, and stands on the record', async () => {
    const part = (await shop.bundle('0415')).bundle.parts[4]
    if (part === undefined) throw new Error('job 0415 has five parts')
    const plan = smallPlan([smallStep('lay it', { phase: 'lay' }), smallStep('hand it on')], {
      partId: part.id,
      partName: part.name,
    })
    const events = smallEvents(plan, { kind: 'stepDone', stepId: 'lay it', after: 1 }).map((event) => ({
      ...event,
      id: crypto.randomUUID(),
    }))
    expect((await shop.server.send('POST', `/api/parts/${part.id}/fit`, events)).status).toBe(200)
    const visit = shop.visit(`/jobs/0415/fit/${part.id}`)
    await visit.sees('step 2 of 2')
    await visit.presses('Something is wrong')
    await visit.presses(/^Dirt or hair/i)
    await visit.presses('At a corner')
    await visit.presses('Do it step by step')
    await visit.sees(/Step 1 of 5 ?Lift it back/)
    for (const step of [2, 3, 4, 5]) {
      await visit.pedal()
      await visit.sees(`Step ${step} of 5`)
    }
    await visit.presses('Back one step')
    await visit.sees('Step 4 of 5')
    for (const sees of ['Step 5 of 5', 'All steps done. Is it good?']) {
      await visit.pedal()
      await visit.sees(sees)
    }
    await visit.presses('It is good again')
    await visit.sees(/Noted: dirt or hair, at a corner; put right/)
    await settled()
    expect((await log(part.id)).at(-1)).toMatchObject({
      kind: 'problemSettled',
      outcome: 'put right',
      cure: ['lift there', 'rinse', 'wet again', 'firm pass', 'press out'],
    })
    await shop.visit(`/jobs/0415/record/${part.id}`).sees(/put right, .*Rinse the speck off the glue/)
  })
})

describe('an opening', () => {
  test('is centred by eye, or read where the eye is not sure', async () => {
    const part = (await shop.bundle('0415')).bundle.parts[2]
    if (part === undefined) throw new Error('job 0415 has three parts')
    const check = (id: string, at: readonly number[], normal: readonly number[]) => ({
      id,
      at,
      normal,
      wantedMm: 1.5,
      edge: 'handle',
      label: say`handle, towards ${name(id)}`,
      reads: 'gap',
    })
    const reads = (id: string) => ({ kind: 'check', id })
    const plan = smallPlan(
      [
        smallStep('centre the handle', {
          records: 'gaps',
          detail: say`1.5 mm all round.`,
          references: [{ kind: 'opening', opening: 'handle' }, reads('a'), reads('b')],
        }),
        smallStep('end'),
      ],
      {
        partId: part.id,
        partName: part.name,
        checks: [check('P', [0, 0], [0, 1]), check('a', [0, 40], [-1, 0]), check('b', [20, 60], [0, 1])],
      },
    )
    const begun = smallEvents(plan).map((event) => ({ ...event, id: '00000000-0000-4000-8000-000000000078' }))
    expect((await shop.server.send('POST', `/api/parts/${part.id}/fit`, begun)).status).toBe(200)
    const visit = shop.visit(`/jobs/0415/fit/${part.id}`)
    await visit.sees(/centre the handle ?1\.5 mm all round\./)
    await visit.seesNo('enter the gaps first')
    expect(screen.queryByLabelText(/^P /, { selector: 'input' })).toBeNull()
    await visit.user.type(screen.getByLabelText(/^a /, { selector: 'input' }), '3')
    await visit.user.type(screen.getByLabelText(/^b /, { selector: 'input' }), '1.5')
    await visit.presses(/How do I move it/)
    await visit.sees(/(Move|Turn) the film/)
    await visit.presses(/Go on as it is/)
    await visit.sees('step 2 of 2')
    await visit.presses('Back one step')
    await visit.presses(/^Done/)
    await visit.sees('step 2 of 2')
    await settled()
  })
})

describe('film that dries', () => {
  test('is wetted again with one tap, and its clock begins anew', async () => {
    const part = (await shop.bundle('0415')).bundle.parts[1]
    if (part === undefined) throw new Error('job 0415 has two parts')
    const plan = smallPlan(
      [smallStep('float it', { wets: true }), smallStep('set it', { driesInMinutes: 6 }), smallStep('end')],
      { partId: part.id, partName: part.name },
    )
    const [started] = smallEvents(plan)
    const at = new Date(Date.now() - 4 * 60_000).toISOString()
    const done = { ...started, kind: 'stepDone', stepId: 'float it', id: '00000000-0000-4000-8000-000000000077', at }
    const { plan: _, ...float } = done as typeof done & { plan: unknown }
    const sent = [{ ...started, id: '00000000-0000-4000-8000-000000000076', at }, float]
    expect((await shop.server.send('POST', `/api/parts/${part.id}/fit`, sent)).status).toBe(200)
    const visit = shop.visit(`/jobs/0415/fit/${part.id}`)
    await visit.sees(/film dries here in ?(2:00|1:59)/)
    await visit.presses('wetted again')
    await visit.sees(/film dries here in ?(6:00|5:59)/)
    await settled()
    expect((await log(part.id)).map((e) => e.kind)).toEqual(['fitStarted', 'stepDone', 'filmWetted'])
  })
})

describe('a piece of a kit that came in several lots', () => {
  test('its lot is asked for when it is taken in hand, and stands in the record', async () => {
    const part = (await shop.bundle('0415')).bundle.parts[3]
    if (part === undefined) throw new Error('job 0415 has four parts')
    const count = (arrived: number, lot: string) =>
      shop.server.send('PUT', `/api/jobs/0415/kit-check/${part.pieceId}`, { arrived, lot, personId: 'ines' })
    await count(1, 'L-1')
    await count(2, 'L-2')
    const plan = smallPlan(
      [smallStep('wash'), smallStep('hold it up', { tools: ['piece'] }), smallStep('lay it', { tools: ['piece'] })],
      { partId: part.id, partName: part.name },
    )
    const [started] = smallEvents(plan)
    const sent = [{ ...started, id: '00000000-0000-4000-8000-000000000178', at: new Date().toISOString() }]
    expect((await shop.server.send('POST', `/api/parts/${part.id}/fit`, sent)).status).toBe(200)
    const record = async () => (await shop.server.get(`/api/parts/${part.id}/record`)).body.lot
    expect(await record()).toBe('L-1 / L-2')
    const visit = shop.visit(`/jobs/0415/fit/${part.id}`)
    await visit.sees('step 1 of 3')
    expect(page()).not.toContain('Its label says lot')
    await visit.pedal()
    await visit.sees(/step 2 of 3.*Its label says lot ?L-1 ?L-2/)
    await visit.presses('L-1')
    await waitFor(() => expect(screen.getByRole('button', { name: 'L-1' }).getAttribute('aria-pressed')).toBe('true'))
    await settled()
    expect(await record()).toBe('L-1')
    // A wrong tap is put right by the next one.
    vi.setSystemTime(Date.now() + 1000)
    await visit.presses('L-2')
    await settled()
    expect(await record()).toBe('L-2')
    vi.setSystemTime(Date.now() + 1000)
    await visit.pedal()
    await visit.sees('step 3 of 3')
    expect(page()).not.toContain('Its label says lot')
    // Gone back to, it is asked again: it may be another piece.
    vi.setSystemTime(Date.now() + 1000)
    await visit.user.keyboard('{PageUp}')
    await visit.sees(/step 2 of 3.*Its label says lot/)
    await settled()
    expect(await record()).toBe('L-1 / L-2')
  })
})

describe('a fit that cannot be', () => {
  test('of a job that is not there', async () => {
    const { sees } = shop.visit('/jobs/9999/fit/9999-bonnet')
    await sees('There is no job "9999".')
  })
  test('of a part that is not in the job', async () => {
    const { sees } = shop.visit('/jobs/0412/fit/0412-roof')
    await sees('There is no part "0412-roof" in job 0412.')
  })
  test('while the server is away it says so', async () => {
    shop.away(true)
    const { sees } = shop.visit('/jobs/0412/fit/0412-bonnet')
    await sees('The shop server does not answer.')
    shop.away(false)
  })
})
