import { fireEvent, render, screen } from '@testing-library/react'
import { userEvent } from '@testing-library/user-event'
import { metricUnits, type UnitChoice } from '@truelay/core/units'
import { wordsIn } from '@truelay/words'
import fc from 'fast-check'
import { afterEach, describe, expect, test, vi } from 'vitest'
import { cleanup } from '@testing-library/react'
import { Field, TextInput } from './Field.tsx'
import { NumberField } from './NumberField.tsx'
import { Heading, Title } from './Title.tsx'
import { typedIn } from './typedIn.ts'
import { UnitsContext } from './units.ts'
import { screenWords, WordsContext } from './words.ts'

const imperial: UnitChoice = { length: 'in', temperature: 'F', volume: 'fl oz' }
afterEach(cleanup)

test.each([
  ['2,5', 2.5],
  ['1 1/2 mm', 1.5],
  ['3½', 3.5],
])('a number field reads %s', async (typed, value) => {
  const taken = vi.fn()
  render(<NumberField label="Gap" unit="mm" digits={2} value={1} min={0} max={10} onCommit={taken} />)
  const field = screen.getByLabelText('Gap')
  await userEvent.clear(field)
  await userEvent.type(field, `${typed}{Enter}`)
  expect(taken).toHaveBeenCalledWith(value)
})

test('another unit than that of the field is refused, and so is a slip of the finger', async () => {
  const taken = vi.fn()
  render(<NumberField label="Gap" unit="mm" digits={1} value={1} min={0} max={10} onCommit={taken} />)
  for (const typed of ['2 in', '1.2.3', '2-3']) {
    await userEvent.clear(screen.getByLabelText('Gap'))
    await userEvent.type(screen.getByLabelText('Gap'), `${typed}{Enter}`)
    expect(screen.getByRole('alert').textContent).toContain('from 0 to 10')
  }
  expect(taken).not.toHaveBeenCalled()
})

test('the window is called as its screen is', () => {
  render(<Title>Shelf</Title>)
  expect(document.title).toBe('Shelf – True Lay')
})

describe('how a number is typed in a shop', () => {
  const metric = ['mm', '°C', 'K', 'mL', 'mL/L'] as const
  test.each(metric)('%s is itself in a metric shop', (unit) => {
    const typing = typedIn(metricUnits, unit, 1)
    expect(typing.shown(12.5)).toBe(12.5)
    expect(typing.toMetric(12.5)).toBe(12.5)
    expect(typing.digits).toBe(1)
  })
  test.each([
    ['mm', 'in', 25.4, 1, 3],
    ['°C', '°F', 100, 212, 1],
    ['K', '°F', 10, 18, 1],
    ['mL', 'fl oz', 29.5735295625, 1, 3],
    ['mL/L', 'fl oz/gal', 1000 / 128, 1, 2],
    ['m²', 'ft²', 0.09290304, 1, 1],
    ['min/m²', 'min/ft²', 10.7639104167097, 1, 2],
  ])('%s is %s in the other', (unit, other, value, shown, digits) => {
    const typing = typedIn(imperial, unit, 1)
    expect(typing.unit).toBe(other)
    expect(typing.shown(value)).toBeCloseTo(shown, 9)
    expect(typing.toMetric(shown)).toBeCloseTo(value, 9)
    expect(typing.digits).toBe(digits)
  })
  test.each(metric)('%s comes back as it was', (unit) => {
    const typing = typedIn(imperial, unit, 0)
    fc.assert(
      fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (x) => {
        expect(typing.toMetric(typing.shown(x))).toBeCloseTo(x, 8)
      }),
    )
  })
  test.each(['%', 's', '°', 'min', 'ratio', ''])('“%s” is the same everywhere', (unit) => {
    expect(typedIn(imperial, unit, 2)).toMatchObject({ unit, digits: 2 })
    expect(typedIn(imperial, unit, 2).shown(7)).toBe(7)
  })
  test('each kind of quantity follows its own choice', () => {
    const mixed: UnitChoice = { length: 'in', temperature: 'C', volume: 'mL' }
    expect([typedIn(mixed, 'mm', 0).unit, typedIn(mixed, '°C', 0).unit, typedIn(mixed, 'mL', 0).unit]).toEqual([
      'in',
      '°C',
      'mL',
    ])
  })
})

describe('a number field', () => {
  function field(value: number, units: UnitChoice = metricUnits, more: { unit?: string; digits?: number } = {}) {
    const took = vi.fn()
    render(
      <UnitsContext value={units}>
        <WordsContext value={screenWords(wordsIn({ units }))}>
          <NumberField label="Gap" unit="mm" digits={1} value={value} min={-5} max={100} onCommit={took} {...more} />
        </WordsContext>
      </UnitsContext>,
    )
    return { took, input: screen.getByLabelText<HTMLInputElement>('Gap') }
  }
  const type = (input: HTMLInputElement, text: string) => {
    fireEvent.change(input, { target: { value: text } })
    fireEvent.blur(input)
  }
  test('shows its value in its digits; a zero has no sign', () => {
    expect(field(2).input.value).toBe('2.0')
    cleanup()
    expect(field(-0.04).input.value).toBe('0.0')
    cleanup()
    expect(field(-2.5).input.value).toBe('−2.5')
  })
  test('what is chosen has no zeros at its end, and is the same value however it is typed', async () => {
    const took = vi.fn()
    render(<NumberField label="Minutes" unit="min" digits={2} value={3} min={0} max={30} onCommit={took} short />)
    const input = screen.getByLabelText('Minutes')
    expect(input).toHaveProperty('value', '3')
    await userEvent.clear(input)
    await userEvent.type(input, '3.00{Enter}')
    expect(took).not.toHaveBeenCalled()
    expect(input).toHaveProperty('value', '3')
    await userEvent.clear(input)
    await userEvent.type(input, '2.5{Enter}')
    expect(took).toHaveBeenCalledWith(2.5)
  })
  test('takes over what was typed when it is left, or with Enter', async () => {
    const { took, input } = field(2)
    type(input, '3.5')
    expect(took).toHaveBeenLastCalledWith(3.5)
    const user = userEvent.setup()
    await user.clear(input)
    await user.type(input, '4{Enter}')
    expect(took).toHaveBeenLastCalledWith(4)
  })
  test.each([
    ['3,5', 3.5],
    ['−2', -2],
    [' 7 ', 7],
  ])('%s is %d', (text, value) => {
    const { took, input } = field(2)
    type(input, text)
    expect(took).toHaveBeenCalledWith(value)
  })
  test.each(['', '  ', 'wide', '101', '-5.1', '1.2.3', '1e1', 'NaN', 'Infinity'])(
    '“%s” is refused with the range',
    (text) => {
      const { took, input } = field(2)
      type(input, text)
      expect(took).not.toHaveBeenCalled()
      expect(screen.getByRole('alert').textContent).toBe('Gap: a number from −5 to 100')
      expect(input.getAttribute('aria-invalid')).toBe('true')
    },
  )
  test('a wrong one stays to be mended, and is then taken', () => {
    const { took, input } = field(2)
    type(input, '400')
    expect(input.value).toBe('400')
    type(input, '40')
    expect(took).toHaveBeenCalledWith(40)
    expect(screen.queryByRole('alert')).toBeNull()
  })
  test('the same value typed again changes nothing', () => {
    const { took, input } = field(2.04)
    type(input, '2.0')
    expect(took).not.toHaveBeenCalled()
  })
  test('Escape gives up', async () => {
    const { took, input } = field(2)
    const user = userEvent.setup()
    await user.clear(input)
    await user.type(input, '9{Escape}')
    expect(input.value).toBe('2.0')
    fireEvent.blur(input)
    expect(took).not.toHaveBeenCalled()
  })
  test('in inches it is read, typed and bounded in inches, and told in millimetres', () => {
    const { took, input } = field(25.4, imperial)
    expect(input.value).toBe('1.000')
    type(input, '2')
    expect(took).toHaveBeenLastCalledWith(50.8)
    type(input, '4')
    expect(screen.getByRole('alert').textContent).toBe('Gap: a number from −0.197 to 3.937')
  })
  test('a bound that is typed as it is shown is within', () => {
    const { took, input } = field(2, imperial)
    type(input, String(100 / 25.4))
    expect(took).toHaveBeenCalledWith(100)
  })
})

describe('a field', () => {
  test('keeps its name while something is wrong with it', () => {
    render(
      <Field label="Plate" problem="Say which.">
        <TextInput />
      </Field>,
    )
    expect(screen.getByLabelText('Plate')).toBeInstanceOf(HTMLInputElement)
    expect(screen.getByRole('alert').textContent).toBe('Say which.')
  })
})

describe('titles', () => {
  test('there is one of the first kind, and headings of its parts', () => {
    render(
      <>
        <Title>Shelf</Title>
        <Heading id="films">Films</Heading>
      </>,
    )
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Shelf')
    expect(screen.getByRole('heading', { level: 2 }).id).toBe('films')
  })
  test.each(['screen', 'far', 'bar'] as const)('“%s” has its own size', (look) => {
    render(<Title look={look}>Bonnet</Title>)
    const size = { screen: 'text-title', far: 'text-figure', bar: 'text-lead' }[look]
    expect(screen.getByRole('heading').className.split(' ')).toContain(size)
  })
})
