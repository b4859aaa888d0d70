import { length, temperature, volume } from '@truelay/core/say'
import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { countText } from './clockText.ts'
import { GradeBars } from './GradeBars.tsx'
import { Quantity } from './Quantity.tsx'
import { UnitsContext } from './units.ts'

const text = (markup: string) => markup.replace(/<[^>]+>/g, '')

test('a quantity follows the shop’s units', () => {
  const inShop = (unit: 'mm' | 'in') =>
    text(
      renderToStaticMarkup(
        <UnitsContext value={{ length: unit, temperature: 'F', volume: 'fl oz' }}>
          <Quantity of={length(2.5)} /> <Quantity of={temperature(68)} /> <Quantity of={volume(450)} />
        </UnitsContext>,
      ),
    )
  expect(inShop('mm')).toBe('2.5 mm 154 °F 15.2 fl oz')
  expect(inShop('in')).toBe('0.098 in 154 °F 15.2 fl oz')
})

test('clocks count in minutes and seconds, from an hour on with hours', () => {
  expect([0, 999, 59_600, 220_000, 3_661_000, -5].map(countText)).toEqual([
    '0:00',
    '0:01',
    '1:00',
    '3:40',
    '1:01:01',
    '0:00',
  ])
})

test('a grade is told in words to those who do not see the bars', () => {
  expect(renderToStaticMarkup(<GradeBars grade={4} />)).toContain('grade 4 of 5')
  expect(renderToStaticMarkup(<GradeBars grade={null} />)).toContain('not worked out')
})
