import { describe, expect, test } from 'vitest'
import { mutantsOf } from './mutants.ts'

/** The sources that a text can become. */
const becomes = (text: string) => mutantsOf('a.ts', text).map((m) => text.slice(0, m.start) + m.to + text.slice(m.end))

describe('mutants of a source', () => {
  test.each([
    ['f(() => a + b)', ['f(() => a - b)']],
    ['f(() => a <= b)', ['f(() => a < b)']],
    ['f(() => !a)', ['f(() => a)']],
    ['f(() => (a ? b : c))', ['f(() => ((a ? c : b)))']],
    ['f(() => true)', ['f(() => false)']],
    ['f(() => list.filter(g))', ['f(() => list)']],
    ['f(() => 2)', ['f(() => 3)']],
    ['function f() { if (a) g() }', ['function f() { if (true) g() }', 'function f() { if (false) g() }']],
  ])('%s', (text, mutants) => {
    expect(becomes(text)).toEqual(mutants)
  })
  test('figures of practice, words and types stay as they are', () => {
    expect(becomes('const most = 3 + 4')).toEqual([])
    // biome-ignore lint/suspicious/noTemplateCurlyInString: the source of a template
    expect(becomes('f(() => say`${1 + 2} left`)')).toEqual([])
    expect(becomes('type A = 1 | 2; interface B { readonly c: true }')).toEqual([])
    expect(becomes("import { a } from './a.ts'")).toEqual([])
  })
  test('what stands in for an entry that is always there stays as it is', () => {
    expect(becomes('f(() => list[at] ?? 0)')).toEqual([])
    expect(becomes('f(() => map.get(at) ?? 0)')).toEqual(['f(() => map.get(at) ?? 1)'])
    expect(becomes('f(() => a ?? list[0])')).toEqual(['f(() => a ?? list[1])'])
  })
  test('a function that has a name is code, not a figure', () => {
    expect(becomes('const double = (x: number) => 2 * x')).toHaveLength(2)
  })
  test('each tells its line, and what stood there', () => {
    expect(mutantsOf('a.ts', 'f(\n  () => a < b,\n)')).toMatchObject([{ file: 'a.ts', line: 2, from: '<', to: '<=' }])
  })
})
