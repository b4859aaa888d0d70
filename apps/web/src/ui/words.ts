import { figure, name, say, type Sentence, type Spoken } from '@truelay/core/say'
import { english, type Words } from '@truelay/words'
import { createContext, use } from 'react'

/** What a screen's own words may carry: quantities and sentences; a bare text is a name, a bare number a figure. */
export type OnScreen = Spoken | string | number | null | undefined

/** Words of a screen: of a sentence that came from elsewhere, or in place: `` t`Next: ${step.headline}` ``. */
export interface ScreenWords {
  (sentence: Sentence): string
  (text: TemplateStringsArray, ...spoken: readonly OnScreen[]): string
}

export const screenWords = (words: Words): ScreenWords => {
  const shown = (first: Sentence | TemplateStringsArray, ...spoken: readonly OnScreen[]): string =>
    'raw' in first ? words(say(first, ...spoken.map(asSpoken))) : words(first)
  return shown
}

const asSpoken = (value: OnScreen): Spoken =>
  value === null || value === undefined
    ? name('')
    : typeof value === 'string'
      ? name(value)
      : typeof value === 'number'
        ? figure(value, 2)
        : value

export const WordsContext = createContext<ScreenWords>(screenWords(english))
/** The words of the shop: its language, its units. */
export const useWords = (): ScreenWords => use(WordsContext)
