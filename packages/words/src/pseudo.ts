import { parse } from '@formatjs/icu-messageformat-parser'
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js'
import type { Catalogue } from './wordsIn.ts'

const plain = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'
const dressed = 'ȧƀƈḓḗƒɠħīĵķŀḿƞǿƥɋřşŧŭṽẇẋẏẑȦƁƇḒḖƑƓĦĪĴĶĿḾȠǾƤɊŘŞŦŬṼẆẊẎẐ'

/** Letters in other clothes: still readable, and told apart from every word that did not go through a catalogue. */
const dress = (text: string) =>
  [...text]
    .map((letter) => (plain.includes(letter) ? ([...dressed][plain.indexOf(letter)] ?? letter) : letter))
    .join('')

type Element = ReturnType<typeof parse>[number]

const dressElements = (elements: readonly Element[]): Element[] =>
  elements.map((element) => {
    if ('options' in element)
      return {
        ...element,
        options: Object.fromEntries(
          Object.entries(element.options).map(([key, option]) => [
            key,
            { ...option, value: dressElements(option.value) },
          ]),
        ),
      } as Element
    return element.type === 0 ? { ...element, value: dress(element.value) } : element
  })

/** A language that does not exist: it shows which words would not be translated. */
export const pseudo: Catalogue = (text) => printAST(dressElements(parse(text, { ignoreTag: true })))
