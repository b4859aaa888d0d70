import { smallEvents, smallChecks, smallPlan, smallStep } from '@truelay/contract/testing'
import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

/** A finished fit of a bonnet on another vehicle, at which the film had to go up by so much. */
async function fitted(plate: string, upMm: number) {
  const { body: job } = await shop.server.send('POST', '/api/jobs', {
    customer: 'Private owner',
    modelId: 'velmora-pipit',
    year: null,
    colour: 'signal white',
    plate,
    bay: 'Bay 1',
    personId: 'ines',
    arrivesAt: '2030-05-02T08:00:00.000Z',
    dueAt: '2030-05-03T16:00:00.000Z',
    parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }],
  })
  const { part } = await shop.bundle(job.id)
  expect(part.pieceId).not.toBeNull()
  const readings = [
    { checkId: 'P', measuredMm: 2.5 + upMm },
    { checkId: 'Q', measuredMm: 2.5 + upMm },
    { checkId: 'R', measuredMm: 2.5 },
  ]
  await shop.server.send(
    'POST',
    `/api/parts/${part.id}/fit`,
    smallEvents(
      smallPlan([smallStep('lay')], { partId: part.id, checks: smallChecks }),
      { kind: 'gapsMeasured', stepId: 'lay', readings },
      { kind: 'problemSeen', stepId: 'lay', problem: 'fingers', place: 'the nose edge', comeBack: false },
      { kind: 'stepDone', stepId: 'lay', after: 5 },
    ).map((event) => ({ ...event, id: crypto.randomUUID() })),
  )
}
const there = '/jobs/0412/lay-sheets/0412-bonnet'

describe('what earlier fits teach', () => {
  test('the first of a model is marked as the first', async () => {
    const visit = shop.visit(there)
    await visit.sees('The first Bonnet of this model here: nothing is known of it yet.')
  })

  test('after three fits: where it sits, how sure, where fingers came; one press begins with it', async () => {
    for (const [plate, up] of [
      ['QF 901', 2.8],
      ['QF 902', 3.1],
      ['QF 903', 2.9],
    ] as const)
      await fitted(plate, up)
    const visit = shop.visit(there)
    await visit.sees('Fitted 3 times here.')
    await visit.sees(/Move the film \d(\.\d)? mm towards the windscreen.*counted from its pattern; nine times in ten/)
    await visit.sees('Fingers at the nose edge: 3 of 3 times.')
    await visit.presses('Begin with that')
    await visit.sees('The plan begins with that.')
    const { shift } = (await shop.bundle('0412')).part
    expect(shift.yMm).toBeGreaterThanOrEqual(2)
    expect(shift.yMm).toBeLessThanOrEqual(3.5)
    expect(Number.isInteger(2 * shift.yMm)).toBe(true)
    await visit.presses('Undo')
    await visit.sees('Begin with that')
  })

  test('before the first step of a fit it comes up again', async () => {
    const visit = shop.visit('/jobs/0412/fit/0412-bonnet')
    await visit.sees('Begin with that, on the lay sheet')
    await visit.sees('Fingers at the nose edge: 3 of 3 times.')
  })

  test('it comes up where the kit is unpacked', async () => {
    await shop.visit('/jobs/0412/kit').sees('Fingers at the nose edge: 3 of 3 times.')
  })

  test('the page of the model tells it of every part', async () => {
    const visit = shop.visit('/models/velmora-pipit')
    await visit.presses('What we know of it')
    await visit.isAt('/models/velmora-pipit/known')
    await visit.sees(/Bonnet ?fitted 3 times/)
    await visit.sees('Fingers at the nose edge: 3 of 3 times.')
    expect(screen.getByRole('button', { name: 'Save what fits teach, without names' })).toHaveProperty(
      'disabled',
      false,
    )
  })

  test('what fits have shown is taken into the piece, and back out of it', async () => {
    const visit = shop.visit('/models/velmora-pipit/known')
    await visit.presses('Take it into the piece')
    await visit.sees('New jobs begin with what was taken into the piece.')
    const shelf = async () => JSON.stringify((await shop.server.get('/api/shelf')).body)
    expect(await shelf()).toContain('"sits":')
    await visit.presses('Begin where the pattern has it')
    await visit.seesNo('New jobs begin with what was taken into the piece.')
    expect(await shelf()).not.toContain('"sits":')
  })

  test('fits are forgotten, and come back with one press', async () => {
    const visit = shop.visit('/models/velmora-pipit/known')
    await visit.presses('Forget its fits')
    await visit.sees('None of its parts has been fitted here yet.')
    await visit.presses('Undo')
    await visit.sees(/Bonnet ?fitted 3 times/)
  })

  test('a file of another shop is brought in; one that is none says so and changes nothing', async () => {
    const visit = shop.visit('/models/velmora-pipit/known')
    await visit.sees('From other shops')
    const bring = (text: string) =>
      visit.user.upload(
        screen.getByLabelText('File of what fits teach'),
        new File([text], 'upriver.json', { type: 'application/json' }),
      )
    await bring('no facts at all')
    await visit.sees('That is no file of what fits teach: nothing was changed.')
    await bring(JSON.stringify({ facts: [] }))
    await visit.sees('There is no fit in that file: nothing was changed.')
    const { facts } = (await shop.server.get('/api/memory')).body as { facts: object[] }
    await bring(JSON.stringify({ facts: facts.slice(0, 2) }))
    await visit.sees(/upriver ?2 fits, brought in on/)
    await visit.sees(/Bonnet ?fitted 5 times/)
    await visit.presses('Forget it')
    await visit.sees(/Bonnet ?fitted 3 times/)
  })

  test('a model of which nothing was fitted says so', async () => {
    const visit = shop.visit('/models/ondrel-skua/known')
    await visit.sees('None of its parts has been fitted here yet.')
  })
})
