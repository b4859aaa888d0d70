export { readScan, type ScanKind, scanKindOf } from './readScan.ts'
export { writePly, writeStl } from './writeScan.ts'
