import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { exampleOf, runExample } from '../../../tools/testing/pageExample.ts'

const here = new URL('.', import.meta.url)
const pages = readdirSync(here, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name)

describe.each(pages)('the page of core/%s', (folder) => {
  const page = readFileSync(new URL(`${folder}/README.md`, here), 'utf8')
  test('has an example whose answers are those that it gives', async () => {
    const example = exampleOf(page)
    if (example === null) throw new Error(`core/${folder}/README.md has no example`)
    expect(example.gives.length).toBeGreaterThan(0)
    expect(await runExample(example)).toEqual(example.gives)
  })
  test('names files that are there', () => {
    const files = readdirSync(new URL(`${folder}/`, here), { recursive: true }).map(String)
    const named = [...page.matchAll(/`([A-Za-z0-9]+\.ts)`/g)].map((m) => m[1] as string)
    const missing = named.filter((name) => !files.some((file) => file === name || file.endsWith(`/${name}`)))
    expect(missing).toEqual([])
  })
})
