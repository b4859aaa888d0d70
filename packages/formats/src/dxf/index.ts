export { readDxf } from './readDxf.ts'
export { writeDxf } from './writeDxf.ts'
