// Loaded before a server of a test: its clock goes so many milliseconds before or after the real one.
import { readFileSync } from 'node:fs'

const shiftMs = Number(readFileSync(process.env.TRUELAY_CLOCK_SHIFT, 'utf8'))
const RealDate = Date
globalThis.Date = class extends RealDate {
  constructor(...args) {
    if (args.length === 0) super(RealDate.now() + shiftMs)
    else super(...args)
  }
  static now() {
    return RealDate.now() + shiftMs
  }
}
