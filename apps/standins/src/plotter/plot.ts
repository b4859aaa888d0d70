import { readHpgl } from '@truelay/formats/cutFile'
import { english } from '@truelay/words'

/** What a plotter has in it, and how true it cuts. */
export interface Roll {
  readonly rollWidthMm: number
  readonly filmLeftMm: number
  readonly cutsPercent: number
}

/** Lines that the knife went, as they came out; mm from the beginning of the roll. */
export interface Plot {
  readonly at: string
  readonly lines: readonly (readonly (readonly [number, number])[])[]
  readonly lengthMm: number
}

export type Plotted = { readonly ok: true; readonly plot: Plot } | { readonly ok: false; readonly why: string }

/** Cuts a file on the roll that is in, or says why not; nothing is cut by halves. */
export function plot(file: string, { rollWidthMm, filmLeftMm, cutsPercent }: Roll, now: Date): Plotted {
  const read = readHpgl(file)
  if (!read.ok) return { ok: false, why: english(read.failure.sentence) }
  const share = cutsPercent / 100
  const lines = read.value.map((line) => line.map(([x, y]) => [x * share, y * share] as const))
  const points = lines.flat()
  const lengthMm = Math.max(...points.map(([x]) => x))
  const [lowest, highest] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))]
  const mm = (x: number) => `${Math.ceil(x)} mm`
  if (lengthMm > filmLeftMm)
    return { ok: false, why: `it has ${mm(filmLeftMm)} of film left, and this takes ${mm(lengthMm)}.` }
  if (lowest < 0 || highest > rollWidthMm)
    return {
      ok: false,
      why: `its roll is ${mm(rollWidthMm)} wide, and this takes ${mm(highest - Math.min(0, lowest))}.`,
    }
  return { ok: true, plot: { at: now.toISOString(), lines, lengthMm } }
}
