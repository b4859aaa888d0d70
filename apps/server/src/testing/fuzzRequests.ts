import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import fc from 'fast-check'
import { writeIdHeader } from '@truelay/contract'
import type { DemoServer } from './demoServer.ts'
import { sent, writeRoutes } from './writeRoutes.ts'

interface OddRequest {
  readonly method: string
  readonly path: string
  readonly headers: Readonly<Record<string, string>>
  readonly body: string
}

export interface FuzzedRequests {
  readonly asked: number
  /** How often each status was answered. */
  readonly statuses: Readonly<Record<number, number>>
  /** What was answered as a fault of the server, told with a stack, or not answered. */
  readonly bad: readonly { readonly request: OddRequest; readonly why: string }[]
  /** Of the process, at the quarter and at the end. */
  readonly memoryMb: readonly [number, number]
}

/** Values that somebody could send where another one belongs. */
const oddValue: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    '',
    0,
    -1,
    1e308,
    -1e308,
    1e-320,
    2 ** 53,
    true,
    [],
    {},
    [[]],
    '9999-12-31T23:59:59Z',
    // At the bounds of what is stored.
    '2199-12-31T23:59:59.000Z',
    '1990-01-01T00:00:00.000Z',
    100_000,
    1e9,
    -1e9,
    0.001,
    '__proto__',
    '\u0000',
    '\ud800',
    '../..',
    'a'.repeat(5000),
  ),
  fc.string({ unit: 'binary', maxLength: 40 }),
  fc.double(),
  fc.integer(),
  fc.jsonValue({ maxDepth: 3 }),
)

/** A document with one to three of its values, anywhere in it, changed for odd ones, taken away, or doubled. */
const changed = (good: unknown): fc.Arbitrary<unknown> =>
  fc
    .array(
      fc.record({ at: fc.nat({ max: 200 }), how: fc.constantFrom('odd', 'odd', 'gone', 'more'), value: oddValue }),
      {
        minLength: 1,
        maxLength: 3,
      },
    )
    .map((changes) => {
      let document = structuredClone(good)
      for (const { at, how, value } of changes) {
        const holders = holdersIn(document)
        const spot = holders[at % Math.max(1, holders.length)]
        if (spot === undefined) document = value
        else if (how === 'odd') Object.assign(spot.holder, { [spot.key]: value })
        else if (how === 'gone') Reflect.deleteProperty(spot.holder, spot.key)
        else Object.assign(spot.holder, { [`${spot.key}x`]: value })
      }
      return document
    })

function holdersIn(value: unknown, found: { holder: object; key: string }[] = []) {
  if (typeof value !== 'object' || value === null) return found
  for (const [key, inner] of Object.entries(value)) {
    found.push({ holder: value, key })
    if (found.length < 400) holdersIn(inner, found)
  }
  return found
}

/** Parts of an address that a route may take for an id. */
const oddId = fc.oneof(
  fc.constantFrom(
    '0412',
    '0412-bonnet',
    '0999',
    '..',
    '%2e%2e',
    '%',
    '%00',
    '%zz',
    'a%2Fb',
    '__proto__',
    'constructor',
    '%F0%9F%92%A9',
    '0'.repeat(500),
    '-',
    'nose',
  ),
  fc.string({ unit: 'grapheme-ascii', maxLength: 20 }).map(encodeURIComponent),
)
const readPaths = [
  'jobs/#',
  'jobs/#/walk-round',
  'jobs/#/kit-check',
  'jobs/#/edge-looks.ics',
  'parts/#/fit',
  'parts/#/record',
  'parts/#/record.pdf',
  'forms/#',
  'photos/#',
  'backups/#',
  'models',
  'shop',
  'bay',
  'liquids',
  'shelf',
  'learned',
  'blades',
  'forms',
  '#',
  '',
]
/** Routes that ask other machines are fuzzed by their own tests. */
const asksOthers = new Set(['/room', '/devices'])

const header = fc.constantFrom<Record<string, string>>(
  {},
  {},
  {},
  {},
  { 'content-type': 'text/plain' },
  { 'content-type': 'application/json; charset=utf-9' },
  { 'content-type': 'application/json; charset=utf-16' },
  { 'content-encoding': 'gzip' },
  { 'content-encoding': 'odd' },
  { range: 'bytes=9999999-' },
  { 'if-match': '"x"' },
  { 'accept-encoding': 'br;q=oops, gzip' },
  { origin: 'http://elsewhere.example' },
  { [writeIdHeader]: 'seven' },
  { expect: 'odd' },
)

const write = fc.constantFrom(...writeRoutes.filter(({ path }) => !asksOthers.has(path))).chain((route) =>
  fc.record({
    method: fc.constantFrom(route.method, route.method, route.method, 'DELETE', 'PUT', 'POST'),
    path: fc.oneof(
      fc.constant(route.path),
      fc.constant(route.path),
      oddId.map((id) => route.path.replace(/0412(-bonnet)?|pipit-bonnet-piece/, id)),
    ),
    body: fc.oneof(
      fc.oneof(fc.constant(route.good), changed(route.good)).map((doc) => JSON.stringify(sent(route, doc)) ?? ''),
      changed([route.good]).map((doc) => JSON.stringify(doc) ?? ''),
      fc.string({ unit: 'binary', maxLength: 60 }),
    ),
    headers: header,
  }),
)
const readOne = fc.record({
  method: fc.constantFrom('GET', 'GET', 'GET', 'HEAD', 'OPTIONS'),
  path: fc.tuple(fc.constantFrom(...readPaths), oddId).map(([path, id]) => `/${path.replace('#', id)}`),
  body: fc.constant(''),
  headers: header,
})
const oddRequest: fc.Arbitrary<OddRequest> = fc.oneof(
  { weight: 3, arbitrary: write },
  { weight: 1, arbitrary: readOne },
)

/** Sends odd requests of every route; says what was answered. */
export async function fuzzRequests(demo: DemoServer, howMany: number, seed: number): Promise<FuzzedRequests> {
  const statuses: Record<number, number> = {}
  const bad: FuzzedRequests['bad'][number][] = []
  const atOnce = 8
  const quarter = howMany / 4
  let early = 0
  let asked = 0
  for (let round = 0; asked < howMany; round++) {
    const requests = fc.sample(oddRequest, { numRuns: 400, seed: seed + round })
    for (let i = 0; i < requests.length; i += atOnce)
      await Promise.all(
        requests.slice(i, i + atOnce).map(async (odd) => {
          asked++
          const answer = await ask(demo, odd).catch((error: unknown) => ({ status: 0, text: String(error) }))
          statuses[answer.status] = (statuses[answer.status] ?? 0) + 1
          if (answer.status >= 500 || answer.status === 0)
            bad.push({ request: odd, why: `${answer.status} ${answer.text.slice(0, 300)}` })
          else if (/\n\s+at \S+ \(|node_modules/.test(answer.text))
            bad.push({ request: odd, why: 'a stack in the answer' })
        }),
      )
    if (early === 0 && asked >= quarter) early = memoryMb()
  }
  return { asked, statuses, bad, memoryMb: [early, memoryMb()] }
}

function memoryMb(): number {
  globalThis.gc?.()
  return Math.round(process.memoryUsage().heapUsed / 1e6)
}

/** As bytes on the wire, with headers that `fetch` would not send. */
function ask(demo: DemoServer, { method, path, headers, body }: OddRequest): Promise<{ status: number; text: string }> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(demo.address('/'))
    const sending = request(
      {
        hostname,
        port,
        method,
        path: `/api${path}`.replace(/[^\x21-\x7e]/g, '%20'),
        headers: {
          'content-type': 'application/json',
          'content-length': Buffer.byteLength(body),
          [writeIdHeader]: randomUUID(),
          ...headers,
        },
        timeout: 60_000,
      },
      (answer) => {
        let text = ''
        answer.setEncoding('latin1')
        answer.on('data', (piece: string) => {
          if (text.length < 20_000) text += piece
        })
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }))
        answer.on('error', reject)
      },
    )
    sending.on('timeout', () => sending.destroy(new Error('no answer in 60 s')))
    sending.on('error', reject)
    sending.end(body)
  })
}
