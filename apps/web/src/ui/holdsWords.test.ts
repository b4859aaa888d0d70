import { expect, test } from 'vitest'
import { holdsWords } from './holdsWords.ts'

test('every word that is looked for has to be somewhere, whatever its case and their order', () => {
  const told = ['Hallowen Finch headlamp, driver’s side', 'lot H180-2611-04']
  for (const sought of ['', '  ', 'finch', 'LAMP finch', 'h180 driver', '-04 head'])
    expect(holdsWords(sought, told)).toBe(true)
  for (const sought of ['skua', 'finch skua', 'lamp,x']) expect(holdsWords(sought, told)).toBe(false)
  expect(holdsWords('finch', [])).toBe(false)
})
