import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import { expect } from 'vitest'

export const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
export const folder = mkdtempSync(join(tmpdir(), 'truelay-cli-'))
export const bonnet = at('../../../../demo/forms/pipit-bonnet.json')

/** The program, built from the sources as they are now: what stands in dist may be older. */
const program = (async () => {
  // As deep as dist, from where it finds the demo shop.
  const outDir = at(`../../.tested-${process.env.VITEST_POOL_ID}`)
  await build({ root: at('../..'), logLevel: 'error', build: { outDir, emptyOutDir: true } })
  return join(outDir, 'main.js')
})()

interface Ran {
  readonly code: number
  readonly out: string
  readonly err: string
}
export const run = async (words: string[], input = ''): Promise<Ran> => {
  const main = await program
  return new Promise((resolve) => {
    const child = execFile(process.execPath, [main, ...words], { maxBuffer: 1 << 26 }, (error, out, err) => {
      resolve({ code: error === null ? 0 : Number(error.code), out, err })
    })
    child.stdin?.end(input)
  })
}
export const answer = async (words: string[], input?: unknown) => {
  const { code, out, err } = await run(words, input === undefined ? '' : JSON.stringify(input))
  expect(err).toBe('')
  expect(code).toBe(0)
  return JSON.parse(out)
}
export const file = (name: string, text: string) => {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}

/** A job on a demo model with all its parts, or those in some places. */
export function jobFor(model: string, slots?: readonly string[]) {
  const read = (path: string) => JSON.parse(readFileSync(at(`../../../../demo/${path}`), 'utf8'))
  const all = (kind: string) => readdirSync(at(`../../../../demo/${kind}`)).map((name) => read(`${kind}/${name}`))
  const { id, name, kind, parts } = read(`models/${model}`)
  const { shop, people } = read('shop.json')
  const moment = '2030-05-01T08:00:00.000Z'
  const wanted = parts.filter((p: { slot: string }) => slots === undefined || slots.includes(p.slot))
  return {
    job: {
      id: '0900',
      number: '0900',
      customer: 'Private owner',
      vehicle: { modelId: id, model: name, kind, year: null, colour: '', plate: 'T 1' },
      bay: 'Bay 1',
      personId: people[0].id,
      room: { temperatureC: 20, humidityPercent: 50 },
      arrivedAt: moment,
      dueAt: moment,
      closedAt: null,
    },
    shop,
    people,
    parts: wanted.map((p: object, i: number) => ({
      ...p,
      id: `0900-${i}`,
      jobId: '0900',
      formVersion: 1,
      shift: { xMm: 0, yMm: 0, turnDeg: 0 },
    })),
    forms: all('forms'),
    films: all('films'),
    pieces: all('pieces'),
    kits: all('kits'),
    findings: [] as object[],
    signOff: null,
  }
}

export const film = { name: 'film', thicknessMm: 0.18, conductivityWmK: 0.2, densityKgm3: 1150, specificHeatJkgK: 1750 }
export const bumper = {
  name: 'bumper',
  thicknessMm: 3,
  conductivityWmK: 0.22,
  densityKgm3: 980,
  specificHeatJkgK: 1800,
}
export const sweep = {
  kind: 'passes',
  gun: { outletC: 450, distanceMm: 90, spotMm: 110 },
  speedMmS: 200,
  strokeMm: 200,
  targetC: 48,
  damageC: 110,
}
