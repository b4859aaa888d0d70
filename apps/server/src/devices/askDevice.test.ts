import { createServer, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { z } from 'zod'
import { askDevice } from './askDevice.ts'

let device: Server
let address: string
let does: (res: ServerResponse) => void
beforeEach(async () => {
  device = createServer((_req, res) => does(res)).listen(0, '127.0.0.1')
  await new Promise((resolve) => device.once('listening', resolve))
  address = `http://127.0.0.1:${(device.address() as AddressInfo).port}/`
})
afterEach(async () => {
  device.closeAllConnections()
  await new Promise((resolve) => device.close(resolve))
})
const anything = z.unknown()

test('one that streams without end is turned away after a little, and hears that nobody listens', async () => {
  let sent = 0
  const closed = new Promise((resolve) => {
    does = (res) => {
      const chunk = 'x'.repeat(64 * 1024)
      const pour = () => {
        while (!res.destroyed && sent < 200e6) {
          sent += chunk.length
          if (!res.write(chunk)) return void res.once('drain', pour)
        }
      }
      res.once('close', resolve)
      pour()
    }
  })
  expect(await askDevice(address, anything)).toMatchObject({ state: 'nonsense' })
  await closed
  // What the lines between hold at most; never what it would have poured.
  expect(sent).toBeLessThan(20e6)
})

test('one that drips for ever is given up when its time is over', async () => {
  does = (res) => {
    const drip = setInterval(() => res.write(' '), 50)
    res.once('close', () => clearInterval(drip))
  }
  expect(await askDevice(address, anything)).toMatchObject({ state: 'silent' })
})

test('refused, silent, unknown and link-local are told in the same words', async () => {
  does = () => {}
  const silent = await askDevice(address, anything)
  for (const nobody of [
    'http://127.0.0.1:1/',
    'http://no-such-device.invalid/',
    'http://169.254.169.254/latest/meta-data/',
    'http://[fe80::1]/',
    'http://[::ffff:169.254.169.254]/',
  ])
    expect(await askDevice(nobody, anything), nobody).toEqual(silent)
})
