import { english } from '@truelay/words'
import { demoFilm, demoForm, demoPattern } from '../../packages/core/src/plan/testParts.ts'
import { shown } from './shown.ts'

/**
 * An example on a page about the code: plain statements, and expressions that end with what they give, `inchFromMm(25.4) // => 1`. An
 * example may use `english` and the parts of the demo shop without importing them.
 */
export interface PageExample {
  readonly imports: readonly { readonly names: string; readonly from: string }[]
  readonly body: string
  /** What the page says that each expression gives, in order. */
  readonly gives: readonly string[]
}

const answer = / ?\/\/ => ?(.*)$/
const begins = (line: string) => /^[^\s)\]}/]/.test(line)

/** The first example of a page that says what it gives; null where there is none. */
export function exampleOf(page: string): PageExample | null {
  const block = [...page.matchAll(/```ts\n([\s\S]*?)```/g)].map((m) => m[1] ?? '').find((text) => / \/\/ =>/.test(text))
  if (block === undefined) return null
  const imports: { names: string; from: string }[] = []
  const gives: string[] = []
  const lines: string[] = []
  for (const line of block.split('\n')) {
    const [, names, from] = /^import \{(.*)\} from '(.*)'$/.exec(line) ?? []
    if (names !== undefined && from !== undefined) {
      imports.push({ names, from })
      continue
    }
    const given = answer.exec(line)?.[1]
    lines.push(line.replace(answer, ''))
    if (given === undefined) continue
    gives.push(given)
    // The expression may have begun some lines before.
    let first = lines.length - 1
    while (first > 0 && !begins(lines[first] ?? '')) first--
    const expression = lines.splice(first).join('\n')
    lines.push(`said.push(${expression})`)
  }
  return { imports, body: lines.join('\n'), gives }
}

/** Runs an example; what its expressions gave, as a page writes it. */
export async function runExample({ imports, body }: PageExample): Promise<string[]> {
  const loaded = await Promise.all(imports.map(({ from }) => import(/* @vite-ignore */ from)))
  const known = imports.map(({ names }, i) => `const {${names}} = loaded[${i}]`)
  const said: unknown[] = []
  const call = new Function(
    'loaded',
    'said',
    'english',
    'demoForm',
    'demoFilm',
    'demoPattern',
    [...known, body].join('\n'),
  )
  call(loaded, said, english, demoForm, demoFilm, demoPattern)
  return said.map(shown)
}
