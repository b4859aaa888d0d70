export { type ScanKind, scanKindOf } from './kind/index.ts'
export { readScan } from './readScan.ts'
export { writePly, writeStl } from './writeScan.ts'
