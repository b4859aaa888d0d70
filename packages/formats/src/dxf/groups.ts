import { count, name, say } from '@truelay/core/say'
import { TooMuch } from '../drawing/index.ts'

/** One group of a DXF: its code and its value, as they stand in two lines. */
export type Group = readonly [code: number, value: string]

/** Throws `TooMuch` where a line that should hold a code does not. */
export function groupsOf(text: string): Group[] {
  const lines = text.split(/\r\n|\r|\n/)
  const groups: Group[] = []
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number.parseInt(lines[i] ?? '', 10)
    if (!Number.isInteger(code))
      throw new TooMuch(say`no group code in line ${count(i + 1)}: "${name((lines[i] ?? '').trim().slice(0, 20))}"`)
    groups.push([code, code === 0 ? (lines[i + 1] ?? '').trim() : (lines[i + 1] ?? '')])
  }
  return groups
}

/** The groups of one shape, asked by their codes. */
export class Groups {
  constructor(readonly all: readonly Group[]) {}

  text(code: number): string | null {
    return this.all.find(([own]) => own === code)?.[1] ?? null
  }

  number(code: number, otherwise = 0): number {
    const text = this.text(code)
    return text === null ? otherwise : Number.parseFloat(text)
  }

  flag(code: number, bit: number): boolean {
    return (Math.trunc(this.number(code)) & bit) !== 0
  }

  numbers(code: number): number[] {
    return this.all.flatMap(([own, value]) => (own === code ? [Number.parseFloat(value)] : []))
  }

  /** x and y whose groups are `code` and `code + 10`; null where it is not there. */
  point(code: number): readonly [number, number] | null {
    return this.text(code) === null ? null : [this.number(code), this.number(code + 10)]
  }

  /** All points of a code, in order. */
  points(code: number): (readonly [number, number])[] {
    const ys = this.numbers(code + 10)
    return this.numbers(code).map((x, i) => [x, ys[i] ?? 0])
  }
}
