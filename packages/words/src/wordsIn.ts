import type { Said, Sentence } from '@truelay/core/say'
import { metricUnits, type UnitChoice } from '@truelay/core/units'
import { IntlMessageFormat } from 'intl-messageformat'
import { figureIn, inWords, measuresIn, spanIn } from './quantities.ts'

// The language of a shop is one that the runtime knows: to ask it for all that it knows costs forty milliseconds at the first sentence.
IntlMessageFormat.resolveLocale = (locales) => new Intl.Locale([locales].flat()[0] ?? 'en-GB')

/** What a catalogue makes of a text: the same message in its language, in the syntax of ICU messages. */
export type Catalogue = (text: string) => string

export interface WordsChoice {
  readonly units?: UnitChoice
  /** BCP 47; decides number format, lists, plurals and the clock. */
  readonly locale?: string
  readonly catalogue?: Catalogue
  /** Keeps a figure and its unit in one line, where lines break by themselves: on a screen, on paper. */
  readonly unbroken?: boolean
}

/** Turns a sentence into what stands on a screen, on paper or in a terminal. */
export type Words = (sentence: Sentence) => string

/** Made when it is first asked for: a date format costs twenty milliseconds, and many sentences have no date. */
function once<T>(make: () => T): () => T {
  let made: T | undefined
  return () => {
    made ??= make()
    return made
  }
}

/** The words of one shop: its units, its language, its number format. */
export function wordsIn({
  units = metricUnits,
  locale = 'en-GB',
  catalogue = asWritten,
  unbroken = false,
}: WordsChoice = {}): Words {
  const space = unbroken ? noBreak : ' '
  const figure = figureIn(locale)
  const measured = measuresIn(units, figure)
  const lists = once(() => new Intl.ListFormat(locale, { type: 'conjunction' }))
  const clocks = once(() => new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }))
  const dates = once(() => new Intl.DateTimeFormat(locale, { weekday: 'long', day: 'numeric', month: 'long' }))
  const messages = new Map<string, IntlMessageFormat>()

  const messageOf = (text: string): IntlMessageFormat => {
    const known = messages.get(text)
    if (known !== undefined) return known
    const made = new IntlMessageFormat(catalogue(text), locale, undefined, { ignoreTag: true })
    messages.set(text, made)
    return made
  }
  const render: Words = ({ text, with: said }) => {
    if (text === '') return ''
    const values = Object.fromEntries(said.map((value, i) => [i, value.kind === 'count' ? value.n : shown(value)]))
    const words = String(messageOf(text).format(values))
    return unbroken ? words.replace(beforeUnit, noBreak) : words
  }
  const shown = (value: Said): string => {
    switch (value.kind) {
      case 'length':
      case 'film length':
      case 'in span':
      case 'area':
      case 'temperature':
      case 'warmer':
      case 'volume':
      case 'per litre':
      case 'speed':
      case 'force':
      case 'percent':
      case 'angle':
        return inWords(measured(value, 'sentence'), space)
      case 'span':
        return inWords(spanIn(units), space)
      case 'duration':
        return duration(value.minutes, value.in)
      case 'day':
        return dates().format(new Date(value.at))
      case 'clock':
        return clocks().format(new Date(value.at))
      case 'count':
        return figure(value.n, 0)
      case 'figure':
        return figure(value.value, 0, value.digits)
      case 'name':
        return value.name
      case 'list':
        return lists().format(value.of.map(render))
      case 'sentence':
        return value.begins ? capital(render(value.sentence), locale) : render(value.sentence)
    }
  }
  const duration = (minutes: number, unit: 'seconds' | 'minutes' | 'hours' | 'days') => {
    const [value, text] = {
      seconds: [minutes * 60, '{0, plural, one {# second} other {# seconds}}'],
      minutes: [minutes, '{0, plural, one {# minute} other {# minutes}}'],
      hours: [minutes / 60, '{0, plural, one {# hour} other {# hours}}'],
      days: [minutes / 1440, '{0, plural, one {# day} other {# days}}'],
    }[unit] as [number, string]
    return String(messageOf(text).format({ 0: Math.round(value * 10) / 10 }))
  }
  return render
}

/** A space at which no line ends. */
const noBreak = '\u00a0'
/** Between a bare figure and a unit that stands in the text itself: "3 %", "20 min". */
const beforeUnit = /(?<=\d) (?=(?:%|€|min|h|s|mm|m|µm|mL|L|°C|°F)(?![\p{L}\d²]))/gu

const asWritten: Catalogue = (text) => text

const capital = (words: string, locale: string) => {
  const [first = ''] = words
  return `${first.toLocaleUpperCase(locale)}${words.slice(first.length)}`
}

/** English, metric: what tests, logs and the command line read. */
export const english: Words = wordsIn()
