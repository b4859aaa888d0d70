import { screen } from '@testing-library/react'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type OpenShop, openShop } from '../../testing/openShop.tsx'

let shop: OpenShop
beforeAll(async () => {
  shop = await openShop()
})
afterAll(() => shop.close())

describe('the air of the room', () => {
  test('is that which was noted with the job, until somebody enters another', async () => {
    const visit = shop.visit('/jobs/0412/waits')
    await visit.sees(/21\.4 °C ?48 % ?noted with the job/)
    await visit.presses(/Room air/)
    await visit.sees('No room sensor is connected. Read a thermometer and a hygrometer.')
    await visit.types('Temperature', '12')
    await visit.types('Humidity', '85')
    await visit.presses('This is the air now')
    await visit.sees(/12\.0 °C ?85 % ?entered, just now/)
  })
  test('cannot be what no room is', async () => {
    const visit = shop.visit('/jobs/0412/waits')
    await visit.presses(/Room air/)
    await visit.types('Temperature', '90')
    await visit.sees('Temperature: a number from −10 to 50')
  })
  test('a sensor that is silent says so, and what was entered counts', async () => {
    await shop.server.send('PUT', '/api/devices', {
      ...(await shop.server.get('/api/devices')).body,
      room: 'http://127.0.0.1:1/room',
    })
    const visit = shop.visit('/jobs/0412/waits')
    await visit.sees(/sensor silent, entered/)
    await visit.presses(/Room air/)
    await visit.sees(/Room sensor silent\..*it counts until the sensor is well again/)
  })
})

describe('waits in this air', () => {
  test('are longer in cold damp air, and say by how much', async () => {
    const { sees } = shop.visit('/jobs/0412/waits')
    await sees('At 12 °C and 85 %.')
    await sees(/initial grab.*Usually 20 min; 2\.\d times as long now/i)
  })
})

describe('out of the shop', () => {
  test('without a forecast one types the coldest that is expected', async () => {
    const visit = shop.visit('/jobs/0412/waits')
    await visit.sees(/Forecast not connected\..*Type the coldest that is expected outside\./)
    const at = () => screen.getByTestId('release').textContent
    await visit.types('Coldest outside over the next day', '-5')
    await visit.sees(/below 10 °C: it stays indoors/)
    const cold = at()
    await visit.types('Coldest outside over the next day', '25')
    await expect.poll(at).not.toBe(cold)
  })
  test('a promise that cannot be kept is told', async () => {
    const visit = shop.visit('/jobs/0412/waits')
    await visit.types('Coldest outside over the next day', '-5')
    await visit.sees(/Promised for .*: tell the customer, or warm the room until then\./)
  })
  test('edge looks go into the calendar', async () => {
    const visit = shop.visit('/jobs/0412/waits')
    await visit.sees('Three times over 48 hours after each part')
    expect(screen.getByRole('link', { name: 'Into the calendar' }).getAttribute('href')).toBe(
      '/api/jobs/0412/edge-looks.ics',
    )
  })
})
