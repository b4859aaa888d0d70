export { readSvg } from './readSvg.ts'
export { writeSvg } from './writeSvg.ts'
