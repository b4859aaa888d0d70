export {
  type Figure,
  figureIn,
  inWords,
  sayLength,
  type Shown,
  showArea,
  showLength,
  showTemperature,
  showVolume,
} from './quantities.ts'
export { isSentence, keepShown } from './keepShown.ts'
export { type Catalogue, english, type Words, type WordsChoice, wordsIn } from './wordsIn.ts'
