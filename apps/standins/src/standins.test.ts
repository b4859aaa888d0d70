import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { createStandIns } from './app.ts'

let server: Server
let base: string
const noon = new Date('2030-05-01T12:00:00.000Z')

beforeEach(async () => {
  server = createStandIns(() => noon).listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterEach(async () => {
  server.closeAllConnections()
  await new Promise((resolve) => server.close(resolve))
})
const turn = (set: object) =>
  fetch(`${base}/knobs`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(set),
  })
const read = async (device: string) => (await fetch(`${base}/${device}`)).json()

test('each device measures what its knobs say', async () => {
  await turn({ room: { temperatureC: 12, humidityPercent: 85, fault: 'none' } })
  expect(await read('room')).toEqual({ at: noon.toISOString(), temperatureC: 12, humidityPercent: 85 })
  expect((await read('infrared')).surfaceC).toBe(46)
  const { hours } = await read('forecast')
  expect(hours).toHaveLength(96)
  const temperatures = hours.map((h: { temperatureC: number }) => h.temperatureC)
  expect(Math.min(...temperatures)).toBeCloseTo(7, 0)
  expect(Math.max(...temperatures)).toBeCloseTo(14, 0)
})

test('a late device answers with an old measurement, a wild one with what cannot be', async () => {
  await turn({ room: { temperatureC: 20, humidityPercent: 50, fault: 'late' } })
  expect(new Date((await read('room')).at).getTime()).toBeLessThan(noon.getTime() - 3_600_000)
  await turn({ infrared: { surfaceC: 50, fault: 'nonsense' } })
  expect((await read('infrared')).surfaceC).toBeGreaterThan(1000)
})

test('a silent one never answers', async () => {
  await turn({ room: { temperatureC: 20, humidityPercent: 50, fault: 'silent' } })
  const answer = fetch(`${base}/room`, { signal: AbortSignal.timeout(400) })
  await expect(answer).rejects.toThrow(/timeout|aborted/i)
})

test('a knob that does not exist is refused and changes nothing', async () => {
  const before = await read('knobs')
  expect((await turn({ room: { temperatureC: 900, humidityPercent: 50, fault: 'none' } })).status).toBe(400)
  expect((await turn({ kettle: {} })).status).toBe(400)
  expect(await read('knobs')).toEqual(before)
})

test.each([
  ['room', 'late', { temperatureC: 20, humidityPercent: 50 }],
  ['infrared', 'late', { surfaceC: 46 }],
  ['forecast', 'late', { coldestC: 3, warmestC: 9 }],
])('%s that is %s measures the same, at another time', async (device, fault, measures) => {
  await turn({ [device]: { ...measures, fault: 'none' } })
  const now = await read(device)
  await turn({ [device]: { ...measures, fault } })
  const then = await read(device)
  const { at, issuedAt, hours, ...values } = then
  expect(new Date(at ?? issuedAt).getTime()).toBeLessThan(noon.getTime())
  for (const [key, value] of Object.entries(values)) expect(value).toEqual(now[key])
  if (hours !== undefined) expect(hours).toHaveLength(now.hours.length)
})

test('a forecast follows the day: coldest at six, warmest at three', async () => {
  await turn({ forecast: { coldestC: -4, warmestC: 10, fault: 'none' } })
  const { hours } = await read('forecast')
  const hourOf = (h: { at: string }) => new Date(h.at).getHours()
  const by = (compare: (a: number, b: number) => boolean) =>
    hours
      .slice(0, 24)
      .reduce((best: { temperatureC: number; at: string }, h: { temperatureC: number; at: string }) =>
        compare(h.temperatureC, best.temperatureC) ? h : best,
      )
  expect(hourOf(by((a, b) => a > b))).toBe(15)
  expect([2, 3, 4]).toContain(hourOf(by((a, b) => a < b)))
})

test('the page of knobs names every device', async () => {
  const text = await (await fetch(`${base}/`)).text()
  for (const label of ['Room sensor', 'Infra-red thermometer', 'Forecast outside']) expect(text).toContain(label)
})

const cut = (file: string) => fetch(`${base}/plotter`, { method: 'POST', body: file })
const square = 'IN;PU400,400;PD8400,400,8400,8400,400,8400,400,400;PU0,0;'

test('the plotter cuts what it is sent, shows it in its true size, and has less film after', async () => {
  expect((await cut(square)).status).toBe(202)
  const [plot] = await read('plotter/cuts')
  expect(plot).toMatchObject({ at: noon.toISOString(), lengthMm: 210 })
  expect(plot.lines).toEqual([
    [
      [10, 10],
      [210, 10],
      [210, 210],
      [10, 210],
      [10, 10],
    ],
  ])
  expect(await read('plotter')).toMatchObject({ rollWidthMm: 1520, filmLeftMm: 7990 })
  const page = await (await fetch(`${base}/plotter/page`)).text()
  expect(page).toContain('width="220.00mm" height="1520.00mm"')
  expect(page).toContain('M10.00 1510.00')
})

test('a plotter that is out of true cuts that much too short', async () => {
  await turn({ plotter: { rollWidthMm: 1520, filmLeftMm: 5000, cutsPercent: 99.6, fault: 'none' } })
  await cut(square)
  const [plot] = await read('plotter/cuts')
  expect(plot.lines[0][1][0] - plot.lines[0][0][0]).toBeCloseTo(199.2, 9)
})

test.each([
  ['out of film', { rollWidthMm: 1520, filmLeftMm: 200 }, square, /has 200 mm of film left, and this takes 210 mm/],
  ['with too narrow a roll', { rollWidthMm: 150, filmLeftMm: 900 }, square, /is 150 mm wide, and this takes 210 mm/],
  ['sent something else', {}, 'hello', /cannot be cut/],
])('a plotter %s says so and cuts nothing', async (_, roll, file, says) => {
  const set = { rollWidthMm: 1520, filmLeftMm: 9000, cutsPercent: 100, fault: 'none', ...roll }
  await turn({ plotter: set })
  const answer = await cut(file)
  expect([answer.status, await answer.text()]).toEqual([409, expect.stringMatching(says)])
  expect(await read('plotter/cuts')).toEqual([])
  expect((await read('plotter')).filmLeftMm).toBe(set.filmLeftMm)
})

test('one that is off takes the call and never answers', async () => {
  await turn({ plotter: { rollWidthMm: 1520, filmLeftMm: 9000, cutsPercent: 100, fault: 'silent' } })
  const answer = fetch(`${base}/plotter`, { method: 'POST', body: square, signal: AbortSignal.timeout(400) })
  await expect(answer).rejects.toThrow(/timeout|aborted/i)
})

test('the label printer counts what it prints, and says when it has too few', async () => {
  const page = '%PDF-1.3\n1 0 obj << /Type /Pages >>\n2 0 obj << /Type /Page >>\n'
  const print = (body: string) =>
    fetch(`${base}/labelPrinter`, { method: 'POST', headers: { 'content-type': 'application/pdf' }, body })
  await turn({ labelPrinter: { labelsLeft: 3, fault: 'none' } })
  expect((await print(`${page}3 0 obj << /Type /Page >>`)).status).toBe(202)
  expect(await read('labelPrinter')).toMatchObject({ labelsLeft: 1 })
  expect(await (await print(`${page}3 0 obj << /Type /Page >>`)).text()).toBe('it has 1 labels left, and this takes 2.')
  expect((await print('no page')).status).toBe(409)
  expect(await read('labelPrinter/printed')).toMatchObject([{ labels: 2 }])
  expect(await (await fetch(`${base}/labelPrinter/page`)).text()).toContain('2 labels')
  expect((await fetch(`${base}/labelPrinter/printed/0.pdf`)).headers.get('content-type')).toBe('application/pdf')
})
