import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

const there = '/jobs/0412/hand-over'
const steps = [smallStep('lay'), smallStep('look')]
const fit = (partId: string, ...more: Parameters<typeof smallEvents>[1][]) =>
  shop.server.send(
    'POST',
    `/api/parts/${partId}/fit`,
    smallEvents(smallPlan(steps, { partId, partName: 'Bonnet' }), ...more),
  )
const done = (stepId: string, after: number) => ({ kind: 'stepDone', stepId, after })

describe('handing over', () => {
  test('before anything is fitted it says so, and no dates', async () => {
    const visit = shop.visit(there)
    await visit.sees('Once a part is finished, the dates stand here.')
    await visit.sees(/Bonnet ?not fitted/)
    await visit.sees(
      'Not fitted: Bonnet and Headlamp, driver’s side. Fit it first, or leave it out on the page of the job.',
    )
    await visit.sees('Hand it over')
  })

  test('a part that is begun stands in the way, with the way out', async () => {
    await fit('0412-bonnet')
    const visit = shop.visit(there)
    await visit.sees('It cannot go out yet')
    await visit.sees('Bonnet is begun and not finished: step 1 of 2.')
    expect(screen.queryByRole('button', { name: 'Hand it over' })).toBeNull()
    await visit.presses('To the job')
    await visit.isAt('/jobs/0412')
  })

  test('a finished part: dates, surfaces, what the customer has taken', async () => {
    const problemId = '00000000-0000-4000-8000-000000000001'
    await fit(
      '0412-bonnet',
      {
        kind: 'problemSeen',
        stepId: 'lay',
        problem: 'crease',
        place: 'nose',
        comeBack: true,
        when: 'at hand-over',
      } as never,
      { kind: 'problemSettled', stepId: 'lay', problemId, outcome: 'customer takes it' } as never,
      done('lay', 10) as never,
      done('look', 20) as never,
    )
    const visit = shop.visit(there)
    await visit.sees('Crease, nose: the customer has seen it and takes it')
    await visit.sees(/washing from/)
    await visit.sees('Bonnet: what lies flat ages faster')
    await visit.sees('Edge looks into the calendar')
  })

  test('nobody hands over without a name and a sign', async () => {
    const visit = shop.visit(there)
    await visit.presses('Hand it over')
    await visit.sees('Who takes it?')
    const take = screen.getByRole('button', { name: 'I take it' })
    expect(take).toHaveProperty('disabled', true)
    await visit.types('Your name', 'Hanne Ostby')
    expect(take).toHaveProperty('disabled', true)
    await visit.user.click(screen.getByRole('checkbox', { name: /typed name/ }))
    expect(take).toHaveProperty('disabled', false)
    await visit.presses('I take it')
    await visit.sees('Handed over: it has left the bay.')
    await visit.sees(/Handed over to Hanne Ostby on/)
  })

  test('closed, it comes back by one press', async () => {
    const visit = shop.visit(there)
    await visit.presses('It is back: open it again')
    await visit.sees('Hand it over')
    expect((await shop.bundle('0412')).bundle.job.closedAt).toBeNull()
  })

  test('a new hand reads it and closes nothing', async () => {
    const { bundle } = await shop.bundle('0412')
    shop.signsIn(bundle.people.find((person) => person.role === 'new hand') ?? null)
    const visit = shop.visit(there)
    await visit.sees('To be read here; an installer or a lead changes it.')
    expect(screen.getByRole('button', { name: 'Hand it over' }).closest('fieldset')).toHaveProperty('disabled', true)
    shop.signsIn(null)
  })
})

describe('coming back', () => {
  test('a job that was handed over is come back to: walked, settled, handed over again', async () => {
    const closed = shop.visit('/jobs/0388/hand-over')
    await closed.presses('Open a come-back visit')
    await closed.sees('What is looked at')
    await closed.sees('Mirror cap, driver’s side')
    await closed.presses('Open it')
    await closed.isAt(/\/jobs\/04\d\d$/)
    await closed.sees('A come-back visit.')
    const number = /\/jobs\/(\d+)/.exec(closed.address())?.[1] ?? ''
    const visit = shop.visit(`/jobs/${number}/fit/${number}-01`)
    await visit.sees('Mirror cap, driver’s side: come-back visit')
    await visit.sees(/Laid before there was a log of it, Hullskin 180 clear/)
    await visit.presses(/^Start/)
    await visit.sees(/Finger along: edge/)
    await visit.presses(/^Good/)
    await visit.seesNo(/Finger along: edge round the glass/)
  })
})
