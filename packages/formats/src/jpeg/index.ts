export { type StrippedJpeg, stripJpeg } from './stripJpeg.ts'
