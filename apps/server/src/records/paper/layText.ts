import type { Face } from './faces.ts'

/** Signs of one typeface, one after the other. */
export interface Run {
  readonly face: Face
  readonly text: string
}
export type TextLine = readonly Run[]

/** Stands for a sign that no typeface of the papers has: nothing is left out unseen. */
export const missingSign = '\ufffd'

/** Whether all signs of a text can be printed. */
export const isPrintable = (text: string, faces: readonly Face[]): boolean =>
  [...text].every((sign) => /\s/.test(sign) || faces.some((face) => face.has(sign)))

/** A text in runs, each in the first typeface that has its signs. */
export function runsOf(text: string, faces: readonly Face[]): Run[] {
  const [first] = faces
  if (first === undefined) throw new Error('no typeface')
  const runs: { face: Face; text: string }[] = []
  // Composed where it can be: an accent by itself is in few typefaces.
  for (const sign of text.normalize('NFC')) {
    const last = runs[runs.length - 1]
    const of = last?.face.has(sign) ? last.face : faces.find((face) => face.has(sign))
    const shown = of === undefined ? missingSign : sign
    const face = of ?? faces.find((f) => f.has(missingSign)) ?? first
    // A typeface goes back to the first one as soon as that can go on.
    const better = first.has(shown) ? first : face
    if (last !== undefined && last.face === better) last.text += shown
    else runs.push({ face: better, text: shown })
  }
  return runs
}

/** A text in lines no wider than `most`; a word that is wider by itself is broken. `widthOf` tells how wide signs are. */
export function linesOf(text: string, faces: readonly Face[], most: number, widthOf: (run: Run) => number): TextLine[] {
  const width = (part: string) => runsOf(part, faces).reduce((sum, run) => sum + widthOf(run), 0)
  return text.split('\n').flatMap((paragraph) => {
    const lines: string[] = []
    let line = ''
    // What is held together by a space that does not break stays together.
    for (const word of paragraph.split(/(?<=[ \t])/)) {
      if (width((line + word).trimEnd()) <= most) {
        line += word
        continue
      }
      if (line !== '') lines.push(line)
      line = ''
      for (const sign of word) {
        if (line !== '' && width((line + sign).trimEnd()) > most) {
          lines.push(line)
          line = ''
        }
        line += sign
      }
    }
    return [...lines, line.trimEnd()].map((one) => runsOf(one, faces))
  })
}
