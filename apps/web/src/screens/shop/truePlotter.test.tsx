import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { screen } from '@testing-library/react'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { type OpenShop, openShop, says } from '../../testing/openShop.tsx'

let shop: OpenShop
let device: Server
const sent: { readonly url: string; readonly body: string }[] = []
beforeAll(async () => {
  shop = await openShop()
  device = createServer((req, res) => {
    if (req.method === 'GET') {
      res.setHeader('content-type', 'application/json')
      res.end(JSON.stringify({ at: new Date().toISOString(), rollWidthMm: 1520, filmLeftMm: 8200, labelsLeft: 12 }))
      return
    }
    let body = ''
    req.on('data', (piece) => {
      body += piece
    })
    req.on('end', () => {
      sent.push({ url: req.url ?? '', body })
      res.statusCode = 202
      res.end()
    })
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => device.once('listening', resolve))
  const at = `http://127.0.0.1:${(device.address() as AddressInfo).port}`
  const devices = (await shop.server.get('/api/devices')).body
  await shop.server.send('PUT', '/api/devices', { ...devices, plotter: `${at}/plotter`, labelPrinter: `${at}/labels` })
})
afterAll(async () => {
  await shop.close()
  device.close()
})

test('a square is cut and measured; what it is off is told, taken over, and the next square is drawn longer', async () => {
  const visit = shop.visit('/shop')
  await visit.presses('True the plotter')
  await visit.presses('Cut it on the plotter')
  await visit.sees('The plotter has it. Weed it, and lay it flat to measure.')
  await visit.types('Along the roll', '199.2')
  await expect.poll(() => says(screen.getByTestId('off-along'))).toBe('4 mm too short on a metre')
  expect(screen.getByTestId('off-across').textContent).toBe('true')
  await visit.presses('Cut true from now on')
  await visit.sees(/Every cut is drawn so that it comes out true/)
  expect((await shop.server.get('/api/shop')).body.practice.plotterAlong).toBeCloseTo(99.6, 6)
  await visit.presses('Cut it on the plotter')
  await expect.poll(() => sent.length).toBe(2)
  // 200 mm over 0.996, in fortieths of a millimetre, from the border of 10 mm over 0.996.
  expect(sent[1]?.body).toContain('PD8434,400')
})

test('a square that is far off is no matter of drawing', async () => {
  const visit = shop.visit('/shop/plotter')
  await visit.types('Across it', '185')
  await visit.sees(/is outside 95 to 105 %. Measure again, or have its maker look at it/)
  expect(screen.getByRole('button', { name: 'Cut true from now on' })).toHaveProperty('disabled', true)
})

test('labels of pieces and cores go to the label printer', async () => {
  const visit = shop.visit('/shelf/rolls/r1')
  await visit.presses('Print its label')
  await visit.sees('12 left on its roll')
  await visit.presses('1 label on the label printer')
  await visit.sees('The label printer has them.')
  expect(sent.at(-1)?.url).toBe('/labels')
  expect(sent.at(-1)?.body.slice(0, 5)).toBe('%PDF-')
})
