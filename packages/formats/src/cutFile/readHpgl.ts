import type { Vec2 } from '@truelay/core/geometry'
import { count, name, say, type Sentence } from '@truelay/core/say'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { stepsPerMm } from './hpglOfCut.ts'

const mostPoints = 2_000_000

/** Lines that a plotter would cut, mm, in their order. Instructions for anything but moving, raising and lowering the tool are passed over. */
export function readHpgl(text: string): FileResult<Vec2[][]> {
  const lines: Vec2[][] = []
  let [x, y, down, relative, points] = [0, 0, false, false, 0]
  const begun = () => {
    if (down) lines.push([[x / stepsPerMm, y / stepsPerMm]])
  }
  for (const [, code = '', given = ''] of text.matchAll(/([A-Za-z]{2})([^A-Za-z;]*);?/g)) {
    const word = code.toUpperCase()
    if (word === 'PA' || word === 'PR') relative = word === 'PR'
    else if (word === 'PU' || word === 'PD') {
      const wasDown = down
      down = word === 'PD'
      if (down && !wasDown) begun()
    } else continue
    const numbers = given.split(/[\s,]+/).filter((word) => word !== '')
    const figures = numbers.map(Number)
    if (figures.some((n) => !Number.isFinite(n)) || figures.length % 2 !== 0)
      return noCut(say`“${name(`${code}${given}`.slice(0, 40))}” is not understood`)
    for (let i = 0; i + 1 < figures.length; i += 2) {
      const [a = 0, b = 0] = [figures[i], figures[i + 1]]
      x = relative ? x + a : a
      y = relative ? y + b : b
      if (++points > mostPoints) return noCut(say`it has more than ${count(mostPoints)} points`)
      if (down) lines.at(-1)?.push([x / stepsPerMm, y / stepsPerMm])
    }
  }
  const cut = lines.filter((line) => line.length > 1)
  return cut.length === 0 ? noCut(say`nothing is cut in it`) : read(cut)
}

const noCut = (why: Sentence) =>
  unreadable('HPGL_UNREADABLE', say`This file cannot be cut: ${why}.`, say`Write the cut file again.`)
