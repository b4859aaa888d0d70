import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { english } from '@truelay/words'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { wordsOfPdf } from '../testing/wordsOfPdf.ts'
import { writeLabels } from './writeLabels.ts'

let shop: DemoServer
let printer: Server
let sent: { readonly type: string; readonly body: Buffer }[] = []
let takes = { status: 202, says: '' }

beforeAll(async () => {
  shop = await new DemoServer().start()
  printer = createServer((req, res) => {
    const pieces: Buffer[] = []
    req.on('data', (piece) => pieces.push(piece))
    req.on('end', () => {
      sent.push({ type: req.headers['content-type'] ?? '', body: Buffer.concat(pieces) })
      res.statusCode = takes.status
      res.setHeader('content-type', 'text/plain')
      res.end(takes.says)
    })
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => printer.once('listening', resolve))
})
afterAll(async () => {
  await shop.end()
  printer.close()
})

const connect = async (labelPrinter: string | null) => {
  const devices = (await shop.get('/api/devices')).body
  await shop.send('PUT', '/api/devices', { ...devices, labelPrinter })
}
const label = { code: 'TLR1/r1/H180-2611-04', lines: ['Roll 1', 'Hullskin 180 clear', 'lot H180-2611-04'] }
const print = (labels: object[]) => shop.send('POST', '/api/labels', { labels })
const pages = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0

test('labels go to the printer as pages in the size of a label, one each', async () => {
  await connect(`http://127.0.0.1:${(printer.address() as AddressInfo).port}/labels`)
  const { body } = await print([label, { ...label, code: 'TLR1/r2/H180-2612-07' }])
  expect(body).toMatchObject({ taken: true })
  expect(sent).toHaveLength(1)
  expect(sent[0]?.type).toBe('application/pdf')
  expect(pages(sent[0]?.body ?? Buffer.alloc(0))).toBe(2)
  const lines = wordsOfPdf(sent[0]?.body ?? Buffer.alloc(0)).split('\n')
  for (const line of label.lines) expect(lines.filter((read) => read === line)).toHaveLength(2)
  // 62 by 29 mm in points.
  expect(sent[0]?.body.toString('latin1')).toMatch(/\/MediaBox \[0 0 175\.74\d* 82\.20\d*\]/)
})

test('a printer that refuses, is off or is not there says what to do', async () => {
  takes = { status: 409, says: 'it has 1 labels left, and this takes 2.' }
  expect(english((await print([label])).body.says)).toBe(
    'The label printer refused them: it has 1 labels left, and this takes 2.',
  )
  await connect('http://127.0.0.1:9/labels')
  expect(english((await print([label])).body.says)).toMatch(/does not answer/)
  await connect(null)
  expect(english((await print([label])).body.says)).toMatch(/^No label printer is connected/)
})

test.each([
  ['no label', []],
  ['no words', [{ ...label, lines: [] }]],
  ['no code', [{ ...label, code: '' }]],
])('%s is refused', async (_, labels) => {
  sent = []
  expect((await print(labels)).status).toBe(400)
  expect(sent).toEqual([])
})

test('words of other alphabets, and more of them than fit, still make one page', async () => {
  const pdf = await writeLabels([{ code: 'x', lines: ['Дверь левая Ω', 'w'.repeat(80), 'w '.repeat(40), 'end'] }], {
    widthMm: 30,
    heightMm: 15,
  })
  expect(pages(pdf)).toBe(1)
})
