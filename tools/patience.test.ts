import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'

const root = fileURLToPath(new URL('..', import.meta.url))
const leastMs = 600_000

/** Times that tests set themselves, ms: as the last argument of a test, after its closing brace. */
const ownTimes = (text: string) =>
  [...text.matchAll(/^\s*\}, ([\d_]{4,})\)$/gm)].map(([, ms]) => Number(ms?.replaceAll('_', '')))

describe('how long a test may take', () => {
  test('is found where one says so itself', () => {
    expect(ownTimes("test('x', () => {\n  one()\n}, 60_000)\n")).toEqual([60_000])
    expect(ownTimes('const x = { a: 1 }\n')).toEqual([])
  })
  test('is nowhere less than all have: a machine that is held up for a minute is no fault of what is tested', () => {
    const files = ['packages', 'apps', 'tools'].flatMap((at) =>
      readdirSync(join(root, at), { recursive: true, encoding: 'utf8' })
        .filter((name) => /\.test\.tsx?$/.test(name) && !name.includes('node_modules'))
        .map((name) => join(at, name)),
    )
    expect(files.length).toBeGreaterThan(200)
    const hasty = files.filter((name) => ownTimes(readFileSync(join(root, name), 'utf8')).some((ms) => ms < leastMs))
    expect(hasty).toEqual([])
  })
})
