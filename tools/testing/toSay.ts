import type { Sentence } from '@truelay/core/say'
import { english } from '@truelay/words'
import { expect } from 'vitest'

type Sayable = Sentence | readonly Sentence[] | null | undefined

const wordsOf = (received: Sayable): string => {
  if (received === null || received === undefined) return ''
  return 'text' in received ? english(received) : received.map(english).join(' ')
}

/** `expect(sentence).toSay('…')`: what it says in English holds these words, or matches. Also for a list of sentences, and for none. */
expect.extend({
  toSay(received: Sayable, expected: string | RegExp) {
    const words = wordsOf(received)
    const pass = typeof expected === 'string' ? words.includes(expected) : expected.test(words)
    return { pass, message: () => `expected “${words}” ${this.isNot ? 'not ' : ''}to say “${expected}”` }
  },
})

declare module 'vitest' {
  // biome-ignore lint/suspicious/noExplicitAny: as the runner declares it
  interface Matchers<T = any> {
    toSay(expected: string | RegExp): T
  }
}
