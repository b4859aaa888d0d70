import { expect, test } from 'vitest'
import { readReport, writeReport } from './report.ts'

const text = `# Figures

Of a machine.

## A lay, ms

| shape | ms |
|---|--:|
| cap | 4 |

## A wait, ms

0.1 ms.
`
const titles = ['A lay, ms', 'A wait, ms']

test('a report is written as it was read', () => {
  expect(writeReport(readReport(text), titles)).toBe(text)
})

test('a section that is measured again takes the place of what stood there, the others stay', () => {
  const { head, sections } = readReport(text)
  const again = writeReport({ head, sections: new Map([...sections, ['A lay, ms', 'Nothing was laid.']]) }, titles)
  expect(again).toBe('# Figures\n\nOf a machine.\n\n## A lay, ms\n\nNothing was laid.\n\n## A wait, ms\n\n0.1 ms.\n')
})

test('sections stand in the order of the titles; one that is not measured any more goes', () => {
  const { head, sections } = readReport(text)
  const more = new Map([...sections, ['A heat plan, ms', '9 ms.']])
  expect(writeReport({ head, sections: more }, ['A wait, ms', 'A heat plan, ms'])).toBe(
    '# Figures\n\nOf a machine.\n\n## A wait, ms\n\n0.1 ms.\n\n## A heat plan, ms\n\n9 ms.\n',
  )
})

test('a report that was never written has nothing in it', () => {
  expect(readReport('')).toEqual({ head: '', sections: new Map() })
})
