export { escaped } from './escaped.ts'
export { readSvg } from './readSvg.ts'
export { writeSvg } from './writeSvg.ts'
