import { readFileSync } from 'node:fs'
import { exampleOf, runExample } from '../../../tools/testing/pageExample.ts'
import {
  angle,
  area,
  atStart,
  clock,
  count,
  counted,
  days,
  distinct,
  figure,
  force,
  inSpan,
  isEmpty,
  length,
  list,
  type Measure,
  name,
  nothing,
  paragraph,
  percent,
  perLitre,
  saidIn,
  sameSentence,
  say,
  seconds,
  span,
  speed,
  temperature,
  verbatim,
  volume,
  warmer,
} from '@truelay/core/say'
import { metricUnits, type UnitChoice } from '@truelay/core/units'
import fc from 'fast-check'
import { describe, expect, test, vi } from 'vitest'
import { english, figureIn, inWords, measuresIn, wordsIn } from './index.ts'
import { pseudo } from './pseudo.ts'

const inches = wordsIn({ units: { length: 'in', temperature: 'F', volume: 'fl oz' } })

describe('a sentence is data', () => {
  const lift = say`Lift ${length(25)} at ${name('rear edge')}, ${counted(2, '# corner', '# corners')} at a time.`
  test('its text is the key, what it carries keeps its kind', () => {
    expect(lift.text).toBe('Lift {0} at {1}, {2, plural, one {# corner} other {# corners}} at a time.')
    expect(lift.with).toEqual([
      { kind: 'length', mm: 25 },
      { kind: 'name', name: 'rear edge' },
      { kind: 'count', n: 2 },
    ])
  })
  test('it survives the wire', () => {
    expect(english(JSON.parse(JSON.stringify(lift)))).toBe('Lift 25 mm at rear edge, 2 corners at a time.')
  })
  test('one and many are told apart', () => {
    const corners = (n: number) => english(say`Notch ${counted(n, 'the corner', 'each of # corners')}.`)
    expect(corners(1)).toBe('Notch the corner.')
    expect(corners(4)).toBe('Notch each of 4 corners.')
  })
  test('a name is shown as it is, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.string(), (words) => {
        expect(english(verbatim(words))).toBe(words)
        expect(english(say`At ${name(words)}.`)).toBe(`At ${words}.`)
      }),
    )
  })
  test('what is left out of a paragraph leaves no gap', () => {
    const one = say`One.`
    expect(english(paragraph(one, null, false, nothing, say`Two.`))).toBe('One. Two.')
    expect(paragraph(null, one)).toBe(one)
    expect(isEmpty(paragraph(null, undefined))).toBe(true)
    expect(english(nothing)).toBe('')
  })
  test('the same of the same counts once, the first of them stays', () => {
    const [a, b, c] = [say`At ${length(2)}.`, say`At ${length(3)}.`, say`At ${length(2)}.`]
    expect(sameSentence(a, c)).toBe(true)
    expect(sameSentence(a, b)).toBe(false)
    expect(distinct([a, b, c])).toEqual([a, b])
  })
  test('everything in it can be walked through', () => {
    const nested = say`${atStart(say`at ${name('nose')}`)} and ${list([say`by ${length(3)}`, 'rear'])}`
    expect([...saidIn(nested)].map((s) => s.kind)).toEqual(['sentence', 'name', 'list', 'length', 'name'])
  })
})

describe('quantities are shown where they are read', () => {
  test.each([
    [length(2.5), '2.5 mm', '0.098 in'],
    [length(12), '12 mm', '0.472 in'],
    [length(-22.46), '−22.5 mm', '−0.884 in'],
    [length(300.4), '300 mm', '11.83 in'],
    [length(1.234, 2), '1.23 mm', '0.049 in'],
    [length(-0.01), '0 mm', '0.000 in'],
    [area(1_250_000), '1.25 m²', '1937.5 in²'],
    [area(800), '800 mm²', '1.2 in²'],
    [temperature(68), '68 °C', '154 °F'],
    [warmer(10), '10 °C', '18 °F'],
    [volume(450), '450 mL', '15.2 fl oz'],
    [volume(1.8), '1.8 mL', '0.061 fl oz'],
    [volume(1400), '1.4 L', '47.3 fl oz'],
    [volume(236.588236), '237 mL', '8 fl oz'],
    [perLitre(1.3), '1.3 mL/L', '0.17 fl oz/gal'],
    [percent(12.34), '12 %', '12 %'],
    [percent(12.34, 1), '12.3 %', '12.3 %'],
    [angle(45), '45°', '45°'],
    [force(12.4), '12 N', '12 N'],
    [speed(200), '200 mm/s', '7.9 in/s'],
    [seconds(1), '1 second', '1 second'],
    [days(3), '3 days', '3 days'],
    [count(3), '3', '3'],
    [figure(1.26, 1), '1.3', '1.3'],
  ])('%o is %s, or %s', (said, metric, imperial) => {
    expect(english(say`${said}`)).toBe(metric)
    expect(inches(say`${said}`)).toBe(imperial)
  })
  test('a screen’s own figures keep their digits', () => {
    const onScreen = (units: UnitChoice) => (measure: Measure) => inWords(measuresIn(units, figureIn('en-GB'))(measure))
    const metric = onScreen(metricUnits)
    const imperial = onScreen({ length: 'in', temperature: 'F', volume: 'fl oz' })
    expect([length(2), length(-0.26), length(100), length(12.5, 0)].map(metric)).toEqual([
      '2.0 mm',
      '−0.3 mm',
      '100 mm',
      '13 mm',
    ])
    expect([temperature(21.4, 1), warmer(15), percent(2, 1), angle(0.4, 2)].map(metric)).toEqual([
      '21.4 °C',
      '15 °C',
      '2.0 %',
      '0.40°',
    ])
    expect([volume(1140), volume(1200), volume(8), volume(0.5)].map(metric)).toEqual([
      '1.14 L',
      '1.2 L',
      '8.0 mL',
      '0.50 mL',
    ])
    expect([length(2.54), length(254), warmer(10), volume(29.5735295625)].map(imperial)).toEqual([
      '0.100 in',
      '10.00 in',
      '18 °F',
      '1.00 fl oz',
    ])
  })
  test('film left over is counted on a round length of edge: the figure is scaled with it', () => {
    expect(english(say`${inSpan(2.5)} per ${span}`)).toBe('2.5 mm per 100 mm')
    expect(inches(say`${inSpan(2.5)} per ${span}`)).toBe('0.100 in per 4 in')
  })
  test('language decides comma, list and clock', () => {
    const german = wordsIn({ locale: 'de-DE' })
    expect(german(say`${length(2.5)}`)).toBe('2,5 mm')
    expect(german(say`${list(['a', 'b', 'c'])}`)).toBe('a, b und c')
    expect(english(say`${list(['a', 'b', 'c'])}`)).toBe('a, b and c')
    expect(english(say`${clock('2030-05-01T09:05:00')}`)).toBe('09:05')
  })
  test('every figure is written as its language writes it, whole ones too', () => {
    const digits = fc.constantFrom([0, 0], [0, 1], [0, 3], [1, 1], [2, 2])
    const value = fc.oneof(fc.integer({ min: -2e6, max: 2e6 }), fc.double({ min: -2e6, max: 2e6, noNaN: true }))
    fc.assert(
      fc.property(value, digits, fc.constantFrom('en-GB', 'de-DE', 'ar-EG'), (value, [least = 0, most = 0], locale) => {
        const format = new Intl.NumberFormat(locale, {
          minimumFractionDigits: least,
          maximumFractionDigits: most,
          useGrouping: false,
        })
        const rounded = Number(value.toFixed(most))
        expect(figureIn(locale)(value, least, most)).toBe(format.format(rounded === 0 ? 0 : rounded).replace('-', '−'))
      }),
    )
    expect(figureIn('en-GB')(Number.NaN, 0)).toBe('NaN')
    expect(figureIn('en-GB')(-0.2, 0)).toBe('0')
  })
  test('whole figures in English do without the number formats of the runtime, which it is slow to make ready', () => {
    const known = vi.spyOn(Intl.NumberFormat, 'supportedLocalesOf')
    const format = vi.spyOn(Intl, 'NumberFormat')
    try {
      // A language that no other test has asked for.
      expect(wordsIn({ locale: 'en-NZ' })(say`${percent(40)} of ${length(1200)}`)).toBe('40 % of 1200 mm')
      expect(format).not.toHaveBeenCalled()
      expect(known).not.toHaveBeenCalled()
    } finally {
      vi.restoreAllMocks()
    }
  })
  test('a sentence that begins another one gets its capital', () => {
    expect(english(say`${atStart(say`rear edge`)}: trim.`)).toBe('Rear edge: trim.')
  })
})

describe('where lines break by themselves', () => {
  test('a figure stays at its unit, and words break as before', () => {
    const words = wordsIn({ unbroken: true })
    const sentence = say`Stretch ${length(12)} at ${temperature(68)}, ${percent(4)} of ${span}, then turn ${angle(30)}.`
    expect(words(sentence)).toBe('Stretch 12\u00a0mm at 68\u00a0°C, 4\u00a0% of 100\u00a0mm, then turn 30°.')
    expect(words(sentence).replaceAll('\u00a0', ' ')).toBe(english(sentence))
  })
  test('so does a bare one whose unit stands in the text, and no other word', () => {
    const words = wordsIn({ unbroken: true })
    const sentence = say`In ${figure(20)} min, up to 3 %, 5 m and 2 hours of 4 sheets in 6 mornings: ${figure(7)} h.`
    expect(words(sentence)).toBe(
      'In 20\u00a0min, up to 3\u00a0%, 5\u00a0m and 2 hours of 4 sheets in 6 mornings: 7\u00a0h.',
    )
  })
})

describe('a language that does not exist', () => {
  const words = wordsIn({ catalogue: pseudo })
  test('dresses every word and leaves figures, units and names alone', () => {
    expect(words(say`Notch ${counted(4, 'the corner', 'each of # corners')}, ${length(12)} at ${name('nose')}.`)).toBe(
      'Ƞǿŧƈħ ḗȧƈħ ǿƒ 4 ƈǿřƞḗřş, 12 mm ȧŧ nose.',
    )
  })
  test('keeps the message whole', () => {
    expect(pseudo('{0, plural, one {# hour} other {# hours}}')).toMatch(/^\{0, ?plural/)
  })
})

test('the page of words shows what its example gives', async () => {
  const example = exampleOf(readFileSync(new URL('../README.md', import.meta.url), 'utf8'))
  if (example === null) throw new Error('packages/words/README.md has no example')
  expect(await runExample(example)).toEqual(example.gives)
})
