import { targetRadii, targetSheets } from '@truelay/core/photogrammetry'
import { inflateSync } from 'node:zlib'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { writeTargets } from './writeTargets.ts'

let shop: DemoServer
beforeAll(async () => {
  shop = await new DemoServer().start()
})
afterAll(() => shop.end())

const pages = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0
/** What is drawn, page by page. */
function drawn(pdf: Buffer): string[] {
  const text = pdf.toString('latin1')
  return [...text.matchAll(/stream\r?\n/g)].flatMap(({ index, 0: head }) => {
    const begin = index + head.length
    const end = text.indexOf('endstream', begin)
    try {
      const content = inflateSync(pdf.subarray(begin, end)).toString('latin1')
      return / re\n|\nf\n| c\n/.test(content) ? [content] : []
    } catch {
      return []
    }
  })
}

test('a sheet of A4 lying down, its dots in true size', async () => {
  const pdf = await writeTargets(targetSheets(5, 20))
  expect(pdf.toString('latin1')).toMatch(/\/MediaBox \[0 0 841\.88\d* 595\.27\d*\]/)
  expect(pages(pdf)).toBe(1)
  const [page = ''] = drawn(pdf)
  // A filled circle of 5 mm is four curves that end 5 mm beside its middle: 14.17 points.
  const dots = targetSheets(5, 20)[0] ?? []
  expect(page.match(/\nf\n/g)?.length).toBeGreaterThan(2 * dots.length)
  const [first] = dots
  const left = ((first?.atMm[0] ?? 0) - 5) * (72 / 25.4)
  expect(page).toContain(left.toFixed(4))
})

test('each ring lies round its own dot, as far out as a photograph is read for', async () => {
  const [page = ''] = drawn(await writeTargets(targetSheets(5, 1)))
  const [target] = targetSheets(5, 1)[0] ?? []
  if (target === undefined) throw new Error('there is no target')
  const [x, y] = [target.atMm[0] * (72 / 25.4), (210 - target.atMm[1]) * (72 / 25.4)]
  const dot = 5 * (72 / 25.4)
  // Corners of the paths: moves, lines and the ends of curves.
  const corners = [...page.matchAll(/([\d.]+) ([\d.]+) (?:m|l)\n|([\d.]+) ([\d.]+) c\n/g)].map(([, a, b, c, d]) =>
    Math.hypot(Number(a ?? c) - x, Number(b ?? d) - y),
  )
  const ofRing = corners.filter((away) => away > 1.2 * dot && away < 4 * dot).map((away) => away / dot)
  expect(ofRing.length).toBeGreaterThan(8)
  const radii = [targetRadii.white, targetRadii.ring, targetRadii.margin]
  for (const away of ofRing) expect(Math.min(...radii.map((radius) => Math.abs(away - radius)))).toBeLessThan(0.01)
  for (const radius of radii) expect(ofRing.some((away) => Math.abs(away - radius) < 0.01)).toBe(true)
})

test('they are asked for by size and number; what there is not is refused in words', async () => {
  const read = async (query: string) => {
    const answer = await fetch(shop.address(`/api/targets.pdf?${query}`))
    return { status: answer.status, body: Buffer.from(await answer.arrayBuffer()) }
  }
  const { status, body } = await read('dot=5&count=40')
  expect(status).toBe(200)
  expect(body.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pages(body)).toBe(1 + targetSheets(5, 40).length)
  for (const query of ['dot=4&count=40', 'dot=5&count=0', 'dot=5&count=500', 'dot=5'])
    expect((await read(query)).status, query).toBe(400)
})
