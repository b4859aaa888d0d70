export {
  type Figure,
  figureIn,
  inWords,
  measuresIn,
  type Shown,
  type Style,
} from './quantities.ts'
export { isSentence, keepShown } from './keepShown.ts'
export { type Catalogue, english, type Words, type WordsChoice, wordsIn } from './wordsIn.ts'
